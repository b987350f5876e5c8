import { Temporal } from 'temporal-polyfill'
import { v7 as uuid } from 'uuid'
import type { Fault } from '#contract/faults'
import type { DeskVacancy, VacancyFields, VacancyState } from '#contract/vacancySetUp'
import { catalogue, offered } from '#core/catalogue/catalogue'
import { writeWhen } from '#core/dates/write'
import { dayAt } from '#core/dates/zoned'
import { beginWith, type StartingPoint } from '#core/rules/startingPoints'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalid, invalidField, requireVersion } from '../platform/errors/problems'
import { accountsWithRight } from '../records/accounts/staff'
import { countWaiting, sentApplicationsOf, sentByRulesVersion } from '../records/applications/find'
import { shownNames } from '../records/people/shownNames'
import { addRulesVersion, draftOf, publishedRules, versionsOf, writeDraft } from '../records/rules/versions'
import { checkTitles } from '../records/skills/checks'
import { Vacancy, VacancyGroup } from '../records/vacancies/model'
import { payBandOf } from '../records/vacancies/payBand'
import { vacancyById } from '../records/vacancies/vacancies'
import { isRichText } from './jobPosting'
import { problems } from './problems'
import { draftView, faultsFor } from './rules/draft'
import { latestDryRun } from './rules/dryRun'

/** A vacancy as it is set up at the desk. */
export async function readDeskVacancy(deps: Deps, id: string): Promise<DeskVacancy> {
  const vacancy = await vacancyById(id)
  const [group, draft, versions, sent, checks, deciders, dryRun] = await Promise.all([
    vacancy.groupId ? VacancyGroup.findByPk(vacancy.groupId) : null,
    draftView(vacancy),
    versionsOf(id),
    sentByRulesVersion(id),
    checkTitles(),
    accountsWithRight('offers.make'),
    latestDryRun(vacancy),
  ])
  return {
    ...fieldsOf(vacancy),
    id,
    slug: vacancy.slug,
    state: vacancy.state,
    version: vacancy.version,
    decidesOn: vacancy.decidesOn ?? null,
    waiting: await countWaiting(id),
    group: group && { id: group.id, title: group.title, rankUpTo: group.rankUpTo },
    rulesVersion: vacancy.rulesVersion,
    draft,
    versions: versions.map(({ version, note, savedBy, savedAt }) => ({
      version,
      note,
      savedBy,
      savedAt: savedAt.toISOString(),
      applications: sent.get(version) ?? 0,
    })),
    today: deps.clock.today().toString(),
    checks,
    deciders: deciders.map(({ mail, name }) => ({ mail, name })),
    families: deps.organisation.families,
    places: deps.organisation.places,
    lacks: lacksOf(vacancy),
    dryRun,
    people: await peopleToTry(id),
  }
}

const mostToTry = 100

/** Some who have sent, by name. */
async function peopleToTry(vacancyId: string) {
  const applications = await sentApplicationsOf(vacancyId, mostToTry)
  const names = await shownNames(applications.map(({ candidateId }) => candidateId))
  return applications
    .map(({ id, candidateId, reference }) => ({ id, name: names.get(candidateId) ?? '', reference: reference ?? '' }))
    .sort((a, b) => a.name.localeCompare(b.name))
}

const fieldsOf = (vacancy: Vacancy): VacancyFields => ({
  title: vacancy.title,
  family: vacancy.family,
  place: vacancy.place,
  payFrom: vacancy.payFrom,
  payTo: vacancy.payTo,
  contract: vacancy.contract,
  hours: vacancy.hours,
  headcount: vacancy.headcount,
  summary: vacancy.summary,
  duties: vacancy.duties,
  opensAt: vacancy.opensAt.toISOString(),
  closesAt: vacancy.closesAt.toISOString(),
  timeZone: vacancy.timeZone,
  targetStart: vacancy.targetStart,
  paperLanguages: vacancy.paperLanguages,
  decidedBy: vacancy.decidedBy,
})

type Beginning = { title: string; start?: StartingPoint; copyOf?: string }

