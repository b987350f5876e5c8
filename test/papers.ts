import type { PaperText, ReadWord } from '#core/reading/paperText'

/** A paper of lines of text, as a text layer gives it: each word with its place, wide gaps where several spaces are. */
export function paperOf(lines: readonly string[], more: Partial<PaperText> = {}): PaperText {
  const words = lines.flatMap((line, nth): ReadWord[] =>
    [...line.matchAll(/\S+/g)].map(({ 0: text, index }) => ({
      text,
      place: { page: 1, x: 0.05 + index * 0.012, y: 0.05 + nth * 0.03, width: text.length * 0.012, height: 0.018 },
    })),
  )
  return { how: 'text layer', words, codes: [], drawn: [], ...more }
}
