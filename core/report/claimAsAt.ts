import type { Decision } from '../comparison/proposeDecision'
import type { Rung } from '../requirements/requirement'

/** What happened to a claim, from which it is read how it stood at any moment. Moments in milliseconds since 1970. */
export type ClaimHistory<Enquiry extends AskedOnce, Finding extends DecidedOnce, Paper extends SeenOnce> = {
  /** The versions of its credential, the oldest first; the last goes on. */
  versions: readonly { version: number; since: number }[]
  papers: readonly Paper[]
  enquiries: readonly Enquiry[]
  findings: readonly Finding[]
}

export type SeenOnce = { version: number; seenAt: number | null }
export type AskedOnce = {
  version: number
  askedAt: number
  answeredAt: number | null
  /** When it was called off; what is called off has asked nothing. */
  calledOffAt: number | null
}
export type DecidedOnce = { version: number; decision: Decision; decidedAt: number; undoneAt: number | null }

export type ClaimAsAt<Enquiry, Finding, Paper> = {
  version: number
  rung: Rung
  /** The newest question by then, and the newest that was answered. */
  asked?: Enquiry
  answered?: Enquiry
  /** The decision that held. */
  finding?: Finding
  seen: Paper[]
}

const rungOf: Readonly<Record<Decision, Rung>> = {
  confirmed: 'confirmed',
  'confirmed with a note': 'confirmed',
  contradicted: 'contradicted',
  unconfirmable: 'unconfirmable',
}

/**
 * How a claim stood at a moment, by what had happened until then: the newest decision that was not undone counts, unless its
 * source was asked anew since; then whether somebody is asked; then whether a paper was seen.
 *
 * @param at milliseconds since 1970
 * @returns nothing where there was no such claim yet
 */
export function claimAsAt<E extends AskedOnce, F extends DecidedOnce, P extends SeenOnce>(
  { versions, papers, enquiries, findings }: ClaimHistory<E, F, P>,
  at: number,
): ClaimAsAt<E, F, P> | undefined {
  const version = versions.findLast(({ since }) => since <= at)?.version
  if (version === undefined) return undefined
  const by = (moment: number | null) => moment !== null && moment <= at
  const finding = latest(
    findings.filter((one) => one.version === version && by(one.decidedAt) && !by(one.undoneAt)),
    ({ decidedAt }) => decidedAt,
  )
  const questions = enquiries.filter((one) => one.version === version && by(one.askedAt) && !by(one.calledOffAt))
  const asked = latest(questions, ({ askedAt }) => askedAt)
  const answered = latest(
    questions.filter(({ answeredAt }) => by(answeredAt)),
    ({ answeredAt }) => answeredAt!,
  )
  const seen = papers.filter((one) => one.version === version && by(one.seenAt))
  return { version, rung: rungFrom(finding, asked, seen), asked, answered, finding, seen }
}

function rungFrom(finding: DecidedOnce | undefined, asked: AskedOnce | undefined, seen: readonly SeenOnce[]): Rung {
  if (finding && !(asked && asked.askedAt > finding.decidedAt)) return rungOf[finding.decision]
  if (asked) return 'asked'
  return seen.length > 0 ? 'evidenced' : 'claimed'
}

/** The one of the greatest moment; of equal ones the last. */
const latest = <Row>(rows: readonly Row[], momentOf: (row: Row) => number): Row | undefined =>
  rows.reduce<Row | undefined>((found, row) => (found && momentOf(found) > momentOf(row) ? found : row), undefined)
