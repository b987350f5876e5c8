import { createHash } from 'node:crypto'
import { createReadStream } from 'node:fs'
import { stat } from 'node:fs/promises'
import { Readable } from 'node:stream'
import { Op } from 'sequelize'
import { Blob, BlobChunk } from './model'

const chunkSize = 512 * 1024

/**
 * Keeps bytes under their SHA-256 and gives it. The same bytes are kept once. Each piece is a statement of its own, so that
 * neither a packet nor, outside of one, a transaction grows with the file; until the last is there nobody sees any.
 *
 * @param source the bytes, or where the file with them lies; a file is never in memory as a whole
 */
export async function keepBytes(source: Buffer | string, mediaType: string, now: Date): Promise<string> {
  const sha256 = await hashOf(source)
  const known = await Blob.findByPk(sha256)
  // Whatever nobody refers to goes after a while; what is sent once more starts anew.
  if (known) await known.update({ createdAt: now })
  if (known?.wholeAt) return sha256
  const size = typeof source === 'string' ? (await stat(source)).size : source.length
  await Blob.bulkCreate([{ sha256, size, mediaType, createdAt: now, wholeAt: null }], { ignoreDuplicates: true })
  let nth = 0
  for await (const bytes of piecesOf(source)) {
    await BlobChunk.bulkCreate([{ sha256, nth, bytes }], { ignoreDuplicates: true })
    nth += 1
  }
  await Blob.update({ wholeAt: now }, { where: { sha256 } })
  return sha256
}

async function hashOf(source: Buffer | string): Promise<string> {
  const hash = createHash('sha256')
  for await (const bytes of piecesOf(source)) hash.update(bytes)
  return hash.digest('hex')
}

/** In pieces of the same length, but for the last. */
async function* piecesOf(source: Buffer | string): AsyncGenerator<Buffer> {
  if (typeof source !== 'string') {
    for (let at = 0; at < source.length; at += chunkSize) yield source.subarray(at, at + chunkSize)
    return
  }
  let left = Buffer.alloc(0)
  for await (const bytes of createReadStream(source, { highWaterMark: chunkSize })) {
    left = Buffer.concat([left, bytes as Buffer])
    for (; left.length >= chunkSize; left = left.subarray(chunkSize)) yield left.subarray(0, chunkSize)
  }
  if (left.length > 0) yield left
}

/** The bytes kept under a hash. Throws where they are not there, or are not what they were. */
export async function readBytes(sha256: string): Promise<{ mediaType: string; bytes: Buffer }> {
  const { mediaType, body } = await streamBytes(sha256)
  return { mediaType, bytes: Buffer.concat(await body.toArray()) }
}

/** The bytes kept under a hash, one piece after the other. It breaks off at the end where they are not what they were. */
export async function streamBytes(sha256: string): Promise<{ mediaType: string; size: number; body: Readable }> {
  const { mediaType, size } = await Blob.findOne({
    where: { sha256, wholeAt: { [Op.ne]: null } },
    rejectOnEmpty: true,
  })
  return { mediaType, size, body: Readable.from(chunksOf(sha256, size), { objectMode: false }) }
}

async function* chunksOf(sha256: string, size: number): AsyncGenerator<Buffer> {
  const hash = createHash('sha256')
  for (let nth = 0; nth * chunkSize < size; nth += 1) {
    const chunk = await BlobChunk.findOne({ where: { sha256, nth } })
    hash.update(chunk?.bytes ?? '')
    if (chunk) yield chunk.bytes
  }
  if (hash.digest('hex') !== sha256) throw new Error(`stored bytes ${sha256} are not what they were`)
}
