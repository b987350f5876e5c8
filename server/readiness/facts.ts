import type { Attributes, Model, ModelStatic, WhereOptions } from 'sequelize'
import { Temporal } from 'temporal-polyfill'
import type { Domains } from '#core/conditions/outcomes'
import { domainsOf, knownFacts } from '#core/conditions/vocabulary'
import type { OpenReviewState } from '#core/decisions/secondPerson'
import { answeredKeys, factsOfAnswers } from '#core/form/answer'
import type { Form } from '#core/form/form'
import { groupBy } from '#core/groupBy'
import { isSent } from '#core/hiring/stages'
import type { FileFacts } from '#core/requirements/requirement'
import type { Rules } from '#core/rules/rules'
import { rowsOf } from '../platform/database/rows'
import type { Deps } from '../platform/deps'
import type { InProgress } from '../records/applications/find'
import { type Application, Reopening } from '../records/applications/model'
import type { Claim, EarlierCredential } from '../records/claims/model'
import { claimsOfAll, earlierOfCandidates } from '../records/claims/view'
import { openReviewsOfCandidates } from '../records/decisions/reviews'
import { documentsOfCandidates } from '../records/documents/documents'
import type { Document } from '../records/documents/model'
import { decisionsOn } from '../records/enquiries/confirmed'
import { enquiriesOfCandidates } from '../records/enquiries/enquiries'
import type { Enquiry } from '../records/enquiries/model'
import { chargesAsked } from '../records/fees/employers'
import { chargesIn, feeAnswersIn } from '../records/fees/find'
import type { FeeAnswers, FeeCharge } from '../records/fees/model'
import { GatePassage, Offer, OnboardingTask, Waiver } from '../records/hiring/model'
import { matterFacts, mattersOfCandidates } from '../records/matters/find'
import type { DeclaredMatter } from '../records/matters/model'
import type { Permission } from '../records/permissions/model'
import { permissionsOf } from '../records/permissions/permissions'
import { permittedIn } from '../records/recipients/find'
import { resitsOf, sittingsOf } from '../records/skills/checks'
import type { Resit, Sitting } from '../records/skills/model'
import type { Source } from '../records/sources/model'
import { sourcesOfCandidates } from '../records/sources/sources'
import { postedBy } from '../records/tray/posted'
import type { Vouching } from '../records/vouching/model'
import { vouchingFacts, vouchingsOf } from '../records/vouching/vouchings'
import { contradictedThings, factsOfClaim } from './claimFacts'

/** What an application is judged by, with the rows it was made from. */
export type LoadedFile = {
  claims: Claim[]
  documents: Document[]
  earlier: EarlierCredential[]
  enquiries: Enquiry[]
  sittings: Sitting[]
  resits: Resit[]
  waivers: Waiver[]
  offer: Offer | undefined
  tasks: OnboardingTask[]
  /** What was decided about what its candidate has declared, here and earlier. */
  matters: DeclaredMatter[]
  /** The permission that holds. */
  permission: Permission | undefined
  vouchings: Vouching[]
  passages: GatePassage[]
  reopenings: Reopening[]
  /** What was given for its fees alone. */
  feeAnswers: FeeAnswers[]
  /** The sources its candidate names, and no fewer. */
  sources: Source[]
  facts: FileFacts
}

/** What facts are made from, of a claim. */
const judged: (keyof Claim['_attributes'])[] = [
  'id',
  'candidateId',
  'kind',
  'details',
  'rung',
  'credentialVersion',
  'sourceId',
]

/** Whether an application is read without the name of whose it is. */
export type Nameless = (application: Pick<Application, 'id' | 'stage'>) => boolean

type RulesOf = (application: InProgress) => Pick<Rules, 'form'>

/**
 * Loads what many applications are judged by in a handful of queries, however many they are.
 *
 * @param rulesOf the rules whose form reads an application's answers
 * @param reading whether reasons name claims, and those asked, only by what is read without names
 */
