import type { File, FileClaim } from '#contract/desk'
import type { Proof } from '#contract/verification'
import { isUndecided, nextGateOf } from '#core/hiring/stages'
import { openAt, upToGate } from '#core/requirements/evaluate'
import { firstLook } from '#core/requirements/firstLook'
import type { ClaimFacts, FileFacts, Gate, Outcome, Requirement } from '#core/requirements/requirement'
import type { Right } from '#core/rights/rights'
import { checksIn } from '#core/rules/rules'
import { standingAgainst } from '#core/validity/validity'
import { ballWords, outcomeWords } from '#core/words/outcomes'
import { say } from '#core/words/say'
import { differencesIn, isReopenable, reopenedParts } from '../applications/reopen'
import { trailOf } from '../audit/trail'
import { duplicatesOf } from '../duplicates/find'
import { eventWords } from '../platform/audit/wording'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { logAccess, shownTo } from '../privacy/accessLog'
import { fileView, proofView } from '../privacy/fileView'
import { forecastOf } from '../readiness/forecast'
import { type Readiness, readinessOf } from '../readiness/readiness'
import { candidateWithMail } from '../records/accounts/candidate'
import {
  answersForDesk,
  contactMail,
  readableForm,
  readsNameless,
  withoutExplanations,
} from '../records/applications/answers'
import { answersSent, sentApplication } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { ownerOf } from '../records/applications/owners'
import { claimFaces } from '../records/claims/view'
import { flagsOf } from '../records/redFlags/flags'
import { namesFor } from '../records/rules/versions'
import { scoreFor, scoringIn } from '../records/scoring/find'
import { bankOf, checkByKey } from '../records/skills/checks'
import { readVouchingLine } from '../records/vouching/vouchings'
import { flagLines } from '../redFlags/flagLines'
import { fileForProof } from '../verification/fileForProof'
import { proofOf } from '../verification/proof'
import { reviewView } from '../verification/reviewView'
import { likelyDateView } from './likelyDate'
import { isWatched } from './ownership'

