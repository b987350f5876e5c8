import { rmSync } from 'node:fs'
import { setTimeout as wait } from 'node:timers/promises'
import { hash } from '@node-rs/argon2'
import { pino } from 'pino'
import { QueryTypes, type Sequelize } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { form } from '#scenario/form'
import { isolationCheck } from '#scenario/isolationCheck'
import { vallorne } from '#scenario/organisation'
import { sources } from '#scenario/sources/sources'
import { vacanciesOn } from '#scenario/vacancies/vacancies'
import { clockAhead } from '#server/platform/clock'
import { readConfig } from '#server/platform/config'
import { Account, Candidate } from '#server/records/accounts/model'
import { Application } from '#server/records/applications/model'
import { Claim } from '#server/records/claims/model'
import { addCheck } from '#server/records/skills/checks'
import { addSource } from '#server/records/sources/sources'
import { addVacancy, allVacancies } from '#server/records/vacancies/vacancies'
import { prepare, start } from '#server/start'
import { startOwnDatabase } from '../scripts/ownDatabase'
import { visitor } from '../test/client'
import { percentile, type Result } from './result'

const password = 'a-long-enough-secret'
const bulk = 2000

/** A dry run over many applications with six claims each, and how other requests are answered meanwhile. */
export async function dryRunOverMany(count: number): Promise<Result[]> {
  const port = Number(process.env.BENCH_PORT ?? 4400)
  const keep = process.env.BENCH_KEEP === 'yes'
  if (!keep) rmSync('.check/bench', { recursive: true, force: true })
  const database = await startOwnDatabase('.check/bench', port + 6)
  const config = {
    ...readConfig({ SECOND_FACTOR: '', DATA_FOLDER: '.check/own' }),
    port: port,
    databaseUrl: database.url,
    smtpUrl: `smtp://127.0.0.1:${port + 2}`,
  }
  const fixed = await prepare(config, pino({ level: 'silent' }))
  const deps = { ...fixed, organisation: vallorne, clock: clockAhead(0, vallorne.timeZone) }
  const id = keep ? (await allVacancies())[0]!.id : await fill(deps, count)
  const running = await start(fixed)
  const desk = visitor(`http://127.0.0.1:${running.port}`)
  await desk.done('signIn', { body: { mail: 'desk@bench.test', password } })

  const { draft } = await desk.done('readDeskVacancy', { params: { id } })
  await desk.done('saveRulesDraft', {
    params: { id },
    body: {
      version: draft.version,
      rules: {
        ...draft.rules,
        requirements: [
          ...draft.rules.requirements.filter(({ key }) => key !== 'experience' && key !== 'references'),
          {
            ...draft.rules.requirements[0]!,
            key: 'references',
            title: 'References',
            gate: 'offer',
            asks: { kind: 'reference', count: 2 },
          },
        ],
      },
    },
  })
  const begun = performance.now()
  const { id: run } = await desk.done('startDryRun', { params: { id } })
  const others: number[] = []
  let state = 'waiting'
  let looked = begun
  while (state === 'waiting' || state === 'running') {
    for (const call of [
      () => desk.done('listVacancies'),
      () => desk.done('readCounts'),
      () => desk.done('readSession'),
    ]) {
      const asked = performance.now()
      await call()
      others.push(performance.now() - asked)
    }
    // As often as the page asks.
    if (performance.now() - looked > 700) {
      state = (await desk.done('readDryRun', { params: { id: run } })).state
      looked = performance.now()
    }
    await wait(100)
  }
  const took = performance.now() - begun
  const { affected, total } = await desk.done('readDryRun', { params: { id: run } })
  await running.stop()
  await database.stop()
  return [
    {
      what: `dry run over ${total} applications (${affected} come out differently, ${state})`,
      measured: `${(took / 1000).toFixed(2)} s`,
      wanted: 'under 10 s',
    },
    {
      what: `other requests meanwhile, p95 of ${others.length}`,
      measured: `${percentile(others, 0.95).toFixed(1)} ms`,
      wanted: 'under 100 ms',
    },
  ]
}

