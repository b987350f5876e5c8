import { writeWhen } from '../dates/write'
import type { Report, ReportedClaim, ReportedFlag } from '../report/report'
import { say } from './say'
import { termsWords } from './standing'

/** A report as it is read: parts with headings, facts by name, and tables. The page that checks it and its PDF show the same. */
export type ReportWords = { title: string; lead: string; facts: Fact[]; parts: ReportPart[] }
export type ReportPart = {
  heading: string
  facts: Fact[]
  /** Under it, a claim each. */
  claims: { heading: string; facts: Fact[]; table: Table | null }[]
  /** Said where there is nothing. */
  nothing?: string
}
type Fact = readonly [name: string, value: string]
type Table = { caption: string; columns: string[]; rows: string[][] }

const known = (fact: readonly [string, string | undefined | null]): fact is Fact => Boolean(fact[1])

/**
 * A report in words, in the language that is spoken.
 *
 * @param writeMoment how a moment is written, by whoever knows the time zone
 */
export function reportWords(report: Report, writeMoment: (iso: string) => string): ReportWords {
  const { person, application, issuer, reference, asAt, madeAt, audience, recipient } = report
  const part = (heading: string, facts: Fact[], nothing?: string): ReportPart => ({
    heading,
    facts,
    claims: [],
    nothing,
  })
  const optional = [
    part(
      say('report.flags'),
      report.flags.map((flag) => [say('report.flag'), flagWords(flag)]),
    ),
    part(
      say('report.waived'),
      report.waived.map(({ requirement, reason, by, on }) => [
        requirement,
        say('report.waivedBy', { reason, by, day: writeWhen(on) }),
      ]),
    ),
    part(
      say('report.declared'),
      report.declared.map(({ question, answer, outcome }) => [
        question,
        say('report.declaredAs', { answer, outcome: say(`report.outcome.${outcome ?? 'open'}`) }),
      ]),
    ),
  ].filter(({ facts }) => facts.length > 0)
  const withheld = part(
    say('report.withheld'),
    report.withheld.map(({ what, count }) => [
      say(`report.withheld.${what}`),
      say(what === 'not chosen' ? 'report.withheldChosen' : 'report.withheldOf', { count }),
    ]),
  )
  return {
    title: say('report.title', { name: person.name }),
    lead: say('report.about', { day: writeWhen(asAt) }),
    facts: (
      [
        [say('report.reference'), reference],
        [say('report.issuedBy'), issuer],
        [say('report.asAt'), writeWhen(asAt)],
        [say('report.madeAt'), writeMoment(madeAt)],
        [say('report.audience'), recipient ?? say(`report.audience.${audience}`)],
        [say('report.person'), person.name],
        [say('report.born'), person.born && writeWhen(person.born)],
        [say('report.application'), application && say('report.applicationFor', application)],
      ] as const
    ).filter(known),
    parts: [
      { ...part(say('report.claims'), [], say('report.noClaims')), claims: report.claims.map(claimWords) },
      ...optional,
      part(
        say('report.notChecked'),
        report.notChecked.map(({ what, because }) => [what, say(`report.because.${because}`)]),
        say('report.allChecked'),
      ),
      ...(withheld.facts.length > 0 ? [withheld] : []),
    ],
  }
}

function claimWords(claim: ReportedClaim): ReportPart['claims'][number] {
  const { title, rung, source, saidOn, paperSeenOn, asked, finding, standing, through, confirmedUntil, flags } = claim
  const facts: (readonly [string, string | undefined])[] = [
    [say('report.standsAt'), say(`report.rung.${rung}`)],
    [say('report.source'), source && [source.name, source.country].filter(Boolean).join(', ')],
    [say('report.said'), writeWhen(saidOn)],
    [say('report.paper'), paperSeenOn && writeWhen(paperSeenOn)],
    [say('report.asked'), asked && say(`report.askedBy.${asked.channel}`, { day: writeWhen(asked.on) })],
    [say('report.answered'), asked?.answeredOn && answerWords(asked.answeredOn, asked.respondent)],
    [say('report.decided'), finding && decisionWords(finding)],
    [say('report.note'), finding?.note],
    [say('report.standing'), standing && standingWords(standing)],
    [say('report.through'), through && (through === 'does not expire' ? say('report.unlimited') : writeWhen(through))],
    [say('report.confirmedUntil'), confirmedUntil && writeWhen(confirmedUntil)],
    ...flags.map((flag) => [say('report.flag'), flagWords(flag)] as const),
  ]
  return { heading: title, facts: facts.filter(known), table: fieldsTable(claim) }
}

const answerWords = (day: string, respondent?: string) =>
  respondent ? say('report.answeredBy', { day: writeWhen(day), respondent }) : writeWhen(day)

const decisionWords = ({ decision, on, by, byRule }: NonNullable<ReportedClaim['finding']>) => {
  const values = { decision: say(`state.decision.${decision}`), day: writeWhen(on) }
  return byRule ? say('report.decidedByRule', values) : say('report.decidedBy', { ...values, by })
}

function standingWords({ state, from, to, ...on }: NonNullable<ReportedClaim['standing']>): string {
  const terms = termsWords(on)
  const alone = say(`report.standing.${state}`)
  const standing = terms ? say('report.standingWith', { standing: alone, terms }) : alone
  if (!from) return standing
  return to
    ? say('report.standingSpan', { standing, from: writeWhen(from), to: writeWhen(to) })
    : say('report.standingFrom', { standing, from: writeWhen(from) })
}

function flagWords({ kind, raisedOn, settled }: ReportedFlag): string {
  const named = say(`flags.kind.${kind}`)
  if (!settled) return say('report.flagOpen', { kind: named, day: writeWhen(raisedOn) })
  return say(settled.outcome === 'upheld' ? 'report.flagUpheld' : 'report.flagDismissed', {
    ...{ kind: named, by: settled.by, day: writeWhen(settled.on), reason: settled.reason ?? '' },
  }).trim()
}

function fieldsTable({ fields }: ReportedClaim): Table | null {
  if (fields.length === 0) return null
  const columns = ['field', 'claimed', 'paper', 'source', 'verdict'] as const
  return {
    caption: say('report.fields'),
    columns: columns.map((column) => say(`report.column.${column}`)),
    rows: fields.map(({ field, claimed, onPaper, bySource, verdict }) => [
      say(`field.${field}`),
      ...[claimed, onPaper ?? '', bySource ?? ''].map(writeWhen),
      say(`comparison.verdict.${verdict}`),
    ]),
  }
}
