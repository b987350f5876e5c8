import { readFile, stat } from 'node:fs/promises'
import { fileTypeFromBuffer, fileTypeFromFile } from 'file-type'
import { parseBuffer, parseFile } from 'music-metadata'
import { documentLimits, videoLimits } from '#core/pages/limits'
import type { Deps } from '../../platform/deps'
import { Problem } from '../../platform/errors/problems'
import { inGuardedThread } from '../../platform/jobs/threads'
import { keepBytes } from './bytes'
import type { Found, Given } from './lookThrough'

const papers = ['application/pdf', 'image/jpeg', 'image/png'] as const
const videos = ['video/mp4', 'video/webm'] as const

type Inspected = {
  mediaType: (typeof papers)[number] | (typeof videos)[number]
  pages: number
  /** Length of a video. */
  seconds: number | null
}

/** A file that was looked through and is kept. */
export type KeptFile = Inspected & { sha256: string; size: number }

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
  if (size === 0)
    throw refused('empty-file', 'The file is empty.', 'Choose it again; it may not have been saved completely.')
  const kind = await (typeof file === 'string' ? fileTypeFromFile(file) : fileTypeFromBuffer(file))
  const found = kind
    ? `It is a ${kind.ext.toUpperCase()} file, whatever its name says.`
    : 'Its content is none of these, whatever its name says.'
  const { bytes = file, ...inspected } =
    videoSeconds === undefined
      ? await inspectPaper(file, size, kind?.mime, found)
      : { ...(await inspectVideo(file, size, { mime: kind?.mime, found, most: videoSeconds })), bytes: file }
  const sha256 = await keepBytes(bytes, inspected.mediaType, deps.clock.now())
  return { ...inspected, sha256, size: typeof bytes === 'string' ? size : bytes.length }
}

async function inspectPaper(
  file: GivenFile,
  size: number,
  mime: string | undefined,
  found: string,
): Promise<Inspected & { bytes: Buffer }> {
  const mediaType = papers.find((type) => type === mime)
  if (!mediaType)
    throw refused(
      'wrong-kind',
      'Only PDF, JPEG and PNG files can be taken.',
      `${found} Save or print it as PDF and choose that.`,
    )
  if (size > documentLimits.bytes)
    throw refused('file-too-large', 'The file is larger than 10 MB.', 'Photograph the pages, or save it smaller.')
  const bytes = typeof file === 'string' ? await readFile(file) : file
  const looked = await lookThrough({ bytes, mediaType })
  // Where it unfolds too far, and where time or memory ran out.
  if (looked === 'too much')
    throw refused(
      'too-much-inside',
      'The file unfolds to more than can be looked through.',
      'Print it to a new PDF and choose that, or photograph its pages.',
    )
  if ('refused' in looked) throw refused(looked.refused, looked.title, looked.detail)
  return { mediaType, pages: looked.pages, seconds: null, bytes: looked.bytes ? Buffer.from(looked.bytes) : bytes }
}

const thread = new URL('./lookThrough.ts', import.meta.url)
const mostSeconds = 10

const lookThrough = (given: Given): Promise<Found> =>
  inGuardedThread<Given, Found>(thread, given, { seconds: mostSeconds, otherwise: 'too much' })

type Video = { mime: string | undefined; found: string; most: number }

async function inspectVideo(file: GivenFile, size: number, { mime, found, most }: Video): Promise<Inspected> {
  const mediaType = videos.find((type) => type === mime)
  if (!mediaType) throw refused('wrong-kind', 'Only MP4 and WebM videos can be taken here.', found)
  if (size > videoLimits.bytes)
    throw refused('file-too-large', 'The video is larger than 60 MB.', 'Record it again with a smaller picture.')
  const reading =
    typeof file === 'string'
      ? parseFile(file, { duration: true })
      : parseBuffer(file, { mimeType: mediaType }, { duration: true })
  const duration = await reading.then(
    ({ format }) => format.duration,
    () => undefined,
  )
  if (!duration)
    throw refused(
      'broken-video',
      'The video cannot be read.',
      'It may not have been saved completely. Record it again.',
    )
  const seconds = Math.round(duration)
  if (seconds > most)
    throw refused(
      'too-long',
      `The video runs ${seconds} seconds; at most ${most} are asked for.`,
      'Record a shorter one.',
    )
  return { mediaType, pages: 1, seconds }
}

const refused = (code: string, title: string, detail: string) => new Problem(422, code, title, { detail })
