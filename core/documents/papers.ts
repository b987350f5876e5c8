import { credentialKind } from '../catalogue/catalogue'

/** What a document is, of the papers a claim can need. */
export const paperParts = [
  'certificate',
  'transcript',
  'letter of award',
  'proof of enrolment',
  'transcripts of each term',
  'interim certificate',
  'receipt of application',
  'front',
  'back',
  'translation',
  'release form',
  'signed permission',
  'receipt of payment',
  'data page',
  'portrait',
  'one other paper',
  'second other paper',
  'other',
] as const
export type PaperPart = (typeof paperParts)[number]

/** Papers that stand in for one that is still to come, until a day. */
export const interimParts = ['interim certificate', 'receipt of application'] as const satisfies readonly PaperPart[]
export const isInterim = (part: PaperPart): boolean => interimParts.some((one) => one === part)

/** What a source wants with a question: it shows nothing of what is claimed. */
export const sourceParts = [
  'release form',
  'signed permission',
  'receipt of payment',
] as const satisfies readonly PaperPart[]
export const isForSource = (part: PaperPart): boolean => sourceParts.some((one) => one === part)

/** Papers that go with one and are never the one themselves. */
const besides = [
  'transcript',
  'transcripts of each term',
  'translation',
  'other',
  ...sourceParts,
] as const satisfies readonly PaperPart[]
/** Whether it is the paper itself, which ends what was only for a time. */
export const isFinal = (part: PaperPart): boolean => !isInterim(part) && !besides.some((one) => one === part)

/** One document behind a claim, as far as the list of papers looks at it. */
export type GivenPaper = { part: PaperPart; pages: number; translated: boolean }

export type PaperNeed = {
  /** Any one of these sets does; the first is the usual one. */
  sets: readonly (readonly PaperPart[])[]
  /** These stand in for a time, with the final paper owed by a day. */
  interim: readonly (readonly PaperPart[])[]
  /** What is missing of the set that is nearest to being whole. */
  missing: readonly PaperPart[]
  /** Originals that want a translation beside them. */
  untranslated: readonly PaperPart[]
  /** A link to the programme stands instead of papers. */
  linkInstead: boolean
}

export type StudyForPapers = {
  outcome?: 'finished' | 'in progress' | 'left'
  /** ISO 639-1; absent where it was not said. */
  language?: string
  link?: string
}

const finished: PaperNeed['sets'] = [['certificate'], ['transcript', 'letter of award']]
const underWay: PaperNeed['sets'] = [['proof of enrolment'], ['transcript']]
const left: PaperNeed['sets'] = [['transcript']]
const finishedForNow: PaperNeed['sets'] = [
  ['interim certificate', 'transcript'],
  ['interim certificate', 'transcripts of each term'],
]
const issuedForNow: PaperNeed['sets'] = [['receipt of application'], ['interim certificate']]

/**
 * The papers a study needs, and what of them is missing.
 *
 * Something finished is shown by its certificate, or by the transcript together with the letter of award; for a time by an interim
 * certificate with one full transcript or with the transcript of each term. Something in
 * progress needs no paper where there is a link to the programme. A paper in a language that is not accepted wants a
 * translation; the original stays what counts.
 *
 * @param accepted ISO 639-1 codes of the languages in which papers are read; empty accepts all
 */
export function papersOfStudy(
  study: StudyForPapers,
  given: readonly GivenPaper[],
  accepted: readonly string[],
): PaperNeed {
  const { outcome = 'finished', language, link } = study
  const sets = outcome === 'finished' ? finished : outcome === 'in progress' ? underWay : left
  const linkInstead = outcome === 'in progress' && Boolean(link)
  const foreign = language !== undefined && accepted.length > 0 && !accepted.includes(language)
  const interim = outcome === 'finished' ? finishedForNow : []
  return {
    sets,
    interim,
    missing: linkInstead ? [] : missingNow(sets, interim, given),
    untranslated: foreign
      ? given.filter(({ part, translated }) => part !== 'translation' && !translated).map(({ part }) => part)
      : [],
    linkInstead,
  }
}

