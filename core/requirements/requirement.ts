import type { Temporal } from 'temporal-polyfill'
import type { CefrLevel } from '../catalogue/cefr'
import type { Condition, Facts } from '../conditions/condition'
import type { Domains } from '../conditions/outcomes'
import type { OpenReviewState } from '../decisions/secondPerson'
import type { AttestationForm } from '../documents/attestation'
import type { HistoryEntry } from '../history/coverage'
import type { LetterPart } from '../reading/letter'
import type { Recipient } from '../recipients/choice'
import type { ConditionState } from '../sources/conditions'
import type { SourceCondition } from '../sources/source'
import type { Standing, Term } from '../validity/validity'
import type { StoredValue } from '../words/stored'
import type { Translations } from '../words/translations'
import type { ClaimKind } from './claimKind'
import { type Gate, gates } from './gates'
import type { MatterFact } from './matter'

export { type Gate, gates }

export const rungs = ['claimed', 'evidenced', 'asked', 'confirmed', 'contradicted', 'unconfirmable', 'waived'] as const
export type Rung = (typeof rungs)[number]

/** What a requirement asks for. */
export type Ask =
  | { kind: 'answer'; question: string }
  /** A second field counts like the first; a minor in one of the fields only where it is said to. */
  | { kind: 'study'; levelAtLeast: number; fields?: readonly string[]; minor?: true }
  /** With `atLeast` an amount it was given for: a field of its kind, money in hundredths. */
  | { kind: 'credential'; credential: string; atLeast?: { field: string; amount: number } }
  /** A language of the catalogue, at a level of the CEFR or above. */
  | { kind: 'language'; language: string; level: CefrLevel }
  /** Whole years by the answer to a question, on a day or, without, on the target start. */
  | { kind: 'age'; question: string; least?: number; most?: number; on?: string; allowances?: readonly AgeAllowance[] }
  /** Without `of` what somebody did; with it where somebody lived, with the street where it says so. */
  | { kind: 'history'; years: number; toleratedGapDays: number; of?: 'home'; street?: true }
  | { kind: 'experience'; months: number; tags: readonly string[] }
  /** With `wholeLetter` its letter has position, first and last day, signature and letterhead. */
  | { kind: 'every work entry'; wholeLetter?: true }
  | { kind: 'skills check'; check: string }
  | { kind: 'permission' }
  /** With a live portrait, compared with the paper by a person, unless the paper was shown in another way. */
  | { kind: 'identity'; portrait?: true }
  /** So many people have vouched for the candidate. */
  | { kind: 'vouching'; count: number }
  | { kind: 'document'; question: string }
  /** A yes-or-no question or a declaration, and the answer that is needed; another one is for a person to decide. */
  | {
      kind: 'declaration'
      question: string
      mustBe: string
      /** Mail addresses of those who decide another answer; none means whoever may. */
      deciders?: readonly string[]
      /** All of them have to say the same. */
      together?: boolean
    }
  /** So many employers have confirmed a job. */
  | { kind: 'reference'; count: number }
  /** What a schedule of the vacancy's fees comes to is paid. */
  | { kind: 'fee'; schedule: string }
  | { kind: 'offer accepted' }
  | { kind: 'onboarding task'; task: string }
  /** What a source asks for before it answers about a claim; it follows from the file, no rules of a vacancy say it. */
  | { kind: 'source condition'; claim: string; of: ClaimKind; condition: string }
  /** Bodies outside that were chosen are open to who chose them, and may be told; it follows from a question of the form. */
  | { kind: 'recipients'; question: string; required: boolean; recipients: readonly Recipient[] }

/** What the rules of a vacancy can ask for. */
export type RulesAsk = Exclude<Ask, { kind: 'source condition' | 'recipients' }>

/** So many years younger or older are taken from whom this holds for; `document` asks for the paper that shows it. */
export type AgeAllowance = { years: number; when: Condition; document?: string }

export type Requirement = {
  key: string
  /** What it is called in lists: a short noun phrase. */
  title: string
  /** Why this post asks for it, in a sentence. */
  why: string
  /** The rule behind it: where it is written, and where that can be read. */
  citation?: { text: string; link?: string }
  gate: Gate
  asks: Ask
  /** Any of these does instead. */
  alternatives?: readonly Ask[]
  /** How well a claim has to be proven by the gate; `claimed` where it is not a claim. */
  rung: 'claimed' | 'evidenced' | 'confirmed'
  /** A document has to be attached, even if nobody has looked at it yet. */
  paper?: boolean
  /** An interim paper or the receipt of an application does for so many days; the final one is owed by then at the latest. */
  interim?: { days: number }
  /** Its paper is certified, sworn or notarised, in one of these ways; `by` says by whom, in words. */
  certified?: { forms: readonly AttestationForm[]; by?: string }
  /** Valid through the target start and this many days. */
  validStartPlusDays?: number
  /** Needed only while this holds. */
  when?: Condition
  /** Not needed while this holds, by rule. */
  exempt?: { when: Condition; because: string }
  /** Who may waive it; empty means nobody. */
  waivableBy: readonly string[]
  /** It asks for what goes with the answer to the question it is called by: what happened, or the document. */
  part?: 'because' | 'document' | SourceCondition['kind']
  /** Only bodies that were chosen need it: it holds up what goes to them, and no gate after sending. */
  forRecipients?: true
  translations?: Translations<'title' | 'why' | 'because'>
}

