import { readFileSync } from 'node:fs'
import type { IncomingMessage, ServerResponse } from 'node:http'
import { setTimeout as wait } from 'node:timers/promises'
import { bodyOf } from './page'

type Entry = { fields: Record<string, string>; standing?: string; standingFrom?: string; standingThrough?: string }

export type Registers = {
  file: string | undefined
  /** How the registers behave: as they should, slowly, not at all, or with wrong answers. */
  behaviour: { slowMs: number; silent: boolean; wrong: boolean }
}

export const openRegisters = (file: string | undefined): Registers => ({
  file,
  behaviour: { slowMs: 0, silent: false, wrong: false },
})

/** `GET /registers/NAME/NUMBER` answers an entry or 404. `PUT /registers/behaviour` changes how they behave. */
export async function answerRegisters(
  registers: Registers,
  request: IncomingMessage,
  url: URL,
  response: ServerResponse,
) {
  const [, , name = '', number = ''] = url.pathname.split('/').map(decodeURIComponent)
  if (name === 'behaviour') {
    if (request.method === 'PUT')
      registers.behaviour = {
        ...registers.behaviour,
        ...(JSON.parse(await bodyOf(request)) as Partial<Registers['behaviour']>),
      }
    return json(response, 200, registers.behaviour)
  }
  const { slowMs, silent, wrong } = registers.behaviour
  if (silent) return
  if (slowMs > 0) await wait(slowMs)
  const entry = entriesOf(registers)[name]?.[number.replace(/[\s.-]/g, '').toUpperCase()]
  if (!entry) return json(response, 404, { title: 'No such entry' })
  const fields = wrong ? { ...entry.fields, name: 'Somebody Else' } : entry.fields
  return json(response, 200, { standing: 'good', ...entry, fields })
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
