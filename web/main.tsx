import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import './styles.css'
import { prepareWords } from './words'

await prepareWords()
const { App } = await import('./App')
createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <App />
  </StrictMode>,
)
