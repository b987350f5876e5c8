import { writeFileSync } from 'node:fs'
import { hash } from '@node-rs/argon2'
import { v7 as uuid } from 'uuid'
import type { ClaimDetails } from '#contract/claims'
import { writeWhen } from '#core/dates/write'
import { credentialKind } from '#core/requirements/catalogue'
import { confirmMail } from '#server/accounts/confirmMail'
import { answerSignUp } from '#server/accounts/signUp'
import { beginApplication } from '#server/applications/begin'
import { saveAnswers } from '#server/applications/saveAnswers'
import { sendApplication } from '#server/applications/send'
import { signForApplication } from '#server/applications/sign'
import { addClaim, changeClaim, uploadDocument } from '#server/claims/change'
import { answerOffer } from '#server/hiring/answerOffer'
import { doTask } from '#server/hiring/doTask'
import { passGate } from '#server/hiring/passGate'
import { saveScoreSheet } from '#server/hiring/scoring/sheet'
import { waive } from '#server/hiring/waive'
import { clockAt } from '#server/platform/clock'
import { inTransaction } from '#server/platform/database/connection'
import type { Account, Deps } from '#server/platform/deps'
import { hashOf } from '#server/platform/http/tokens'
import { Message } from '#server/platform/mail/model'
import { Account as AccountRow } from '#server/records/accounts/model'
import { applicationById } from '#server/records/applications/find'
import { Claim } from '#server/records/claims/model'
import { claimFaces } from '#server/records/claims/view'
import { Enquiry, EnquiryLink } from '#server/records/enquiries/model'
import { claimedStatement } from '#server/records/enquiries/statement'
import { addCheck, bankOf } from '#server/records/skills/checks'
import { Sitting } from '#server/records/skills/model'
import { addSource } from '#server/records/sources/sources'
import { addVacancy, vacancyById, vacancyBySlug } from '#server/records/vacancies/vacancies'
import { beginSitting, handInSitting, saveSittingAnswer } from '#server/skills/sit'
import type { Fixed } from '#server/start'
import { saveVacancyGroup } from '#server/vacancies/groups'
import { saveSharedSection } from '#server/vacancies/rules/library'
import { createVacancy } from '#server/vacancies/setUp'
import { askRegister } from '#server/verification/channels/register'
import { decideClaim } from '#server/verification/decide'
import { seeDocument, sendDocumentBack } from '#server/verification/documents'
import { raiseEnquiry } from '#server/verification/raiseEnquiry'
import { replyToEnquiry } from '#server/verification/reply'
import { correspond } from './correspondence'
import { betterContact, library } from './form'
import { isolationCheck } from './isolationCheck'
import { drawPdf, drawPhoto, type Paper } from './papers'
import { people } from './people'
import type { Act, CredentialPlan, JobPlan, PersonPlan, StudyPlan } from './plan'
import { sources } from './sources'
import { demoPassword, staff } from './staff'
import { vacanciesOn } from './vacancies'

/** The year the absolute dates in `people` are written for; loaded in another year, they move with it. */
const writtenFor = 2026

export type World = {
  fixed: Fixed
  loadedAt: Date
  sourceIds: Map<string, string>
  sourceNames: Map<string, string>
  registers: Record<string, Record<string, { fields: Record<string, string> }>>
  registersFile: string
  desk: Record<string, Account>
}