/** The papers a licence or certificate needs: where its kind has two sides, both, on one scan or on two. */
export function papersOfCredential(bothSides: boolean, given: readonly GivenPaper[]): PaperNeed {
  const onOneScan = given.some(({ part, pages }) => pages >= 2 && part !== 'translation')
  const sides = bothSides && !onOneScan
  const sets: PaperNeed['sets'] = sides ? [['front', 'back']] : [['certificate']]
  const seen = given.map((paper) => ({ ...paper, part: sides ? asFront(paper.part) : asWhole(paper.part) }))
  const missing = missingNow(sets, issuedForNow, seen)
  return { sets, interim: issuedForNow, missing, untranslated: [], linkInstead: false }
}

/** What shows who somebody is: a passport by its page of data, a card by both sides, or two other papers and a portrait. */
export function papersOfIdentity(
  paper: 'passport' | 'identity card' | 'residence permit' | 'two others',
  given: readonly GivenPaper[],
): PaperNeed {
  if (paper === 'passport') return needOfSets([['data page']], given)
  if (paper !== 'two others') return { ...papersOfCredential(true, given), interim: [] }
  return needOfSets([['one other paper', 'second other paper', 'portrait']], given)
}

const needOfSets = (sets: PaperNeed['sets'], given: readonly GivenPaper[]): PaperNeed => ({
  sets,
  interim: [],
  missing: missingOf(sets, given),
  untranslated: [],
  linkInstead: false,
})

/** A single page that was not said to be a side is taken for the front. */
const asFront = (part: PaperPart): PaperPart => (part === 'certificate' ? 'front' : part)
const asWhole = (part: PaperPart): PaperPart => (part === 'front' || part === 'back' ? 'certificate' : part)

/** Nobody is asked for what stands in; who has given some of it is asked for the rest of that. */
const missingNow = (sets: PaperNeed['sets'], interim: PaperNeed['interim'], given: readonly GivenPaper[]) =>
  missingOf(given.some(({ part }) => isInterim(part)) ? [...interim, ...sets] : sets, given)

function missingOf(sets: PaperNeed['sets'], given: readonly GivenPaper[]): readonly PaperPart[] {
  const have = new Set(given.map(({ part }) => part))
  const lacks = sets.map((set) => set.filter((part) => !have.has(part)))
  return lacks.reduce((least, lack) => (lack.length < least.length ? lack : least))
}

/** A document as it is filed. */
export type FiledPaper = {
  id: string
  part: PaperPart
  pages: number
  translationOf: string | null
  state: 'to look at' | 'seen' | 'sent back' | 'replaced' | 'discarded'
}

/** Documents that stand for something: one that was sent back or replaced does not. */
export const counted = <P extends FiledPaper>(documents: readonly P[]): P[] =>
  documents.filter(({ state }) => state === 'to look at' || state === 'seen')

export const isTranslated = (documents: readonly FiledPaper[], id: string) =>
  counted(documents).some(({ translationOf }) => translationOf === id)

/** Filed documents as the list of papers looks at them. */
export const givenPapers = (documents: readonly FiledPaper[]): GivenPaper[] =>
  counted(documents)
    .filter(({ part }) => !isForSource(part))
    .map(({ id, part, pages }) => ({ part, pages, translated: isTranslated(documents, id) }))

type Claimed =
  | ({ kind: 'study' } & StudyForPapers)
  | { kind: 'identity'; paper: Parameters<typeof papersOfIdentity>[0] }
  | { kind: 'licence' | 'certificate'; credential: string }
  | { kind: 'work' | 'residence' | 'paper' | 'language' | 'attestation' }

/** What papers a claim needs; nothing where its kind needs none in particular. */
export function papersOfClaim(
  claim: Claimed,
  documents: readonly FiledPaper[],
  accepted: readonly string[],
): PaperNeed | undefined {
  const given = givenPapers(documents)
  if (claim.kind === 'study') return papersOfStudy(claim, given, accepted)
  if (claim.kind === 'identity') return papersOfIdentity(claim.paper, given)
  if ('credential' in claim) return papersOfCredential(credentialKind(claim.credential)?.bothSides ?? false, given)
  return undefined
}
