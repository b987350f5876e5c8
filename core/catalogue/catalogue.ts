import type { Scale } from '../grades/grades'
import type { Translations } from '../words/translations'
import type { Series } from './series'

/** Something the catalogue names. What was once named stays known; what is retired is only not offered any more. */
export type Named = {
  key: string
  name: string
  translations?: Translations<'name'>
  retired?: boolean
}

/** What a kind of credential asks beyond its number and days: a question of a form, of the kinds that stand in one line. */
export type CredentialField = {
  key: string
  label: string
  kind: CredentialFieldKind
  required: boolean
  help?: string
  /** What may be chosen: one of. */
  options?: readonly string[]
  /** What a number counts, or the currency of money (ISO 4217). */
  unit?: string
  translations?: Translations<'label' | 'help' | 'unit', 'options'>
  retired?: boolean
}
export const credentialFieldKinds = ['text', 'number', 'money', 'date', 'yes or no', 'one of'] as const
export type CredentialFieldKind = (typeof credentialFieldKinds)[number]

/** How the last day comes about: printed on the paper, so many months after the issue, or there is none. */
export type ValidityRule =
  | { kind: 'printed' }
  | { kind: 'months'; months: number; toEndOfMonth: boolean }
  | { kind: 'no end' }
export const validityRuleKinds = ['printed', 'months', 'no end'] as const

/** Who may read what is of this sensitivity: those who read files, those named for health, those named for money. */
export const sensitivities = ['usual', 'health', 'money'] as const
export type Sensitivity = (typeof sensitivities)[number]

/** What a kind of licence or certificate is called and needs. */
export type CredentialKind = Omit<Named, 'translations'> & {
  claim: 'licence' | 'certificate'
  validity: ValidityRule
  /** Days a renewal usually takes; within them before its last day it counts as expiring. */
  leadDays: number
  papers: string
  translations?: Translations<'name' | 'papers'>
  /** How the known issuer numbers it, see `numberPattern.ts`, with an example. */
  number?: { pattern: string; example: string }
  /** It is given for one of these regions. */
  regions?: readonly string[]
  /** It is a card or a licence whose back says something too. */
  bothSides: boolean
  /** It is given in steps, and its days are those of the steps. */
  series?: Series
  sensitivity: Sensitivity
  fields: readonly CredentialField[]
}

/** How institutions mark. */
export type MarkScale = Named & { scale: Scale }

/** A kind of paper that a form may ask for. */
export type DocumentKind = Omit<Named, 'translations'> & {
  /** What to give and what not, where it is asked for. */
  hint: string
  sensitivity: Sensitivity
  translations?: Translations<'name' | 'hint'>
}

/** What the organisation knows by name, and offers to choose. */
export type Catalogue = {
  credentials: readonly CredentialKind[]
  /** Levels of ISCED 2011, `0` to `8`. */
  levels: readonly Named[]
  /** Fields of ISCED-F 2013, four digits. */
  fields: readonly Named[]
  scales: readonly MarkScale[]
  documents: readonly DocumentKind[]
  /** Languages somebody may say they speak, by ISO 639-1. */
  languages: readonly Named[]
}
export const catalogueParts = ['credentials', 'levels', 'fields', 'scales', 'documents', 'languages'] as const
/** Keys of what a standard names, as regular expressions: ISCED 2011, ISCED-F 2013, ISO 639-1. */
export const cataloguePartKeys = { levels: '^[0-8]$', fields: '^\\d{4}$', languages: '^[a-z]{2}$' } as const
export type CataloguePart = (typeof catalogueParts)[number]

const nothing: Catalogue = { credentials: [], levels: [], fields: [], scales: [], documents: [], languages: [] }
let current = nothing

/**
 * Has everything go by a catalogue from now on. There is one for the whole organisation, like its words: the server sets the
 * newest, a page the one it was given. Since nothing leaves a catalogue, a newer one never makes what stands unreadable.
 */
export function goByCatalogue(catalogue: Catalogue) {
  current = catalogue
}

/** Goes by what a page was given besides; what is known already stays as it is. */
export function alsoGoBy(more: Catalogue) {
  const joined = <Thing extends { key: string }>(known: readonly Thing[], others: readonly Thing[]) => {
    const fresh = others.filter(({ key }) => !named(known, key))
    return fresh.length > 0 ? [...known, ...fresh] : known
  }
  current = {
    credentials: joined(current.credentials, more.credentials),
    levels: joined(current.levels, more.levels),
    fields: joined(current.fields, more.fields),
    scales: joined(current.scales, more.scales),
    documents: joined(current.documents, more.documents),
    languages: joined(current.languages, more.languages),
  }
}

/** The catalogue that holds now. */
export const catalogue = (): Catalogue => current

/** What is offered to choose: all but what was retired; that too where it is `chosen` already. */
export const offered = <Thing extends { key: string; retired?: boolean }>(
  things: readonly Thing[],
  ...chosen: readonly string[]
): Thing[] => things.filter(({ key, retired }) => !retired || chosen.includes(key))

const named = <Thing extends { key: string }>(things: readonly Thing[], key: string) =>
  things.find((thing) => thing.key === key)

export const credentialKind = (key: string): CredentialKind | undefined => named(current.credentials, key)
export const markScale = (key: string): MarkScale | undefined => named(current.scales, key)
export const documentKind = (key: string): DocumentKind | undefined => named(current.documents, key)
export const studyLevel = (level: number): Named | undefined => named(current.levels, String(level))
export const studyField = (code: string): Named | undefined => named(current.fields, code)
