import { type Static, type TObject, type TSchema, Type } from '@sinclair/typebox'
import type { Who } from './roles'

/** What a change makes out of date, so that a client reads it again. */
export const topics = [
  'session',
  'vacancies',
  'rules',
  'draft',
  'status',
  'desk',
  'sitting',
  'enquiry',
  'clock',
  'tray',
  'imports',
  'settings',
  'behalf',
] as const
export type Topic = (typeof topics)[number]

/** The header in which the desk names the application it writes for somebody. */
export const behalfHeader = 'X-Probatum-For'

type Method = 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE'

export type Endpoint<
  Params extends TSchema = TSchema,
  Query extends TSchema = TSchema,
  Body extends TSchema = TSchema,
  Reply extends TSchema = TSchema,
  M extends Method = Method,
> = {
  method: M
  path: string
  summary: string
  who: Who
  params: Params
  query: Query
  body: Body
  reply: Reply
  /** The body is a file's bytes, not JSON. */
  bytes: boolean
  /** The reply is a file to keep, not JSON; `reply` says nothing of it. */
  file: boolean
  /** The caller sends an Idempotency-Key; the same key gives the first reply again. */
  once: boolean
  /** Whether the desk may call it for somebody who wrote on paper or rang (header X-Probatum-For). */
  behalf: boolean
  /** Staff gives the password again for it, if that was a while ago; `with` asks only where the body has that field. */
  passwordAgain: boolean | { with: string }
  /** Open to those who have to set up a second factor first. */
  beforeCodes: boolean
  tells: readonly Topic[]
}

const nothing = Type.Object({}, { additionalProperties: false })
type Nothing = typeof nothing

type Described<P extends TObject, Q extends TObject, B extends TSchema, R extends TSchema, M extends Method> = {
  method: M
  path: string
  summary: string
  who: Who
  params?: P
  query?: Q
  body?: B
  reply: R
  bytes?: boolean
  file?: boolean
  once?: boolean
  behalf?: boolean
  passwordAgain?: boolean | { with: keyof Static<B> & string }
  beforeCodes?: boolean
  /** Topics this endpoint reads (GET) or changes (others). */
  tells?: readonly Topic[]
}

/** Describes an endpoint once, for the server, the web client and the OpenAPI document alike. */
export function endpoint<
  P extends TObject = Nothing,
  Q extends TObject = Nothing,
  B extends TSchema = Nothing,
  R extends TSchema = TSchema,
  const M extends Method = Method,
>(described: Described<P, Q, B, R, M>): Endpoint<P, Q, B, R, M> {
  return {
    bytes: false,
    file: false,
    once: false,
    behalf: false,
    passwordAgain: false,
    beforeCodes: false,
    tells: [],
    ...described,
    params: described.params ?? (nothing as unknown as P),
    query: described.query ?? (nothing as unknown as Q),
    body: described.body ?? (nothing as unknown as B),
  }
}

/** What a caller gives: path parameters, query and body fields of an endpoint, by their places. */
export type Input<E extends Endpoint> = {
  params: Static<E['params']>
  query: Static<E['query']>
  body: Static<E['body']>
}

export type Reply<E extends Endpoint> = Static<E['reply']>
