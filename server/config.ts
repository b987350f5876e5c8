import { tmpdir } from 'node:os'
import { join } from 'node:path'

/** What can be set from outside, each by an environment variable with a working default for one machine. */
export type Config = {
  port: number
  host: string
  databaseUrl: string
  /** Where people reach the application; the start of every link in a mail. */
  publicUrl: string
  smtpUrl: string
  mailFrom: string
  /** The register service: `GET {registerUrl}/{register}/{number}`. */
  registerUrl: string
  /** Milliseconds after which a register counts as silent. */
  registerPatienceMs: number
  /** The postcode directory: `GET {placesUrl}/{country}/{postcode}`. */
  placesUrl: string
  /** The capture device: `POST {captureUrl}/sessions`. */
  captureUrl: string
  operator: string
  contact: string
  timeZone: string
  /** Where we work: ISO 3166-1, and the region of ISO 3166-2 without it; whose holidays are ours. */
  country: string
  region: string | undefined
  /** The demo's clock may be moved and its accounts are shown at sign-in. Never in real use. */
  demo: boolean
  /** Where files lie that come in pieces, until they are whole. */
  uploadFolder: string
  /** Where the scanner saves what it has scanned. */
  scanFolder: string
  /** Where the built web client lies. */
  webFolder: string
  logLevel: string
  /** Copies of the application that answer on the same port; one for each core of the machine is a good number. */
  processes: number
}

export function readConfig(env: NodeJS.ProcessEnv = process.env): Config {
  const port = numberOf('PORT', env.PORT ?? '4100')
  return {
    port,
    host: env.HOST ?? '127.0.0.1',
    databaseUrl: env.DATABASE_URL ?? 'mariadb://root@127.0.0.1:4106/probatum',
    publicUrl: env.PUBLIC_URL ?? `http://127.0.0.1:${port}`,
    smtpUrl: env.SMTP_URL ?? 'smtp://127.0.0.1:4102',
    mailFrom: env.MAIL_FROM ?? 'Vallorne Mountain Lines <applications@vallorne.example>',
    registerUrl: env.REGISTER_URL ?? 'http://127.0.0.1:4103/registers',
    registerPatienceMs: Number(env.REGISTER_PATIENCE_MS ?? 8000),
    placesUrl: env.PLACES_URL ?? 'http://127.0.0.1:4103/places',
    captureUrl: env.CAPTURE_URL ?? 'http://127.0.0.1:4103/capture',
    operator: env.OPERATOR ?? 'Vallorne Mountain Lines',
    contact: env.CONTACT ?? 'applications@vallorne.example',
    timeZone: env.TIME_ZONE ?? 'Europe/Vienna',
    country: env.COUNTRY ?? 'AT',
    region: env.REGION,
    demo: env.DEMO === 'yes',
    uploadFolder: env.UPLOAD_FOLDER ?? join(tmpdir(), 'probatum-uploads'),
    scanFolder: env.SCAN_FOLDER ?? join(tmpdir(), 'probatum-scans'),
    webFolder: env.WEB_FOLDER ?? 'dist/web',
    logLevel: env.LOG_LEVEL ?? 'info',
    processes: numberOf('PROCESSES', env.PROCESSES ?? '1'),
  }
}

function numberOf(name: string, text: string): number {
  const value = Number(text)
  if (!Number.isInteger(value) || value < 0 || value > 65535)
    throw new Error(`${name} must be a port number, not "${text}"`)
  return value
}
