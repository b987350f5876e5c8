import { credentialKind, documentKind } from '../catalogue/catalogue'
import type { Question, QuestionKind, Section } from '../form/form'
import type { Right } from '../rights/rights'

/** What of a file not everybody at the desk needs. */
export const hiddenKinds = ['name', 'identity number', 'birth date', 'declarations', 'health', 'money'] as const
export type HiddenKind = (typeof hiddenKinds)[number]

type Needs = { see?: Right; reveal: Right }

/**
 * The right to see it without asking, because the work of a role needs it, and the right to have it shown with a reason on
 * record. Birth dates are compared with what sources say; identity numbers only when an identity is settled. A name is hidden
 * only where a vacancy hides names until the shortlist.
 */
export const needs: Readonly<Record<HiddenKind, Needs>> = {
  name: { reveal: 'names.reveal' },
  'identity number': { reveal: 'identity-numbers.reveal' },
  'birth date': { see: 'birth-dates.see', reveal: 'birth-dates.reveal' },
  declarations: { see: 'declarations.see', reveal: 'declarations.reveal' },
  health: { see: 'medical.see', reveal: 'medical.reveal' },
  // Nobody has it shown whose work it is not.
  money: { see: 'money.see', reveal: 'money.see' },
}

export function sees(rights: readonly Right[], kind: HiddenKind): boolean {
  const { see } = needs[kind]
  return see !== undefined && rights.includes(see)
}

export const mayReveal = (rights: readonly Right[], kind: HiddenKind): boolean => rights.includes(needs[kind].reveal)

/** What is hidden, and of which claim; the text that asks for it to be shown. */
export const subjectOf = (kind: HiddenKind, claimId?: string) => (claimId ? `${kind} ${claimId}` : kind)

/** The kind a subject is of, or `undefined` where it is none. */
export const kindOfSubject = (subject: string): HiddenKind | undefined =>
  hiddenKinds.find((kind) => subject === kind || subject.startsWith(`${kind} `))

/** As what the answer to a question is hidden, if it is. */
export function hiddenKindOfQuestion(section: Section, question: Question): HiddenKind | undefined {
  if (question.kind === 'identity number') return 'identity number'
  if (question.fill === 'bday' || question.key === 'about.born') return 'birth date'
  if (section.key === 'declarations' || question.kind === 'declaration') return 'declarations'
  return undefined
}

/** Which answers may be read without knowing whose they are: what is chosen or counted, never what is written freely. */
const namelessKinds: Readonly<Record<QuestionKind, boolean>> = {
  text: false,
  'long text': false,
  number: true,
  money: true,
  date: true,
  'partial date': true,
  'yes or no': true,
  'one of': true,
  'several of': true,
  'ranked choice': true,
  country: true,
  'country and region': false,
  address: false,
  phone: false,
  mail: false,
  link: false,
  'identity number': false,
  document: false,
  declaration: true,
  records: false,
  languages: true,
  recipients: true,
}

/**
 * Whether the answer to a question is read where names are hidden. Written answers only where the vacancy says so, and asks
 * whoever writes them to leave their name out; who they are and how they are reached never.
 */
export const readNameless = (section: Section, question: Question): boolean =>
  section.key !== 'about' &&
  section.key !== 'contact' &&
  question.fill === undefined &&
  (namelessKinds[question.kind] || (mayBeNameless(question.kind) && question.nameless === true))

/** Kinds of answers whose vacancy may say that they are read without a name. */
export const mayBeNameless = (kind: QuestionKind): boolean => kind === 'text' || kind === 'long text'

type Classed = { kind: string; credential?: string; documentKind?: string; paper?: unknown }

const isClassed = (paper: unknown): paper is Classed => typeof paper === 'object' && paper !== null && 'kind' in paper

/** As what a claim is hidden, if it is: papers of identity by their number, others by the sensitivity of their kind, whole. */
export function hiddenKindOfClaim(claim: Classed): HiddenKind | undefined {
  const { kind, credential, documentKind: paper } = claim
  // Whoever vouches for a paper shows that paper.
  if (kind === 'attestation') return isClassed(claim.paper) ? hiddenKindOfClaim(claim.paper) : undefined
  if (kind === 'identity') return 'identity number'
  const sensitivity = (credentialKind(credential ?? '') ?? documentKind(paper ?? ''))?.sensitivity
  return sensitivity === 'usual' ? undefined : sensitivity
}

/** A number with all but its last two characters covered; short ones wholly. */
export const covered = (text: string) =>
  text.length < 5 ? '•'.repeat(text.length) : `${'•'.repeat(text.length - 2)}${text.slice(-2)}`
