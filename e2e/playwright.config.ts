import { defineConfig } from '@playwright/test'

export const port = Number(process.env.CHECK_PORT ?? 4200) + 10

export default defineConfig({
  testDir: '.',
  // The long walks are gone by `./check long`.
  grepInvert: process.env.CHECK_LONG ? undefined : /@long/,
  outputDir: '../test-results',
  timeout: 240_000,
  expect: { timeout: 20_000 },
  // The server and one browser keep two cores busy; a second window on the same demo only slows the first.
  workers: 1,
  reporter: process.env.CI ? [['line']] : [['list']],
  globalSetup: './start.ts',
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    actionTimeout: 20_000,
    trace: { mode: 'retain-on-failure', screenshots: false },
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
        // A camera that shows a moving picture, and nobody who has to allow it.
        '--use-fake-device-for-media-stream',
        '--use-fake-ui-for-media-stream',
      ],
    },
  },
})
