import { readFile, stat } from 'node:fs/promises'
import { type FileTypeResult, fileTypeFromBuffer, fileTypeFromFile } from 'file-type'
import { documentLimits, videoLimits } from '#core/documents/limits'
import { coded } from '#core/words/say'
import type { Deps } from '../../platform/deps'
import { inGuardedThread } from '../../platform/jobs/threads'
import { problems } from '../problems'
import { keepBytes } from './bytes'
import type { Found, Given } from './lookThrough'
import { wordType } from './wordToPdf'

const papers = ['application/pdf', 'image/jpeg', 'image/png', wordType] as const
const videos = ['video/mp4', 'video/webm'] as const

type Inspected = {
  mediaType: Exclude<(typeof papers)[number], typeof wordType> | (typeof videos)[number]
  pages: number
  /** Length of a video. */
  seconds: number | null
}

/** A file that was looked through and is kept. */
export type KeptFile = Inspected & {
  sha256: string
  size: number
  /** What it was before it was turned into a PDF. */
  originalSha256: string | null
}

/** The bytes of a file, or where it lies. */
export type GivenFile = Buffer | string

/**
 * Tells from its content what a file is, and keeps it. Throws a problem that says what to do where it cannot be taken.
 * Takes its time: a transaction begins afterwards.
 *
 * @param videoSeconds a video of at most so many seconds is what is asked for, and nothing else is taken
 */
export async function takeFile(deps: Deps, file: GivenFile, videoSeconds?: number): Promise<KeptFile> {
  const size = typeof file === 'string' ? (await stat(file)).size : file.length
  if (size === 0) throw problems.unfitFile('empty-file', coded('problem.empty-file'), coded('problem.empty-file.do'))
  const kind = await (typeof file === 'string' ? fileTypeFromFile(file) : fileTypeFromBuffer(file))
  const {
    bytes = file,
    word,
    ...inspected
  } = videoSeconds === undefined
    ? await inspectPaper(file, size, kind)
    : { ...(await inspectVideo(file, size, kind, videoSeconds)), bytes: file, word: undefined }
  const now = deps.clock.now()
  const sha256 = await keepBytes(bytes, inspected.mediaType, now)
  const originalSha256 = word ? await keepBytes(word, wordType, now) : null
  return { ...inspected, sha256, originalSha256, size: typeof bytes === 'string' ? size : bytes.length }
}

async function inspectPaper(
  file: GivenFile,
  size: number,
  kind: FileTypeResult | undefined,
): Promise<Inspected & { bytes: Buffer; word?: Buffer }> {
  const mediaType = papers.find((type) => type === kind?.mime)
  if (!mediaType)
    throw problems.unfitFile(
      'wrong-kind',
      coded('problem.wrong-kind'),
      kind
        ? coded('problem.wrong-kind.found', { extension: kind.ext.toUpperCase() })
        : coded('problem.wrong-kind.neither'),
    )
  if (size > documentLimits.bytes)
    throw problems.unfitFile('file-too-large', coded('problem.file-too-large'), coded('problem.file-too-large.do'))
  const bytes = typeof file === 'string' ? await readFile(file) : file
  const looked = await lookThrough({ bytes, mediaType })
  // Where it unfolds too far, and where time or memory ran out.
  if (looked === 'too much')
    throw problems.unfitFile('too-much-inside', coded('problem.too-much-inside'), coded('problem.too-much-inside.do'))
  if ('refused' in looked) throw problems.unfitFile(looked.refused, looked.words, looked.detail)
  const found = { pages: looked.pages, seconds: null, bytes: looked.bytes ? Buffer.from(looked.bytes) : bytes }
  return mediaType === wordType ? { mediaType: 'application/pdf', ...found, word: bytes } : { mediaType, ...found }
}

const thread = new URL('./lookThrough.ts', import.meta.url)
const mostSeconds = 10

const lookThrough = (given: Given): Promise<Found> =>
  inGuardedThread<Given, Found>(thread, given, { seconds: mostSeconds, otherwise: 'too much' })

async function inspectVideo(
  file: GivenFile,
  size: number,
  kind: FileTypeResult | undefined,
  most: number,
): Promise<Inspected> {
  const mediaType = videos.find((type) => type === kind?.mime)
  if (!mediaType)
    throw problems.unfitFile(
      'wrong-kind',
      coded('problem.wrong-kind.video'),
      kind
        ? coded('problem.wrong-kind.foundVideo', { extension: kind.ext.toUpperCase() })
        : coded('problem.wrong-kind.neitherVideo'),
    )
  if (size > videoLimits.bytes)
    throw problems.unfitFile('file-too-large', coded('problem.video-too-large'), coded('problem.video-too-large.do'))
  const { parseBuffer, parseFile } = await import('music-metadata')
  const reading =
    typeof file === 'string'
      ? parseFile(file, { duration: true })
      : parseBuffer(file, { mimeType: mediaType }, { duration: true })
  const duration = await reading.then(
    ({ format }) => format.duration,
    () => undefined,
  )
  if (!duration)
    throw problems.unfitFile('broken-video', coded('problem.broken-video'), coded('problem.broken-video.do'))
  const seconds = Math.round(duration)
  if (seconds > most)
    throw problems.unfitFile('too-long', coded('problem.too-long', { seconds, most }), coded('problem.too-long.do'))
  return { mediaType, pages: 1, seconds }
}
