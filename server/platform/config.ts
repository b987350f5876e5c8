import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { type StaffRole, staffRoles } from '#core/rights/rights'

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
  /** Milliseconds a body may take to arrive, beyond what its length takes on a slow line. */
  bodyPatienceMs: number
  /** The postcode directory: `GET {placesUrl}/{country}/{postcode}`. */
  placesUrl: string
  /** The capture device: `POST {captureUrl}/sessions`. */
  captureUrl: string
  /** The payment provider: `POST {paymentUrl}/payments`. */
  paymentUrl: string
  /** What the provider and we sign with; empty where no card is taken. */
  paymentSecret: string
  /** The gateway for text messages: `PUT {textUrl}/{id}`. */
  textUrl: string
  /** The port on which mail is taken from the organisation’s mail server, by SMTP; 0 where none comes in. */
  mailInPort: number
  /** The demo's clock may be moved and its accounts are shown at sign-in. Never in real use. */
  demo: boolean
  /** Proxies in front of us whose word on the client's address is taken; none believes what anybody sends. */
  trustProxy: number
  /** The key of the installation as base64, where several machines share one; otherwise it lies in `secretFile`. */
  secretKey: string | undefined
  secretFile: string
  /** Roles that sign in with a second factor. */
  secondFactorRoles: readonly StaffRole[]
  /** The organisation's own identity provider, where those who work here sign in through it. */
  identityProvider: ProviderConfig | undefined
  /** Where files lie that come in pieces, until they are whole. */
  uploadFolder: string
  /** Where the scanner saves what it has scanned. */
  scanFolder: string
  /** Where the built web client lies. */
  webFolder: string
  /** Where the built page of a reply lies, which is rendered here for whoever has no script. */
  replyFolder: string
  logLevel: string
  /** Copies of the application that answer on the same port; one for each core of the machine is a good number. */
  processes: number
  /** Whether this copy reads papers by machine; where several do the work, one may be spared for people. */
  readsPapers: boolean
  /** The port of `/metrics`; 0 where it is not served. */
  metricsPort: number
  /** Seconds that requests under way and jobs in hand are given when it is asked to end. */
  endPatienceSeconds: number
}

/** An identity provider by OpenID Connect, and what its word on somebody's roles means here. */
export type ProviderConfig = {
  issuer: string
  clientId: string
  clientSecret: string
  /** What it is called on the button. */
  name: string
  /** The claim that holds roles; inside another claim by a path with dots. Empty where roles are given at the desk. */
  rolesClaim: string
  /** Values of that claim, each with the role it stands for. */
  roles: Readonly<Record<string, StaffRole>>
  /** Nobody who works here signs in by password, but for accounts kept for the day the provider is away. */
  only: boolean
}

/** Where settings are kept that setting up has written; what is in the environment comes first. */
export const configFile = (env: NodeJS.ProcessEnv = process.env) => env.CONFIG_FILE ?? 'probatum.env'

/** Reads the file of settings into the environment, where there is one. */
export function loadConfigFile() {
  const file = configFile()
  if (existsSync(file)) process.loadEnvFile(file)
  else if (process.env.CONFIG_FILE) throw new Error(`There is no file ${file}, which CONFIG_FILE names.`)
}

