import {
  decorrelatedJitterGenerator,
  ExponentialBackoff,
  handleAll,
  retry,
  TimeoutStrategy,
  timeout,
  wrap,
} from 'cockatiel'

/** Status lists as their issuers publish them: a signed text at an address. */
export type StatusLists = { read: (address: string) => Promise<string> }

/** The list does not come. */
export class StatusListSilent extends Error {}

const longest = 2_000_000

/**
 * Reads status lists over HTTP. Only addresses of the directory are ever given to it; redirections lead elsewhere and are not followed.
 *
 * @throws StatusListSilent where a list does not come, or is longer than any should be
 */
export function httpStatusLists(tryMs: number): StatusLists {
  const policy = wrap(
    retry(handleAll, {
      maxAttempts: 2,
      backoff: new ExponentialBackoff({ generator: decorrelatedJitterGenerator, initialDelay: 150, maxDelay: 1000 }),
    }),
    timeout(tryMs, TimeoutStrategy.Aggressive),
  )
  return {
    read: (address) =>
      policy
        .execute(async ({ signal }) => {
          const response = await fetch(address, {
            signal,
            redirect: 'error',
            headers: { Accept: 'application/vc+jwt' },
          })
          if (!response.ok) throw new StatusListSilent(`the status list answered ${response.status}`)
          const text = await response.text()
          if (text.length > longest) throw new StatusListSilent('the status list is too long')
          return text.trim()
        })
        .catch((error: unknown) => {
          throw error instanceof StatusListSilent
            ? error
            : new StatusListSilent('the status list did not come', { cause: error })
        }),
  }
}
