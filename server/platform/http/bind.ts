import type { Endpoint, Input, Reply } from '#contract/endpoint'
import type { Account, Actor, Deps } from '../deps'
import type { CookieName } from './cookies'
import type { FileToKeep } from './serve'

/** Who calls: where an endpoint is for somebody signed in, that is an account. */
export type ActorOf<E extends Endpoint> = E['access'] extends 'anyone' | 'bearer-of-link' ? Actor : Account

export type Call<E extends Endpoint> = {
  deps: Deps
  actor: ActorOf<E>
  input: Input<E>
  /** Sets or clears the session cookie. */
  session: { token: string | undefined; set: (token: string | undefined) => void }
  /** Cookies of the browser beside the session. */
  browser: {
    read: (name: CookieName) => string | undefined
    write: (name: CookieName, value: string, days: number) => void
  }
  address: string
  /** The value a page repeats in a header with every change, also in the session this call has opened. */
  csrf: () => string
}

export type Route = {
  endpoint: Endpoint
  handle: (call: Call<Endpoint>) => Promise<unknown>
  /** Whether the adapter puts one transaction around the call. Writes have one unless they say otherwise. */
  transaction: boolean
}

/** Ties an endpoint whose reply is a file to the use case that makes it. */
export const bindFile = <E extends Endpoint>(endpoint: E, handle: (call: Call<E>) => Promise<FileToKeep>): Route => ({
  endpoint,
  handle: handle as unknown as Route['handle'],
  transaction: false,
})

/** Ties an endpoint of the contract to the use case that serves it. */
export function bind<E extends Endpoint>(
  endpoint: E,
  handle: (call: Call<E>) => Promise<Reply<E>>,
  options: { transaction?: boolean } = {},
): Route {
  return {
    endpoint,
    handle: handle as unknown as Route['handle'],
    transaction: options.transaction ?? endpoint.method !== 'GET',
  }
}
