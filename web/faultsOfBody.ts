import { checks } from 'virtual:checks'
import { type Fault, faultsIn } from '#contract/faults'
import { loadWords } from './words'

/**
 * What is wrong with what is about to be sent, by the contract's own shape and in the server's own words; nothing where it is
 * right, and where the check cannot be fetched: the server checks it in any case.
 */
export async function faultsOfBody(name: string, body: unknown): Promise<Fault[]> {
  const load = checks[name]
  if (!load) return []
  try {
    const [{ validate }] = await Promise.all([load(), loadWords('checking')])
    // As it will be on the wire: what is undefined is not there.
    return validate(JSON.parse(JSON.stringify(body))) ? [] : faultsIn(validate.errors ?? [], '/body')
  } catch {
    return []
  }
}
