import type { File, FileClaim } from '#contract/desk'
import type { Proof } from '#contract/verification'
import { type FieldKey, fieldKeys } from '#core/comparison/compareClaim'
import { covered, type HiddenKind, hiddenKindOfClaim, kindOfSubject, mayReveal } from '#core/privacy/hidden'
import { comparisonSentence } from '#core/words/comparison'
import { say } from '#core/words/say'
import { labelOf } from '../records/claims/label'
import { namelessDetails, namelessFields } from '../records/claims/namelessDetails'
import { coveredFlag } from '../redFlags/flagLines'
import { hiddenWords } from './accessLog'
import { coverFor, type Reader } from './redactionFor'

type Details = FileClaim['details']

/** What of a claim a reader sees. */
type Sight = {
  /** The fields that are compared, by their keys; of others only how they come out. */
  fields: ReadonlySet<FieldKey>
  /** What stands instead of the text of a field that is not seen. */
  instead: (text: string) => string
  details: (details: Details) => Details
  papers: boolean
  /** What sources and colleagues wrote in their own words. */
  notes: boolean
}

/**
 * The view of a file that its reader may have, made from what they may see: whatever is new in a file stays out of the view
 * of those who read without names until it is named here.
 *
 * @param hidesName whether the vacancy hides names in this stage
 */
export function fileView(file: File, { roles, rights, shown, hidesName }: Reader & { hidesName: boolean }): File {
  const { hidden, covers } = coverFor({ roles, rights, shown })
  const born = file.candidate.born !== null && covers('birth date')
  const known = file.claims.map((claim) => {
    const sight = sightOf(claim, covers, born)
    return sight ? claimView(claim, sight) : claim
  })
  const named = hidesName && covers('name')
  for (const { hidden: subject } of file.answers)
    if (subject && !hidden.some((part) => part.subject === subject) && !shown.has(subject))
      hidden.push({
        subject,
        label: hiddenWords(kindOfSubject(subject)!),
        mayReveal: mayReveal(rights, subject as HiddenKind),
      })
  const view = {
    ...file,
    candidate: { ...file.candidate, born: born ? null : file.candidate.born },
    claims: known,
    hidden,
  }
  return named ? namelessView(view) : view
}

/**
 * What stands behind a claim as its reader may see it.
 *
 * @param hidesName whether the vacancy hides names in this stage
 */
export function proofView(
  proof: Proof,
  { id, details }: Pick<FileClaim, 'id' | 'details'>,
  { roles, rights, shown, hidesName }: Reader & { hidesName: boolean },
): Proof {
  const { covers } = coverFor({ roles, rights, shown })
  const sight = sightOf({ id, details, label: '' }, covers, covers('birth date'))
  const known = sight ? seenThrough(proof, sight) : proof
  return hidesName && covers('name') ? seenThrough(onlyCompared(known), nameless) : known
}

/** What a reader sees of a claim where that is not all. */
function sightOf(
  { id, details, label }: Pick<FileClaim, 'id' | 'details' | 'label'>,
  covers: ReturnType<typeof coverFor>['covers'],
  born: boolean,
): Sight | undefined {
  const kind = hiddenKindOfClaim(details)
  const closed = kind !== undefined && covers(kind, `${label}: ${hiddenWords(kind)}`, id)
  return closed || born ? sightWithout({ number: closed, born }) : undefined
}

/** What is left to see of claims whose number, or whose person's day of birth, is hidden. */
const sightWithout = (hides: { number: boolean; born: boolean }): Sight => ({
  fields: new Set(
    fieldKeys.filter(
      (key) => !((key === 'number' || key === 'amount') && hides.number) && !(key === 'born' && hides.born),
    ),
  ),
  instead: covered,
  details: (details) => {
    const number = hides.number && 'number' in details ? { number: covered(details.number), fields: undefined } : {}
    // Of a series it is only seen when its next step is due.
    const steps = hides.number && 'steps' in details ? { steps: undefined, issued: '' } : {}
    const born = hides.born ? { born: '' } : {}
    return details.kind === 'identity'
      ? { ...details, ...number, ...born, zone: '' }
      : { ...details, ...number, ...steps }
  },
  papers: !hides.number,
  notes: !hides.number,
})

const nameless: Sight = {
  fields: namelessFields,
  instead: () => '',
  details: namelessDetails,
  papers: false,
  notes: false,
}

/** A claim made from what is seen of it. */
function claimView(claim: FileClaim, sight: Sight): FileClaim {
  const { id, version, credentialVersion, rung, confirmed, saidAt, wants, by, asked, restricted, flags } = claim
  const { details, papers } = sight
  const own = details(claim.details)
  const readable = (line: FileClaim['documents'][number]) => ({ ...line, reads: textsSeen(line.reads, sight) })
  return {
    ...{ id, version, credentialVersion, rung, confirmed, saidAt, wants, by, asked, restricted, flags },
    details: own,
    label: labelOf(own),
    documents: papers ? claim.documents.map(readable) : [],
    earlier: claim.earlier.map((before) => ({
      credentialVersion: before.credentialVersion,
      details: details(before.details),
      rung: before.rung,
      replacedAt: before.replacedAt,
      documents: papers ? before.documents.map(readable) : [],
    })),
  }
}