/** Loads Vallorne Mountain Lines through the server's own use cases, each at its moment in the past. */
export async function loadScenario(fixed: Fixed, registersFile: string, loadedAt = new Date()): Promise<World> {
  const world: World = {
    fixed,
    loadedAt,
    sourceIds: new Map(),
    sourceNames: new Map(),
    registers: {},
    registersFile,
    desk: {},
  }
  const start = depsAt(world, -61)
  await inTransaction(fixed.sequelize, async () => {
    for (const { key, ...source } of sources) {
      const { id, name } = await addSource(source)
      world.sourceIds.set(key, id)
      world.sourceNames.set(key, name)
    }
    await addCheck(isolationCheck)
    const isoDay = (offset: number) => depsAt(world, offset).clock.today().toString()
    const dayAt = (offset: number, hour: number) =>
      new Date(
        depsAt(world, offset)
          .clock.today()
          .toZonedDateTime({ timeZone: fixed.config.timeZone, plainTime: `${String(hour).padStart(2, '0')}:00` })
          .epochMilliseconds,
      )
    for (const vacancy of vacanciesOn(dayAt, isoDay, fixed.config.timeZone))
      await addVacancy(depsAt(world, -60), vacancy)
    const passwordHash = await hash(demoPassword)
    for (const { name, mail, roles, language = 'en' } of staff) {
      const account = await AccountRow.create({
        id: uuid(),
        mail,
        name,
        passwordHash,
        roles: [...roles],
        language,
        confirmedAt: start.clock.now(),
        createdAt: start.clock.now(),
      })
      world.desk[roles[0]] = { kind: 'account', id: account.id, name, mail, roles: [...roles] }
    }
  })
  await inTransaction(fixed.sequelize, () => setUpVacancies(world))
  for (const plan of people) registerOf(world, plan)
  writeFileSync(registersFile, JSON.stringify(world.registers, null, 2))
  for (const plan of people) await play(world, plan)
  await correspond(depsAt(world, 0), world.desk.coordinator!)
  // Links that confirmed an address are of no use any more; the other mails go out as they would have.
  await Message.update({ sentAt: loadedAt }, { where: { subject: 'Confirm your address' } })
  return world
}

/** What use cases need at a day before or after loading, at the hour of loading; `minute` keeps acts of a day in order. */
function depsAt({ fixed, loadedAt }: Pick<World, 'fixed' | 'loadedAt'>, day: number, minute = 0): Deps {
  const moment = new Date(loadedAt.getTime() + day * 86_400_000 - 6 * 3_600_000 + minute * 60_000)
  return { ...fixed, clock: clockAt(moment, fixed.config.timeZone) }
}

const mailOf = ({ given, family }: Pick<PersonPlan, 'given' | 'family'>) =>
  `${`${given}.${family}`
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[øØ]/g, 'o')
    .replace(/[łŁ]/g, 'l')
    .toLowerCase()
    .replace(/[^a-z.-]/g, '')}@mail.example`

/** Everybody here has the same password, so it is hashed once. */
let passwordHash: Promise<string> | undefined

/** Plays what a person and the desk did, in the order of days. */
async function play(world: World, plan: PersonPlan) {
  const { sequelize } = world.fixed
  const written = (plan.sent ?? -2) - 2
  const deps = depsAt(world, written)
  const name = `${plan.given} ${plan.family}`
  const mail = mailOf(plan)
  passwordHash ??= hash(demoPassword)
  const asked = { name, mail, passwordHash: await passwordHash, next: null, browserHash: '', language: 'en' as const }
  await inTransaction(sequelize, () => answerSignUp(deps, asked))
  const token = (await newestLink(mail, 'confirm'))!
  await inTransaction(sequelize, () => confirmMail(deps, { token, browser: undefined }))
  const row = await AccountRow.findOne({ where: { mail }, rejectOnEmpty: true })
  const actor: Account = { kind: 'account', id: row.id, name, mail, roles: ['candidate'] }
  const { id } = await inTransaction(sequelize, () => beginApplication(deps, actor, plan.vacancy))
  const claimIds = await writeFile(world, plan, actor, id, written)
  if (plan.sent === undefined) return
  const sending = depsAt(world, plan.sent)
  await inTransaction(sequelize, () => signForApplication(sending, actor, id, { fullName: name }))
  await inTransaction(sequelize, async () => sendApplication(sending, actor, id, (await applicationById(id)).version))
  for (const [index, act] of [...plan.acts].sort((a, b) => a.day - b.day).entries()) {
    await perform({ world, plan, actor, applicationId: id, claimIds, deps: depsAt(world, act.day, index * 4) }, act)
  }
}

