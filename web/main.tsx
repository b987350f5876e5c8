import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { prepareLanguage } from './language'
import './styles.css'

await prepareLanguage()
const { App } = await import('./App')
createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <App />
  </StrictMode>,
)
