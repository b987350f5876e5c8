import { mkdtempSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { hash } from '@node-rs/argon2'
import { createConnection } from 'mariadb'
import { pino } from 'pino'
import { Temporal } from 'temporal-polyfill'
import { v7 as uuid } from 'uuid'
import type { ClaimDetails } from '#contract/claims'
import type { Role } from '#contract/roles'
import { credentialKind } from '#core/catalogue/catalogue'
import type { StaffRole } from '#core/rights/rights'
import { vallorneCatalogue } from '#scenario/catalogue'
import { isolationCheck } from '#scenario/isolationCheck'
import { vallorne } from '#scenario/organisation'
import { drawPdf } from '#scenario/papers'
import { sources } from '#scenario/sources/sources'
import { watchlist } from '#scenario/sources/watchlist'
import { vacanciesOn } from '#scenario/vacancies/vacancies'
import { depsNow } from '#server/platform/clock'
import { type ProviderConfig, readConfig } from '#server/platform/config'
import { writeVersioned } from '#server/platform/database/settings'
import type { Deps } from '#server/platform/deps'
import { Account } from '#server/records/accounts/model'
import { ClaimReview } from '#server/records/decisions/model'
import { addCheck } from '#server/records/skills/checks'
import { addSources } from '#server/records/sources/sources'
import { addVacancy } from '#server/records/vacancies/vacancies'
import { prepare, start } from '#server/start'
import { endHearings } from '#server/verification/reviews'
import { workOnce } from '#server/worker'
import { answerCapture } from '../standins/capture'
import { answerIdentity, identityClient, type KnownPerson, openIdentity } from '../standins/identity'
import { type Mailbox, openMailbox } from '../standins/mailbox'
import { answerPayments, openPayments } from '../standins/payments'
import { answerPlaces } from '../standins/places'
import { answerRegisters, openRegisters } from '../standins/registers'
import { answerScanner } from '../standins/scanner'
import { answerTexts, openPhones } from '../standins/texts'
import { type Visitor, visitor } from './client'

export const password = 'a-long-enough-secret'

type Furnishing = {
  identityProvider?: Partial<ProviderConfig>
  secondFactorRoles?: readonly StaffRole[]
  replyFolder?: string
  /** Papers are read by machine meanwhile. */
  readsPapers?: boolean
}

/**
 * The whole application on a database of its own, with a real mail server, sources and vacancies, and nobody in it yet.
 *
 * @param more.identityProvider what is set of an identity provider, where there is to be one
 */
export async function openHouse(name: string, more: Furnishing = {}) {
  const server = process.env.TEST_DATABASE_URL!
  const database = `test_${name}`
  const { hostname, port } = new URL(server)
  const connection = await createConnection({
    host: hostname,
    port: Number(port),
    user: 'root',
    connectTimeout: 15_000,
  })
  await connection.query(`DROP DATABASE IF EXISTS ${database}`)
  await connection.query(`CREATE DATABASE ${database}`)
  await connection.end()

  const folder = mkdtempSync(join(tmpdir(), 'probatum-test-'))
  const smtpPort = Number(process.env.CHECK_PORT ?? 4200) + 30 + Number(process.env.JEST_WORKER_ID ?? 1)
  const mailbox = await openMailbox(join(folder, 'mailbox'), smtpPort)
  const registersFile = join(folder, 'registers.json')
  writeFileSync(registersFile, '{}')
  const registers = openRegisters(registersFile)
  const payments = openPayments('stand-in')
  const phones = openPhones(join(folder, 'texts.json'))
  const known: KnownPerson[] = []
  const registerServer = createServer((request, response) => {
    const url = new URL(request.url!, 'http://standins')
    void (identity && url.pathname.startsWith('/identity')
      ? answerIdentity(identity, request, url, response)
      : url.pathname.startsWith('/capture')
        ? answerCapture(request, url, response)
        : url.pathname.startsWith('/places')
          ? answerPlaces(url, response)
          : url.pathname.startsWith('/payments')
            ? answerPayments(payments, request, url, response)
            : url.pathname.startsWith('/scanner')
              ? answerScanner(join(folder, 'scans'), request, url, response)
              : url.pathname.startsWith('/texts')
                ? answerTexts(phones, request, url, response)
                : answerRegisters(registers, request, url, response))
  }).listen(0, '127.0.0.1')
  await new Promise((ready) => registerServer.once('listening', ready))
  const standins = `http://127.0.0.1:${(registerServer.address() as AddressInfo).port}`
  const issuer = `${standins}/identity`
  const identity = more.identityProvider
    ? await openIdentity(issuer, 'http://house.test/sign-in/return', () => known)
    : undefined
  const config = {
    ...readConfig({}),
    registerUrl: `${standins}/registers`,
    captureUrl: `${standins}/capture`,
    paymentUrl: `${standins}/payments`,
    paymentSecret: 'stand-in',
    placesUrl: `${standins}/places`,
    textUrl: `${standins}/texts`,
    mailInPort: smtpPort + 20,
    readsPapers: more.readsPapers ?? false,
    registerPatienceMs: 400,
    port: 0,
    databaseUrl: server.replace(/\/[^/]*$/, `/${database}`),
    smtpUrl: `smtp://127.0.0.1:${smtpPort}`,
    demo: true,
    logLevel: 'silent',
    webFolder: folder,
    replyFolder: more.replyFolder ?? folder,
    uploadFolder: join(folder, 'uploads'),
    secretFile: join(folder, 'secret.key'),
    secondFactorRoles: more.secondFactorRoles ?? [],
    identityProvider: more.identityProvider && {
      ...{ issuer, clientId: identityClient.id, clientSecret: identityClient.secret, name: 'House Identity' },
      ...{ rolesClaim: 'roles', roles: { coordinator: 'coordinator', boss: 'administrator' } as const, only: false },
      ...more.identityProvider,
    },
    scanFolder: join(folder, 'scans'),
    publicUrl: 'http://house.test',
    mailFrom: 'applications@vallorne.example',
  }
  writeFileSync(join(folder, 'index.html'), '<!doctype html><head></head>')
  // A reply that is not what its contract says goes out all the same; here it is found.
  const oddReplies: string[] = []
  const log = pino({
    level: process.env.LOG_LEVEL ?? 'error',
    hooks: {
      logMethod(given, method) {
        if (String(given[1]).includes('does not have the shape')) oddReplies.push(JSON.stringify(given[0]))
        if (process.env.LOG_LEVEL) method.apply(this, given as never)
      },
    },
  })
  const fixed = await prepare(config, log)
  const by = { id: null, name: 'The administrator', at: new Date() }
  await writeVersioned('organisation', 0, vallorne, by)
  await writeVersioned('catalogue', 0, vallorneCatalogue, by)
  const deps: Deps = await depsNow(fixed)

  const sourceIds = new Map<string, string>()
  await writeVersioned('source watchlist', 0, watchlist, by)
  const made = await addSources(sources.map(({ key: _key, ...source }) => source))
  made.forEach(({ id }, nth) => {
    sourceIds.set(sources[nth]!.key, id)
  })
  await addCheck(isolationCheck)
  const today = deps.clock.today()
  const at = (offset: number, hour: number) =>
    new Date(
      today
        .add({ days: offset })
        .toZonedDateTime({ timeZone: vallorne.timeZone, plainTime: Temporal.PlainTime.from({ hour }) })
        .epochMilliseconds,
    )
  for (const vacancy of vacanciesOn(at, (offset) => today.add({ days: offset }).toString(), vallorne.timeZone))
    await addVacancy(deps, vacancy)
  const running = await start(fixed)
  const address = `http://127.0.0.1:${running.port}`
  payments.instead = address

  const signedIn = async (name: string, roles: Role[], mail: string) => {
    await Account.create({
      ...{ id: uuid(), mail, name, passwordHash: await hash(password), roles },
      ...{ confirmedAt: new Date(), createdAt: new Date() },
    })
    const somebody = visitor(address)
    await somebody.done('signIn', { body: { mail, password } })
    return { ...somebody, mail }
  }

  const house = {
    fixed,
    deps,
    mailbox,
    address,
    today,
    source: (key: string) => ({
      sourceId: sourceIds.get(key)!,
      sourceName: sources.find((source) => source.key === key)!.name,
    }),
    visitor: () => visitor(address),
    day: (offset: number) => today.add({ days: offset }).toString(),
    registers,
    payments,
    /** Whom the identity provider knows. */
    known,
    /** What came to phones, the oldest first. */
    texts: phones.texts,
    /** Lays pages into the scanner’s feeder. */
    scan: async (pdf: Uint8Array, lying: { turned?: number; faint?: boolean } = {}) => {
      const query = new URLSearchParams({ turned: String(lying.turned ?? 0), faint: lying.faint ? 'yes' : 'no' })
      const reply = await fetch(`${standins}/scanner/scan?${query}`, {
        method: 'POST',
        body: pdf as Uint8Array<ArrayBuffer>,
      })
      if (!reply.ok) throw new Error(`the scanner answered ${reply.status}`)
    },
    /** What the registers hold, by register and number without separators. */
    enter: (entries: object) => writeFileSync(registersFile, JSON.stringify(entries)),
    close: async () => {
      registerServer.closeAllConnections()
      registerServer.close()
      await running.stop()
      mailbox.close()
      if (oddReplies.length > 0) throw new Error(`odd replies:\n${oddReplies.join('\n')}`)
    },
    /** The newest mail to an address, once it is there; with words its subject has to hold, where given. */
    mailTo: (to: string, about = '') => waitForMail(mailbox, to, about),
    /** Somebody who works at the desk, signed in. */
    staff: (...roles: Role[]): Promise<Visitor> =>
      signedIn(`The ${roles[0]}`, roles, `${roles.join('-').replace(/ /g, '')}-${uuid().slice(-8)}@desk.test`),
    /** A candidate whose account is there already, signed in: for more people than may sign up from one address. */
    applicant: (name: string): Promise<Visitor & { mail: string }> =>
      signedIn(name, ['candidate'], `${name.toLowerCase().replace(/[^a-z]/g, '')}-${uuid().slice(-8)}@mail.test`),
    /** A candidate with a confirmed address, signed in. */
    candidate: async (name: string): Promise<Visitor & { mail: string }> => {
      const mail = `${name.toLowerCase().replace(/[^a-z]/g, '')}-${uuid().slice(-8)}@mail.test`
      const somebody = visitor(address)
      await somebody.done('signUp', { body: { name, mail, password } })
      await somebody.done('confirmMail', {
        body: { token: tokenIn((await waitForMail(mailbox, mail)).text, 'confirm') },
      })
      return { ...somebody, mail }
    },
    /** Does what is queued until nothing is due. */
    workOff: async () => {
      while (await workOnce(fixed)) {
        // one job after another
      }
    },
  }
  return house
}

export type House = Awaited<ReturnType<typeof openHouse>>

export const tokenIn = (text: string, place: 'confirm' | 'reply' | 'take-over' | 'join' | 'shared') =>
  new RegExp(`/${place}/([\\w-]+)`).exec(text)![1]!

/** What is read once it is there; for what a job does meanwhile. */
export async function until<T>(read: () => Promise<T | undefined | false>): Promise<T> {
  for (let tries = 0; tries < 300; tries += 1) {
    const found = await read()
    if (found) return found
    await new Promise((done) => setTimeout(done, 100))
  }
  throw new Error('it did not come')
}

async function waitForMail({ mails }: Mailbox, to: string, about = '') {
  for (let attempt = 0; attempt < 200; attempt += 1) {
    const newest = mails.filter((mail) => mail.to === to && mail.subject.includes(about)).at(-1)
    if (newest) return newest
    await new Promise((done) => setTimeout(done, 50))
  }
  throw new Error(`no mail to ${to} about "${about}"`)
}

export const aPaper = (line = 'Master of Science') =>
  drawPdf({
    issuer: 'An issuer',
    place: 'Tannberg, AT',
    heading: 'Certificate',
    lines: ['awarded to', 'Somebody', line],
    signedBy: 'The registrar',
    on: '2018',
  })

/** People of other given names are other people: they share neither birth date nor phone. */
const sumOf = (text: string) => [...text].reduce((sum, letter) => (sum * 31 + letter.codePointAt(0)!) % 99_991, 7)

export const personAnswers = (given: string, family: string) => ({
  'about.givenNames': given,
  'about.familyName': family,
  'about.born': `19${70 + (sumOf(given) % 29)}-08-21`,
  'contact.phone': `+43 512 555 ${String(1000 + (sumOf(given) % 8999))}`,
  'contact.home': { street: 'Dorfstrasse 4', postcode: '6800', town: 'Vallorne', region: '', country: 'Austria' },
  'declare.dismissed': 'no',
  'declare.withdrawn': 'no',
  'declare.heights': 'yes',
  'declare.permit': 'yes',
})

export const aDegree = (house: House, over: Partial<Extract<ClaimDetails, { kind: 'study' }>> = {}): ClaimDetails => ({
  kind: 'study',
  ...house.source('tannberg'),
  award: 'MSc',
  subject: 'Electrical Engineering',
  level: 7,
  field: '0713',
  number: 'TB-2018-9034',
  from: '2015-10',
  to: '2018-03',
  ...over,
})

export const aJob = (house: House, over: Partial<Extract<ClaimDetails, { kind: 'work' }>> = {}): ClaimDetails => ({
  kind: 'work',
  ...house.source('nordrampe'),
  activity: 'employment',
  position: 'Electrical engineer',
  from: '2018-05-01',
  to: 'present',
  fullTimeShare: 100,
  tags: ['electrical'],
  confirmBy: '',
  mayAsk: 'now',
  ...over,
})

export const aPermit = (
  house: House,
  credential: string,
  source: string,
  number: string,
  through: string,
): ClaimDetails => ({
  kind: credentialKind(credential)?.claim ?? 'certificate',
  ...house.source(source),
  credential,
  number,
  issued: '2025-01-10',
  through,
})

/** Writes and sends an application for the electrical supervisor’s post; gives its identifiers. */
export async function applied(
  house: House,
  candidate: Visitor,
  [given, family]: [string, string] = ['Ilse', 'Vandermeer'],
) {
  const { id } = await candidate.done('beginApplication', { params: { slug: 'cableway-electrical-supervisor' } })
  await candidate.done('saveAnswers', { params: { id }, body: { version: 0, changes: personAnswers(given, family) } })
  const degree = await candidate.done('addClaim', { body: { details: aDegree(house) } })
  await candidate.done('uploadDocument', {
    params: { id: degree.id },
    query: { fileName: 'Degree.pdf' },
    body: await aPaper(),
  })
  const job = await candidate.done('addClaim', { body: { details: aJob(house) } })
  await candidate.done('signPermission', {
    params: { id },
    body: { fullName: `${given} ${family}`, password: 'a-long-enough-secret', agreed: true },
  })
  const { reference } = await candidate.done('sendApplication', { params: { id }, body: { version: 1 } })
  return { id, degreeId: degree.id, jobId: job.id, reference }
}

/** Looks at the first document of a claim, reading what was claimed off it. */
export async function look(desk: Visitor, applicationId: string, claimId: string, reads: Record<string, string> = {}) {
  const claim = await claimOf(desk, applicationId, claimId)
  const document = claim.documents.find(({ state }) => state === 'to look at')!
  await desk.done('seeDocument', {
    params: { id: document.id },
    body: { version: document.version, reads: { ...claim.proof.claimed, ...reads } },
  })
  return document.id
}

/** Finds a claim contradicted for good: two people say so, and the candidate lets the time to answer go by. */
export async function contradict(house: House, desk: Visitor, applicationId: string, claimId: string, note: string) {
  const { version } = await claimOf(desk, applicationId, claimId)
  const decision = 'contradicted' as const
  const { reviewId } = await desk.done('decideClaim', { params: { id: claimId }, body: { version, decision, note } })
  const second = await house.staff('coordinator')
  await second.done('giveView', { params: { id: reviewId! }, body: { version: 1, decision, note } })
  await letHearingsEnd(house)
}

/** As when the day by which candidates can answer has gone by. */
export async function letHearingsEnd(house: House) {
  await ClaimReview.update({ answerBy: house.day(-1) }, { where: { state: 'hearing' } })
  await endHearings(house.deps)
}

export async function claimOf(desk: Visitor, applicationId: string, claimId: string) {
  const file = await desk.done('readFile', { params: { id: applicationId } })
  const proof = await desk.done('readProof', { params: { id: applicationId, claimId } })
  return { ...file.claims.find(({ id }) => id === claimId)!, proof }
}
