import { createRoot } from 'react-dom/client'
import { App } from './app/app.tsx'
import { keepPageOnDevice } from './app/keep-page.ts'

createRoot(document.getElementById('root') as HTMLElement).render(<App />)
if (import.meta.env.PROD) keepPageOnDevice()