const textsSeen = <Text extends string | undefined>(said: Record<string, Text>, { fields, instead }: Sight) =>
  Object.fromEntries(
    Object.entries(said).map(([key, text]) => [key, text && !fields.has(key as FieldKey) ? instead(text) : text]),
  ) as Record<string, Text>

/** What stands behind a claim, made from what is seen of it. */
function seenThrough(proof: Proof, sight: Sight): Proof {
  const { fields, instead, notes } = sight
  const comparison = {
    outcome: proof.comparison.outcome,
    weighing: proof.comparison.weighing,
    explanations: proof.comparison.explanations.filter(({ key }) => fields.has(key)),
    fields: proof.comparison.fields.map((field) => (fields.has(field.key) ? field : unseen(field, instead))),
  }
  const toldWhole = notes && comparison.explanations.length === proof.comparison.explanations.length
  return {
    version: proof.version,
    fields: proof.fields,
    claimed: textsSeen(proof.claimed, sight),
    standing: proof.standing,
    // One that somebody has proposed may be their own firm.
    source: notes || proof.source?.state !== 'proposed' ? proof.source : null,
    seller: proof.seller,
    programme: proof.programme,
    research: proof.research,
    comparison,
    sentence: toldWhole ? proof.sentence : comparisonSentence(comparison),
    enquiries: notes
      ? proof.enquiries
      : proof.enquiries.map((line) => ({
          ...line,
          ...{ respondent: null, note: null },
          // Whom it went to and what was said may name who it is about.
          steps: line.steps.map((step) => ({ ...step, to: '', note: '' })),
        })),
    findings: notes
      ? proof.findings
      : proof.findings.map((line) => ({
          ...line,
          note: '',
          basis: line.basis && 'record' in line.basis ? { ...line.basis, record: '' } : line.basis,
        })),
    review: proof.review && (notes ? proof.review : { ...proof.review, views: [], told: [], answer: null }),
    flags: proof.flags.map((flag) =>
      !notes || (flag.kind === 'too young' && !fields.has('born')) ? coveredFlag(flag) : flag,
    ),
    proposed: proof.proposed,
    register: proof.register,
    // That characters were taken for others is told; which, would tell what stands there.
    zone: proof.zone && {
      ...proof.zone,
      mended: proof.zone.mended.map(({ field }) => ({ field, read: '', as: '' })),
    },
  }
}

/** A claim whose statement says only what is compared by its own kind: the same key means an address at one, a title at another. */
function onlyCompared(proof: Proof): Proof {
  const compared = new Set<string>(proof.fields.map(({ key }) => key))
  const claimed = Object.fromEntries(Object.entries(proof.claimed).filter(([key]) => compared.has(key)))
  return { ...proof, claimed }
}

type Compared = Proof['comparison']['fields'][number]

/** That a field was compared and how it comes out, without what any side says. */
function unseen(field: Compared, instead: Sight['instead']): Compared {
  const text = (said: string | undefined) => said && instead(said)
  return {
    ...field,
    claimed: instead(field.claimed),
    document: text(field.document),
    source: text(field.source),
    byDocument: { verdict: field.byDocument.verdict, reasons: [], places: [] },
    bySource: { verdict: field.bySource.verdict, reasons: [], places: [] },
  }
}

/** A file as it is read where names are hidden: no papers, and nothing that anybody wrote in words of their own. */
function namelessView(file: File): File {
  const { candidate, reference } = file
  return {
    id: file.id,
    version: file.version,
    candidate: { ...candidate, name: reference ?? say('hidden.thisPerson'), mail: '', born: null },
    firstLook: {
      ...file.firstLook,
      blanks: file.firstLook.blanks.map((blank) => ({ ...blank, because: '' })),
    },
    scoring: file.scoring,
    duplicates: [],
    onBehalf: null,
    owner: file.owner,
    watching: file.watching,
    hidden: file.hidden,
    reference,
    vacancy: file.vacancy,
    stage: file.stage,
    today: file.today,
    targetStart: file.targetStart,
    likely: file.likely,
    slack: file.slack,
    heldUpBy: file.heldUpBy,
    help: file.help,
    nextGate: file.nextGate,
    met: file.met,
    claims: file.claims.map((claim) => claimView(claim, nameless)),
    answers: file.answers,
    changes: file.changes,
    reopened: file.reopened.map((part) => ({ ...part, reason: '', differences: [] })),
    vouchings: [],
    parts: file.parts,
    requirements: file.requirements,
    outcomes: file.outcomes,
    words: file.words,
    historyYears: file.historyYears,
    toleratedGapDays: file.toleratedGapDays,
    checks: file.checks,
    waivers: file.waivers.map((waiver) => ({ ...waiver, reason: '' })),
    offer: file.offer,
    gatesPassed: file.gatesPassed,
    trail: [],
  }
}
