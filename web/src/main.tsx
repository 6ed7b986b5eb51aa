import './no-eval.ts'
import { createRoot } from 'react-dom/client'
import { App } from './app/app.tsx'
import { askForKitchens } from './app/ask-ahead.ts'
import { keepPageOnDevice } from './app/keep-page.ts'

void askForKitchens()
createRoot(document.getElementById('root') as HTMLElement).render(<App />)
if (import.meta.env.PROD) keepPageOnDevice()
