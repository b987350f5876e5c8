import { readFileSync, rmSync } from 'node:fs'
import { basename, dirname, resolve } from 'node:path'
import { build as bundle, type Plugin } from 'esbuild'
import { build as buildWeb } from 'vite'

/** Compiles the page of a reply for the server, which renders it for whoever has no script: one file with all it needs. */
export async function buildReply(outDir = 'dist/reply') {
  // Whoever builds it, and wherever: what is built is what runs.
  const { NODE_ENV } = process.env
  process.env.NODE_ENV = 'production'
  try {
    await buildWeb({
      logLevel: 'warn',
      publicDir: false,
      define: { 'process.env.NODE_ENV': '"production"' },
      build: {
        ssr: resolve('web/reply/plain/main.tsx'),
        outDir: resolve(outDir),
        emptyOutDir: true,
        sourcemap: false,
        rolldownOptions: { output: { entryFileNames: 'plain.mjs', chunkFileNames: '[name]-[hash].mjs' } },
      },
      ssr: { noExternal: true },
    })
  } finally {
    if (NODE_ENV === undefined) delete process.env.NODE_ENV
    else process.env.NODE_ENV = NODE_ENV
  }
}

/** What is run: the application itself, and what an operator calls. */
const programs = [
  ...[
    'server/main.ts',
    'server/setup.ts',
    'server/backUp.ts',
    'server/restore.ts',
    'server/verifyTrail.ts',
    'server/checkLedger.ts',
  ],
  'server/rotateSigningKey.ts',
]

const { version } = JSON.parse(readFileSync('package.json', 'utf8')) as { version: string }

/**
 * Packages that hold machine code or files of their own, that we reach into, or that are loaded only when they are needed: they
 * stay where npm puts them.
 */
const leftInPlace = [
  'sharp',
  '@napi-rs/canvas',
  '@node-rs/argon2',
  '@fontsource/*',
  'pdfjs-dist',
  'date-holidays',
  '@zxcvbn-ts/*',
  'music-metadata',
  'mammoth',
  'html-to-pdfmake',
  'linkedom',
  'pdfmake',
  'pdfkit',
  'pdf-lib',
  '@pdf-lib/fontkit',
  'wawoff2',
  'zxing-wasm',
  'mariadb',
  'sequelize',
  'piscina',
  'pino',
]

/**
 * Compiles the server into `dist/server`, each program a file of its own with what they share beside it. Packages are put
 * in as well: a thousand small files take longer to find than to read. What a program starts in a thread or a process is a program too, wherever it is named.
 */
export async function buildServer() {
  const started = new Set<string>()
  for (let known = -1; known !== started.size; ) {
    known = started.size
    rmSync('dist/server', { recursive: true, force: true })
    await bundle({
      entryPoints: [...programs, ...started],
      outdir: 'dist/server',
      entryNames: '[name]',
      chunkNames: 'shared-[hash]',
      bundle: true,
      splitting: true,
      external: leftInPlace,
      banner: {
        js: "import { createRequire as requireHere } from 'node:module'; const require = requireHere(import.meta.url);",
      },
      platform: 'node',
      format: 'esm',
      target: 'node20',
      logLevel: 'warning',
      define: { 'process.env.PROBATUM_VERSION': JSON.stringify(version) },
      plugins: [startedPrograms(started)],
    })
  }
}

/** Where a source names another as a program to start, the compiled one is named. */
const startedPrograms = (started: Set<string>): Plugin => ({
  name: 'started programs',
  setup({ onLoad }) {
    onLoad({ filter: /\/server\/.*\.ts$/ }, ({ path }) => {
      const source = readFileSync(path, 'utf8')
      const contents = source.replace(/new URL\('([./\w]+)\.ts', import\.meta\.url\)/g, (_, file: string) => {
        started.add(resolve(dirname(path), `${file}.ts`))
        return `new URL('./${basename(file)}.js', import.meta.url)`
      })
      return { contents, loader: 'ts' }
    })
  },
})

if (process.argv[1] === new URL(import.meta.url).pathname) {
  await buildWeb({ logLevel: 'warn' })
  await buildReply()
  await buildServer()
}
