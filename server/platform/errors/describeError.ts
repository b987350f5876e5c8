type Known = {
  name?: string
  message?: string
  stack?: string
  code?: string
  sql?: string
  original?: Known & { errno?: number; sqlMessage?: string }
}

/** Values of a statement are people's data; what remains tells which statement it was. */
const withoutValues = (sql: string) =>
  sql
    .replace(/'(?:[^'\\]|\\.|'')*'/g, '?')
    .replace(/\b\d+(?:\.\d+)?\b/g, '?')
    .slice(0, 2000)

/** What a log says of an error: its message, its code and the statement without values where there was one, and where. */
export function describeError(error: unknown) {
  if (!(error instanceof Error)) return { message: String(error) }
  const { message, code, sql, original, stack } = error as Error & Known
  return {
    message: withoutValues(original?.sqlMessage ?? original?.message ?? message),
    ...((original?.code ?? code) ? { code: original?.code ?? code } : {}),
    ...(sql ? { sql: withoutValues(sql) } : {}),
    stack: stack
      ?.split('\n')
      .filter((line) => line.startsWith('    at '))
      .slice(0, 12)
      .map((line) => line.trim()),
  }
}
