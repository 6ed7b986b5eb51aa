import '@fontsource/fira-sans/latin-400.css'
import '@fontsource/fira-sans/latin-600.css'
import '@fontsource/fira-sans-condensed/latin-400.css'
import '@fontsource/fira-sans-condensed/latin-600.css'
import 'bootstrap/dist/css/bootstrap.min.css'
import './theme.css'
import './frame.css'
import { QueryClientProvider } from '@tanstack/react-query'
import { RouterProvider } from 'react-router-dom'
import { queryClient } from '../data/query-client.ts'
import { router } from './router.tsx'

export const App = () => (
  <QueryClientProvider client={queryClient}>
    <RouterProvider router={router} />
  </QueryClientProvider>
)
