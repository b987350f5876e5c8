/** What a client calls, without the shapes: made from the contract when the client is built. */
declare module 'virtual:endpoints' {
  import type { Endpoint, Topic } from '#contract/endpoint'

  export const endpoints: Record<
    string,
    Pick<Endpoint, 'method' | 'path' | 'access' | 'idempotent' | 'bytes' | 'behalf' | 'invalidates'>
  >
  export const topics: readonly Topic[]
}

/** Checks of what is sent, by the endpoint: programs that Ajv has made of the contract's shapes. */
declare module 'virtual:checks' {
  import type { ValidateFunction } from 'ajv'

  export const checks: Record<string, (() => Promise<{ validate: ValidateFunction }>) | undefined>
}
