import { compareNames } from '../comparison/names'
import type { FlagFacts, PersonElsewhere } from './facts'
import type { RedFlag } from './redFlag'

const fits = (names: readonly string[], said: string) =>
  names.some((name) => ['same', 'equivalent'].includes(compareNames(name, said).verdict))

/** Papers whose name is not that of this file and is, letter by letter or but for its writing, that of another. */
export function namesOfOthers({ papers, person, peopleElsewhere }: FlagFacts): RedFlag[] {
  return papers.flatMap(({ name, born, sha256, claimId, documentId, label }): RedFlag[] => {
    if (!name || person.names.some((own) => compareNames(own, name.value).verdict !== 'different')) return []
    return peopleElsewhere
      .filter((other) => fits(other.names, name.value) && agrees(born, other))
      .map(({ candidateId }) => ({
        kind: 'name of another',
        about: `${sha256} ${candidateId}`,
        at: { claimId, documentId, ...(name.place ? { place: name.place } : {}) },
        other: { candidateId },
        values: { claim: label },
      }))
  })
}

/** The birth date speaks against it only where both are known. */
const agrees = (born: string | undefined, other: PersonElsewhere) => !born || !other.born || born === other.born
