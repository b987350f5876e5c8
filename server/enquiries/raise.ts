import { UniqueConstraintError } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { Planned } from '#contract/enquiries'
import { groupBy } from '#core/groupBy'
import { writeReference } from '#core/references/reference'
import { coded, sayCoded } from '#core/words/say'
import { type StoredText, writeValue } from '#core/words/stored'
import { queueNotice } from '../messages/queueNotice'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import { nextNumber } from '../platform/database/counter'
import type { Account, Deps } from '../platform/deps'
import { inLanguage } from '../platform/http/language'
import { contactMail } from '../records/applications/answers'
import { labelValue } from '../records/claims/label'
import { Enquiry } from '../records/enquiries/model'
import { lacksCandidate, withStanding } from '../records/enquiries/standing'
import { claimedStatement } from '../records/enquiries/statement'
import { keepStep } from '../records/enquiries/steps'
import { slackOf } from '../records/hiring/slack'
import { hidesName } from '../records/scoring/find'
import { ask, letLeave, type Outgoing, pack } from './dispatch'
import { dueOnOf } from './due'
import { linkEnd } from './linkEnd'
import { readOwnTexts, saySourceText } from './ownTexts'
import { addressOf, type Choice, type Handling, type Plan, planFor } from './plan'
import { problems } from './problems'
import { askedAs, directMail, permissionFile, questionMail, spokenBy } from './wording'

/** What an enquiry would send by which way, and what keeps it from being sent. */
export async function previewEnquiry(deps: Deps, claimId: string, applicationId: string, choice: Choice) {
  const plan = await planFor(deps, claimId, applicationId, choice)
  const { claim, person, source, way, ways, handling, usual, faster, enclosed, obstacles, lacks, toApprove } = plan
  const name = source?.name ?? claim.details.sourceName
  const shownName = await nameShown(plan)
  const claimed = claimedStatement(claim.details, person)
  const asked = { claim, candidate: shownName, enquiry: { reference: 'EQ-…', askedAt: deps.clock.now(), claimed } }
  const language = source ? spokenBy(source) : 'en'
  const preview =
    way?.channel === 'direct issue'
      ? directMail(deps, asked, name, handling.answerBy.toString())
      : questionMail(deps, [asked], name, handling.answerBy, { code: 'mail.enquiry.linkToCome' })
  const shown = (one: Handling) => ({ ...one, answerBy: one.answerBy.toString() })
  return {
    way: way && source ? { ...way, to: addressOf(source, way) } : null,
    ways: source ? ways.map((one) => ({ ...one, to: addressOf(source, one) })) : [],
    source: name,
    language,
    ...saySourceText(await readOwnTexts(), { name: `mail.${preview.words}`, language }, preview.values),
    ...inLanguage(language, () => ({
      encloses: [permissionFile(shownName), ...enclosed.map(({ fileName }) => fileName)],
    })),
    answerBy: handling.answerBy.toString(),
    usual: shown(usual),
    faster: faster ? shown(faster) : null,
    speed: plan.speed,
    wished: claim.wantsFaster && Boolean(faster),
    toApprove,
    obstacles: obstacles.map(sayCoded),
    lacks: lacks.map(writeValue),
  }
}

/** Whom it is about, for who plans it: by the reference where the name is hidden. */
const nameShown = async ({ application, person }: Plan) =>
  (await hidesName(application)) ? (application.reference ?? '') : person.name

/**
 * Asks a source about a claim. What is missing is waited for, and it then goes out by itself. Of two who ask at the same moment
 * one does: a claim has one live enquiry.
 *
 * @throws Problem `cannot-ask` where something stands in the way that no waiting mends
 */
export async function raiseEnquiry(
  deps: Deps,
  actor: Account,
  claimId: string,
  applicationId: string,
  choice: Choice = {},
) {
  const plan = await planFor(deps, claimId, applicationId, choice)
  if (plan.obstacles.length > 0 || !plan.source) throw problems.cannotAsk(plan.obstacles)
  const id = uuid()
  const enquiry = await prepare(deps, actor.name, plan, { id, batchId: id })
  if (plan.lacks.length === 0) await sendOut(deps, actor, [{ enquiry, plan }])
  else {
    await keepPrepared(deps, actor, enquiry, plan)
    await tellWhatIsMissing(deps, [plan])
  }
  return { id, state: enquiry.state as 'prepared' | 'open', answerBy: enquiry.answerBy }
}

