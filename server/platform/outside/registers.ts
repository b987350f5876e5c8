import {
  bulkhead,
  ConsecutiveBreaker,
  circuitBreaker,
  decorrelatedJitterGenerator,
  ExponentialBackoff,
  handleAll,
  handleWhen,
  type IPolicy,
  isBrokenCircuitError,
  retry,
  TaskCancelledError,
  TimeoutStrategy,
  timeout,
  wrap,
} from 'cockatiel'
import { type RegisterEntry, RegisterSilent, readerOf } from './registerShapes'

export type Registers = { lookUp: (register: string, number: string) => Promise<RegisterEntry> }

/** How patient we are with a register. Times in milliseconds. */
export type Patience = {
  /** For one try. */
  tryMs: number
  /** Tries beyond the first, with pauses that grow and differ, so that many who wait do not come back at once. */
  retries: number
  firstPauseMs: number
  longestPauseMs: number
  /** After so many failures in a row it is left alone, and for so long. */
  failures: number
  restMs: number
}

export const usualPatience: Omit<Patience, 'tryMs'> = {
  retries: 2,
  firstPauseMs: 150,
  longestPauseMs: 1500,
  failures: 6,
  restMs: 30_000,
}

/** Asked at once by one copy, and how many more wait; a register is somebody else's machine. */
const atOnce = { running: 8, waiting: 200 }

/**
 * Asks registers over HTTP: `GET {base}/{name}/{number}`. A register answers in one of the shapes of `registerShapes.ts`, which
 * stands before its name with a colon (`list:degrees`); without one it is an entry. 404 says that the number is not there. A try
 * that fails is made again with jitter; a register that keeps failing is left alone for a while, each by itself.
 *
 * @throws RegisterSilent where it does not answer, or not as agreed
 */
export function httpRegisters(base: string, { tryMs, ...more }: Partial<Patience> & { tryMs: number }): Registers {
  const patience: Patience = { ...usualPatience, ...more, tryMs }
  const policies = new Map<string, IPolicy>()
  const policyOf = (register: string) => {
    const known = policies.get(register)
    if (known) return known
    const made = policyFor(patience)
    policies.set(register, made)
    return made
  }
  return {
    lookUp: async (register, number) => {
      const { name, read } = readerOf(register)
      const url = `${base}/${encodeURIComponent(name)}/${encodeURIComponent(number)}`
      try {
        // What it says is read outside: an answer in another form is no sign that it is down.
        return read(await policyOf(register).execute(({ signal }) => answerOf(url, signal)), number)
      } catch (error) {
        throw silent(error)
      }
    },
  }
}

function policyFor({ tryMs, retries, firstPauseMs, longestPauseMs, failures, restMs }: Patience): IPolicy {
  // One that is left alone is not asked again in the same breath.
  const again = retry(
    handleWhen((error) => !isBrokenCircuitError(error)),
    {
      maxAttempts: retries,
      backoff: new ExponentialBackoff({
        generator: decorrelatedJitterGenerator,
        initialDelay: firstPauseMs,
        maxDelay: longestPauseMs,
      }),
    },
  )
  const breaker = circuitBreaker(handleAll, { halfOpenAfter: restMs, breaker: new ConsecutiveBreaker(failures) })
  // Innermost the time of one try; each that fails counts for the breaker.
  return wrap(
    // Somebody may be waiting before a screen; what does not answer by then is asked again without them.
    timeout(tryMs * 1.5, TimeoutStrategy.Aggressive),
    bulkhead(atOnce.running, atOnce.waiting),
    again,
    breaker,
    timeout(tryMs, TimeoutStrategy.Aggressive),
  )
}

async function answerOf(url: string, signal: AbortSignal): Promise<{ status: number; text: string }> {
  const response = await fetch(url, { signal, headers: { Accept: 'application/json, text/plain' }, redirect: 'error' })
  if (response.status !== 404 && !response.ok) throw new RegisterSilent(`the register answered ${response.status}`)
  return { status: response.status, text: await response.text() }
}

function silent(error: unknown): RegisterSilent {
  if (error instanceof RegisterSilent) return error
  if (isBrokenCircuitError(error)) return new RegisterSilent('the register is left alone for a while', { cause: error })
  if (error instanceof TaskCancelledError) return new RegisterSilent('the register took too long', { cause: error })
  return new RegisterSilent('the register did not answer', { cause: error })
}