/** Begins a vacancy as a draft: from a starting point, or with everything an earlier one says and asks. */
export async function createVacancy(deps: Deps, actor: Account, { title, start, copyOf }: Beginning) {
  if (!start === !copyOf) throw invalidField('/body/start', say('problem.chooseAStartingPoint'))
  const earlier = copyOf ? await vacancyById(copyOf) : undefined
  const begun =
    start && beginWith(start, offered(catalogue().credentials).find(({ claim }) => claim === 'licence')?.key)
  const today = deps.clock.today()
  const { timeZone } = deps.organisation
  const at = (offset: number, hour: number) =>
    new Date(
      today.add({ days: offset }).toZonedDateTime({ timeZone, plainTime: Temporal.PlainTime.from({ hour }) })
        .epochMilliseconds,
    )
  const id = uuid()
  const vacancy = await Vacancy.create({
    id,
    slug: await freeSlug(title),
    title,
    family: earlier?.family ?? '',
    place: earlier?.place ?? '',
    payFrom: earlier?.payFrom ?? 0,
    payTo: earlier?.payTo ?? 0,
    payBand: earlier?.payBand ?? payBandOf(0, 0),
    contract: earlier?.contract ?? begun?.contract ?? '',
    hours: earlier?.hours ?? begun?.hours ?? '',
    headcount: earlier?.headcount ?? 1,
    summary: earlier?.summary ?? '',
    duties: earlier?.duties ?? { type: 'doc', content: [] },
    opensAt: at(1, 8),
    closesAt: at(29, 17),
    timeZone: earlier?.timeZone ?? timeZone,
    targetStart: today.add({ days: 90 }).toString(),
    state: 'draft',
    ...(earlier ? { paperLanguages: earlier.paperLanguages } : {}),
    decidedBy: earlier?.decidedBy ?? '',
    rulesVersion: 0,
    version: 0,
    createdAt: deps.clock.now(),
  })
  const rules = earlier ? (await draftOf(earlier.id, earlier.rulesVersion)).rules : begun!.rules
  await writeDraft(deps, actor, id, { rules, basedOn: 0, version: 0 })
  const created = { code: 'vacancy-created' as const, about: vacancy.title }
  if (earlier)
    await recordEvent(deps, actor, {
      ...created,
      words: 'vacancy-created.copied',
      values: { vacancy: title, from: earlier.title },
    })
  else await recordEvent(deps, actor, { ...created, values: { vacancy: title } })
  return { id }
}

/** A readable address of its own: the title, with a number where that is taken. */
async function freeSlug(title: string): Promise<string> {
  const plain =
    title
      .normalize('NFD')
      .replace(/\p{M}/gu, '')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 70) || 'vacancy'
  for (let attempt = 1; ; attempt += 1) {
    const slug = attempt === 1 ? plain : `${plain}-${attempt}`
    if (!(await Vacancy.findOne({ where: { slug }, attributes: ['id'] }))) return slug
  }
}

/** Saves what is said of a vacancy. */
export async function saveVacancy(
  deps: Deps,
  actor: Account,
  id: string,
  { version, changes }: { version: number; changes: Partial<VacancyFields> },
) {
  const vacancy = await vacancyById(id)
  requireVersion(version, vacancy.version, { fields: fieldsOf(vacancy) })
  const next = { ...fieldsOf(vacancy), ...changes }
  requireSense(next, vacancy.decidesOn ?? null)
  const { opensAt, closesAt, ...plain } = changes
  await compareAndSet(vacancy, version, {
    ...plain,
    ...(opensAt ? { opensAt: new Date(opensAt) } : {}),
    ...(closesAt ? { closesAt: new Date(closesAt) } : {}),
    payBand: payBandOf(next.payFrom, next.payTo),
  })
  await recordEvent(deps, actor, {
    code: 'vacancy-changed',
    vacancyId: id,
    values: {
      fields: {
        list: (Object.keys(changes) as (keyof VacancyFields)[]).map((field) => ({
          code: `vacancy.field.${field}` as const,
        })),
      },
      vacancy: vacancy.title,
    },
    about: vacancy.title,
    details: { changes },
  })
  return { version: vacancy.version }
}

