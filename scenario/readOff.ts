import { letterParts } from '#core/reading/letter'
import { readQueued } from '#server/documents/reading/readQueued'
import type { Deps } from '#server/platform/deps'
import { documentById } from '#server/records/documents/documents'
import { readingOf } from '#server/verification/reading'

/**
 * What somebody at the desk of the demo says of a paper: what the machine has read on it, the rest is not on the paper.
 * A part of a letter that was not found is missing.
 */
export async function readOff(deps: Deps, documentId: string) {
  const document = await documentById(documentId)
  await readQueued(deps, { sha256: document.sha256!, mediaType: document.mediaType })
  const { fields, reading } = await readingOf(deps, document)
  const reads = Object.fromEntries(
    fields.flatMap(({ key }) => (reading.values[key] ? [[key, reading.values[key].value]] : [])),
  )
  const { letter } = reading
  return {
    reads,
    absent: fields.map(({ key }) => key).filter((key) => !reads[key]),
    ...(letter
      ? { letter: Object.fromEntries(letterParts.map((part) => [part, letter[part] ? 'there' : 'missing'] as const)) }
      : {}),
  }
}
