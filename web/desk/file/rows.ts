import type { ClaimKind, DetailsOf } from '#contract/claims'
import type { File } from '#contract/desk'
import { writeWhen } from '#core/dates/write'
import { credentialName } from '#core/words/names'
import { requirementTitle } from '#core/words/requirementTitle'
import { say } from '#core/words/say'
import { termsWords } from '#core/words/standing'
import { fading } from '../../ui/lifeOfClaims'

type FileClaim = File['claims'][number]

/** One line of the file: a claim, a skills check, or a requirement that no claim carries. */
export type Row = {
  key: string
  mark: string
  title: string
  detail: string
  /** What is not cut short, however long it is. */
  note?: string
  wants: string
  when: string
  tone: 'plain' | 'care' | 'grave'
} & (
  | { of: 'claim'; claim: FileClaim }
  | { of: 'check'; check: File['checks'][number] }
  | { of: 'scores'; scoring: NonNullable<File['scoring']> }
  | { of: 'requirement'; outcome: File['outcomes'][number] }
)

/** What of a file its lines are made from. */
export type Listed = Pick<
  File,
  'claims' | 'requirements' | 'outcomes' | 'words' | 'checks' | 'scoring' | 'historyYears' | 'today'
>

export type Group = { title: string; note: string; rows: Row[] }

/** The file as groups of lines, in the order of a life: study, papers, work, checks, and what is asked beside them. */
export function rowsOf(file: Listed): Group[] {
  const of = (...kinds: string[]) =>
    file.claims.filter(({ details }) => kinds.includes(details.kind)).map((claim) => rowOfClaim(file, claim))
  const asked = (test: (kind: string) => boolean) =>
    file.requirements.filter(
      ({ asks, key }) =>
        test(asks.kind) &&
        file.outcomes.some((outcome) => outcome.requirement === key && outcome.state !== 'not needed'),
    )
  const neededBy = (test: (kind: string) => boolean) => {
    const gate = asked(test).at(-1)?.gate
    return gate ? say('file.neededBy', { gate: say(`state.gate.${gate}`) }) : ''
  }
  const carried = new Set(['study', 'credential', 'every work entry', 'skills check', 'document', 'identity'])
  const others = file.outcomes.flatMap((outcome) => {
    const requirement = file.requirements.find(({ key }) => key === outcome.requirement)
    if (
      !requirement ||
      (carried.has(requirement.asks.kind) && (outcome.claims.length > 0 || outcome.state !== 'unmet')) ||
      requirement.asks.kind === 'skills check'
    )
      return []
    return [
      {
        row: rowOfOutcome(file, outcome),
        ofHistory: requirement.asks.kind === 'history' || requirement.asks.kind === 'experience',
      },
    ]
  })
  const groups: Group[] = [
    { title: say('file.scores'), note: '', rows: file.scoring ? [rowOfScores(file.scoring)] : [] },
    { title: say('file.study'), note: neededBy((kind) => kind === 'study'), rows: of('study') },
    {
      title: say('file.licencesAndCertificates'),
      note: neededBy((kind) => kind === 'credential'),
      rows: of('licence', 'certificate'),
    },
    {
      title: say('file.work'),
      note: say('file.yearsWithoutAGap', { historyYears: file.historyYears }),
      rows: [...of('work'), ...others.flatMap(({ row, ofHistory }) => (ofHistory ? [row] : []))],
    },
    {
      title: say('file.skillsChecks'),
      note: neededBy((kind) => kind === 'skills check'),
      rows: file.checks.map((check) => rowOfCheck(file, check)),
    },
    { title: say('file.languages'), note: neededBy((kind) => kind === 'language'), rows: of('language') },
    { title: say('file.attestations'), note: '', rows: of('attestation') },
    { title: say('file.identity'), note: neededBy((kind) => kind === 'identity'), rows: of('identity') },
    { title: say('file.home'), note: '', rows: of('residence') },
    { title: say('file.otherPapers'), note: '', rows: of('paper') },
    { title: say('file.alsoAsked'), note: '', rows: others.flatMap(({ row, ofHistory }) => (ofHistory ? [] : [row])) },
  ]
  return groups.filter(({ rows }) => rows.length > 0)
}

const activityOf = ({ activity, position }: DetailsOf<'work'>) =>
  activity === 'employment' ? position : say(`names.activity.${activity}`)
const endOf = ({ to }: DetailsOf<'study'>) => (to === 'present' ? say('file.stillStudying2') : to.slice(0, 4))
/** Whoever gave it, where that is not its name already. */
const giver = ({ credential, sourceName }: DetailsOf<'licence'>, label: string) =>
  credentialName(credential) === label ? sourceName : ''
const parts = (...given: string[]) => given.filter(Boolean).join(', ')

