import { writeFileSync } from 'node:fs'
import { hash } from '@node-rs/argon2'
import { v7 as uuid } from 'uuid'
import { goByCatalogue } from '#core/catalogue/catalogue'
import type { IssuerKeys } from '#core/sources/source'
import { confirmMail } from '#server/accounts/confirmMail'
import { answerSignUp } from '#server/accounts/signUp'
import { beginApplication } from '#server/applications/begin'
import { watchCompletion } from '#server/applications/completion'
import { sendApplication } from '#server/applications/send'
import { signForApplication } from '#server/applications/sign'
import { demoAccounts } from '#server/demo/routes'
import { saveScoreSheet } from '#server/hiring/scoring/sheet'
import { inTransaction } from '#server/platform/database/connection'
import { writeSetting, writeVersioned } from '#server/platform/database/settings'
import type { Fixed } from '#server/platform/deps'
import { Message } from '#server/platform/mail/model'
import { chooseRecipients } from '#server/recipients/choose'
import { Account as AccountRow, actorOf } from '#server/records/accounts/model'
import { applicationById } from '#server/records/applications/find'
import { addCheck } from '#server/records/skills/checks'
import { addSources, type NewSource } from '#server/records/sources/sources'
import { addVacancy, type NewVacancy, vacancyBySlug } from '#server/records/vacancies/vacancies'
import { saveVacancyGroup } from '#server/vacancies/groups'
import { saveSharedSection } from '#server/vacancies/rules/library'
import { createVacancy } from '#server/vacancies/setUp'
import { perform } from './acts'
import { vallorneCatalogue } from './catalogue'
import { writeFile } from './claims'
import { correspond } from './correspondence'
import { openEmployers } from './employers'
import { answerForFees, payFees, readStatementOfYesterday } from './fees'
import { betterContact, library } from './form'
import { shareOut } from './house'
import { isolationCheck } from './isolationCheck'
import { vallorne } from './organisation'
import { loadPast } from './past/load'
import { people } from './people/people'
import type { PersonPlan } from './plan'
import { sendToRecipients } from './recipients'
import { settleRedFlags } from './redFlags'
import { registerOf } from './registers'
import { makeReports } from './reports'
import { askForMore } from './sources/askMore'
import { knowSome } from './sources/known'
import { proposeSources } from './sources/proposals'
import { sources } from './sources/sources'
import { watchlist } from './sources/watchlist'
import { demoPassword, staff } from './staff'
import { vacanciesOn } from './vacancies/vacancies'
import { depsAt, type World } from './world'

/** An issuer's digital credentials are asked for first where there are any. */
const withIssuer = (source: NewSource, issuer: IssuerKeys | undefined): NewSource =>
  issuer ? { ...source, issuer, channels: ['credential', ...(source.channels ?? [])] } : source

/** Loads Vallorne Mountain Lines through the server's own use cases, each at its moment in the past. */
export async function loadScenario(
  fixed: Fixed,
  registersFile: string,
  { loadedAt = new Date(), issuers = {} }: { loadedAt?: Date; issuers?: Record<string, IssuerKeys> } = {},
): Promise<World> {
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
  const by = { id: null, name: 'Anselm Okoye', at: start.clock.now() }
  await writeVersioned('organisation', 0, vallorne, by)
  await writeVersioned('catalogue', 0, vallorneCatalogue, by)
  goByCatalogue(vallorneCatalogue)
  const vacancies = vacanciesOf(world)
  await inTransaction(fixed.sequelize, async () => {
    await writeVersioned('source watchlist', 0, watchlist, by)
    const made = await addSources(sources.map(({ key, ...source }) => withIssuer(source, issuers[key])))
    for (const [nth, { id, name }] of made.entries()) {
      world.sourceIds.set(sources[nth]!.key, id)
      world.sourceNames.set(sources[nth]!.key, name)
    }
    await addCheck(isolationCheck)
    for (const vacancy of vacancies) await addVacancy(depsAt(world, -60), vacancy)
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
      world.desk[roles[0]] ??= actorOf(account)
    }
  })
  await inTransaction(fixed.sequelize, () => setUpVacancies(world))
  for (const plan of people) registerOf(world, plan)
  writeFileSync(registersFile, JSON.stringify(world.registers, null, 2))
  for (const plan of people) await play(world, plan)
  await correspond(depsAt(world, 0), world.desk.coordinator!)
  // Links that confirmed an address are of no use any more; the other mails go out as they would have.
  await shareOut(world)
  await proposeSources(world)
  await settleRedFlags(world)
  await makeReports(world)
  await sendToRecipients(world)
  await payFees(world)
  await openEmployers(world, await hash(demoPassword))
  await watchCompletion(depsAt(world, 0))
  await readStatementOfYesterday(world)
  await askForMore(world)
  await knowSome(world)
  await loadPast(world, await hash(demoPassword), vacancies)
  await writeSetting(demoAccounts, {
    password: demoPassword,
    accounts: staff.map(({ mail, roles }) => ({ mail, roles })),
  })
  await Message.update({ sentAt: loadedAt }, { where: { subject: 'Confirm your address' } })
  return world
}

/** The vacancies as they stand on the day of loading. */
function vacanciesOf(world: World): NewVacancy[] {
  const isoDay = (offset: number) => depsAt(world, offset).clock.today().toString()
  const dayAt = (offset: number, hour: number) => {
    const plainTime = `${String(hour).padStart(2, '0')}:00`
    const moment = depsAt(world, offset).clock.today().toZonedDateTime({ timeZone: vallorne.timeZone, plainTime })
    return new Date(moment.epochMilliseconds)
  }
  return vacanciesOn(dayAt, isoDay, vallorne.timeZone)
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
  const actor = actorOf(row)
  const { id } = await inTransaction(sequelize, () => beginApplication(deps, actor, plan.vacancy))
  const claimIds = await writeFile(world, plan, actor, id, written)
  if (plan.sent === undefined) return
  const sending = depsAt(world, plan.sent)
  await inTransaction(sequelize, () => signForApplication(sending, actor, id, { fullName: name }))
  await answerForFees(world, plan, actor, id, plan.sent)
  const { chooses } = plan
  if (chooses)
    await inTransaction(sequelize, () => chooseRecipients(sending, actor, id, { choose: chooses, fullName: name }))
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

async function newestLink(mail: string, kind: 'confirm'): Promise<string | undefined> {
  const message = await Message.findOne({ where: { toMail: mail }, order: [['id', 'DESC']] })
  return new RegExp(`/${kind}/([\\w-]+)`).exec(message?.text ?? '')?.[1]
}
