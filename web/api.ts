import { type Called, endpoints, topics } from 'virtual:endpoints'
import {
  type BaseQueryFn,
  createApi,
  type EndpointBuilder,
  type MutationDefinition,
  type QueryDefinition,
} from '@reduxjs/toolkit/query/react'
import type { Static, TSchema } from '@sinclair/typebox'
import type { Endpoint, Reply, Topic } from '#contract/endpoint'
import type { Contract } from '#contract/index'
import { type Caller, mayCall } from '#contract/roles'
import { say } from '#core/words/say'
import { askAgain, idleHeader } from './askAgain'
import { languageHere } from './language'

export type Problem = {
  status: number
  code: string
  title: string
  detail?: string
  faults?: { pointer: string; message: string }[]
  [extension: string]: unknown
}

type Part<Name extends string, S extends TSchema> =
  Record<never, never> extends Static<S> ? { [K in Name]?: Static<S> } : { [K in Name]: Static<S> }

/** What a call of an endpoint needs: the parts that are not empty. `key` makes a call idempotent. */
export type Argument<E extends Endpoint> = Part<'params', E['params']> &
  Part<'query', E['query']> &
  Part<'body', E['body']> & { key?: string }

type Sent = { endpoint: Called; argument: { params?: object; query?: object; body?: unknown; key?: string } }

/** The value each change repeats in a header; the session's reply brings it. */
let formToken = ''
/** Whose page this is, by the same reply. */
let accountHere: string | undefined

/** The application the desk writes for somebody at the moment. */
let writtenFor: string | undefined
export const writeFor = (application: string | undefined) => {
  writtenFor = application
}
const behalfHeaders = (): Record<string, string> => (writtenFor ? { 'X-Probatum-For': writtenFor } : {})

/** What a change outside these endpoints carries, such as the pieces of a file. */
export const formHeaders = () => ({ 'X-Probatum-Form': formToken, ...behalfHeaders() })

const sessionAddress = '/api/session'
/** Where somebody signs in, by password or through the identity provider. */
const signInAddresses = [sessionAddress, `${sessionAddress}/provider`, `${sessionAddress}/provider/return`]

/** Calls an endpoint; where a door has closed meanwhile it is opened again first, so that nothing typed is lost. */
const send: BaseQueryFn<Sent, unknown, Problem> = async (sent, calling) => {
  const { endpoint } = sent
  const answer = await sendOnce(sent, calling)
  const code = answer.error?.code
  if (!code) return answer
  const signsIn = signInAddresses.includes(endpoint.path)
  if (code === 'stale-page' && (await renewFormToken({ forAnybody: signsIn }))) return sendOnce(sent, calling)
  // Whoever is just signing in is not asked to.
  return !signsIn && (await askAgain(code)) ? sendOnce(sent, calling) : answer
}

/**
 * The same person has signed in anew beside this page. What was typed as one person is never sent as another, so where it
 * was somebody else the refusal stays; only signing in is anybody's.
 */
async function renewFormToken({ forAnybody }: { forAnybody: boolean }): Promise<boolean> {
  const session = await fetch(sessionAddress, { headers: { Accept: 'application/json' } })
  const { csrf, account } = (await session.json()) as { csrf?: string; account?: { id: string } | null }
  if (!forAnybody && account?.id !== accountHere) return false
  const changed = typeof csrf === 'string' && csrf !== formToken
  if (changed) formToken = csrf
  return changed
}

type Answer = { data: unknown; error?: undefined } | { error: Problem; data?: undefined }

