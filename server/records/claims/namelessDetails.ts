import type { ClaimDetails } from '#contract/claims'
import type { FieldKey } from '#core/comparison/compareClaim'

/**
 * A claim as it is read where names are hidden: what was learnt, done and held, when, and with sources that are known to the
 * house. Whatever is new in a claim is not read there until it is named here.
 */
export function namelessDetails(details: ClaimDetails): ClaimDetails {
  switch (details.kind) {
    case 'study': {
      const { kind, award, subject, level, field, from, to, country, language, outcome, expected } = details
      const seen = { kind, award, subject, level, field, from, to, country, language, outcome, expected }
      return { ...seen, ...knownSource(details), number: '' }
    }
    case 'work': {
      const { kind, activity, position, from, to, fullTimeShare, tags, mayAsk } = details
      return { kind, activity, position, from, to, fullTimeShare, tags, mayAsk, ...knownSource(details), confirmBy: '' }
    }
    case 'residence': {
      const { kind, country, from, to } = details
      return { kind, country, from, to, ...noSource, address: '' }
    }
    case 'licence':
    case 'certificate': {
      const { kind, credential, issued, through } = details
      return { kind, credential, issued, through, ...knownSource(details), number: '' }
    }
    case 'identity': {
      const { kind, paper, through } = details
      const unnamed = { number: '', issuer: '', familyName: '', givenNames: '', born: '', zone: '' }
      return { kind, paper, through, ...unnamed, ...noSource }
    }
    case 'paper': {
      const { kind, question, title, videoSeconds } = details
      return { kind, question, title, videoSeconds, ...noSource }
    }
  }
}

const noSource = { sourceId: null, sourceName: '' }

/** A name somebody typed for a source may be their own firm's. */
const knownSource = ({ sourceId, sourceName }: ClaimDetails) => (sourceId ? { sourceId, sourceName } : noSource)

/** What is compared with documents and sources that tells nobody whose it is. */
export const namelessFields: ReadonlySet<FieldKey> = new Set<FieldKey>([
  'title',
  'issued',
  'through',
  'award',
  'subject',
  'awarded',
  'position',
  'from',
  'to',
])
