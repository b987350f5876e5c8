import { Writable } from 'node:stream'
import formidable, { errors, type File } from 'formidable'
import type { Context } from 'koa'
import { documentLimits } from '#core/documents/limits'
import type { Deps } from '../deps'
import { inTime } from './patience'
import { problems } from './problems'

/** What a form without script has sent: what was written by the names of its fields, and the one file it may have. */
export type Form = { written: Record<string, string>; file: { name: string; bytes: Buffer } | undefined }

/** More than a form of ours has, in fields and in bytes that are no file. */
const most = { maxFields: 100, maxFieldsSize: 64 * 1024, maxFiles: 1 }

/**
 * Reads a form (HTML, multipart/form-data by RFC 7578). Of a field that comes twice the last counts; a file without content is none.
 *
 * @throws Problem `file-too-large`, `too-large`, `too-slow`, or 400 for what is no form
 */
export async function readForm(ctx: Context, deps: Pick<Deps, 'config'>): Promise<Form> {
  const chunks: Buffer[] = []
  const form = formidable({
    ...most,
    maxFileSize: documentLimits.bytes,
    maxTotalFileSize: documentLimits.bytes,
    allowEmptyFiles: true,
    minFileSize: 0,
    // Nothing of it lies on the disk before it was looked at.
    fileWriteStreamHandler: () =>
      new Writable({
        write: (chunk: Buffer, _, done) => {
          chunks.push(chunk)
          done()
        },
      }),
  })
  try {
    const [fields, files] = await inTime(ctx, deps, form.parse(ctx.req))
    const written = Object.fromEntries(Object.entries(fields).map(([name, values]) => [name, values?.at(-1) ?? '']))
    const [file] = Object.values(files).flat() as (File | undefined)[]
    const bytes = Buffer.concat(chunks)
    return { written, file: bytes.length > 0 ? { name: file?.originalFilename ?? 'paper', bytes } : undefined }
  } catch (error) {
    const { code, httpCode } = error as { code?: number; httpCode?: number }
    if (code === errors.biggerThanMaxFileSize || code === errors.biggerThanTotalMaxFileSize)
      throw problems.fileTooLarge()
    if (httpCode === 413) throw problems.tooLarge()
    if (httpCode) throw problems.badRequest(400)
    throw error
  }
}