/** What the coordinator has set up: the common library, a group of posts, and a vacancy that is still a draft. */
async function setUpVacancies(world: World) {
  const coordinator = world.desk.coordinator!
  const deps = depsAt(world, -60)
  for (const section of library)
    await saveSharedSection(deps, coordinator, section.key, { basedOn: 0, section, note: 'First version' })
  await saveSharedSection(depsAt(world, -6), coordinator, 'contact', {
    basedOn: 1,
    section: betterContact,
    note: 'One address instead of three lines; a postcode finds its town',
  })
  const stations = await Promise.all(
    ['station-lead-oberfeld', 'station-lead-hochsattel', 'rescue-lead'].map((slug) => vacancyBySlug(slug)),
  )
  await saveVacancyGroup(depsAt(world, -20), coordinator, {
    version: 0,
    title: 'Spring intake',
    rankUpTo: 2,
    vacancies: stations.map(({ id }) => id),
  })
  const mechanic = await vacancyBySlug('cableway-mechanic')
  await saveScoreSheet(depsAt(world, -30), coordinator, mechanic.id, {
    version: 0,
    reviewers: 2,
    hideNames: false,
    criteria: [
      {
        key: 'craft',
        title: 'Craft',
        lookFor: 'Has worked on ropes, grips or drives, and says what, when and with whom.',
        most: 5,
        weight: 2,
      },
      { key: 'safety', title: 'Safety', lookFor: 'Names a danger they saw and what they did.', most: 5, weight: 2 },
      {
        key: 'winter',
        title: 'Winter',
        lookFor: 'Has worked outside in snow and wind, and would again.',
        most: 5,
        weight: 1,
      },
    ],
  })
  const { id } = await vacancyBySlug('rescue-lead')
  await createVacancy(depsAt(world, -2), coordinator, { title: 'Avalanche-control specialist', copyOf: id })
}

async function writeFile(
  world: World,
  plan: PersonPlan,
  actor: Account,
  applicationId: string,
  day: number,
): Promise<Map<string, string>> {
  const { sequelize } = world.fixed
  const deps = depsAt(world, day, 10)
  const complete = plan.sent !== undefined
  const answers: Record<string, string> = {
    'about.givenNames': plan.given,
    'about.familyName': plan.family,
    ...(plan.former ? { 'about.formerName': plan.former } : {}),
    'about.born': plan.born,
    'contact.phone': plan.phone,
    'contact.street': 'Dorfstrasse 4',
    'contact.town': plan.town,
    'contact.country': plan.country,
    ...(complete
      ? {
          'declare.dismissed': 'no',
          'declare.withdrawn': 'no',
          'declare.heights': 'yes',
          'declare.permit': 'yes',
          ...plan.declares,
        }
      : {}),
  }
  await inTransaction(sequelize, () =>
    saveAnswers(deps, actor, applicationId, { version: 0, changes: answers, section: 'about' }),
  )
  const ids = new Map<string, string>()
  const keep = async (key: string, details: ClaimDetails, paper: { fileName: string; bytes: Buffer } | undefined) => {
    const claim = await inTransaction(sequelize, () => addClaim(depsAt(world, day, 11 + ids.size), actor, details))
    ids.set(key, claim.id)
    if (paper)
      await inTransaction(sequelize, () =>
        uploadDocument(depsAt(world, day, 12 + ids.size), actor, claim.id, { fileName: paper.fileName }, paper.bytes),
      )
  }
  for (const [index, study] of plan.studies.entries()) {
    await keep(
      `study ${index + 1}`,
      studyDetails(world, study),
      study.paper === false
        ? undefined
        : { fileName: `${study.award} ${plan.family}.pdf`, bytes: await drawPdf(studyPaper(world, plan, study)) },
    )
  }
  for (const [index, job] of plan.jobs.entries()) {
    await keep(
      `job ${index + 1}`,
      jobDetails(world, job),
      job.letter
        ? { fileName: `Letter ${nameOfSource(world, job)}.pdf`, bytes: await drawPdf(jobPaper(world, plan, job)) }
        : undefined,
    )
  }
  for (const credential of plan.credentials) {
    const cutOff = plan.acts.some((act) => 'sendBack' in act && act.sendBack === credential.credential)
    const bytes =
      credential.credential === 'first-aid'
        ? drawPhoto(credentialPaper(world, plan, credential), { cutOff })
        : await drawPdf(credentialPaper(world, plan, credential))
    const extension = credential.credential === 'first-aid' ? 'png' : 'pdf'
    await keep(credential.credential, credentialDetails(world, credential), {
      fileName: `${credentialKind(credential.credential)!.name} ${plan.family}.${extension}`,
      bytes,
    })
  }
  return ids
}

