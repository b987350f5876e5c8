/** What a client calls, without the shapes: made from the contract when the client is built. */
declare module 'virtual:endpoints' {
  import type { Endpoint, Topic } from '#contract/endpoint'

  export const endpoints: Record<
    string,
    Pick<Endpoint, 'method' | 'path' | 'who' | 'once' | 'bytes' | 'behalf' | 'tells'>
  >
  export const topics: readonly Topic[]
}
