import { pipeline, Readable } from 'node:stream'
import { isDeepStrictEqual } from 'node:util'
import { stringify } from 'csv-stringify'
import { Op } from 'sequelize'
import { validate as isUuid, v7 as uuid, v5 as uuidOf } from 'uuid'
import { type SourceGiven, SourceGiven as SourceShape } from '#contract/sources'
import { faultsOfSource } from '#core/sources/faultsOfSource'
import { factsOfRow, rowOfFacts, sourceColumns } from '#core/sources/rows'
import { nameKey } from '#core/sources/spelling'
import { say, sayCoded } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { rowsOfCsv, textOfBytes } from '../platform/csv/readCsv'
import { inTransaction } from '../platform/database/connection'
import type { Account as Actor, Deps } from '../platform/deps'
import { Problem } from '../platform/errors/problems'
import type { FileToKeep } from '../platform/http/serve'
import { requireShape } from '../platform/http/validate'
import { Source } from '../records/sources/model'
import { searchSources } from '../records/sources/search'
import { factsOfSource, unknownFacts } from '../records/sources/sources'
import { faultInWords, formAt, saveSource, trimmed, unknownForms } from './keep'
import { problems } from './problems'
import { given } from './read'

const stretch = 500
const mostRows = 5000
/** Names rows of a file that have no id of their own: the same row read in twice is the same source. */
const namespace = 'e2b6a9f4-6b5b-5d6c-9a52-0f3a6f0d1c77'

/** The directory as a file that can be read in again. */
export async function readSourceFile(deps: Deps, actor: Actor, format: 'json' | 'csv'): Promise<FileToKeep> {
  await inTransaction(deps.sequelize, () =>
    recordEvent(deps, actor, {
      code: 'list-exported',
      values: { list: { code: 'list.sources' } },
      details: { format },
    }),
  )
  const fileName = `sources ${deps.clock.today()}.${format}`
  if (format === 'json') return { fileName, mediaType: 'application/json', body: Readable.from(jsonOf(everySource())) }
  const columns = ['id', ...sourceColumns]
  const csv = stringify({ header: true, columns, bom: true, record_delimiter: 'windows', escape_formulas: true })
  return {
    fileName,
    mediaType: 'text/csv; charset=utf-8',
    // What fails on the way ends the file where it stands, and so does who reads it no further.
    body: pipeline(Readable.from(rowsOf(everySource())), csv, () => undefined),
  }
}

type Kept = { id: string } & SourceGiven

/** Stretch by stretch, so that fifty thousand take no more memory than fifty. */
async function* everySource(): AsyncGenerator<Kept> {
  for (let after = ''; ; ) {
    const rows = await Source.findAll({
      where: { mergedIntoId: null, id: { [Op.gt]: after } },
      order: ['id'],
      limit: stretch,
    })
    for (const source of rows) yield { id: source.id, ...given(factsOfSource(source)) }
    if (rows.length < stretch) return
    after = rows.at(-1)!.id
  }
}

async function* jsonOf(sources: AsyncIterable<Kept>) {
  yield '{"sources":['
  let between = '\n'
  for await (const source of sources) {
    yield between + JSON.stringify(source)
    between = ',\n'
  }
  yield '\n]}\n'
}

async function* rowsOf(sources: AsyncIterable<Kept>) {
  for await (const { id, ...facts } of sources) yield { id, ...rowOfFacts(facts) }
}

type Read = { id?: string; facts: (before: SourceGiven | undefined) => SourceGiven; name: string }
type Line = {
  row: number
  name: string
  becomes: 'new' | 'changed' | 'same' | 'faulty'
  message: string
  twin: string | null
}

/**
 * Reads sources from a file: dry, or for good. What is new, and every contact that is, has to be checked like any other. A
 * faulty row stays out, and says why; the others go in.
 */
export async function importSources(deps: Deps, actor: Actor, fileName: string, dry: boolean, bytes: Buffer) {
  const rows: Line[] = []
  let written = 0
  for (const [nth, read] of readRows(bytes).entries()) {
    const at = nth + (isJson(bytes) ? 1 : 2)
    const { line, write } = await become(deps, actor, read)
    // A row a transaction: however long the file, nobody waits for the whole of it, and one that fails leaves the others.
    const failed = dry || !write ? undefined : await inTransaction(deps.sequelize, write).then(noProblem, asProblem)
    rows.push({ row: at, ...line, ...(failed ? { becomes: 'faulty' as const, message: sayCoded(failed.words) } : {}) })
    if (!dry && write && !failed) written += 1
  }
  if (written > 0)
    await inTransaction(deps.sequelize, () =>
      recordEvent(deps, actor, {
        code: 'sources-imported',
        values: { count: written, file: fileName },
        about: fileName,
      }),
    )
  return { rows, written }
}