/** Writes a question down. It holds its claim from here on, whether it goes out at once or waits. */
async function prepare(deps: Deps, askedBy: string, plan: Plan, { id, batchId }: { id: string; batchId: string }) {
  const { claim, application, source, way, handling, speed, person, earlier, lacks } = plan
  const now = deps.clock.now()
  const state = { state: 'prepared' as const, claimId: claim.id, channel: way?.channel ?? ('link' as const), lacks }
  const enquiry = await Enquiry.create({
    ...{ id, batchId, speed, askedBy, credentialVersion: claim.credentialVersion, applicationId: application.id },
    ...{ sourceId: source!.id, country: source!.country, contactId: way?.contactId ?? null, round: earlier + 1 },
    reference: writeReference('EQ', await nextNumber(deps, 'enquiries')),
    claimed: claimedStatement(claim.details, person),
    cost: handling.cost,
    slack: await slackOf(application.id),
    askedAt: now,
    answerBy: handling.answerBy.toString(),
    expiresAt: linkEnd(now),
    ...withStanding({ ...blank, ...state }, state),
  } as Enquiry['_creationAttributes']).catch((error: unknown) => {
    throw error instanceof UniqueConstraintError ? problems.cannotAsk([coded('enquiry.obstacle.asked')]) : error
  })
  return enquiry
}

const blank = {
  ...{ toPrint: null, openedAt: null, forwardedAt: null, draft: null, reminders: 0, escalations: 0, paper: null },
  ...{ dueOn: null },
}

async function keepPrepared(deps: Deps, actor: Account, enquiry: Enquiry, { claim, source, lacks }: Plan) {
  await keepStep(enquiry, { step: 'prepared', at: deps.clock.now(), by: actor.name })
  await recordEvent(deps, actor, {
    code: 'enquiry-prepared',
    values: {
      ...{ source: source!.name, claim: labelValue(claim.details) },
      lacks: { list: lacks },
    },
    about: source!.name,
    candidateId: claim.candidateId,
    applicationId: enquiry.applicationId,
    claimId: claim.id,
  })
}

/** Tells candidates in one mail each what only they can give, so that what is prepared can go out. */
async function tellWhatIsMissing(deps: Deps, plans: readonly Plan[]) {
  const waiting = plans.filter(({ lacks }) => lacksCandidate(lacks))
  for (const [first, ...rest] of groupBy(waiting, ({ application }) => application.id).values()) {
    if (!first) continue
    const { application, person } = first
    await queueNotice(deps, {
      to: { ...person, mail: contactMail(application) ?? person.mail },
      about: application,
      words: 'enquiryWaits',
      values: {
        what: { lines: [first, ...rest].map(missingLine) },
        link: `${deps.config.publicUrl}/applications/${application.id}`,
      },
    })
  }
}

const missingLine = ({ claim, source, lacks }: Plan): StoredText => ({
  code: 'mail.enquiryWaits.line',
  values: {
    ...{ claim: labelValue(claim.details), source: source!.name },
    lacks: {
      list: lacks.flatMap(({ code, values }) =>
        code in missing ? [{ code: missing[code as keyof typeof missing], values }] : [],
      ),
    },
  },
})

/** What is missing that only its candidate can give, as it is said to them. */
const missing = {
  'enquiry.obstacle.notSigned': 'mail.enquiryWaits.notSigned',
  'enquiry.obstacle.noPaper': 'mail.enquiryWaits.noPaper',
  'enquiry.obstacle.notPaid': 'mail.enquiryWaits.notPaid',
  'enquiry.obstacle.askedFirst': 'mail.enquiryWaits.askedFirst',
} as const

const waitsForUs = new Set<string>(['letter', 'telephone', 'register'])

export type Going = { enquiry: Enquiry; plan: Plan }

