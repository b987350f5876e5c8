import { execFileSync } from 'node:child_process'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { brotliCompressSync, constants, gzipSync } from 'node:zlib'
import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig, type Plugin } from 'vite'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))

/** The contract's table of endpoints as modules, the desk's and candidates' apart, so that no schema is sent to a phone. */
const endpoints: Plugin = {
  name: 'endpoints',
  resolveId: (id) => (/^virtual:endpoints($|\/(desk|own)$)/.test(id) ? `\0${id}` : undefined),
  load(id) {
    if (!id.startsWith('\0virtual:endpoints')) return undefined
    const { endpoints: everybodys, deskEndpoints, ownEndpoints, topics } = JSON.parse(printedBy('scripts/endpoints.ts'))
    if (id.endsWith('/desk')) return `export const deskEndpoints = ${JSON.stringify(deskEndpoints)}`
    return id.endsWith('/own')
      ? `export const ownEndpoints = ${JSON.stringify(ownEndpoints)}`
      : `export const { endpoints, topics } = ${JSON.stringify({ endpoints: everybodys, topics })}`
  },
}

/** What is sent to each endpoint is checked first by a small program of its own, fetched when it is first needed. */
const checks: Plugin = {
  name: 'checks',
  resolveId: (id) => (/^virtual:checks?($|\/)/.test(id) ? `\0${id}` : undefined),
  load(id) {
    if (!id.startsWith('\0virtual:check')) return undefined
    const programs = checkPrograms()
    const [, one] = id.split('/')
    if (one) return programs[one]
    const loads = Object.keys(programs).map((name) => `${name}: () => import('virtual:check/${name}')`)
    return `export const checks = { ${loads.join(', ')} }`
  },
}

let programs: Record<string, string> | undefined
const checkPrograms = (): Record<string, string> => (programs ??= JSON.parse(printedBy('scripts/checks.ts')))

const printedBy = (script: string): string =>
  execFileSync(process.execPath, ['--import', 'tsx', here(script)], {
    cwd: here('.'),
    encoding: 'utf8',
    maxBuffer: 64 * 1024 * 1024,
  })

/**
 * What draws charts uses more of the store's library than we do, and what is used of it comes with every first visit: charts, which
 * the desk alone shows, bring a copy of their own.
 */
const chartsApart: Plugin = {
  name: 'charts-apart',
  enforce: 'pre',
  async resolveId(source, importer) {
    if (source !== '@reduxjs/toolkit' || !importer?.includes('/node_modules/recharts/')) return undefined
    const found = await this.resolve(source, importer, { skipSelf: true })
    return found && `${found.id}?charts`
  },
}

/** Packs what can be packed, once, as tightly as it goes; whoever serves the files takes what the browser reads. */
const packed: Plugin = {
  name: 'packed',
  apply: (_, { command, isSsrBuild }) => command === 'build' && !isSsrBuild,
  writeBundle({ dir }, bundle) {
    for (const name of [...Object.keys(bundle), 'mark.svg']) {
      const path = join(dir!, name)
      if (!/\.(js|mjs|css|svg|json)$/.test(name) || !existsSync(path)) continue
      const bytes = readFileSync(path)
      const quality = { [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY }
      writeFileSync(`${path}.br`, brotliCompressSync(bytes, { params: quality }))
      writeFileSync(`${path}.gz`, gzipSync(bytes, { level: 9 }))
    }
  },
}

export default defineConfig({
  root: here('web'),
  plugins: [react(), tailwindcss(), endpoints, checks, chartsApart, packed],
  build: {
    outDir: '../dist/web',
    emptyOutDir: true,
    target: 'es2022',
    sourcemap: true,
    chunkSizeWarningLimit: 900,
    // What nearly every page needs comes as one file: thirty small ones weigh more and take longer.
    // What the desk alone shares stays at the desk; so do icons, of which a first visit shows hardly any.
    // So do the few words about requirements that every place with a vacancy says.
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'base', minShareCount: 27, test: /^(?!.*(web[\\/]desk[\\/]|lucide-react))/ },
            {
              name: 'asking',
              test: /core[\\/](words[\\/](names|options|translations|requirementTitle|roles|stored|facts|conditions|requirements)|requirements[\\/](requirement|citation)|conditions[\\/]vocabulary|hiring[\\/]stages)\.ts/,
            },
            {
              name: 'frame',
              test: /web[\\/](useCurrency|titles|store|words|ui[\\/](Sheet|useTitle|notices|OrganisationName)|portal[\\/]LanguageChoice)\.tsx?/,
            },
          ],
        },
      },
    },
  },
  // With the slash: `api.ts` is a source of ours.
  server: { proxy: { '^/api/': process.env.API ?? 'http://127.0.0.1:4100' } },
})