export async function loadFiles(
  { clock, organisation }: Pick<Deps, 'clock' | 'organisation'>,
  applications: readonly InProgress[],
  rulesOf: RulesOf | Promise<RulesOf>,
  reading: Nameless | Promise<Nameless> = () => false,
): Promise<Map<string, LoadedFile>> {
  const applicationIds = applications.map(({ id }) => id)
  const candidates = [...new Set(applications.map(({ candidateId }) => candidateId))]
  // What only the desk does begins when an application is sent.
  const sent = applications.filter(isSent).map(({ id }) => id)
  const byApplication = async <T extends { applicationId: string }>(rows: Promise<T[]>) =>
    groupBy(await rows, ({ applicationId }) => applicationId)
  const ofSent = <M extends Model & { applicationId: string }>(
    model: ModelStatic<M>,
    ...order: (keyof Attributes<M> & string)[]
  ) =>
    byApplication(
      sent.length === 0 ? Promise.resolve([]) : rowsOf(model, { applicationId: sent } as WhereOptions, order),
    )
  const [
    claims,
    documents,
    earlier,
    enquiries,
    sources,
    asking,
    nameless,
    signed,
    vouched,
    sat,
    leave,
    waived,
    offered,
    given,
    charged,
    forFees,
    passed,
    reopened,
    declared,
    posted,
    reviews,
    permitted,
  ] = await Promise.all([
    claimsOfAll(candidates, candidates.length > 1 ? judged : undefined),
    documentsOfCandidates(candidates),
    earlierOfCandidates(candidates),
    enquiriesOfCandidates(candidates),
    sourcesOfCandidates(candidates),
    rulesOf,
    reading,
    byApplication(permissionsOf(applicationIds)),
    byApplication(vouchingsOf(applicationIds)),
    byApplication(sittingsOf(sent)),
    byApplication(resitsOf(sent)),
    ofSent(Waiver, 'givenAt'),
    ofSent(Offer),
    ofSent(OnboardingTask, 'key'),
    byApplication(sent.length === 0 ? Promise.resolve([]) : chargesIn(sent)),
    byApplication(feeAnswersIn(applicationIds)),
    ofSent(GatePassage, 'passedAt'),
    ofSent(Reopening, 'askedAt'),
    mattersOfCandidates(candidates),
    postedBy(candidates),
    openReviewsOfCandidates(candidates),
    byApplication(permittedIn(applicationIds)),
  ])
  const employersAsked = await chargesAsked([...charged.values()].flat().map(({ id }) => id))
  const byId = new Map(sources.map((source) => [source.id, source]))
  const deciders = groupBy(await decisionsOn(whereDecisionsCount(claims, enquiries)), ({ claimId }) => claimId)
  const mattersByCandidate = groupBy(declared, ({ candidateId }) => candidateId)
  const claimsByCandidate = groupBy(claims, ({ candidateId }) => candidateId)
  const documentsByClaim = groupBy(documents, ({ claimId }) => claimId)
  const enquiriesByClaim = groupBy(enquiries, ({ claimId }) => claimId)
  const earlierByClaim = groupBy(earlier, ({ claimId }) => claimId)
  const today = clock.today()
  const reviewOf = ({ id, credentialVersion }: { id: string; credentialVersion: number }) =>
    reviews.find((review) => review.claimId === id && review.credentialVersion === credentialVersion)?.state as
      | OpenReviewState
      | undefined
  return new Map(
    applications.map((application) => {
      const { id, candidateId, answers, targetStart } = application
      const { form } = asking(application)
      const unnamed = nameless(application)
      const own = claimsByCandidate.get(candidateId) ?? []
      const offer = offered.get(id)?.[0]
      const contradicted = contradictedThings(own, earlierByClaim)
      const facts: FileFacts = {
        today,
        targetStart: Temporal.PlainDate.from(targetStart),
        claims: own.map((claim) =>
          factsOfClaim(claim, {
            documents: documentsByClaim.get(claim.id) ?? [],
            enquiries: enquiriesByClaim.get(claim.id) ?? [],
            findings: deciders.get(claim.id) ?? [],
            sources: byId,
            contradicted,
            posted: posted.get(claim.id) ?? new Map(),
            today,
            organisation,
            nameless: unnamed,
            review: reviewOf(claim),
          }),
        ),
        domains: domainsOfForm(form),
        answers: factsOfAnswers(form, answers),
        blankAnswers: answeredKeys(form, answers),
        skills: skillsOf(sat.get(id) ?? [], leave.get(id) ?? []),
        matters: matterFacts(mattersByCandidate.get(candidateId) ?? [], id),
        permissionSigned: signed.has(id),
        authorised: (permitted.get(id) ?? [])
          .filter(({ through }) => through >= today.toString())
          .map(({ recipientKey }) => recipientKey),
        offer: offerState(offer, today.toString()),
        onboarding: (given.get(id) ?? []).map(({ key, doneAt }) => ({ task: key, done: Boolean(doneAt) })),
        waivers: (waived.get(id) ?? []).map(({ requirement, givenBy, reason }) => ({
          requirement,
          by: givenBy,
          reason: unnamed ? '' : reason,
        })),
        vouching: vouchingFacts(vouched.get(id) ?? []),
        ...payment(charged.get(id) ?? [], employersAsked),
      }
      const of = <T>(rows: ReadonlyMap<string, T[]>) => own.flatMap((claim) => rows.get(claim.id) ?? [])
      return [
        id,
        {
          claims: own,
          documents: of(documentsByClaim),
          earlier: of(earlierByClaim),
          enquiries: of(enquiriesByClaim),
          sittings: sat.get(id) ?? [],
          resits: leave.get(id) ?? [],
          waivers: waived.get(id) ?? [],
          offer,
          tasks: given.get(id) ?? [],
          matters: mattersByCandidate.get(candidateId) ?? [],
          permission: signed.get(id)?.[0],
          vouchings: vouched.get(id) ?? [],
          passages: passed.get(id) ?? [],
          reopenings: reopened.get(id) ?? [],
          feeAnswers: forFees.get(id) ?? [],
          sources,
          facts,
        },
      ]
    }),
  )
}

