import { readCreditorReference } from './reference'

/** A transfer that came in, as a statement tells it. Minor units. */
export type Incoming = { amount: number; currency: string; reference: string; text: string; payer: string }

/** Something that may be paid by it. */
export type Payable = { id: string; reference: string; owed: number; currency: string; name: string }

/** What of a transfer goes to what, and how sure that is: by its reference it is, by amount and name somebody looks. */
export type Match =
  | { by: 'reference'; parts: { id: string; amount: number }[] }
  | { by: 'amount and name'; candidates: string[] }
  | { by: 'nothing' }

/** Every creditor reference of ours that a text names, whatever spaces somebody put into it; each once, in their order. */
export function referencesIn(text: string, ours: ReadonlySet<string>): string[] {
  const plain = text.toUpperCase().replace(/[^0-9A-Z]/g, '')
  const found = [...plain.matchAll(/RF\d{2}/g)].flatMap(({ index }) => {
    const rest = plain.slice(index)
    // The longest that is one of ours, since a text may go on behind it without a space.
    for (let length = Math.min(25, rest.length); length > 4; length -= 1) {
      const reference = readCreditorReference(rest.slice(0, length))
      if (reference && ours.has(reference)) return [reference]
    }
    return []
  })
  return [...new Set(found)]
}

/**
 * What a transfer pays. One with references goes to what they name: with several, to each what it owes in their order, and what is
 * left to the last. One without is only proposed for what owes exactly its amount and whose payer's name shares a word with it.
 *
 * @param payables what was charged in its currency; what owes nothing any more can still be named by its reference
 */
export function matchTransfer(transfer: Incoming, payables: readonly Payable[]): Match {
  const same = payables.filter(({ currency }) => currency === transfer.currency)
  const byReference = new Map(same.map((payable) => [payable.reference, payable]))
  const named = referencesIn(`${transfer.reference} ${transfer.text}`, new Set(byReference.keys())).map(
    (reference) => byReference.get(reference)!,
  )
  if (named.length > 0) return { by: 'reference', parts: shared(transfer.amount, named) }
  const words = wordsOf(`${transfer.payer} ${transfer.text}`)
  const candidates = same.filter(
    ({ owed, name }) => owed > 0 && owed === transfer.amount && [...wordsOf(name)].some((word) => words.has(word)),
  )
  return candidates.length > 0
    ? { by: 'amount and name', candidates: candidates.map(({ id }) => id) }
    : { by: 'nothing' }
}

function shared(amount: number, named: readonly Payable[]): { id: string; amount: number }[] {
  let left = amount
  return named.flatMap(({ id, owed }, nth) => {
    const part = nth === named.length - 1 ? left : Math.min(left, Math.max(0, owed))
    left -= part
    return part > 0 ? [{ id, amount: part }] : []
  })
}

const wordsOf = (text: string): Set<string> =>
  new Set(
    text
      .normalize('NFD')
      .replace(/\p{M}/gu, '')
      .toLowerCase()
      .split(/[^\p{L}]+/u)
      .filter((word) => word.length > 2),
  )