type Scene = {
  world: World
  plan: PersonPlan
  actor: Account
  applicationId: string
  claimIds: Map<string, string>
  deps: Deps
}

async function perform(scene: Scene, act: Act) {
  const { world, actor, applicationId, deps } = scene
  const coordinator = world.desk.coordinator!
  const within = <T>(work: () => Promise<T>) => inTransaction(world.fixed.sequelize, work)
  const claimId = (key: string) => {
    const id = scene.claimIds.get(key)
    if (!id) throw new Error(`${scene.plan.family} has no ${key}`)
    return id
  }
  if ('see' in act) {
    const face = await viewOf(scene, claimId(act.see))
    const document = face.documents.find(({ state }) => state === 'to look at')
    if (!document) throw new Error(`${scene.plan.family}: nothing to look at for ${act.see}`)
    await within(() =>
      seeDocument(deps, coordinator, document.id, {
        version: document.version,
        reads: printedOn(scene, act.see, face.details),
      }),
    )
  } else if ('sendBack' in act) {
    const document = (await viewOf(scene, claimId(act.sendBack))).documents[0]!
    await within(() =>
      sendDocumentBack(deps, coordinator, document.id, { version: document.version, reason: act.reason }),
    )
  } else if ('ask' in act) {
    await within(() => raiseEnquiry(deps, coordinator, claimId(act.ask), applicationId))
  } else if ('answer' in act) {
    await answer(scene, claimId(act.answer), act)
  } else if ('register' in act) {
    await askRegister({ ...deps, registers: registersOf(world) }, coordinator, claimId(act.register), applicationId)
  } else if ('decide' in act) {
    const { version } = await viewOf(scene, claimId(act.decide))
    await within(() =>
      decideClaim(deps, coordinator, claimId(act.decide), { version, decision: act.as, note: act.note ?? '' }),
    )
  } else if ('check' in act) {
    await sit(scene, act.check)
  } else if ('pass' in act) {
    const application = await applicationById(applicationId)
    const { payFrom, payTo } = await vacancyById(application.vacancyId)
    const terms =
      act.pass === 'offer'
        ? {
            salary: Math.round((payFrom + payTo) / 200_000) * 100_000,
            answerBy: deps.clock.today().add({ days: 9 }).toString(),
          }
        : {}
    const by = act.pass === 'offer' ? world.desk['hiring manager']! : coordinator
    await within(() => passGate(deps, by, applicationId, { gate: act.pass, version: application.version, ...terms }))
  } else if ('waive' in act) {
    await within(() =>
      waive(deps, world.desk['hiring manager']!, applicationId, { requirement: act.waive, reason: act.reason }),
    )
  } else if ('accept' in act) {
    await within(() => answerOffer(deps, actor, applicationId, 'accepted'))
  } else if ('acknowledge' in act) {
    await within(() => doTask(deps, actor, applicationId, act.acknowledge))
  } else {
    await correctEnd(scene, claimId(act.shorten), act.to)
  }
}

/** A correction the candidate made after sending: the job ended earlier than first said. */
async function correctEnd({ world, actor, applicationId, deps, ...scene }: Scene, claimId: string, to: string) {
  const face = await viewOf({ world, actor, applicationId, deps, ...scene }, claimId)
  if (face.details.kind !== 'work') throw new Error('only jobs are shortened')
  const details = { ...face.details, to: shifted(world, to) }
  await Claim.update({ rung: 'evidenced' }, { where: { id: claimId } })
  await inTransaction(world.fixed.sequelize, () => changeClaim(deps, actor, claimId, face.version, details))
}