/** Everything the desk sees about an application, in one reply. */
export async function readFile(deps: Deps, actor: Account, id: string): Promise<File> {
  const application = await sentApplication(id)
  const { candidateId } = application
  const reading = readerOf(deps, actor, application)
  const nameless = reading.then(
    ([, reader]) =>
      () =>
        readsNameless(reader),
  )
  const [[score, covering], readiness, person, sentAnswers, duplicates, ownTrail] = await Promise.all([
    reading,
    readinessOf(deps, application, { nameless }),
    candidateWithMail(candidateId),
    answersSent(id),
    duplicatesOf(candidateId),
    trailOf({ candidateIds: [candidateId], applicationId: id }),
    logAccess(deps, actor, { candidateId, applicationId: id, subject: 'file', what: 'file' }),
  ])
  const seen = readsNameless(covering) ? withoutExplanations : (answers: Application['answers']) => answers
  const { vacancy, rules, claims, enquiries, outcomes, requirements, facts } = readiness
  const [likely, owner, watching, names, trail, reopened, checks, faces, flags] = await Promise.all([
    forecastOf(deps, application, readiness),
    ownerOf(id),
    isWatched(actor, id),
    namesFor(rules),
    person.files.length > 1 ? trailOf({ candidateIds: person.files, applicationId: id }) : ownTrail,
    reopenedParts(readableForm(rules.form, covering), application, readiness.reopenings),
    checksOf(readiness, requirements),
    claimFaces(claims, readiness),
    flagsOf([candidateId]),
  ])
  const gate = nextGateOf(application)
  const look = firstLook(outcomes, readableForm(rules.form, covering), application.answers, facts.answers)
  const forGate = gate
    ? upToGate(outcomes, gate).filter(
        ({ state, gate: own, steps }) => state !== 'not needed' && (own !== 'send' || steps.length > 0),
      )
    : []
  // What was settled by sending needs no line; what has come open again since does.
  const shown = outcomes.filter(({ gate: own, steps }) => own !== 'send' || steps.length > 0)
  const nameOf = (key: string) => names[key] ?? key
  const history = requirements.flatMap(({ asks }) => (asks.kind === 'history' && !asks.of ? [asks] : []))[0]
  const file: File = {
    id,
    version: application.version,
    candidate: {
      id: person.id,
      name: person.name,
      mail: contactMail(application) ?? person.mail,
      born: person.born,
      language: person.language,
    },
    firstLook: {
      ...look,
      because: look.because.map(({ requirement }) => requirement),
      blanks: look.blanks.map(({ label, blank, because }) => ({ label, blank, because })),
    },
    scoring: scoringIn(score),
    duplicates,
    onBehalf: application.onBehalf ?? null,
    owner,
    watching,
    reference: application.reference ?? null,
    vacancy: { id: vacancy.id, slug: vacancy.slug, title: vacancy.title, place: vacancy.place },
    stage: application.stage,
    today: deps.clock.today().toString(),
    targetStart: application.targetStart,
    ...likelyDateView(likely, readiness),
    nextGate: gate,
    met: { done: forGate.length - (gate ? openAt(forGate, gate).length : 0), of: forGate.length },
    claims: faces.map((face, index) => ({
      ...face,
      asked: askedAbout(face, enquiries),
      restricted: restrictionOf(facts.claims[index]!, facts),
      flags: flags.filter(({ claimId, state }) => claimId === face.id && state !== 'dismissed').length,
      ...wantsOf(facts.claims[index]!, outcomes, gate, actor.rights),
    })),
    answers: answersForDesk(rules.form, seen(application.answers), facts.answers, covering),
    changes: sentAnswers
      ? differencesIn(
          readableForm(rules.form, covering),
          Object.keys({ ...sentAnswers, ...application.answers }),
          seen(sentAnswers),
          seen(application.answers),
        )
      : [],
    vouchings: readiness.vouchings.map(readVouchingLine),
    reopened,
    parts: rules.form
      .filter(({ holds, questions }) => isReopenable(holds) && (holds !== 'questions' || questions.length > 0))
      .map(({ key, title, holds, questions }) => ({
        section: key,
        title,
        questions: holds === 'questions' ? questions.map(({ key: own, label }) => ({ key: own, label })) : [],
      })),
    requirements: requirements.filter(({ key }) => shown.some(({ requirement }) => requirement === key)),
    outcomes: shown,
    words: Object.fromEntries(
      outcomes.map((outcome) => [
        outcome.requirement,
        {
          why: outcomeWords(outcome, nameOf),
          ball: outcome.steps[0] ? ballWords(outcome.steps[0], actor.rights) : '',
        },
      ]),
    ),
    historyYears: history?.years ?? 5,
    toleratedGapDays: history?.toleratedGapDays ?? 30,
    checks,
    waivers: readiness.waivers.map(({ requirement, givenBy, reason, givenAt }) => ({
      requirement,
      by: givenBy,
      reason,
      at: givenAt.toISOString(),
    })),
    offer: readiness.offer
      ? {
          salary: readiness.offer.salary,
          startsOn: readiness.offer.startsOn,
          answerBy: readiness.offer.answerBy,
          answer: readiness.offer.answer ?? null,
        }
      : null,
    gatesPassed: readiness.passages.map(({ gate: passed, passedBy, passedAt }) => ({
      gate: passed,
      by: passedBy,
      at: passedAt.toISOString(),
    })),
    trail: trail.map((event) => ({ at: event.at.toISOString(), who: event.who, what: eventWords(event) })),
    hidden: [],
  }
  return fileView(file, covering)
}

/** The restriction of a licence while it goes on. */
function restrictionOf({ standing }: ClaimFacts, { today, targetStart }: FileFacts): FileClaim['restricted'] {
  if (!standing || standingAgainst(standing, today, targetStart) !== 'restricted') return null
  const { decided: _, ...restriction } = standing
  return restriction
}

/** Whether and how somebody reads an application: what its scores come to, and as whom they read it. */
async function readerOf(deps: Deps, actor: Account, application: Application) {
  const [score, shown] = await Promise.all([scoreFor(application), shownTo(deps, actor, application.candidateId)])
  return [
    score,
    { roles: actor.roles, rights: actor.rights, shown, hidesName: score.hideNames && isUndecided(application) },
  ] as const
}

