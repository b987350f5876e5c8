import type { Temporal } from 'temporal-polyfill'
import type { PartialDate } from '../dates/partialDate'
import type { HowRead, Place } from '../reading/paperText'
import type { ClaimKind } from '../requirements/claimKind'
import type { SellerMatch } from '../sources/sellers'
import type { Contact, NumberFormat } from '../sources/source'
import type { StoredValue } from '../words/stored'

/** The end of a stretch, or of a paper's validity, as far as it is a date. */
type When = PartialDate | undefined

export type ClaimOfFlags = {
  id: string
  kind: ClaimKind
  label: StoredValue
  number: string
  from?: When
  to?: When
  /** When it was given: the end of a study, the issue of a licence. */
  given?: When
  /** ISCED 2011, of a study. */
  level?: number
  /** Per cent of full time, of a job that is held or was. */
  share?: number
  isPresent?: boolean
  source?: SourceOfFlags
  sourceName: string
  seller?: SellerMatch
  /** What its candidate said of how its source is reached. */
  said?: { mail: string; phone: string }
}

export type SourceOfFlags = {
  id: string
  name: string
  existedFrom: number | null
  existedTo: number | null
  numberFormats: readonly NumberFormat[]
  contacts: readonly Pick<Contact, 'mail' | 'phone' | 'checked'>[]
}

/** How a file was made, as far as it says. */
export type Making = {
  /** A signature in a PDF covers it whole, or something was changed or added after it. */
  signed: 'not' | 'whole' | 'changed'
  /** The programs it says it was made with. */
  software: string[]
  /** Text that lies over a picture of a page. */
  overPicture: { text: string; place: Place }[]
  /** Words with digits whose characters are of several fonts. */
  mixedFonts: { text: string; place: Place }[]
}

export type PaperOfFlags = {
  documentId: string
  claimId: string
  sha256: string
  /** Of the claim it stands behind. */
  label: StoredValue
  making?: Making
  /** What it looks like, page by page (`pictureHash`); of an empty page nothing. */
  pictures: readonly (string | null)[]
  how?: HowRead
  /** The name and birth date it says. */
  name?: { value: string; place?: Place }
  born?: string
}

/** A paper of another file that may be the same. */
export type PaperElsewhere = {
  documentId: string
  claimId: string
  candidateId: string
  sha256: string
  pictures: readonly (string | null)[]
}

/** A number that stands in another file too. */
export type NumberElsewhere = {
  claimId: string
  candidateId: string
  number: string
  kind: ClaimKind
  sourceId: string | null
}

/** Somebody whose name sounds like one on a paper. */
export type PersonElsewhere = { candidateId: string; names: readonly string[]; born: string | null }

export type AnswerOfFlags = {
  enquiryId: string
  claimId: string
  /** The address it came from; nothing where it came by another way than mail. */
  from?: string
  askedAt: string
  answeredAt: string
  /** When somebody made sure of the contact it was asked of, where that was not before anybody here asked. */
  contactSince?: string
  /** An earlier answer had come from it. */
  answeredBefore: boolean
}

export type VouchingOfFlags = { id: string; name: string; mail: string }

/** What the patterns are looked for in: one file, and what of others may belong to it. */
export type FlagFacts = {
  today: Temporal.PlainDate
  person: {
    names: readonly string[]
    born: string | null
    mails: readonly string[]
    phones: readonly string[]
  }
  claims: readonly ClaimOfFlags[]
  papers: readonly PaperOfFlags[]
  answers: readonly AnswerOfFlags[]
  vouchings: readonly VouchingOfFlags[]
  papersElsewhere: readonly PaperElsewhere[]
  numbersElsewhere: readonly NumberElsewhere[]
  peopleElsewhere: readonly PersonElsewhere[]
  /** Domains where anybody can have an address. */
  freeMail: ReadonlySet<string>
}