export function readConfig(env: NodeJS.ProcessEnv = process.env): Config {
  const port = numberOf('PORT', env.PORT ?? '4100')
  // Never a folder of the machine that others share: what lies there is people's.
  const folder = env.DATA_FOLDER ?? 'data'
  return {
    port,
    host: env.HOST ?? '127.0.0.1',
    databaseUrl: env.DATABASE_URL ?? 'mariadb://root@127.0.0.1:4106/probatum',
    publicUrl: env.PUBLIC_URL ?? `http://127.0.0.1:${port}`,
    smtpUrl: env.SMTP_URL ?? 'smtp://127.0.0.1:4102',
    mailFrom: env.MAIL_FROM ?? 'applications@localhost',
    registerUrl: env.REGISTER_URL ?? 'http://127.0.0.1:4103/registers',
    registerPatienceMs: Number(env.REGISTER_PATIENCE_MS ?? 8000),
    bodyPatienceMs: Number(env.BODY_PATIENCE_MS ?? 30_000),
    placesUrl: env.PLACES_URL ?? 'http://127.0.0.1:4103/places',
    captureUrl: env.CAPTURE_URL ?? 'http://127.0.0.1:4103/capture',
    paymentUrl: env.PAYMENT_URL ?? 'http://127.0.0.1:4103/payments',
    paymentSecret: env.PAYMENT_SECRET ?? '',
    textUrl: env.TEXT_URL ?? 'http://127.0.0.1:4103/texts',
    mailInPort: numberOf('MAIL_IN_PORT', env.MAIL_IN_PORT ?? '0'),
    demo: env.DEMO === 'yes',
    trustProxy: numberOf('TRUST_PROXY', env.TRUST_PROXY ?? '0'),
    secretKey: env.SECRET_KEY,
    secretFile: env.SECRET_FILE ?? join(folder, 'secret.key'),
    secondFactorRoles: rolesIn(env.SECOND_FACTOR ?? (env.DEMO === 'yes' ? '' : staffRoles.join(','))),
    identityProvider: providerIn(env),
    uploadFolder: env.UPLOAD_FOLDER ?? join(folder, 'uploads'),
    scanFolder: env.SCAN_FOLDER ?? join(folder, 'scans'),
    webFolder: env.WEB_FOLDER ?? 'dist/web',
    replyFolder: env.REPLY_FOLDER ?? 'dist/reply',
    logLevel: env.LOG_LEVEL ?? 'info',
    processes: numberOf('PROCESSES', env.PROCESSES ?? '1'),
    readsPapers: env.READS_PAPERS !== 'no',
    metricsPort: numberOf('METRICS_PORT', env.METRICS_PORT ?? '0'),
    endPatienceSeconds: numberOf('END_PATIENCE_SECONDS', env.END_PATIENCE_SECONDS ?? '25'),
  }
}

function providerIn(env: NodeJS.ProcessEnv): ProviderConfig | undefined {
  const issuer = env.OIDC_ISSUER
  if (!issuer) return undefined
  if (!URL.canParse(issuer)) throw new Error(`OIDC_ISSUER must be an address, not "${issuer}"`)
  const { protocol, hostname } = new URL(issuer)
  if (protocol !== 'https:' && !['127.0.0.1', '[::1]', 'localhost'].includes(hostname))
    throw new Error(`OIDC_ISSUER must begin with https:, ${issuer} does not.`)
  if (!env.OIDC_CLIENT_ID || !env.OIDC_CLIENT_SECRET)
    throw new Error('OIDC_ISSUER is set; OIDC_CLIENT_ID and OIDC_CLIENT_SECRET have to be as well.')
  return {
    issuer,
    clientId: env.OIDC_CLIENT_ID,
    clientSecret: env.OIDC_CLIENT_SECRET,
    name: env.OIDC_NAME ?? hostname,
    rolesClaim: env.OIDC_ROLES_CLAIM ?? 'roles',
    roles: roleNames(env.OIDC_ROLES),
    only: env.OIDC_ONLY === 'yes',
  }
}

/** `Recruiting=coordinator, Board=auditor`; where nothing is said, the names are those of the roles. */
function roleNames(text = staffRoles.map((role) => `${role}=${role}`).join()): Record<string, StaffRole> {
  const pairs = text.split(',').map((pair): [string, StaffRole] => {
    const at = pair.lastIndexOf('=')
    const [role] = rolesIn(pair.slice(at + 1), 'OIDC_ROLES')
    if (at < 1 || !role)
      throw new Error(`OIDC_ROLES holds pairs such as Recruiting=coordinator; "${pair.trim()}" is none.`)
    return [pair.slice(0, at).trim(), role]
  })
  return Object.fromEntries(pairs)
}

function rolesIn(text: string, setting = 'SECOND_FACTOR'): StaffRole[] {
  const named = text.split(',').map((name) => name.trim())
  const unknown = named.filter((name) => name !== '' && !staffRoles.some((role) => role === name))
  if (unknown.length > 0) throw new Error(`${setting} names ${unknown.join(', ')}; roles are ${staffRoles.join(', ')}.`)
  return staffRoles.filter((role) => named.includes(role))
}

function numberOf(name: string, text: string): number {
  const value = Number(text)
  if (!Number.isInteger(value) || value < 0 || value > 65535)
    throw new Error(`${name} must be a whole number up to 65535, not "${text}"`)
  return value
}
