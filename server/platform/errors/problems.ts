import { retell } from '#core/words/retell'

export type Fault = { pointer: string; message: string }

/** An error that is meant for the caller, as problem details (RFC 9457). */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    readonly title: string,
    readonly more: { detail?: string; faults?: Fault[]; [extension: string]: unknown } = {},
  ) {
    super(title)
  }

  body() {
    const { detail, faults } = this.more
    return {
      type: `/problems/${this.code}`,
      status: this.status,
      code: this.code,
      ...this.more,
      title: retell(this.title),
      ...(detail ? { detail: retell(detail) } : {}),
      ...(faults ? { faults: faults.map((fault) => ({ ...fault, message: retell(fault.message) })) } : {}),
    }
  }
}

/** Also the answer for a record one may not see: that it exists is nobody's business. */
export const notFound = () => new Problem(404, 'not-found', 'There is nothing here, or it is not yours to see.')
export const notAllowed = (detail?: string) =>
  new Problem(403, 'not-allowed', 'Your role does not include this.', { detail })
export const signInFirst = () => new Problem(401, 'sign-in-first', 'Sign in to do this.')
export const invalid = (faults: Fault[]) =>
  new Problem(
    422,
    'invalid',
    faults.length === 1 ? 'One thing is not right.' : `${faults.length} things are not right.`,
    { faults },
  )
export const invalidField = (pointer: string, message: string) => invalid([{ pointer, message }])
export const conflict = (code: string, title: string, more: Record<string, unknown> = {}) =>
  new Problem(409, code, title, more)

/** Throws a conflict unless the caller saw the newest version. `current` is what stands now, so nothing typed is lost. */
export function requireVersion(seen: number, now: number, current: Record<string, unknown> = {}) {
  if (seen !== now) throw changedMeanwhile({ version: now, current })
}

/** Somebody else was first. `more` says what stands now, where it is known. */
export const changedMeanwhile = (more: Record<string, unknown> = {}) =>
  conflict(
    'changed-meanwhile',
    'Somebody changed this meanwhile. What you typed is still here; compare and save again.',
    more,
  )
