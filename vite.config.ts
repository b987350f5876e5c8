import { execFileSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig, type Plugin } from 'vite'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

/** The contract's table of endpoints as a module of its own, so that no schema is sent to a phone. */
const endpoints: Plugin = {
  name: 'endpoints',
  resolveId: (id) => (id === 'virtual:endpoints' ? `\0${id}` : undefined),
  load(id) {
    if (id !== '\0virtual:endpoints') return undefined
    const printed = execFileSync(process.execPath, ['--import', 'tsx', here('scripts/endpoints.ts')], {
      cwd: here('.'),
      encoding: 'utf8',
    })
    return `export const { endpoints, topics } = ${printed}`
  },
}

export default defineConfig({
  root: here('web'),
  plugins: [react(), tailwindcss(), endpoints],
  build: { outDir: '../dist/web', emptyOutDir: true, target: 'es2022', chunkSizeWarningLimit: 900 },
  server: { proxy: { '/api': process.env.API ?? 'http://127.0.0.1:4100' } },
})
