import { createRoot } from 'react-dom/client'
import { App } from './app/app.tsx'

createRoot(document.getElementById('root') as HTMLElement).render(<App />)
