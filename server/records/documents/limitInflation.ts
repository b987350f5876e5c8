import { createRequire } from 'node:module'

/** What the packed parts of one PDF may unfold to, together: a page of text is some kilobytes. */
const mostInflated = 64 * 1024 * 1024

type Unpacking = { buffer: Uint8Array; minBufferLength: number }
type DecodeStream = { prototype: { ensureBuffer: (this: Unpacking, requested: number) => Uint8Array } }

let left = Number.POSITIVE_INFINITY

/**
 * pdf-lib unpacks whatever it is given to the end, filter after filter. Every filter asks its base class for room, so that
 * is where what a file unfolds to is counted.
 */
const { default: stream } = createRequire(import.meta.url)('pdf-lib/cjs/core/streams/DecodeStream.js') as {
  default: DecodeStream
}
const { ensureBuffer } = stream.prototype
stream.prototype.ensureBuffer = function (requested) {
  const before = this.buffer.byteLength
  // It grows by doubling, and asks for hardly more than it has: what it will have is counted before there is room for it.
  if (requested > before) {
    let grown = this.minBufferLength
    while (grown < requested) grown *= 2
    left -= grown - before
  }
  if (left < 0) throw new UnfoldsTooFar()
  return ensureBuffer.call(this, requested)
}

export class UnfoldsTooFar extends Error {}

/** From here on a file may unfold to so much. */
export const beginCounting = () => {
  left = mostInflated
}

/** Whether the file that is being read went over; pdf-lib keeps some errors to itself. */
export const wentOver = () => left < 0
