import { mkdirSync, rmSync } from 'node:fs'
import { setTimeout as wait } from 'node:timers/promises'
import { createConnection } from 'mariadb'
import { pino } from 'pino'
import { readConfig } from '#server/platform/config'
import { prepare } from '#server/start'
import { claimsEach, makeCrowd } from '../bench/crowd'
import { makeEnquiries } from '../bench/enquiriesOfCrowd'
import { envOf, lookAtChains, lookAtMails, startedBy } from './faultsShared'
import { requireFree, startOwnDatabase } from './ownDatabase'

const people = 100
/** A prime above the number of questions, so that each goes to a source of its own. */
const sourceCount = 2003
/** Every third has been reminded as often as it is, and ends for good. */
const ending = 'CAST(SUBSTRING(reference, 4) AS UNSIGNED) MOD 30 = 0'

type Night = { kills: number; port: number; folder: string }

/**
 * Kills the server and the database while what is due at night is done, and the mail server is away for the first half of it.
 *
 * @returns 0 where each question was reminded once or ended once and every reminder has arrived, else 1
 */
export async function nightOfFaults({ kills, port, folder }: Night): Promise<number> {
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { recursive: true })
  await requireFree(port, 'the application')
  const env = envOf(port, folder)
  const start = startedBy(env)
  let database = await startOwnDatabase(folder, port + 6, { durable: true })
  const count = async (sql: string) => {
    const connection = await createConnection(database.url)
    const [row] = await connection.query(sql)
    await connection.end()
    return Number(row.n)
  }
  await fill(database.url)
  const due = people * claimsEach
  const left = () => count('SELECT COUNT(*) AS n FROM enquiries WHERE dueOn <= CURDATE()')
  const killedAt: number[] = []
  let standins: ReturnType<typeof start> | undefined
  let server = start('server/main.ts')
  while (killedAt.length < kills) {
    const before = await left().catch(() => due)
    if (before === 0) break
    // A night is shorter than it takes to kill it ten times, unless each time it has done a little.
    const until = before - Math.ceil(before / (kills - killedAt.length + 1))
    while ((await left().catch(() => due)) > until) await wait(5)
    await wait(Math.random() * 40)
    if (killedAt.length % 2 === 0) {
      server.kill('SIGKILL')
      await new Promise((done) => server.once('exit', done))
      server = start('server/main.ts')
    } else {
      await database.kill()
      database = await startOwnDatabase(folder, port + 6, { durable: true })
    }
    killedAt.push(Date.now())
    if (killedAt.length * 2 >= kills) standins ??= start('standins/main.ts')
    process.stdout.write(`\r${killedAt.length} kills, ${before} still due before the last   `)
  }
  while ((await left().catch(() => due)) > 0) await wait(200)
  const failures = [
    ...(await lookAtEnquiries(database.url)),
    ...(await lookAtMails(port, killedAt)),
    ...lookAtChains(env),
  ]
  server.kill('SIGTERM')
  standins?.kill('SIGTERM')
  await database.stop()
  for (const failure of failures.slice(0, 20)) console.error(failure)
  const fine = failures.length === 0 && killedAt.length >= kills
  console.log(
    fine
      ? 'No reminder was lost, and nothing was decided twice.'
      : `${failures.length} failures after ${killedAt.length} kills.`,
  )
  return fine ? 0 : 1
}

async function fill(databaseUrl: string) {
  const fixed = await prepare(
    { ...readConfig({ SECOND_FACTOR: '', DATA_FOLDER: '.check/own' }), databaseUrl },
    pino({ level: 'silent' }),
  )
  await makeCrowd(fixed, people)
  await makeEnquiries(databaseUrl, { people, sourceCount })
  // The end comes two intervals after the day an answer was due, and one after the last reminder.
  await fixed.sequelize.query(
    `UPDATE enquiries SET reminders = 2, answerBy = DATE_SUB(CURDATE(), INTERVAL 60 DAY) WHERE state = 'open' AND ${ending}`,
  )
  await fixed.sequelize.close()
}

/** Each was reminded once, with one mail, or ended once, with none. */
async function lookAtEnquiries(url: string): Promise<string[]> {
  const connection = await createConnection(url)
  const rows = (await connection.query(`SELECT e.reference, e.state, e.reminders, ${ending} AS ends,
      (SELECT COUNT(*) FROM enquiry_steps s WHERE s.enquiryId = e.id AND s.step = 'reminded') AS reminded,
      (SELECT COUNT(*) FROM enquiry_steps s WHERE s.enquiryId = e.id AND s.step = 'silent') AS silent,
      (SELECT COUNT(*) FROM messages m WHERE m.toMail = CONCAT('office@s', CAST(SUBSTRING(e.reference, 4) AS UNSIGNED) * 31 MOD ${sourceCount}, '.example')) AS mails
    FROM enquiries e WHERE e.answeredAt IS NULL`)) as Record<string, string | number>[]
  await connection.end()
  const wanted = (row: (typeof rows)[number]) => (Number(row.ends) ? 'silent 2 0 1 0' : 'open 1 1 0 1')
  const is = ({ state, reminders, reminded, silent, mails }: (typeof rows)[number]) =>
    [state, reminders, reminded, silent, mails].join(' ')
  console.log(`\n${rows.length} questions were due.`)
  return rows.flatMap((row) => (is(row) === wanted(row) ? [] : [`${row.reference}: ${is(row)}, wanted ${wanted(row)}`]))
}