type Deps = Parameters<typeof addVacancy>[0]

/** Fills the database with people who have sent, in bulk; gives the vacancy. */
async function fill({ sequelize, ...deps }: Deps & { sequelize: Sequelize }, count: number): Promise<string> {
  const now = deps.clock.now()
  const today = deps.clock.today()
  const isoDay = (offset: number) => today.add({ days: offset }).toString()
  const source = await addSource(sources[0]!)
  await addCheck(isolationCheck)
  const [post] = vacanciesOn((offset) => new Date(now.getTime() + offset * 86_400_000), isoDay, 'Europe/Vienna')
  const vacancy = await addVacancy(deps, post!)
  const passwordHash = await hash(password)
  const account = (id: string, mail: string, role: 'candidate' | 'coordinator') => ({
    id,
    mail,
    name: mail,
    passwordHash,
    roles: [role],
    confirmedAt: now,
    createdAt: now,
  })
  await Account.create(account(uuid(), 'desk@bench.test', 'coordinator'))
  const answers = Object.fromEntries(
    form.flatMap(({ questions }) => questions.map(({ key, kind }) => [key, kind === 'yes or no' ? 'no' : 'x'])),
  )
  for (let done = 0; done < count; done += bulk) {
    const people = Array.from({ length: Math.min(bulk, count - done) }, (_, index) => ({
      nth: done + index,
      account: uuid(),
      candidate: uuid(),
    }))
    await Account.bulkCreate(people.map(({ nth, account: id }) => account(id, `p${nth}@bench.test`, 'candidate')))
    await Candidate.bulkCreate(
      people.map(({ nth, account: accountId, candidate }) => ({
        id: candidate,
        accountId,
        name: `Person ${nth}`,
        born: '1990-01-01',
        otherNames: [],
        createdAt: now,
      })),
    )
    await Claim.bulkCreate(
      people.flatMap(({ nth, candidate }) =>
        claimsOf(nth, source.id).map((details) => ({
          id: uuid(),
          candidateId: candidate,
          kind: details.kind,
          details,
          number: null,
          rung: (['claimed', 'evidenced', 'confirmed'] as const)[nth % 3]!,
          sourceId: source.id,
          credentialVersion: 1,
          version: 0,
          createdAt: now,
        })),
      ),
    )
    await Application.bulkCreate(
      people.map(({ nth, candidate }) => ({
        id: uuid(),
        candidateId: candidate,
        vacancyId: vacancy.id,
        number: nth + 1,
        reference: `B-${nth}`,
        stage: (['sent', 'shortlisted'] as const)[nth % 2]!,
        answers,
        version: 1,
        targetStart: isoDay(40),
        createdAt: now,
        savedAt: now,
        sentAt: now,
        rulesVersion: 1,
      })),
    )
  }
  // As a database that has been in use: statistics gathered, nothing left to write out.
  await sequelize.query('ANALYZE TABLE accounts, candidates, claims, applications', { type: QueryTypes.SELECT })
  await wait(5000)
  return vacancy.id
}

function claimsOf(nth: number, sourceId: string) {
  const source = { sourceId, sourceName: 'A source' }
  const job = (from: string, to: string) => ({
    kind: 'work' as const,
    ...source,
    activity: 'employment' as const,
    position: 'Engineer',
    from,
    to,
    fullTimeShare: 100,
    tags: ['electrical'],
    confirmBy: '',
    mayAsk: 'now' as const,
  })
  const paper = (credential: string) => ({
    kind: 'certificate' as const,
    ...source,
    credential,
    number: `N${nth}`,
    issued: '2024-01-01',
    through: `20${27 + (nth % 4)}-03-01`,
  })
  return [
    {
      kind: 'study' as const,
      ...source,
      award: 'MSc',
      subject: 'Engineering',
      level: 7,
      field: '0713',
      number: `D${nth}`,
      from: '2012-10',
      to: '2017-07',
    },
    job('2017-08', `20${19 + (nth % 4)}-05`),
    job('2024-02-01', 'present'),
    paper('first-aid'),
    paper('work-at-height'),
    paper('hv-switching'),
  ]
}
