import type { FieldKey } from '../comparison/compareClaim'
import type { Decision } from '../comparison/proposeDecision'
import type { Verdict } from '../comparison/verdict'
import type { AskedBy } from '../enquiries/ways'
import { type HiddenKind, hiddenKinds } from '../privacy/hidden'
import type { FlagKind } from '../redFlags/redFlag'
import type { MatterOutcome } from '../requirements/matter'
import type { Rung } from '../requirements/requirement'
import type { Standing } from '../validity/validity'

/** Who a report is for. What each of them may see is decided by `sightOf`. */
export const audiences = ['candidate', 'inside', 'recipient'] as const
export type Audience = (typeof audiences)[number]

/** What has been proven of a person, as at a day. Codes where a thing is ours, text where somebody wrote it. */
export type Report = {
  /** The version of this shape, which its published schema describes. */
  shape: 1
  reference: string
  language: string
  audience: Audience
  /** Whom outside it is for, by name. */
  recipient?: string
  /** ISO 8601: the day it tells of, and the moment it was made. */
  asAt: string
  madeAt: string
  issuer: string
  person: { name: string; born?: string }
  application?: { reference: string; post: string }
  claims: ReportedClaim[]
  /** Red flags of the file that are about no one claim. */
  flags: ReportedFlag[]
  waived: { requirement: string; reason: string; by: string; on: string }[]
  declared: Declared[]
  notChecked: NotChecked[]
  /** What there is that its reader may not see, or was not meant to be sent: how much of what, and nothing of it. */
  withheld: { what: HiddenKind | 'not chosen'; count: number }[]
}

export type ReportedClaim = {
  kind: string
  title: string
  rung: Rung
  fields: ReportedField[]
  source?: { name: string; country: string }
  /** ISO days. */
  saidOn: string
  paperSeenOn?: string
  asked?: { channel: Channel; on: string; answeredOn?: string; respondent?: string; reference?: string }
  finding?: {
    decision: Decision
    on: string
    /** Who decided; nobody where it was by rule. */
    by: string
    byRule: boolean
    note?: string
  }
  standing?: Pick<Standing, 'state' | 'terms' | 'termsSaid'> & { from?: string; to?: string }
  through?: string
  /** Until when it counts as confirmed, where that ends. */
  confirmedUntil?: string
  flags: ReportedFlag[]
}

export type ReportedField = { field: FieldKey; claimed: string; onPaper?: string; bySource?: string; verdict: Verdict }

export type ReportedFlag = {
  kind: FlagKind
  raisedOn: string
  settled?: { outcome: 'upheld' | 'dismissed'; by: string; on: string; reason?: string }
}

/** How its source was asked. */
type Channel = AskedBy | 'credential'

type Declared = { question: string; answer: string; outcome: MatterOutcome | null; decidedOn?: string }

/** Why something in a report is not proven. */
export const uncheckedReasons = [
  'nobody asked',
  'paper only',
  'not to be asked',
  'no answer yet',
  'nobody could say',
  'confirmed long ago',
  'requirement waived',
  'none in the file',
] as const
export type NotChecked = { what: string; because: (typeof uncheckedReasons)[number] }

/** A claim with what of it is hidden from some, as what it is hidden, and whether its source may be asked. */
export type ClaimToReport = ReportedClaim & {
  id: string
  hidden?: HiddenKind
  neverAsk?: boolean
  /** Confirmed too long ago to count. */
  stale?: boolean
}

/** Everything a report could say, of which it says what its reader may see. */
export type ToReport = Omit<Report, 'shape' | 'claims' | 'notChecked' | 'withheld'> & {
  claims: readonly ClaimToReport[]
  /** Kinds of claims of which there are none, as they are called, and that somebody would expect to have been looked at. */
  missing: readonly string[]
}

/** What a reader may see of what not everybody needs. */
export type Sight = ReadonlySet<HiddenKind>

/**
 * What the readers of a report may see: its candidate all that is theirs, the desk what the rights of whoever makes it show,
 * and somebody outside nothing of what is hidden from some at the desk, but the name.
 */
export function sightFor(audience: Audience, seesAtDesk: (kind: HiddenKind) => boolean): Sight {
  if (audience === 'recipient') return new Set(['name'])
  return new Set(hiddenKinds.filter((kind) => kind === 'name' || audience === 'candidate' || seesAtDesk(kind)))
}

/**
 * Makes a report of what is known, for one reader: an allow-list, so that whatever is new in a file stays out until it is
 * named here.
 *
 * @param chosen the claims it is to be about; all where nothing is given
 * @returns the report, and which claims it tells of
 */
