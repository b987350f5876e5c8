import type { Fault } from '#contract/faults'
import { type Coded, coded, sayCoded } from '#core/words/say'

/** An error that is meant for the caller, as problem details (RFC 9457). Its words are said when it is answered with. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    readonly words: Coded,
    readonly more: { detail?: Coded; faults?: Fault[]; [extension: string]: unknown } = {},
  ) {
    super(words.code)
  }

  body() {
    const { detail, ...more } = this.more
    return {
      type: `/problems/${this.code}`,
      status: this.status,
      code: this.code,
      ...more,
      title: sayCoded(this.words),
      ...(detail ? { detail: sayCoded(detail) } : {}),
    }
  }
}

/** Also the answer for a record one may not see: that it exists is nobody's business. */
export const notFound = () => new Problem(404, 'not-found', coded('problem.not-found'))
export const notAllowed = (detail?: Coded) =>
  new Problem(403, 'not-allowed', coded('problem.not-allowed'), detail ? { detail } : {})
export const signInFirst = () => new Problem(401, 'sign-in-first', coded('problem.sign-in-first'))
export const invalid = (faults: Fault[]) =>
  new Problem(422, 'invalid', coded('shape.invalid', { count: faults.length }), { faults })
export const invalidField = (pointer: string, message: string) => invalid([{ pointer, message }])
export const conflict = (code: string, words: Coded, more: Record<string, unknown> = {}) =>
  new Problem(409, code, words, more)

/** Throws a conflict unless the caller saw the newest version. `current` is what stands now, so nothing typed is lost. */
export function requireVersion(seen: number, now: number, current: Record<string, unknown> = {}) {
  if (seen !== now) throw changedMeanwhile({ version: now, current })
}

/** Somebody else was first. `more` says what stands now, where it is known. */
export const changedMeanwhile = (more: Record<string, unknown> = {}) =>
  conflict('changed-meanwhile', coded('problem.changed-meanwhile'), more)
