import { buffer } from 'node:stream/consumers'
import { fromBufferPromise } from 'yauzl'
import { ZipFile } from 'yazl'
import { UnfoldsTooFar } from './limitInflation'

/** What the parts of one Word file may unfold to, together, in bytes. */
const mostUnfolded = 64 * 1024 * 1024

type Parts = Map<string, Buffer>

/**
 * The parts of a Word file (ECMA-376, 2), which is a ZIP archive. A part that unfolds to more than it says ends the reading.
 *
 * @throws UnfoldsTooFar where they say they unfold to more than a paper ever does
 */
export async function partsOf(bytes: Buffer): Promise<Parts> {
  const archive = await fromBufferPromise(bytes)
  const parts: Parts = new Map()
  let left = mostUnfolded
  for await (const entry of archive.eachEntry()) {
    left -= entry.uncompressedSize
    if (left < 0) throw new UnfoldsTooFar()
    parts.set(entry.fileName, await buffer(await archive.openReadStreamPromise(entry)))
  }
  return parts
}

const bodyPart = 'word/document.xml'

/**
 * The file again, with the words of its headers at the beginning and those of its footers at the end: a letterhead says who
 * wrote, and what turns it into HTML leaves it out.
 */
export async function withHeadAndFoot(parts: Parts): Promise<Buffer> {
  const archive = new ZipFile()
  const [head, foot] = [wordsOf(parts, 'header'), wordsOf(parts, 'footer')]
  for (const [name, bytes] of parts) {
    const whole =
      name === bodyPart
        ? Buffer.from(
            bytes
              .toString()
              .replace(/<w:body>/, (body) => body + head)
              .replace(/(?=<w:sectPr\b(?:(?!<w:sectPr\b)[\s\S])*<\/w:body>|<\/w:body>)/, () => foot),
          )
        : bytes
    archive.addBuffer(whole, name, { compress: false })
  }
  archive.end()
  return buffer(archive.outputStream as NodeJS.ReadableStream)
}

/** The paragraphs of all headers or footers that say something, each once, as the markup of plain paragraphs. */
function wordsOf(parts: Parts, kind: 'header' | 'footer'): string {
  const said = [...parts.entries()]
    .filter(([name]) => name.startsWith(`word/${kind}`))
    .sort(([one], [other]) => one.localeCompare(other))
    .flatMap(([, bytes]) => bytes.toString().match(/<w:p\b[\s\S]*?<\/w:p>/g) ?? [])
    .map((paragraph) =>
      [...paragraph.matchAll(/<w:t\b[^>]*>([^<]*)<\/w:t>|<w:tab\/>/g)].map(([, words = ' ']) => words).join(''),
    )
    .filter((words) => words.trim() !== '')
  return [...new Set(said)].map((words) => `<w:p><w:r><w:t xml:space="preserve">${words}</w:t></w:r></w:p>`).join('')
}
