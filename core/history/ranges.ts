/** Days as numbers since 1970, first and last inclusive, so that histories are plain arithmetic. */
export type Range = { from: number; through: number }

export const isRange = (range: Range) => range.from <= range.through
export const lengthOf = (range: Range) => range.through - range.from + 1
export const intersect = (a: Range, b: Range): Range => ({
  from: Math.max(a.from, b.from),
  through: Math.min(a.through, b.through),
})
export const clip = (ranges: readonly Range[], to: Range) => ranges.map((range) => intersect(range, to)).filter(isRange)

/** The same days as few ranges in order; ranges that adjoin are joined. */
export function union(ranges: readonly Range[]): Range[] {
  const joined: Range[] = []
  for (const range of [...ranges].sort((a, b) => a.from - b.from)) {
    const last = joined.at(-1)
    if (last && range.from <= last.through + 1) last.through = Math.max(last.through, range.through)
    else joined.push({ ...range })
  }
  return joined
}

/** What remains of `whole` without `taken`, which must be in order and apart. */
export function without(whole: Range, taken: readonly Range[]): Range[] {
  const left: Range[] = []
  let next = whole.from
  for (const range of taken) {
    if (range.through < whole.from || range.from > whole.through) continue
    if (range.from > next) left.push({ from: next, through: range.from - 1 })
    next = Math.max(next, range.through + 1)
  }
  if (next <= whole.through) left.push({ from: next, through: whole.through })
  return left
}