async function answer({ world, deps }: Scene, claimId: string, act: Extract<Act, { answer: string }>) {
  const enquiry = await Enquiry.findOne({ where: { claimId, state: 'open' }, rejectOnEmpty: true })
  const mails = await Message.findAll({ where: { applicationId: enquiry.applicationId }, order: [['id', 'DESC']] })
  const tokens = mails.flatMap(({ text }) => /\/reply\/([\w-]+)/.exec(text)?.[1] ?? [])
  const links = await EnquiryLink.findAll({ where: { enquiryId: enquiry.id } })
  const token = tokens.find((candidate) => links.some(({ tokenHash }) => tokenHash === hashOf(candidate)))!
  const fields = Object.fromEntries(
    Object.keys(enquiry.claimed).map((key) => {
      const value = act.differs?.[key]
      if (value !== undefined)
        return [key, { says: 'differs' as const, value: /^\d{4}-/.test(value) ? shifted(world, value) : value }]
      return [key, act.cannotSay?.includes(key) ? { says: 'cannot say' as const } : { says: 'agrees' as const }]
    }),
  )
  await inTransaction(world.fixed.sequelize, () =>
    replyToEnquiry(deps, token, {
      known: !act.unknown,
      fields,
      note: act.note ?? '',
      respondent: act.by ?? 'Registrar’s office',
      capacity: '',
    }),
  )
}

async function sit({ world, actor, applicationId, deps }: Scene, right: number) {
  const within = <T>(work: () => Promise<T>) => inTransaction(world.fixed.sequelize, work)
  const { id } = await within(() => beginSitting(deps, actor, applicationId, 'isolation'))
  const bank = new Map((await bankOf('isolation')).map((question) => [question.id, question]))
  const { paper } = await Sitting.findByPk(id, { rejectOnEmpty: true })
  for (const [index, { question }] of paper.entries()) {
    const option = bank.get(question)!.options.find((candidate) => candidate.right === index < right)!
    await within(() => saveSittingAnswer(deps, actor, id, question, [option.id]))
  }
  await within(() => handInSitting(deps, actor, id))
}

async function viewOf({ claimIds }: Scene, claimId: string) {
  if (![...claimIds.values()].includes(claimId)) throw new Error('not a claim of this person')
  return (await claimFaces([await Claim.findByPk(claimId, { rejectOnEmpty: true })]))[0]!
}

async function newestLink(mail: string, kind: 'confirm'): Promise<string | undefined> {
  const message = await Message.findOne({ where: { toMail: mail }, order: [['id', 'DESC']] })
  return new RegExp(`/${kind}/([\\w-]+)`).exec(message?.text ?? '')?.[1]
}

/** Moves an absolute date by the years between writing and loading. */
function shifted({ loadedAt }: Pick<World, 'loadedAt'>, text: string): string {
  if (text === 'present') return text
  return `${Number(text.slice(0, 4)) + loadedAt.getUTCFullYear() - writtenFor}${text.slice(4)}`
}

const nameOfSource = ({ sourceNames }: World, { source, name }: JobPlan) =>
  source ? sourceNames.get(source)! : (name ?? '')
const isoIn = (world: World, days: number) => depsAt(world, days).clock.today().toString()

const studyDetails = (
  world: World,
  { source, award, subject, level, field, number, from, to }: StudyPlan,
): ClaimDetails => ({
  kind: 'study',
  sourceId: world.sourceIds.get(source)!,
  sourceName: world.sourceNames.get(source)!,
  award,
  subject,
  level,
  field,
  number,
  from: shifted(world, from),
  to: shifted(world, to),
})

const jobDetails = (world: World, job: JobPlan): ClaimDetails => ({
  kind: 'work',
  sourceId: job.source ? world.sourceIds.get(job.source)! : null,
  sourceName: nameOfSource(world, job),
  activity: job.activity ?? 'employment',
  position: job.position,
  from: shifted(world, job.from),
  to: shifted(world, job.to),
  fullTimeShare: 100,
  tags: job.tags,
  confirmBy: '',
  mayAsk: job.mayAsk ?? 'now',
})

const credentialDetails = (
  world: World,
  { credential, source, number, issuedDays, throughDays }: CredentialPlan,
): ClaimDetails => ({
  kind: credentialKind(credential)!.claim,
  sourceId: world.sourceIds.get(source)!,
  sourceName: world.sourceNames.get(source)!,
  credential,
  number,
  issued: isoIn(world, issuedDays),
  through: typeof throughDays === 'number' ? isoIn(world, throughDays) : throughDays,
})

