import { createInterface } from 'node:readline/promises'
import { parseArgs } from 'node:util'
import { unnamedOrganisation } from '#core/organisation/organisation'
import { hasAdministrator } from './accounts/lastAdministrator'
import { depsNow } from './platform/clock'
import { configFile, readConfig } from './platform/config'
import { inTransaction } from './platform/database/connection'
import { readVersioned, writeVersioned } from './platform/database/settings'
import { checkEverything } from './setup/checks'
import { type AskedName, askedSettings, readConfigFile, writeConfigFile } from './setup/configFile'
import { awaitedAdministrators, makeAdministrator } from './setup/firstAdministrator'
import { prepare } from './start'

const help = `npm run setup [-- --yes] [-- --administrator MAIL]

Checks what the application rests on, writes its settings into a file (CONFIG_FILE, or probatum.env here), brings the
database to its newest shape and makes the first administrator by a link that works once. It can be run again at any time.

  --yes                  asks nothing: everything comes from the environment, the file, or its default
  --administrator MAIL   makes another administrator, for when nobody can come in any more

From the environment, besides the settings: ORGANISATION, ADMINISTRATOR_MAIL, ADMINISTRATOR_NAME.`

const { values } = parseArgs({
  options: { yes: { type: 'boolean' }, administrator: { type: 'string' }, help: { type: 'boolean' } },
})
if (values.help) {
  console.log(help)
  process.exit(0)
}

const file = configFile()
const terminal = !values.yes && process.stdin.isTTY ? createInterface(process.stdin, process.stdout) : undefined

try {
  await setUp()
} catch (error) {
  console.error(`\n${error instanceof Error ? error.message : error}`)
  if (process.env.DEBUG) console.error(error)
  process.exitCode = 1
} finally {
  terminal?.close()
}

async function setUp() {
  const kept = readConfigFile(file)
  const settings = {} as Record<AskedName, string>
  for (const { name, asks, usual } of askedSettings)
    settings[name] = await ask(`${asks} (${name})`, process.env[name] ?? kept[name] ?? usual)
  Object.assign(process.env, kept, settings)
  const config = readConfig()

  console.log('\nWhat it rests on:')
  const findings = await checkEverything(config)
  const marks = { fine: 'ok   ', care: 'care ', wrong: 'WRONG' }
  for (const { what, state, said } of findings) console.log(`  ${marks[state]}  ${what}: ${said}`)
  const wrong = findings.filter(({ state }) => state === 'wrong').length
  if (wrong > 0)
    throw new Error(
      `${wrong === 1 ? 'One thing is' : `${wrong} things are`} in the way; nothing was changed. Put it right and run this again.`,
    )

  writeConfigFile(file, settings)
  console.log(`\nThe settings are in ${file}.`)
  const fixed = await prepare({ ...config, logLevel: 'warn' })
  try {
    console.log('The database has its newest shape.')
    await nameOrganisation()
    await inviteFirst(fixed)
  } finally {
    fixed.mailer.close()
    await fixed.sequelize.close()
  }
  console.log(`\nStart it with npm start, or as a service: docs/operate.md.`)
}

async function nameOrganisation() {
  const { version } = await readVersioned('organisation')
  if (version > 0) return
  const name = await ask('The name of the organisation (ORGANISATION)', process.env.ORGANISATION ?? '')
  if (name === '') return
  const { timeZone } = Intl.DateTimeFormat().resolvedOptions()
  await writeVersioned(
    'organisation',
    0,
    { ...unnamedOrganisation, name, timeZone },
    { id: null, name: 'Setup', at: new Date() },
  )
}

async function inviteFirst(fixed: Awaited<ReturnType<typeof prepare>>) {
  if (!values.administrator && (await hasAdministrator())) {
    console.log('There is an administrator already.')
    return
  }
  const [awaited] = await awaitedAdministrators()
  const mail =
    values.administrator ??
    (await ask(
      'Mail address of the first administrator (ADMINISTRATOR_MAIL)',
      process.env.ADMINISTRATOR_MAIL || (awaited?.mail ?? ''),
    ))
  if (!/^\S+@\S+$/.test(mail))
    throw new Error(
      'Without an administrator nobody can come in: run this again with ADMINISTRATOR_MAIL, an address of theirs.',
    )
  const name = await ask('Their name (ADMINISTRATOR_NAME)', process.env.ADMINISTRATOR_NAME || (awaited?.name ?? ''))
  const deps = await depsNow(fixed)
  const link = await inTransaction(fixed.sequelize, () => makeAdministrator(deps, { mail, name }))
  console.log(
    `\nOnce it runs, ${name || mail} opens this and chooses a password; it works once, for two days:\n\n  ${link}`,
  )
}

/** Asks at the terminal, where there is one; Enter takes what is offered. */
async function ask(what: string, offered: string): Promise<string> {
  if (!terminal) return offered
  const answer = await terminal.question(`${what} [${offered}]: `)
  return answer.trim() || offered
}