/** What stands behind one claim of a file. Throws not-found. */
export async function readProof(deps: Deps, actor: Account, id: string, claimId: string): Promise<Proof> {
  const application = await sentApplication(id)
  const { candidateId } = application
  const [[, reader], file] = await Promise.all([
    readerOf(deps, actor, application),
    fileForProof(deps, candidateId),
    logAccess(deps, actor, { candidateId, applicationId: id, subject: 'file', what: 'file' }),
  ])
  const claim = file.claims.find(({ id: own }) => own === claimId)
  if (!claim) throw notFound()
  const review = await reviewView(
    deps,
    actor,
    file.reviews.find(
      ({ claimId: of, credentialVersion }) => of === claimId && credentialVersion === claim.credentialVersion,
    ),
  )
  const flags = await flagLines((await flagsOf([candidateId])).filter(({ claimId: of }) => of === claimId))
  return proofView({ ...proofOf(claim, file), review, flags }, claim, reader)
}

/** The question about a claim that its source has not answered. */
function askedAbout({ id }: { id: string }, enquiries: Readiness['enquiries']) {
  const open = enquiries.findLast(({ claimId, state }) => claimId === id && state === 'open')
  return open ? { askedAt: open.askedAt.toISOString(), answerBy: open.answerBy } : null
}

/** Its source has answered, or will not: the desk decides. */
const isToDecide = ({ enquiry, rung, review }: ClaimFacts) =>
  rung === 'asked' && !review && (enquiry === 'answered' || enquiry === 'silent' || enquiry === 'declined')

/** What a claim waits for and by which gate, from the requirement with most left to do. */
function wantsOf(
  claim: ClaimFacts,
  outcomes: readonly Outcome[],
  gate: Gate | null,
  rights: readonly Right[],
): { wants: string; by: string } {
  const about = outcomes
    .filter(({ claims, steps }) => claims.includes(claim.id) && steps.length > 0)
    .sort((a, b) => b.steps.length - a.steps.length)[0]
  // A source that has answered comes first, also where nothing here rests on it or the paper lapses meanwhile.
  if (isToDecide(claim)) return { wants: ballWords({ who: 'desk', what: 'compare' }, rights), by: about?.gate ?? '' }
  // Whoever has said already what they think waits for somebody else.
  if (claim.review === 'second' || claim.review === 'third')
    return { wants: say(`queue.review.${claim.review}`), by: about?.gate ?? '' }
  if (about && gate) return { wants: ballWords(about.steps[0]!, rights), by: about.gate }
  return claim.paper === 'to look at'
    ? { wants: ballWords({ who: 'desk', what: 'look' }, rights), by: '' }
    : { wants: '', by: '' }
}

async function checksOf(
  { sittings, resits }: Pick<Readiness, 'sittings' | 'resits'>,
  requirements: readonly Requirement[],
): Promise<File['checks']> {
  return Promise.all(
    checksIn(requirements).map(async (key) => {
      const check = await checkByKey(key)
      const own = sittings.filter((given) => given.check === key)
      const sitting = own.at(-1)
      const leave = resits.find((given) => given.check === key && given.attempt > (sitting?.attempt ?? 0))
      const bank = sitting?.mark ? new Map((await bankOf(key)).map((question) => [question.id, question])) : undefined
      const wrong = (sitting?.mark?.answers ?? []).filter(({ right }) => !right)
      const textOf = (options: readonly { text: string }[]) =>
        options.map(({ text }) => text).join('; ') || say('file.noAnswer')
      return {
        check: key,
        title: check.title,
        state: sitting?.state ?? 'not begun',
        percent: sitting?.percent ?? null,
        passed: sitting?.passed ?? null,
        passPercent: check.passPercent,
        finishedAt: sitting?.finishedAt?.toISOString() ?? null,
        attempt: sitting?.attempt ?? 1,
        attempts: check.attempts,
        waitDays: check.waitDays,
        earlier: own.slice(0, -1).map(({ percent, finishedAt, dueAt }) => ({
          percent: percent ?? 0,
          finishedAt: (finishedAt ?? dueAt).toISOString(),
        })),
        resit: leave ? { notBefore: leave.notBefore, by: leave.givenBy } : null,
        wrong: wrong.flatMap(({ question: id, given }) => {
          const question = bank?.get(id)
          if (!question) return []
          return [
            {
              topic: question.topic,
              text: question.text,
              given: textOf(question.options.filter((option) => given.includes(option.id))),
              right: textOf(question.options.filter(({ right }) => right)),
            },
          ]
        }),
      }
    }),
  )
}