/** Sends questions of one batch out: each is open from here on, and what comes next is due by the calendar of its source. */
export async function sendOut(deps: Deps, actor: Account | { kind: 'system' }, going: readonly [Going, ...Going[]]) {
  const [{ plan: first }] = going
  const source = first.source!
  const way = first.way!
  const now = deps.clock.now()
  const by = actor.kind === 'account' ? actor.name : going[0].enquiry.askedBy
  const outgoing: Outgoing[] = []
  for (const { enquiry, plan } of going) {
    const { claim, person, permission, handling, enclosed } = plan
    await compareAndSet(
      enquiry,
      enquiry.version,
      withStanding(enquiry, {
        ...{ state: 'open' as const, channel: way.channel, contactId: way.contactId, lacks: null, cost: handling.cost },
        ...{ askedAt: now, answerBy: handling.answerBy.toString(), expiresAt: linkEnd(now), reminders: 0 },
        claimed: claimedStatement(claim.details, person),
        toPrint: way.channel === 'letter' ? ('letter' as const) : null,
        // A letter's time begins when it is printed, and a call waits for whoever makes it.
        dueOn: waitsForUs.has(way.channel)
          ? null
          : dueOnOf(deps, source, {
              channel: way.channel,
              speed: enquiry.speed,
              answerBy: handling.answerBy.toString(),
            }),
      }),
    )
    outgoing.push({ enquiry, claim, candidate: person.name, permission, enclosed })
    if (claim.rung !== 'asked') await compareAndSet(claim, claim.version, { rung: 'asked' })
    await recordEvent(deps, actor, {
      code: 'enquiry-raised',
      words: enquiry.round > 1 ? 'enquiry-raised.again' : 'enquiry-raised',
      values: { source: source.name, claim: labelValue(claim.details), round: enquiry.round },
      about: source.name,
      candidateId: claim.candidateId,
      applicationId: enquiry.applicationId,
      claimId: claim.id,
      details: { channel: way.channel, reference: enquiry.reference },
    })
  }
  const to = addressOf(source, way)
  for (const { enquiry } of outgoing) await keepStep(enquiry, { step: 'asked', at: now, by, details: { to } })
  await letLeave(await pack(deps, [ask[way.channel](deps, outgoing as [Outgoing, ...Outgoing[]], source, to)]))
}

type Item = { claimId: string; applicationId: string }

/** What goes where, what waits and what does not go. Questions to a source that wants them together share a number. */
export async function planEnquiries(deps: Deps, items: readonly Item[]): Promise<Planned[]> {
  const plans = await plansFor(deps, items)
  const batches = new Map<string, number>()
  const names = await Promise.all(plans.map(nameShown))
  return plans.map((plan, nth) => {
    const { claim, application, source, way, handling, obstacles, lacks } = plan
    const outcome = outcomeOf(plan)
    const key = outcome === 'goes' ? togetherKey(plan) : undefined
    if (key && !batches.has(key)) batches.set(key, batches.size + 1)
    return {
      ...{
        claimId: claim.id,
        applicationId: application.id,
        candidate: names[nth] ?? '',
        claim: writeValue(askedAs(claim.details)),
      },
      source: source?.name ?? claim.details.sourceName,
      channel: way?.channel ?? null,
      to: source && way ? addressOf(source, way) : '',
      cost: handling.cost,
      outcome,
      because: (outcome === 'not' ? obstacles : lacks).map(writeValue),
      together: key ? (batches.get(key) ?? null) : null,
    }
  })
}

/** Asks about many claims, each by itself, and together where a source wants it so. What cannot be asked is passed over. */
export async function raiseEnquiries(deps: Deps, actor: Account, items: readonly Item[]) {
  const plans = await plansFor(deps, items)
  const counts = { asked: 0, prepared: 0, not: 0 }
  const batches = new Map<string, Going[]>()
  for (const plan of plans) {
    const outcome = outcomeOf(plan)
    if (outcome === 'not') {
      counts.not += 1
      continue
    }
    const id = uuid()
    const key = outcome === 'goes' ? togetherKey(plan) : undefined
    const batchId = (key && batches.get(key)?.[0]?.enquiry.batchId) || id
    const enquiry = await prepare(deps, actor.name, plan, { id, batchId })
    if (outcome === 'waits') {
      await keepPrepared(deps, actor, enquiry, plan)
      counts.prepared += 1
    } else {
      const own = key ?? id
      batches.set(own, [...(batches.get(own) ?? []), { enquiry, plan }])
      counts.asked += 1
    }
  }
  for (const [first, ...rest] of batches.values()) if (first) await sendOut(deps, actor, [first, ...rest])
  await tellWhatIsMissing(
    deps,
    plans.filter((plan) => outcomeOf(plan) === 'waits'),
  )
  return counts
}

async function plansFor(deps: Deps, items: readonly Item[]): Promise<Plan[]> {
  const unique = [...new Map(items.map((item) => [item.claimId, item])).values()]
  const plans: Plan[] = []
  for (const { claimId, applicationId } of unique)
    plans.push(await planFor(deps, claimId, applicationId, { byRegister: true }))
  return plans
}

function outcomeOf({ obstacles, lacks, source }: Plan): Planned['outcome'] {
  if (obstacles.length > 0 || !source) return 'not'
  return lacks.length > 0 ? 'waits' : 'goes'
}

/** Those that go in one letter or mail: to one place of a source that wants them so. */
const togetherKey = ({ source, way }: Plan): string | undefined =>
  source?.known.together && way && way.channel !== 'register' && way.channel !== 'direct issue'
    ? `${source.id} ${way.channel} ${way.contactId}`
    : undefined
