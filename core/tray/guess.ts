import { namePartsOf, plainNumber } from '../comparison/keys'

/** A place in a file that a paper may belong to. */
export type Place = {
  applicationId: string
  claimId: string
  /** What the file wants there: nothing has come yet, something was sent back, or a paper is there already. */
  wants: 'nothing yet' | 'better copy' | 'has one'
  name: string
  reference: string
  label: string
  source: string
  number: string
  /** The paper before it in the scan was filed to the same person. */
  neighbour: boolean
}

export type Guess = {
  applicationId: string
  claimId: string
  weight: number
  because: ('sheet' | 'name' | 'reference' | 'number' | 'source' | 'awaited' | 'neighbour')[]
}

const weights: Record<Guess['because'][number], number> = {
  sheet: 100,
  reference: 60,
  number: 50,
  name: 30,
  source: 15,
  neighbour: 20,
  awaited: 8,
}
const leastShown = 20

/**
 * The places a paper most likely belongs to, the likeliest first, with what speaks for each.
 *
 * @param words the words on its pages, as far as they can be read; may be empty for pictures
 * @param most how many to give
 */
export function guessPlaces(words: string, places: readonly Place[], most = 3): Guess[] {
  const parts = new Set(namePartsOf(words))
  const plain = plainNumber(words)
  return places
    .map((place): Guess => {
      const nameParts = namePartsOf(place.name)
      const because: Guess['because'] = []
      if (place.reference && plain.includes(plainNumber(place.reference))) because.push('reference')
      if (plainNumber(place.number).length >= 4 && plain.includes(plainNumber(place.number))) because.push('number')
      if (nameParts.length > 1 && nameParts.every((part) => parts.has(part))) because.push('name')
      const source = namePartsOf(place.source)
      if (source.length > 0 && source.every((part) => parts.has(part))) because.push('source')
      if (place.neighbour) because.push('neighbour')
      if (place.wants !== 'has one') because.push('awaited')
      return {
        applicationId: place.applicationId,
        claimId: place.claimId,
        weight: because.reduce((sum, reason) => sum + weights[reason], 0),
        because,
      }
    })
    .filter(({ weight }) => weight >= leastShown)
    .sort((a, b) => b.weight - a.weight || (a.claimId < b.claimId ? -1 : 1))
    .slice(0, most)
}
