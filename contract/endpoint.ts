import { type Static, type TObject, type TSchema, Type } from '@sinclair/typebox'
import type { Access } from './roles'

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
  'organisation',
  'catalogue',
  'colleagues',
  'operation',
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
  A extends Access = Access,
> = {
  method: M
  path: string
  summary: string
  access: A
  params: Params
  query: Query
  body: Body
  reply: Reply
  /** The body is a file's bytes, not JSON. */
  bytes: boolean
  /** The reply is a file to keep, not JSON; `reply` says nothing of it. */
  file: boolean
  /** The caller sends an Idempotency-Key; the same key gives the first reply again. */
  idempotent: boolean
  /** Whether the desk may call it for somebody who wrote on paper or rang (header X-Probatum-For). */
  behalf: boolean
  /** Staff gives the password again for it, if that was a while ago; `with` asks only where the body has that field. */
  passwordAgain: boolean | { with: string }
  /** Open to those who have to set up a second factor first. */
  beforeCodes: boolean
  /** How often one link may be used for it; further calls wait. */
  tries?: { most: number; seconds: number }
  /** Topics a GET reads and any other changes, so that a client reads them again. */
  invalidates: readonly Topic[]
}

const nothing = Type.Object({}, { additionalProperties: false })
type Nothing = typeof nothing

type Described<P extends TObject, Q extends TObject, B extends TSchema, R extends TSchema, M extends Method, A> = {
  method: M
  path: string
  summary: string
  access: A
  params?: P
  query?: Q
  body?: B
  reply: R
  bytes?: boolean
  file?: boolean
  idempotent?: boolean
  behalf?: boolean
  passwordAgain?: boolean | { with: keyof Static<B> & string }
  beforeCodes?: boolean
  tries?: { most: number; seconds: number }
  /** Topics this endpoint reads (GET) or changes (others). */
  invalidates?: readonly Topic[]
}

/** Describes an endpoint once, for the server, the web client and the OpenAPI document alike. */
export function endpoint<
  P extends TObject = Nothing,
  Q extends TObject = Nothing,
  B extends TSchema = Nothing,
  R extends TSchema = TSchema,
  const M extends Method = Method,
  const A extends Access = Access,
>(described: Described<P, Q, B, R, M, A>): Endpoint<P, Q, B, R, M, A> {
  return {
    bytes: false,
    file: false,
    idempotent: false,
    behalf: false,
    passwordAgain: false,
    beforeCodes: false,
    invalidates: [],
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
