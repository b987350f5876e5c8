import sharp from 'sharp'
import { bitsApart, mostBitsApart } from '#core/redFlags/papers'
import { drawnPaper } from '#scenario/printed'
import { readPaper } from '#server/documents/reading/readPaper'
import { degraded } from '../test/degraded'
import { mediaTypeOf, papersOfDemo } from './reading'
import type { Result } from './result'

const copies = 40

/** How far the pictures of the demo's papers are apart: copies of one, and different papers of the same forms. */
export async function picturesOfPapers(): Promise<Result[]> {
  const papers = await Promise.all(
    papersOfDemo().map(async ({ printed }) => ({ bytes: await drawnPaper(printed), mediaType: mediaTypeOf(printed) })),
  )
  const looks: string[] = []
  for (const { bytes, mediaType } of papers) looks.push(await lookOf(bytes, mediaType))
  const others = looks.flatMap((one, nth) => looks.slice(nth + 1).map((other) => bitsApart(one, other)))
  const same: number[] = []
  const mistaken: number[] = []
  for (let nth = 0; nth < copies; nth += 1) {
    const at = Math.floor((nth * papers.length) / copies)
    const copy = await lookOf(await copyOf(papers[at]!, nth), 'image/jpeg')
    same.push(bitsApart(looks[at]!, copy))
    mistaken.push(...looks.filter((_, of) => of !== at).map((other) => bitsApart(other, copy)))
  }
  const list = (values: readonly number[]) =>
    [...values]
      .sort((a, b) => a - b)
      .slice(0, 5)
      .join(' ')
  const falsely = others.filter((apart) => apart <= mostBitsApart).length
  const falseOfCopies = mistaken.filter((apart) => apart <= mostBitsApart).length
  return [
    {
      what: `${copies} copies and their paper`,
      measured: `${same.filter((apart) => apart <= mostBitsApart).length} found; farthest ${Math.max(...same)}`,
      wanted: `all, within ${mostBitsApart} bits`,
    },
    {
      what: `${others.length} pairs of different papers`,
      measured: `${falsely} taken for one; nearest ${list(others)}`,
      wanted: '0',
    },
    {
      what: `${mistaken.length} pairs of a copy and another paper`,
      measured: `${falseOfCopies} taken for one; nearest ${list(mistaken)}`,
      wanted: '0',
    },
  ]
}

async function lookOf(bytes: Buffer, mediaType: string): Promise<string> {
  const [first] = (await readPaper(bytes, mediaType)).pictures
  if (!first) throw new Error('nothing is on it')
  return first
}

/** Turned a little, faint, blurred; then trimmed, made smaller, and saved again. */
async function copyOf({ bytes, mediaType }: { bytes: Buffer; mediaType: string }, nth: number): Promise<Buffer> {
  const worse = await degraded(bytes, mediaType, nth)
  const { width = 1, height = 1 } = await sharp(worse).metadata()
  const trim = [0, 0.01, 0.02][nth % 3]!
  return sharp(worse)
    .extract({
      left: Math.round(width * trim),
      top: Math.round(height * trim),
      width: Math.round(width * (1 - 2 * trim)),
      height: Math.round(height * (1 - 2 * trim)),
    })
    .resize({ width: Math.round(width * [1, 0.7, 1.4, 0.85][nth % 4]!) })
    .jpeg({ quality: 45 })
    .toBuffer()
}
