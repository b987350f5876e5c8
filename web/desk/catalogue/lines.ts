/** What stands on the lines of a text, each once; nothing where there is none. */
export function lines(text: string): string[] | undefined {
  const given = [...new Set(text.split('\n').map((line) => line.trim()))].filter(Boolean)
  return given.length > 0 ? given : undefined
}
