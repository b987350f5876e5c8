import { type Standing, standingStates } from '#core/validity/validity'

/** What a register says about a number: fields as text, or that it does not know it. */
export type RegisterEntry = { found: false } | { found: true; fields: Record<string, string>; standing?: Standing }

export type Registers = { lookUp: (register: string, number: string) => Promise<RegisterEntry> }

export class RegisterSilent extends Error {}

/**
 * Asks registers over HTTP: `GET {base}/{register}/{number}` answers JSON, 404 where the number is unknown:
 * `{ fields, standing?, standingFrom?, standingThrough? }`, the standing one of good, restricted, suspended, revoked, its days
 * ISO dates. A word that is none of these is no answer: it must not be taken for good.
 */
export function httpRegisters(base: string, patienceMs: number): Registers {
  return {
    lookUp: async (register, number) => {
      const url = `${base}/${encodeURIComponent(register)}/${encodeURIComponent(number)}`
      const response = await fetch(url, {
        signal: AbortSignal.timeout(patienceMs),
        headers: { Accept: 'application/json' },
      }).catch((error: unknown) => {
        throw new RegisterSilent('the register did not answer', { cause: error })
      })
      if (response.status === 404) return { found: false }
      if (!response.ok) throw new RegisterSilent(`the register answered ${response.status}`)
      const entry = (await response.json()) as Answer
      if (typeof entry.fields !== 'object' || entry.fields === null)
        throw new RegisterSilent('the register answered in another form than agreed')
      const fields = Object.fromEntries(Object.entries(entry.fields).map(([key, value]) => [key, String(value)]))
      return { found: true, fields, standing: standingIn(entry) }
    },
  }
}

type Answer = {
  fields?: Record<string, unknown>
  standing?: unknown
  standingFrom?: unknown
  standingThrough?: unknown
}

function standingIn({ standing, standingFrom, standingThrough }: Answer): Standing | undefined {
  if (standing === undefined || standing === null) return undefined
  const state = standingStates.find((one) => one === standing)
  if (!state) throw new RegisterSilent('the register answered with a standing that was not agreed')
  const day = (value: unknown) => (typeof value === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(value) ? value : undefined)
  return { state, from: day(standingFrom), through: day(standingThrough) }
}