const noProblem = () => undefined
const asProblem = (error: unknown): Problem => {
  if (error instanceof Problem) return error
  throw error
}

/** What a row comes to, and how it is written. */
async function become(
  deps: Deps,
  actor: Actor,
  read: Read,
): Promise<{ line: Omit<Line, 'row'>; write?: () => Promise<unknown> }> {
  const before = await known(read)
  const was = before ? given(factsOfSource(before)) : undefined
  let source = read.facts(was)
  const line = { name: read.name, message: '', twin: null as string | null }
  try {
    requireShape(SourceShape, source, 'body')
  } catch (error) {
    if (!(error instanceof Problem)) throw error
    const [fault] = error.more.faults ?? []
    return {
      line: {
        ...line,
        becomes: 'faulty',
        message: fault ? `${fault.pointer.slice(6)}: ${fault.message}` : error.message,
      },
    }
  }
  // A form is a file of its own and does not come with this one.
  const absent = (await unknownForms(source)).map(({ pointer }) => pointer)
  if (absent.length > 0) {
    const conditions = source.conditions.map(({ form, ...condition }, nth) =>
      form && !absent.includes(formAt(nth)) ? { ...condition, form } : condition,
    )
    source = { ...source, conditions }
    line.message = say('problem.source.form-left-out')
  }
  const [fault] = faultsOfSource(source).map(faultInWords)
  if (fault) return { line: { ...line, becomes: 'faulty', message: fault.message } }
  if (was && isDeepStrictEqual(trimmed(source), was)) return { line: { ...line, becomes: 'same' } }
  if (before?.mergedIntoId) return { line: { ...line, becomes: 'faulty', message: say('problem.sourceIsMerged') } }
  const id = before?.id ?? read.id ?? idOf(source)
  const write = () => saveSource(deps, actor, id, { version: before?.version ?? 0, source })
  if (before) return { line: { ...line, becomes: 'changed' }, write }
  const [near] = await searchSources(source.name, { country: source.country }, 1)
  return { line: { ...line, becomes: 'new', twin: near && near.score > 0.84 ? near.source.name : null }, write }
}

/** The source a row is about: by its id, or by the very name in the same country. */
async function known({ id, facts }: Read): Promise<Source | null> {
  if (id) return Source.findByPk(id)
  const { name, country, kind } = facts(undefined)
  if (typeof name !== 'string' || typeof country !== 'string') return null
  const named = await Source.findOne({ where: { name, country, mergedIntoId: null } })
  return named ?? Source.findByPk(idOf({ name, country, kind }))
}

const idOf = ({ kind, country, name }: Pick<SourceGiven, 'kind' | 'country' | 'name'>) =>
  uuidOf(`${kind} ${country} ${nameKey(name)}`, namespace)

const isJson = (bytes: Buffer) => /^[\s\uFEFF]*[[{]/.test(bytes.subarray(0, 64).toString())

function readRows(bytes: Buffer): Read[] {
  const rows = isJson(bytes) ? jsonRows(bytes) : csvRows(bytes)
  if (rows.length === 0 || rows.length > mostRows) throw problems.unreadableFile()
  return rows
}

function jsonRows(bytes: Buffer): Read[] {
  let whole: unknown
  try {
    whole = JSON.parse(textOfBytes(bytes).replace(/^\uFEFF/, ''))
  } catch {
    throw problems.unreadableFile()
  }
  const list = Array.isArray(whole) ? whole : (whole as { sources?: unknown }).sources
  if (!Array.isArray(list)) throw problems.unreadableFile()
  return list.map((one: Record<string, unknown>) => {
    const { id, ...facts }: Record<string, unknown> = typeof one === 'object' && one !== null ? one : {}
    return {
      id: typeof id === 'string' && isUuid(id) ? id : undefined,
      name: typeof facts.name === 'string' ? facts.name : '',
      facts: (before) => ({ ...unknownFacts, contacts: [], ...before, ...facts }) as unknown as SourceGiven,
    }
  })
}

function csvRows(bytes: Buffer): Read[] {
  try {
    const rows = rowsOfCsv(bytes)
    if (rows.length > 0 && !('name' in rows[0]!)) throw problems.unreadableFile()
    return rows.map((row) => ({
      id: isUuid(row.id) ? row.id : undefined,
      name: row.name ?? '',
      facts: (before) =>
        factsOfRow(
          row,
          before ?? { ...unknownFacts, name: '', kind: 'employer', town: '', country: '', contacts: [] },
          () => uuid(),
        ),
    }))
  } catch {
    throw problems.unreadableFile()
  }
}