function requireSense(
  { payFrom, payTo, opensAt, closesAt, timeZone, duties }: VacancyFields,
  decidesOn: string | null,
) {
  const faults: Fault[] = []
  if (duties.content?.length && !isRichText(duties))
    faults.push({ pointer: '/body/changes/duties', message: say('problem.thisTextHasPartsThat') })
  if (payTo < payFrom) faults.push({ pointer: '/body/changes/payTo', message: say('problem.theBandEndsBelowIts') })
  if (closesAt <= opensAt)
    faults.push({ pointer: '/body/changes/closesAt', message: say('problem.itWouldCloseBeforeIt') })
  if (decidesOn && dayAt(new Date(closesAt), timeZone).toString() > decidesOn)
    faults.push({
      pointer: '/body/changes/closesAt',
      message: say('problem.closesAfterDecision', { day: writeWhen(decidesOn) }),
    })
  if (!Intl.supportedValuesOf('timeZone').includes(timeZone) && timeZone !== 'UTC')
    faults.push({ pointer: '/body/changes/timeZone', message: say('problem.thereIsNoSuchTime') })
  if (faults.length > 0) throw invalid(faults)
}

/** What is still missing before a vacancy can be opened, in words. */
function lacksOf(vacancy: Vacancy): string[] {
  const written = (['summary', 'family', 'place', 'contract', 'hours', 'decidedBy'] as const).filter(
    (field) => vacancy[field] === '',
  )
  return [
    ...written.map((field) => say(`composer.lacks.${field}`)),
    ...(vacancy.payTo === 0 ? [say('composer.lacks.payBand')] : []),
    ...(!vacancy.duties.content?.length ? [say('composer.lacks.duties')] : []),
    ...(vacancy.rulesVersion === 0 ? [say('composer.lacks.form')] : []),
  ]
}

/** Opens, closes or fills a vacancy. Nothing is opened that lacks something; what was open does not become a draft again. */
export async function setVacancyState(
  deps: Deps,
  actor: Account,
  id: string,
  { version, state }: { version: number; state: VacancyState },
) {
  const vacancy = await vacancyById(id)
  requireVersion(version, vacancy.version, { state: vacancy.state })
  if (state === 'draft' && vacancy.state !== 'draft') throw problems.wasPublic()
  if (state === 'open') {
    const lacks = lacksOf(vacancy)
    if (lacks.length > 0) throw problems.notReady(lacks)
    const faults = await faultsFor(await publishedRules(id, vacancy.rulesVersion))
    if (faults.length > 0) throw problems.faultyPublished(faults)
    if (vacancy.closesAt <= deps.clock.now()) throw problems.closingPast()
  }
  await compareAndSet(vacancy, version, { state })
  await recordEvent(deps, actor, {
    code: `vacancy-${state}`,
    vacancyId: id,
    values: { vacancy: vacancy.title },
    about: vacancy.title,
  })
  return { version: vacancy.version }
}

/** Publishes the rules being edited as the next version, for everybody who has not sent yet. */
export async function publishRules(
  deps: Deps,
  actor: Account,
  id: string,
  { version, note }: { version: number; note: string },
) {
  const vacancy = await vacancyById(id)
  const draft = await draftOf(id, vacancy.rulesVersion)
  requireVersion(version, draft.version, {})
  if (!draft.changed) throw problems.nothingToPublish()
  const faults = await faultsFor(draft.rules)
  if (faults.length > 0) throw problems.faultyRules(faults)
  const rulesVersion = vacancy.rulesVersion + 1
  await addRulesVersion(deps, id, rulesVersion, draft.rules, { note: note.trim(), savedBy: actor.name })
  await compareAndSet(vacancy, vacancy.version, { rulesVersion })
  await writeDraft(deps, actor, id, { rules: draft.rules, basedOn: rulesVersion, version: draft.version })
  await recordEvent(deps, actor, {
    code: 'rules-published',
    ...(note.trim() ? { words: 'rules-published.note' as const } : {}),
    values: { version: rulesVersion, vacancy: vacancy.title, note: note.trim() },
    about: vacancy.title,
  })
  return { rulesVersion }
}