async function sendOnce({ endpoint, argument }: Sent, { signal }: { signal: AbortSignal }): Promise<Answer> {
  const params = (argument.params ?? {}) as Record<string, string>
  const path = endpoint.path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(String(params[name])))
  const query = new URLSearchParams(
    Object.entries(argument.query ?? {}).flatMap(([name, value]) =>
      value === undefined || value === '' ? [] : [[name, String(value)]],
    ),
  )
  const writes = endpoint.method !== 'GET'
  const headers = {
    Accept: 'application/json',
    'Accept-Language': languageHere(),
    ...idleHeader(),
    ...(writes ? formHeaders() : endpoint.behalf ? behalfHeaders() : {}),
    ...(endpoint.idempotent ? { 'Idempotency-Key': argument.key ?? crypto.randomUUID() } : {}),
    ...(writes && !endpoint.bytes ? { 'Content-Type': 'application/json' } : {}),
  }
  const body =
    !writes || endpoint.method === 'DELETE'
      ? undefined
      : endpoint.bytes
        ? (argument.body as Blob)
        : JSON.stringify(argument.body ?? {})
  try {
    const response = await fetch(query.size > 0 ? `${path}?${query}` : path, {
      method: endpoint.method,
      headers,
      body,
      signal,
    })
    const content: unknown = await response.json()
    if (!response.ok) return { error: content as Problem }
    const { csrf, account } = (content ?? {}) as { csrf?: unknown; account?: { id: string } | null }
    if (typeof csrf === 'string') {
      formToken = csrf
      accountHere = account?.id
    }
    return { data: content }
  } catch (error) {
    if (signal.aborted) throw error
    return {
      error: {
        status: 0,
        code: 'no-connection',
        title: say('ui.thereIsNoConnectionAt'),
      },
    }
  }
}

type Definitions = {
  [Name in keyof Contract]: Contract[Name]['method'] extends 'GET'
    ? QueryDefinition<Argument<Contract[Name]>, typeof send, Topic, Reply<Contract[Name]>, 'api'>
    : MutationDefinition<Argument<Contract[Name]>, typeof send, Topic, Reply<Contract[Name]>, 'api'>
}

/** What can be called here. */
const known: Record<string, Called> = { ...endpoints }

/** The address of a file to keep, for a link. */
export function addressOf(name: keyof Contract, argument: { params?: object; query?: object } = {}): string {
  const params = (argument.params ?? {}) as Record<string, string>
  const path = known[name]!.path.replace(/:(\w+)/g, (_, part: string) => encodeURIComponent(params[part] ?? ''))
  const query = new URLSearchParams(
    Object.entries(argument.query ?? {}).flatMap(([key, value]) => (value ? [[key, String(value)]] : [])),
  )
  return query.size > 0 ? `${path}?${query}` : path
}

/** Whether somebody with these roles and rights may call an endpoint: what nobody here may do is not offered. */
export const mayCallNamed = (name: keyof Contract, caller: Caller): boolean => {
  const endpoint = known[name]
  return endpoint !== undefined && mayCall(endpoint, caller)
}

type Build = EndpointBuilder<typeof send, Topic, 'api'>

const definitionsOf = (build: Build, table: Record<string, Called>) =>
  Object.fromEntries(
    Object.entries(table).map(([name, endpoint]) => [
      name,
      endpoint.method === 'GET'
        ? build.query({
            query: (argument: Sent['argument']) => ({ endpoint, argument }),
            providesTags: [...endpoint.invalidates],
          })
        : build.mutation({
            query: (argument: Sent['argument']) => ({ endpoint, argument }),
            invalidatesTags: (_reply, error) => (error ? [] : [...endpoint.invalidates]),
          }),
    ]),
  ) as unknown as Definitions

/** Every endpoint of the contract as RTK Query: reads are queries, everything else a mutation. Those of the desk come with it. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: send,
  tagTypes: topics,
  refetchOnReconnect: true,
  endpoints: (build) => definitionsOf(build, endpoints),
})

/** Adds endpoints that are fetched later, once. */
export function addEndpoints(more: Record<string, Called>) {
  Object.assign(known, more)
  api.injectEndpoints({ endpoints: (build) => definitionsOf(build as unknown as Build, more) as never })
}