/** What stands beside the name of a claim, by its kind. */
const detailOf: { [Kind in ClaimKind]: (details: DetailsOf<Kind>, label: string) => string } = {
  study: (details) => parts(details.sourceName, endOf(details)),
  work: (details) => parts(activityOf(details), span(details)),
  residence: (details) => span(details),
  licence: giver,
  certificate: giver,
  language: ({ sourceName }) => sourceName,
  attestation: ({ sourceName, capacity }) => parts(sourceName, capacity),
  identity: ({ number }) => number,
  paper: () => '',
}

/** A restriction stands wherever the claim does. */
function restrictedWords({ restricted }: FileClaim): string {
  if (!restricted) return ''
  const terms = termsWords(restricted)
  return terms ? say('file.restrictedOnTerms', { terms }) : say('file.restricted')
}

function rowOfClaim(file: Listed, claim: FileClaim): Row {
  const { details } = claim
  const early = file.outcomes.find(({ reason, claims }) => reason.code === 'lapses-early' && claims.includes(claim.id))
  const faded = fading(claim, file.today)
  const waiting = claim.asked
  const when =
    'through' in details && /^\d/.test(details.through)
      ? say('file.until', { day: writeWhen(details.through) })
      : 'through' in details && details.through === 'does not expire'
        ? say('file.doesNotExpire')
        : waiting
          ? say('file.dueBy', { day: writeWhen(waiting.answerBy).replace(/ \d{4}$/, '') })
          : ''
  const overdue = waiting && waiting.answerBy < file.today
  return {
    of: 'claim',
    key: claim.id,
    claim,
    mark: claim.rung === 'contradicted' ? 'contradicted' : (faded ?? (early ? 'expiring' : claim.rung)),
    title: claim.label,
    detail: detailOf[details.kind](details as never, claim.label),
    note: restrictedWords(claim),
    wants: overdue
      ? say('file.sourceSilentSince', { value: writeWhen(waiting.askedAt.slice(0, 10)).replace(/ \d{4}$/, '') })
      : claim.wants,
    when,
    tone: claim.rung === 'contradicted' || faded === 'lapsed' || overdue ? 'grave' : early || faded ? 'care' : 'plain',
  }
}

function rowOfCheck(file: Listed, check: File['checks'][number]): Row {
  const outcome = file.outcomes.find((candidate) =>
    file.requirements.some(
      ({ key, asks }) => key === candidate.requirement && asks.kind === 'skills check' && asks.check === check.check,
    ),
  )
  const marked = check.percent !== null
  return {
    of: 'check',
    key: `check-${check.check}`,
    check,
    mark: check.passed ? 'confirmed' : marked ? 'contradicted' : check.state === 'under way' ? 'asked' : 'claimed',
    title: check.title,
    detail: marked
      ? say('file.percentPassPassPercent', { percent: check.percent ?? 0, passPercent: check.passPercent })
      : say(`file.checkState.${check.state}`),
    wants:
      marked && check.passed
        ? say('file.markedBySystem')
        : outcome
          ? (file.words[outcome.requirement]?.ball ?? '')
          : '',
    when: check.finishedAt ? writeWhen(check.finishedAt.slice(0, 10)).replace(/ \d{4}$/, '') : '',
    tone: marked && !check.passed ? 'grave' : 'plain',
  }
}

function rowOfOutcome(file: Listed, outcome: File['outcomes'][number]): Row {
  const words = file.words[outcome.requirement]
  const waived = outcome.reason.code === 'waived'
  return {
    of: 'requirement',
    key: `asked-${outcome.requirement}`,
    outcome,
    mark: waived ? 'waived' : outcome.state === 'met' ? 'confirmed' : 'claimed',
    title: requirementTitle(outcome),
    detail: waived || outcome.state !== 'met' || outcome.reason.code === 'restricted' ? (words?.why ?? '') : '',
    wants: words?.ball ?? '',
    when: outcome.state === 'met' ? say('file.met') : waived ? say('file.waivedShort') : '',
    tone: outcome.reason.code === 'gaps' ? 'grave' : 'plain',
  }
}

function rowOfScores(scoring: NonNullable<File['scoring']>): Row {
  const { handedIn, of, percent } = scoring
  return {
    of: 'scores',
    key: 'scores',
    scoring,
    mark: percent === null ? 'claimed' : 'confirmed',
    title: say('file.scoreSheet'),
    detail: percent === null ? say('file.nobodySeesAnothersUntilAll') : say('file.ofThePoints', { percent }),
    wants: handedIn >= of ? say('file.allAreIn') : say('file.inOf', { handedIn, of }),
    when: '',
    tone: 'plain',
  }
}

const span = ({ from, to }: { from: string; to: string }) =>
  say('file.fromTo', { from: writeWhen(from), to: to === 'present' ? say('ui.now') : writeWhen(to) })
