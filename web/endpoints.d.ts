/** What a client calls, without the shapes: made from the contract when the client is built. */
declare module 'virtual:endpoints' {
  import type { Endpoint, Topic } from '#contract/endpoint'

  export const endpoints: Record<
    string,
    Pick<Endpoint, 'method' | 'path' | 'access' | 'idempotent' | 'bytes' | 'behalf' | 'invalidates'>
  >
  export const topics: readonly Topic[]
}
