/** Where something stands: the page from 1, and the rest as shares of its width and height from the upper left corner. */
export type Place = { page: number; x: number; y: number; width: number; height: number }

export type ReadWord = {
  text: string
  place: Place
  /** Read twice and not the same both times, or not for certain. */
  doubtful?: true
  /** The line it stands in, counted over the whole paper, where its page lies turned and its place does not say. */
  line?: number
}

/** How the words of a paper came to be known. */
export type HowRead = 'text layer' | 'recognised'

/** What a machine read on a paper, before anybody asks what it means. */
export type PaperText = {
  how: HowRead
  words: ReadWord[]
  /** What stands in its square and bar codes. */
  codes: { text: string; place: Place }[]
  /** Ink that is no text and no line: signatures, stamps, portraits. */
  drawn: Place[]
}

/** A line of words as one text; each of its characters belongs to a word. */
export type Line = { text: string; words: ReadWord[]; starts: number[]; page: number }

/** The words of a paper in lines from top to bottom; words at the same height stand in one line, however far apart. */
export function linesOf(words: readonly ReadWord[]): Line[] {
  const rows: ReadWord[][] = []
  const known = words.every(({ line }) => line !== undefined)
  const ordered = known
    ? words
    : [...words].sort((a, b) => a.place.page - b.place.page || middle(a.place) - middle(b.place))
  for (const word of ordered) {
    const row = rows.at(-1)
    if (row && (known ? row[0]!.line === word.line : sameRow(row, word))) row.push(word)
    else rows.push([word])
  }
  return rows.map((row) => lineOf(known ? row : row.sort((a, b) => a.place.x - b.place.x)))
}

function lineOf(words: ReadWord[]): Line {
  const starts: number[] = []
  let text = ''
  for (const word of words) {
    if (text) text += ' '
    starts.push(text.length)
    text += word.text
  }
  return { text, words, starts, page: words[0]!.place.page }
}

/** Writes down the line of each word, before their page is turned. */
export const withLines = (words: readonly ReadWord[]): ReadWord[] =>
  linesOf(words).flatMap((line, nth) => line.words.map((word) => ({ ...word, line: nth })))

const middle = ({ y, height }: Place) => y + height / 2

function sameRow(row: readonly ReadWord[], { place }: ReadWord): boolean {
  const { page, y, height } = row[0]!.place
  return page === place.page && Math.abs(y + height / 2 - middle(place)) < Math.min(height, place.height) * 0.6
}

/** The words of a line between two of its characters. */
export const wordsBetween = (line: Line, from: number, to: number): ReadWord[] =>
  line.words.filter((word, nth) => line.starts[nth]! < to && line.starts[nth]! + word.text.length > from)

/** The smallest place that holds all of these. */
export function placeOf(words: readonly ReadWord[]): Place {
  const places = words.map(({ place }) => place)
  const x = Math.min(...places.map((place) => place.x))
  const y = Math.min(...places.map((place) => place.y))
  return {
    page: places[0]!.page,
    x,
    y,
    width: Math.max(...places.map((place) => place.x + place.width)) - x,
    height: Math.max(...places.map((place) => place.y + place.height)) - y,
  }
}
