import { readFileSync } from 'node:fs'
import type { IncomingMessage, ServerResponse } from 'node:http'
import { setTimeout as wait } from 'node:timers/promises'
import { bodyOf } from './page'

type Entry = {
  fields: Record<string, string>
  standing?: string
  standingFrom?: string
  standingThrough?: string
  standingTerms?: string[]
}

/** How a register behaves: as it should, slowly, not at all, failing now and then, or with wrong answers. */
type Behaviour = { slowMs: number; silent: boolean; wrong: boolean; failing: number }

export type Registers = {
  file: string | undefined
  behaviour: Behaviour
  /** Of single registers, where they behave otherwise than the rest. */
  own: Record<string, Partial<Behaviour>>
  /** How often each was asked. */
  asked: Record<string, number>
}

/** In the demo one register is slow, one fails half the time, and one is wrong about some people. */
const usualOwn: Registers['own'] = { 'tannberg-degrees': { slowMs: 1200 }, heights: { failing: 0.5 } }

export const openRegisters = (file: string | undefined, own: Registers['own'] = {}): Registers => ({
  file,
  behaviour: { slowMs: 0, silent: false, wrong: false, failing: 0 },
  own,
  asked: {},
})

export const demoRegisters = (file: string | undefined) => openRegisters(file, usualOwn)

/**
 * `GET /registers/NAME/NUMBER` answers in the shape of the register, 404 or "No record" where the number is unknown.
 * `PUT /registers/behaviour` changes how all behave, `PUT /registers/behaviour/NAME` how one does.
 */
export async function answerRegisters(
  registers: Registers,
  request: IncomingMessage,
  url: URL,
  response: ServerResponse,
) {
  const [, , name = '', number = ''] = url.pathname.split('/').map(decodeURIComponent)
  if (name === 'behaviour') return behave(registers, number, request, response)
  const nth = (registers.asked[name] ?? 0) + 1
  registers.asked[name] = nth
  const { slowMs, silent, wrong, failing } = { ...registers.behaviour, ...registers.own[name] }
  if (silent) return
  if (slowMs > 0) await wait(slowMs)
  // Every so many-th time, so that it can be counted on.
  if (failing > 0 && Math.floor(nth * failing) > Math.floor((nth - 1) * failing))
    return void response.writeHead(503, { 'Content-Type': 'text/plain' }).end('Down for maintenance')
  const entry = entriesOf(registers)[name]?.[number.replace(/[\s.-]/g, '').toUpperCase()]
  const known = entry && {
    standing: 'good',
    ...entry,
    ...(wrong ? { fields: { ...entry.fields, name: 'Somebody Else' } } : {}),
  }
  return (shapeOf[name] ?? asEntry)(response, number, known)
}

type Answer = (response: ServerResponse, number: string, entry: Entry | undefined) => void

const asEntry: Answer = (response, _number, entry) =>
  entry ? json(response, 200, entry) : json(response, 404, { title: 'No such entry' })

const asList: Answer = (response, number, entry) => {
  if (!entry) return json(response, 200, { results: [] })
  const { name = '', born, number: own = number, ...fields } = entry.fields
  const [given, ...family] = name.split(' ')
  const holder = { given, family: family.join(' '), ...(born ? { born } : {}) }
  const status = {
    code: entry.standing,
    since: entry.standingFrom,
    until: entry.standingThrough,
    terms: entry.standingTerms,
  }
  json(response, 200, { results: [{ ...fields, number: own, holder, status }] })
}

const asLines: Answer = (response, _number, entry) => {
  const written = (value: string) => value.replace(/^(\d{4})-(\d{2})-(\d{2})$/, '$3.$2.$1')
  const pairs = entry
    ? Object.entries({
        ...entry.fields,
        standing: entry.standing,
        'standing from': entry.standingFrom,
        'standing through': entry.standingThrough,
        'standing terms': entry.standingTerms?.join('; '),
      }).flatMap(([key, value]) => (value ? [`${key}: ${written(value)}`] : []))
    : ['No record under this number']
  response.writeHead(200, { 'Content-Type': 'text/plain; charset=utf-8' }).end(`${pairs.join('\n')}\n`)
}

/** Registers are each their own house’s: two answer in other shapes. */
const shapeOf: Record<string, Answer> = { 'tannberg-degrees': asList, heights: asLines }

async function behave(registers: Registers, name: string, request: IncomingMessage, response: ServerResponse) {
  if (request.method === 'PUT') {
    const change = JSON.parse(await bodyOf(request)) as Partial<Behaviour>
    if (name) registers.own[name] = { ...registers.own[name], ...change }
    else registers.behaviour = { ...registers.behaviour, ...change }
  }
  return json(response, 200, name ? { ...registers.behaviour, ...registers.own[name] } : registers.behaviour)
}

/** Read anew each time, so that the demo can be loaded while this runs. */
function entriesOf({ file }: Registers): Record<string, Record<string, Entry>> {
  if (!file) return {}
  try {
    return JSON.parse(readFileSync(file, 'utf8')) as Record<string, Record<string, Entry>>
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return {}
    throw error
  }
}

function json(response: ServerResponse, status: number, value: unknown) {
  response.writeHead(status, { 'Content-Type': 'application/json' }).end(JSON.stringify(value))
}
