import '@fontsource/fira-sans/latin-400.css'
import '@fontsource/fira-sans/latin-600.css'
import '@fontsource/fira-sans-condensed/latin-400.css'
import '@fontsource/fira-sans-condensed/latin-600.css'
import './bootstrap.scss'
import './theme.css'
import './frame.css'
import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client'
import { RouterProvider } from 'react-router-dom'
import { queryClient, remembered } from '../data/query-client.ts'
import { router } from './router.tsx'

export const App = () => (
  <PersistQueryClientProvider
    client={queryClient}
    persistOptions={remembered}
    // What this device remembers is shown at once, and asked for anew all the same.
    onSuccess={() => queryClient.invalidateQueries()}
  >
    <RouterProvider router={router} />
  </PersistQueryClientProvider>
)