const townOf = (key: string) => {
  const source = sources.find((candidate) => candidate.key === key)!
  return `${source.town}, ${source.country}`
}
const fullName = (plan: PersonPlan) => `${plan.given} ${plan.family}`
const longAward: Record<string, string> = { MSc: 'Master of Science', BSc: 'Bachelor of Science' }

const studyPaper = (world: World, plan: PersonPlan, study: StudyPlan): Paper => ({
  issuer: world.sourceNames.get(study.source)!,
  place: townOf(study.source),
  heading: 'This is to certify that',
  number: study.printedNumber ?? study.number,
  signedBy: 'The registrar',
  on: writeWhen(shifted(world, study.to)),
  lines: [
    'the award named below has been conferred on',
    study.printedName ?? fullName(plan),
    `born ${writeWhen(plan.born)}`,
    longAward[study.award] ?? study.award,
    study.subject,
  ],
})

const jobPaper = (world: World, plan: PersonPlan, job: JobPlan): Paper => ({
  issuer: nameOfSource(world, job),
  place: townOf(job.source!),
  heading: 'Certificate of employment',
  signedBy: 'Human resources',
  on: writeWhen(isoIn(world, -40)),
  lines: [
    'We confirm that',
    fullName(plan),
    `has worked for us as ${job.position}`,
    `from ${writeWhen(shifted(world, job.from))}`,
    job.to === 'present' ? 'and still does.' : `to ${writeWhen(shifted(world, job.to))}.`,
  ],
})

const credentialPaper = (world: World, plan: PersonPlan, credential: CredentialPlan): Paper => ({
  issuer: world.sourceNames.get(credential.source)!,
  place: townOf(credential.source),
  heading: credentialKind(credential.credential)!.name,
  number: credential.number,
  signedBy: 'For the issuing office',
  on: `Issued ${writeWhen(isoIn(world, credential.issuedDays))}`,
  lines: [
    'issued to',
    fullName(plan),
    `born ${writeWhen(plan.born)}`,
    typeof credential.throughDays === 'number'
      ? `valid through ${writeWhen(isoIn(world, credential.throughDays))}`
      : 'does not expire',
  ],
})

/** What the coordinator reads off a paper: what is printed, which is mostly what was claimed. */
function printedOn({ plan }: Scene, key: string, details: ClaimDetails): Record<string, string> {
  const claimed = claimedStatement(details, { name: fullName(plan), born: plan.born })
  const study = key.startsWith('study') ? plan.studies[Number(key.split(' ')[1]) - 1] : undefined
  if (!study) return claimed
  return {
    ...claimed,
    award: longAward[study.award] ?? study.award,
    name: study.printedName ?? claimed.name!,
    number: study.printedNumber ?? claimed.number!,
  }
}

/** Fills the registers of licensing bodies and universities with what they hold. */
function registerOf(world: World, plan: PersonPlan) {
  const enter = (sourceKey: string, number: string, fields: Record<string, string>) => {
    const register = sources.find(({ key }) => key === sourceKey)?.register
    if (!register) return
    // Whoever has two files is registered once.
    world.registers[register] = {
      [number.replace(/[\s.-]/g, '').toUpperCase()]: { fields },
      ...world.registers[register],
    }
  }
  const person = { name: fullName(plan), born: plan.born }
  for (const study of plan.studies)
    enter(study.source, study.number, claimedStatement(studyDetails(world, study), person))
  for (const credential of plan.credentials) {
    if (credential.registered === 'absent') continue
    const fields = claimedStatement(credentialDetails(world, credential), person)
    enter(
      credential.source,
      credential.number,
      credential.registered === 'other name' ? { ...fields, name: 'Tadeusz Wrona', born: '1979-01-02' } : fields,
    )
  }
}

/** While loading, registers answer from the world itself; the stand-in may not be up yet. */
const registersOf = (world: World): Deps['registers'] => ({
  lookUp: async (register, number) => {
    const entry = world.registers[register]?.[number.replace(/[\s.-]/g, '').toUpperCase()]
    return entry ? { found: true, fields: entry.fields, standing: { state: 'good' } } : { found: false }
  },
})