/** Where a live portrait stands: a person finds it to be the same person's as the paper, or somebody else's. */
export type PortraitFact = 'none' | 'to look at' | 'sent back' | 'same' | 'other'

/** What is known of one claim, as far as requirements look at it. */
export type ClaimFacts = {
  id: string
  kind: ClaimKind
  label: StoredValue
  rung: Rung
  paper: 'none' | 'to look at' | 'seen' | 'sent back'
  /** A decision about it goes on: no gate is passed on its strength meanwhile. */
  review?: OpenReviewState
  /** What the letter of a job lacks, as somebody has found. */
  letterLacks?: readonly LetterPart[]
  /** Only an interim paper stands behind it, since a day; the final one is owed by another. ISO days. */
  interim?: { seen: boolean; since: string; finalBy: string; finalToLookAt?: boolean }
  /** The live portrait beside a paper of identity; absent where none goes with it. */
  portrait?: PortraitFact
  enquiry: 'none' | 'open' | 'answered' | 'silent' | 'declined' | 'prepared'
  /** Since when it is confirmed and until when that serves, ISO days; stale where it has to be asked again. */
  confirmed?: { since: string; until: string | null; stale?: true }
  /** Who would have to be asked, for words. */
  source?: string
  /** What they ask for before they answer, and how it stands. */
  conditions?: readonly ConditionFact[]
  level?: number
  field?: string
  /** A second field of a study, or a minor. */
  second?: { field: string; as: 'second field' | 'minor' }
  /** What a licence or certificate was given for, by the fields of its kind; money in hundredths. */
  amounts?: Readonly<Record<string, number>>
  /** Steps of its series are left. */
  seriesOpen?: { given: number; of: number; next?: string }
  language?: { key: string; level: CefrLevel }
  /** The claim whose paper it vouches for, and how. */
  attests?: { of: string; form: AttestationForm }
  /** The programme is accredited for its field. */
  accredited?: boolean
  credential?: string
  /** The question that asked for this paper. */
  question?: string
  term?: Term
  /** What its issuer says of it, by the newest answer; `decided` where somebody has decided knowing it. */
  standing?: Standing & { decided: boolean }
  /** It, or another claim for the same thing, was contradicted, and nothing has been confirmed since. */
  contradictedBefore?: boolean
  entry?: HistoryEntry & { tags: readonly string[] }
}

export type ConditionFact = Pick<SourceCondition, 'id' | 'kind' | 'reason'> & { state: ConditionState }

export type SkillsFact = {
  check: string
  state: 'not begun' | 'under way' | 'marked'
  percent?: number
  passed?: boolean
}

/** On which terms a licence is restricted. */
type Terms = Pick<Standing, 'terms' | 'termsSaid'>

export type FileFacts = {
  today: Temporal.PlainDate
  targetStart: Temporal.PlainDate
  claims: readonly ClaimFacts[]
  answers: Facts
  /** What the questions can be answered with. */
  domains?: Domains
  /** Keys that were answered with an honest blank that is no fact, such as "I don't know". */
  blankAnswers?: ReadonlySet<string>
  /** How what was charged stands, by its schedule; how much it is, is for the money role alone. */
  fees?: Readonly<Record<string, 'open' | 'asked' | 'settled'>>
  /** Something has to be paid before anybody works on it, by the candidate or by an employer who was asked to. */
  awaitsPayment?: 'candidate' | 'employer'
  /** People the candidate has named to vouch for them, and how many of them have. */
  vouching?: { asked: number; done: number }
  skills: readonly SkillsFact[]
  permissionSigned: boolean
  /** The bodies that may be told, by their keys. */
  authorised?: readonly string[]
  /** What was decided about declared matters, the newest first. */
  matters?: readonly MatterFact[]
  offer: 'none' | 'open' | 'expired' | 'accepted' | 'declined'
  onboarding: readonly { task: string; done: boolean }[]
  waivers: readonly { requirement: string; by: string; reason: string }[]
}

export type Who = 'candidate' | 'desk' | 'source' | 'employer' | 'hiring manager'

