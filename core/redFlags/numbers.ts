import { numberIs } from '../catalogue/numberPattern'
import { plainNumber } from '../comparison/keys'
import type { ClaimOfFlags, FlagFacts } from './facts'
import type { RedFlag } from './redFlag'

/** A number that short is somebody else's by chance. */
const shortest = 4

/** Numbers that their source would not have given, or that stand in somebody else's file. */
export const oddNumbers = (facts: FlagFacts): RedFlag[] =>
  facts.claims
    .filter(({ number }) => number.trim() !== '')
    .flatMap((claim) => [...breaksItsPattern(claim), ...ofAnother(claim, facts)])

/** Spaces that people put in between are theirs. */
const fits = (pattern: string, number: string) =>
  numberIs(pattern, number) || numberIs(pattern, number.replace(/\s+/g, ''))

function breaksItsPattern({ id, kind, number, label, source }: ClaimOfFlags): RedFlag[] {
  const formats = source?.numberFormats.filter(({ claim }) => claim === kind) ?? []
  if (formats.length === 0 || formats.some(({ pattern }) => fits(pattern, number))) return []
  return [
    {
      ...{ kind: 'number pattern', about: `${id} ${plainNumber(number)}`, at: { claimId: id } },
      values: { claim: label, number, source: source!.name, example: formats[0]!.example },
    },
  ]
}

function ofAnother(claim: ClaimOfFlags, { numbersElsewhere }: FlagFacts): RedFlag[] {
  const own = plainNumber(claim.number)
  if (own.length < shortest) return []
  return numbersElsewhere
    .filter(
      ({ number, kind, sourceId }) =>
        plainNumber(number) === own &&
        kind === claim.kind &&
        // Two bodies may count alike; where it is not known who gave it, it is worth a look.
        (sourceId === null || !claim.source || sourceId === claim.source.id),
    )
    .map(({ claimId, candidateId }) => ({
      ...{ kind: 'number of another' as const, about: `${claim.id} ${own} ${candidateId}`, at: { claimId: claim.id } },
      ...{ other: { candidateId, claimId }, values: { claim: claim.label, number: claim.number } },
    }))
}
