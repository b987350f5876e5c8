import type { ClaimKind } from '../requirements/claimKind'
import type { SourceLanguage } from '../words/say'

/** Who issues what people claim. Universities and schools are both educational institutions. */
export const sourceKinds = [
  'university',
  'school',
  'licensing body',
  'certifier',
  'insurer',
  'employer',
  'referee',
] as const
export type SourceKind = (typeof sourceKinds)[number]

/** What a name is beside the one it goes by: its short form, one it went by before, one in another language or script. */
export const nameUses = ['other', 'short', 'earlier'] as const
export type SourceName = {
  name: string
  use: (typeof nameUses)[number]
  /** Of an earlier name: the last year it was used. */
  until?: number
}

/** What a contact is asked about. */
export const purposes = ['degree records', 'licences', 'employment', 'disputes'] as const
export type Purpose = (typeof purposes)[number]

/** The kinds of claims that somebody issued. */
export const issuedClaims = ['study', 'licence', 'certificate', 'language', 'attestation', 'work'] as const
export type IssuedClaim = (typeof issuedClaims)[number]

/** How a contact was made sure of, never from what the candidate says. */
export const contactChecks = ['own website', 'switchboard', 'public register', 'letter', 'known from before'] as const
export type ContactCheck = (typeof contactChecks)[number]

/** What is said of a contact; an empty text is not known. */
export type ContactGiven = {
  id: string
  /** Empty: whatever the others are not for. */
  purposes: Purpose[]
  /** Office or person. */
  name: string
  mail: string
  phone: string
  /** For letters, in lines. */
  address: string
}
export type Contact = ContactGiven & {
  enteredBy: string
  enteredById: string | null
  /** Null before a second person has made sure of it. */
  checked: { how: ContactCheck | null; by: string; at: string } | null
}

/** The ways a source can be asked. */
export const channels = ['link', 'register', 'letter', 'telephone', 'credential', 'direct issue'] as const
export type Channel = (typeof channels)[number]

export const conditionKinds = ['own form', 'signature', 'copy of the paper', 'number', 'fee', 'language'] as const
export type SourceCondition = {
  id: string
  kind: (typeof conditionKinds)[number]
  /** The kinds of claims it is set for; empty for all. */
  claims: IssuedClaim[]
  /** Why, in the source's words. */
  reason: string
  /** Of a language: the one its paper has to be in, ISO 639-1, or to be translated into. */
  language?: string
  /** Of an own form: the PDF it is, and what its fields are filled with. */
  form?: SourceForm
}

/** A form a source has sent us: a file that is here, by its SHA-256, and what each of its fields is filled with. */
export type SourceForm = { sha256: string; fileName: string; fill: Readonly<Record<string, FormValue>> }

/** What the fields of a form can be filled with; the signature and its day are the candidate's own, by hand. */
export const formValues = [
  'by hand',
  'name',
  'family name',
  'given names',
  'born',
  'mail',
  'number',
  'title',
  'award',
  'subject',
  'position',
  'from',
  'to',
  'source',
  'house',
  'house address',
  'reference',
] as const
export type FormValue = (typeof formValues)[number]

export type Accreditation = {
  /** Who says so. */
  by: string
  basis: 'accredited' | 'assessed'
  /** Years, both included; null while it goes on. */
  from: number
  to: number | null
}
export type Programme = {
  title: string
  award: string
  /** ISCED 2011. */
  level: number
  /** ISCED-F 2013. */
  field: string
  /** Of instruction, ISO 639-1. */
  language: string
  link?: string
  /** Years in which it was offered; null where not known or going on. */
  from?: number | null
  to?: number | null
  accreditations?: Accreditation[]
}

/** Who signs a source's digital credentials: by which identifier, with which public keys, and where it says what it has taken back. */
export type IssuerKeys = {
  /** A URL or DID, as it stands in the credential. */
  id: string
  keys: PublicKey[]
  /** The addresses of its status lists; no other is ever asked. */
  statusLists: string[]
}
/** A public key as a JWK (RFC 7517): Ed25519 (RFC 8037) or P-256. */
export type PublicKey = { kid: string; kty: 'OKP' | 'EC'; crv: 'Ed25519' | 'P-256'; x: string; y?: string }

export type NumberFormat = { claim: 'study' | 'licence' | 'certificate'; pattern: string; example: string }
export type Closure = { from: string; to: string; why: string }
export type Successor = { name: string; year: number | null }

/** In minor units; ISO 4217. */
export type Money = { amount: number; currency: string }

/** What is known of a source, as the desk writes it. */
export type SourceFacts = {
  name: string
  names: SourceName[]
  kind: SourceKind
  town: string
  region: string
  /** ISO 3166-1. */
  country: string
  /** Years; null where not known, or where it is there still. */
  existedFrom: number | null
  existedTo: number | null
  /** Bodies it was merged into, with the year. */
  successors: Successor[]
  contacts: ContactGiven[]
  /** In order of preference. */
  channels: Channel[]
  /** The register it keeps, as the register service knows it. */
  register: string | null
  /** When it is closed beside the holidays of its country. */
  closures: Closure[]
  conditions: SourceCondition[]
  /** What one enquiry costs, in minor units. */
  cost: Money | null
  answerWorkingDays: number
  /** What it does faster for more money; null where it does not. */
  faster?: { answerWorkingDays: number; cost: Money } | null
  /** Whether it wants several people in one letter or mail. */
  together?: boolean
  /** What it is written to in; empty or missing where that follows from where it is. */
  language?: SourceLanguage | ''
  /** By what its digital credentials are known; null where it issues none. */
  issuer?: IssuerKeys | null
  numberFormats: NumberFormat[]
  programmes: Programme[]
  notes: string
}

const purposeOf: Partial<Record<ClaimKind, Purpose>> = {
  study: 'degree records',
  licence: 'licences',
  certificate: 'licences',
  language: 'licences',
  attestation: 'licences',
  work: 'employment',
}

/**
 * Who at a source can be asked about a kind of claim, best first: the contacts for just that, then those for nothing else in
 * particular, then any other that is not for disputes.
 *
 * @param way what has to be known of the contact
 */
export function contactsFor<C extends ContactGiven>(
  { contacts }: { contacts: readonly C[] },
  claim: ClaimKind,
  way: 'mail' | 'phone' | 'address' = 'mail',
): C[] {
  const purpose = purposeOf[claim]
  const rank = ({ purposes: of }: C) => {
    if (purpose && of.includes(purpose)) return 0
    return of.length === 0 ? 1 : 2
  }
  return contacts
    .filter((contact) => contact[way] !== '' && (rank(contact) < 2 || !contact.purposes.includes('disputes')))
    .sort((one, other) => rank(one) - rank(other))
}

/** The best of them. */
export const contactFor = <C extends ContactGiven>(
  source: { contacts: readonly C[] },
  claim: ClaimKind,
  way: 'mail' | 'phone' | 'address' = 'mail',
): C | undefined => contactsFor(source, claim, way)[0]
