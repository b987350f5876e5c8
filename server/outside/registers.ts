/** What a register says about a number: fields as text, or that it does not know it. */
export type RegisterEntry =
  | { found: false }
  | { found: true; fields: Record<string, string>; standing: 'good' | 'suspended' | 'revoked' }

export type Registers = { lookUp: (register: string, number: string) => Promise<RegisterEntry> }

export class RegisterSilent extends Error {}

/** Asks registers over HTTP: `GET {base}/{register}/{number}` answers JSON, 404 where the number is unknown. */
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
      const entry = (await response.json()) as { fields?: Record<string, unknown>; standing?: string }
      if (typeof entry.fields !== 'object' || entry.fields === null)
        throw new RegisterSilent('the register answered in another form than agreed')
      const fields = Object.fromEntries(Object.entries(entry.fields).map(([key, value]) => [key, String(value)]))
      const standing = entry.standing === 'suspended' || entry.standing === 'revoked' ? entry.standing : 'good'
      return { found: true, fields, standing }
    },
  }
}
