import { execFile } from 'node:child_process'
import { promisify } from 'node:util'
import type { ReadWord } from '#core/reading/paperText'

const run = promisify(execFile)

/** The languages papers here are in; all are tried together. */
const languages = 'eng+deu+fra+ita'
const program = 'tesseract'
/** The program's own opinion of a word, 0 to 100, from which it is taken for read. */
const sureFrom = 70
const leastConfidence = 30
const patienceMs = 120_000

const options = (png: Buffer) => ({
  encoding: 'utf8' as const,
  timeout: patienceMs,
  maxBuffer: 32 * 1024 * 1024,
  // One thread for each page: two cores serve people besides.
  env: { PATH: process.env.PATH, OMP_THREAD_LIMIT: '1' },
  input: png,
})

/** Runs the recognition program over a picture. */
async function recognised(png: Buffer, args: readonly string[]): Promise<string> {
  const { input, ...how } = options(png)
  const running = run(program, ['stdin', 'stdout', ...args], how)
  // One that is not there, or ends early, does not take what it is given; that it failed is said by the promise.
  running.child.stdin?.on('error', () => undefined)
  running.child.stdin?.end(input)
  return (await running).stdout
}

/** Whether characters can be recognised on this machine, with all languages that papers are in. */
export async function canRecognise(): Promise<boolean> {
  try {
    const { stdout } = await run(program, ['--list-langs'], { env: { PATH: process.env.PATH } })
    const there = stdout.split('\n').map((line) => line.trim())
    return languages.split('+').every((language) => there.includes(language))
  } catch {
    return false
  }
}

/** How far a picture lies turned, in quarter turns clockwise that bring it upright; 0 where nothing can be told. */
export async function quarterTurns(png: Buffer): Promise<0 | 90 | 180 | 270> {
  try {
    const said = await recognised(png, ['--psm', '0', '-c', 'min_characters_to_try=20'])
    const rotate = Number(/Rotate: (\d+)/.exec(said)?.[1] ?? 0)
    const confidence = Number(/Orientation confidence: ([\d.]+)/.exec(said)?.[1] ?? 0)
    return confidence >= 1.5 && (rotate === 90 || rotate === 180 || rotate === 270) ? rotate : 0
  } catch {
    // Too few characters to tell.
    return 0
  }
}

/**
 * The words on an upright picture of one page, with their places on it.
 *
 * @param size of the picture in pixels
 */
export async function recogniseWords(
  png: Buffer,
  size: { width: number; height: number },
  page: number,
): Promise<ReadWord[]> {
  const tsv = await recognised(png, ['-l', languages, '--psm', '3', '--dpi', '200', 'tsv'])
  return tsv
    .split('\n')
    .slice(1)
    .flatMap((line) => {
      const cells = line.split('\t')
      const [x, y, width, height, confidence] = cells.slice(6, 11).map(Number)
      const text = cells[11]?.trim() ?? ''
      if (cells[0] !== '5' || text === '' || confidence! < leastConfidence) return []
      const place = {
        page,
        x: x! / size.width,
        y: y! / size.height,
        width: width! / size.width,
        height: height! / size.height,
      }
      return [{ text, place, ...(confidence! < sureFrom ? { doubtful: true as const } : {}) }]
    })
}