export function composeReport(
  known: ToReport,
  sight: Sight,
  chosen?: ReadonlySet<string>,
): { report: Report; told: ReadonlySet<string> } {
  const { reference, language, audience, recipient, asAt, madeAt, issuer, person, application } = known
  const { flags, waived, declared } = known
  const isChosen = ({ id }: ClaimToReport) => !chosen || chosen.has(id)
  const isClosed = ({ hidden }: ClaimToReport) =>
    hidden !== undefined && !sight.has(hidden) && (hidden !== 'identity number' || audience === 'recipient')
  const told = known.claims.filter((claim) => isChosen(claim) && !isClosed(claim))
  const closed = known.claims.filter((claim) => isChosen(claim) && isClosed(claim))
  const report: Report = {
    ...{ shape: 1, reference, language, audience, asAt, madeAt, issuer },
    ...(recipient ? { recipient } : {}),
    person: {
      name: person.name,
      ...(person.born && sight.has('birth date') ? { born: person.born } : {}),
    },
    // What somebody has applied for here is nothing that a body outside is told.
    ...(application && audience !== 'recipient' ? { application } : {}),
    claims: told.map((claim) => ({ ...claimFor(claim, sight), flags: claim.flags.filter(flagsFor[audience]) })),
    // Of what was not chosen nothing is told, also not through a red flag of the file.
    flags: chosen ? [] : flags.filter(flagsFor[audience]),
    // Why a requirement was waived, and what was declared, is of an application here, and of no use elsewhere.
    waived: audience === 'recipient' ? [] : [...waived],
    declared: sight.has('declarations') ? [...declared] : [],
    notChecked: [
      ...told.flatMap((claim) => uncheckedOf(claim)),
      ...(audience === 'recipient'
        ? []
        : waived.map(({ requirement }) => ({ what: requirement, because: 'requirement waived' as const }))),
      ...(chosen ? [] : known.missing.map((what) => ({ what, because: 'none in the file' as const }))),
    ],
    withheld: [
      ...hiddenKinds.map((what) => ({ what, count: closed.filter(({ hidden }) => hidden === what).length })),
      { what: 'declarations' as const, count: sight.has('declarations') ? 0 : declared.length },
      { what: 'not chosen' as const, count: known.claims.filter((claim) => !isChosen(claim)).length },
    ].filter(({ count }) => count > 0),
  }
  return { report, told: new Set(told.map(({ id }) => id)) }
}

function claimFor(claim: ClaimToReport, sight: Sight): ReportedClaim {
  const { kind, title, rung, fields, source, saidOn, paperSeenOn, asked, finding, standing, through } = claim
  const numberless = claim.hidden === 'identity number' && !sight.has('identity number')
  const shown = ({ field }: ReportedField) =>
    !(field === 'born' && !sight.has('birth date')) && !((field === 'number' || field === 'amount') && numberless)
  return {
    ...{ kind, title, rung, fields: fields.filter(shown), saidOn },
    ...(source ? { source } : {}),
    ...(paperSeenOn ? { paperSeenOn } : {}),
    ...(asked ? { asked } : {}),
    ...(finding ? { finding: numberless ? { ...finding, note: undefined } : finding } : {}),
    ...(standing ? { standing } : {}),
    ...(through ? { through } : {}),
    ...(claim.confirmedUntil ? { confirmedUntil: claim.confirmedUntil } : {}),
    flags: [],
  }
}

/** The desk reads every red flag, a candidate those that somebody has settled, and others only what was found to be so. */
const flagsFor: Readonly<Record<Audience, (flag: ReportedFlag) => boolean>> = {
  inside: () => true,
  candidate: ({ settled }) => settled !== undefined,
  recipient: ({ settled }) => settled?.outcome === 'upheld',
}

/** Why a claim is not proven, or is not any more; nothing where it is. */
function uncheckedOf({ title, rung, neverAsk, stale }: ClaimToReport): NotChecked[] {
  const because = stale ? 'confirmed long ago' : whyNot(rung, neverAsk === true)
  return because ? [{ what: title, because }] : []
}

function whyNot(rung: Rung, neverAsk: boolean): NotChecked['because'] | undefined {
  if (rung === 'confirmed' || rung === 'contradicted') return undefined
  if (rung === 'unconfirmable') return 'nobody could say'
  if (rung === 'asked') return 'no answer yet'
  if (neverAsk) return 'not to be asked'
  return rung === 'evidenced' ? 'paper only' : 'nobody asked'
}
