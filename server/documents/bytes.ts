import { createHash } from 'node:crypto'
import { Blob, BlobChunk } from './model'

const chunkSize = 512 * 1024

/** Keeps bytes under their SHA-256 and gives it. The same bytes are kept once. */
export async function keepBytes(bytes: Buffer, mediaType: string, now: Date): Promise<string> {
  const sha256 = createHash('sha256').update(bytes).digest('hex')
  if (await Blob.findByPk(sha256)) return sha256
  await Blob.bulkCreate([{ sha256, size: bytes.length, mediaType, createdAt: now }], { ignoreDuplicates: true })
  const chunks = Array.from({ length: Math.ceil(bytes.length / chunkSize) }, (_, nth) => ({
    sha256,
    nth,
    bytes: bytes.subarray(nth * chunkSize, (nth + 1) * chunkSize),
  }))
  await BlobChunk.bulkCreate(chunks, { ignoreDuplicates: true })
  return sha256
}

/** The bytes kept under a hash. Throws where they are not there, or are not what they were. */
export async function readBytes(sha256: string): Promise<{ mediaType: string; bytes: Buffer }> {
  const blob = await Blob.findByPk(sha256, { rejectOnEmpty: true })
  const chunks = await BlobChunk.findAll({ where: { sha256 }, order: ['nth'] })
  const bytes = Buffer.concat(chunks.map((chunk) => chunk.bytes))
  if (createHash('sha256').update(bytes).digest('hex') !== sha256)
    throw new Error(`stored bytes ${sha256} are not what they were`)
  return { mediaType: blob.mediaType, bytes }
}
