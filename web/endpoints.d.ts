/** What a client calls, without the shapes: made from the contract when the client is built. */
declare module 'virtual:endpoints' {
  import type { Endpoint, Topic } from '#contract/endpoint'

  export type Called = Pick<Endpoint, 'method' | 'path' | 'access' | 'invalidates'> &
    Partial<Pick<Endpoint, 'idempotent' | 'bytes' | 'behalf'>>
  export const endpoints: Record<string, Called>
  export const topics: readonly Topic[]
}

/** What is called at the desk alone. */
declare module 'virtual:endpoints/desk' {
  import type { Called } from 'virtual:endpoints'

  export const deskEndpoints: Record<string, Called>
}

/** What candidates call for what is theirs. */
declare module 'virtual:endpoints/own' {
  import type { Called } from 'virtual:endpoints'

  export const ownEndpoints: Record<string, Called>
}

/** Checks of what is sent, by the endpoint: programs that Ajv has made of the contract's shapes. */
declare module 'virtual:checks' {
  import type { ValidateFunction } from 'ajv'

  export const checks: Record<string, (() => Promise<{ validate: ValidateFunction }>) | undefined>
}