/** What the questions of a form can be answered with; the same each time, since published forms never change. */
const domains = new WeakMap<Form, Domains>()
function domainsOfForm(form: Form): Domains {
  const known = domains.get(form)
  if (known) return known
  const made = domainsOf(knownFacts(form))
  domains.set(form, made)
  return made
}

/** Sittings in their order; leave that has not been used is one not begun. */
function skillsOf(sittings: readonly Sitting[], resits: readonly Resit[]): FileFacts['skills'] {
  const unused = resits.filter(({ check, attempt }) =>
    sittings.every((sitting) => sitting.check !== check || sitting.attempt < attempt),
  )
  return [
    ...sittings.map(({ check, state, percent, passed }) => ({
      check,
      state,
      percent: percent ?? undefined,
      passed: passed ?? undefined,
    })),
    ...unused.map(({ check }) => ({ check, state: 'not begun' as const })),
  ]
}

/** The claims of which it matters when they were decided on: confirmed ones, and those a body says are restricted. */
const whereDecisionsCount = (claims: readonly Claim[], enquiries: readonly Enquiry[]): string[] => [
  ...new Set([
    ...claims.flatMap(({ id, rung }) => (rung === 'confirmed' ? [id] : [])),
    ...enquiries.flatMap(({ standing, claimId }) => (standing?.state === 'restricted' ? [claimId] : [])),
  ]),
]

/** How what was charged stands, and who is to pay what has to be paid first. */
function payment(charges: readonly FeeCharge[], asked: ReadonlySet<string>): Pick<FileFacts, 'fees' | 'awaitsPayment'> {
  const stateOf = ({ id, state }: FeeCharge) => (state !== 'open' ? 'settled' : asked.has(id) ? 'asked' : 'open')
  const first = charges.filter(({ state, holds }) => state === 'open' && holds).map(stateOf)
  return {
    fees: Object.fromEntries(charges.map((charge) => [charge.schedule, stateOf(charge)] as const)),
    ...(first.length > 0 ? { awaitsPayment: first.includes('open') ? 'candidate' : 'employer' } : {}),
  }
}

/** An offer that nobody answered in time is no longer open, until it is renewed. */
function offerState(offer: Offer | undefined, today: string): FileFacts['offer'] {
  if (!offer) return 'none'
  return offer.answer ?? (offer.answerBy < today ? 'expired' : 'open')
}
