import { coded } from '#core/words/say'
import type { Deps } from '../../platform/deps'
import { notFound } from '../../platform/errors/problems'
import { inGuardedThread } from '../../platform/jobs/threads'
import { readBytes } from '../documents/bytes'
import { takeFile } from '../documents/inspect'
import { problems } from '../problems'
import { SourceFormFile } from './model'

type Given = { bytes: Uint8Array; fill?: Readonly<Record<string, string>> }
type Found = { fields: string[]; filled?: Uint8Array }

const thread = new URL('./formFields.ts', import.meta.url)
const mostSeconds = 10

async function inForm(given: Given): Promise<Found> {
  const found = await inGuardedThread<Given, Found | 'too much'>(thread, given, {
    seconds: mostSeconds,
    otherwise: 'too much',
  })
  if (found === 'too much')
    throw problems.unfitFile('too-much-inside', coded('problem.too-much-inside'), coded('problem.too-much-inside.do'))
  return found
}

/**
 * Keeps a form that a source has sent, with the fields that can be filled in it. The same file is kept once.
 *
 * @throws Problem `wrong-kind` where it is no PDF, or what else keeps a file from being taken
 */
export async function keepForm(deps: Deps, by: { name: string }, fileName: string, bytes: Buffer) {
  const { sha256, pages, mediaType } = await takeFile(deps, bytes)
  if (mediaType !== 'application/pdf')
    throw problems.unfitFile('wrong-kind', coded('problem.formIsNoPdf'), coded('problem.formIsNoPdf.do'))
  const kept = await readBytes(sha256)
  const { fields } = await inForm({ bytes: kept.bytes })
  const row = { sha256, fileName, pages, fields, uploadedBy: by.name, uploadedAt: deps.clock.now() }
  await SourceFormFile.bulkCreate([row], { ignoreDuplicates: true })
  return { sha256, fileName, pages, fields }
}

export const formsKnown = async (hashes: readonly string[]): Promise<Map<string, SourceFormFile>> =>
  new Map((await SourceFormFile.findAll({ where: { sha256: [...hashes] } })).map((form) => [form.sha256, form]))

/** A form with its fields filled, as PDF. */
export async function fillForm(sha256: string, fill: Readonly<Record<string, string>>): Promise<Buffer> {
  const { bytes } = await readBytes(sha256)
  const { filled } = await inForm({ bytes, fill })
  return Buffer.from(filled!)
}

/**
 * A form as it came; tried out, each of its fields shows its own name, so that somebody can say what goes where.
 *
 * @throws Problem 404 where it is not one of the forms: whatever else is kept here is nothing to read by its hash
 */
export async function readForm(sha256: string, tried: boolean) {
  const form = await SourceFormFile.findByPk(sha256)
  if (!form) throw notFound()
  const { fields, fileName } = form
  const body = await fillForm(sha256, tried ? Object.fromEntries(fields.map((field) => [field, field])) : {})
  return { fileName, mediaType: 'application/pdf', body }
}