/** One thing still to do, in order; the first one's holder has the ball. */
export type Step = {
  who: Who
  what:
    | 'answer'
    | 'renew'
    | 'upload'
    | 'look'
    | 'ask'
    | 'reply'
    | 'compare'
    | 'decide'
    | 'sit check'
    | 'sign'
    | 'do task'
    | 'explain'
    | 'make offer'
    | 'pay'
    | 'name someone'
    | 'take portrait'
    | 'certify'
}

export type OutcomeReason =
  | { code: 'met'; claim?: StoredValue }
  /** Confirmed since a day, and good until another or for good; or not any more. */
  | { code: 'confirmed-since' | 'confirmed-long-ago'; claim: StoredValue; since: string; until: string | null }
  | { code: 'waived'; by: string; reason: string }
  | { code: 'exempt'; because: string }
  | { code: 'condition-false' }
  | { code: 'condition-undecided'; deciding: string[] }
  | { code: 'answer-missing'; question: string }
  | { code: 'nothing-claimed' }
  | {
      code:
        | 'paper-missing'
        | 'paper-to-look-at'
        | 'paper-sent-back'
        | 'to-ask'
        | 'asked'
        | 'reply-in'
        | 'source-silent'
        | 'source-declined'
        | 'contradicted'
        | 'unconfirmable'
      claim: StoredValue
      source?: string
    }
  | { code: 'lapses-early'; claim: StoredValue; lastDay: string; needed: string; shortBy: number }
  /** Good enough until a day; the final paper is owed by then. */
  | { code: 'met-for-now' | 'interim-over'; claim: StoredValue; finalBy: string }
  | { code: 'interim-not-enough'; claim: StoredValue }
  | { code: `portrait-${Exclude<PortraitFact, 'same'>}`; claim: StoredValue }
  | { code: 'validity-unknown'; claim: StoredValue }
  | { code: 'decision-open'; claim: StoredValue; review: OpenReviewState }
  | { code: 'letter-lacks'; claim: StoredValue; parts: readonly LetterPart[] }
  | { code: 'not-certified'; claim: StoredValue; forms: readonly AttestationForm[] }
  | { code: 'series-open'; claim: StoredValue; given: number; of: number; next?: string }
  | { code: 'too-low'; claim: StoredValue; credential: string; field: string; given: number; needed: number }
  | { code: 'too-young' | 'too-old'; age: number; on: string; needed: number }
  | { code: 'begins-late'; claim: StoredValue; firstDay: string; needed: string; lateBy: number }
  | ({ code: 'standing'; claim: StoredValue; standing: Exclude<Standing['state'], 'good'> } & Terms)
  | ({ code: 'restricted'; claim: StoredValue } & Terms)
  | { code: 'gaps'; days: number; first: { from: string; through: string }; count: number }
  | { code: 'possible-gaps'; days: number }
  | { code: 'too-little-experience'; months: number; needed: number }
  /** Enough or not, by what the days were; `inexact` are the jobs whose days would decide it. */
  | { code: 'experience-unclear'; least: number; most: number; needed: number; inexact: StoredValue[] }
  | { code: 'no-work-entries' }
  | { code: 'work-open'; open: number; of: number; claim: StoredValue }
  | { code: 'check-not-sat' | 'check-under-way' }
  | { code: 'check-failed'; percent: number }
  | { code: 'check-passed'; percent: number }
  | { code: 'answer-other'; question: string; answer: string; needed: string }
  | { code: 'matter-settled' | 'matter-conditions' | 'matter-refused'; on: string }
  | { code: 'too-few-references'; confirmed: number; needed: number; asked: number }
  | { code: 'too-few-vouch'; done: number; needed: number; asked: number }
  /** What a source asks for: done, or what is missing of it. */
  | {
      code: 'condition-met' | `condition-${Exclude<ConditionState, 'met'>}`
      claim: StoredValue
      source: string
      condition: SourceCondition['kind']
      because: string
    }
  | { code: 'fee-open'; charged: boolean }
  /** An employer was asked to pay and has not answered. */
  | { code: 'fee-asked' }
  | { code: 'recipient-closed'; recipient: StoredValue; because: string }
  | { code: 'recipient-not-authorised'; recipient: StoredValue; count: number }
  | { code: 'not-signed' | 'no-offer' | 'offer-open' | 'offer-expired' | 'offer-declined' | 'task-open' }

export type Outcome = Pick<Requirement, 'part' | 'translations' | 'forRecipients'> & {
  requirement: string
  title: string
  gate: Gate
  state: 'met' | 'unmet' | 'not needed' | 'undecided'
  reason: OutcomeReason
  /** Open steps in order; empty unless unmet or undecided. */
  steps: Step[]
  /** The claims it rests on or waits for. */
  claims: string[]
}
