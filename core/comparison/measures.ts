/**
 * The Jaro–Winkler similarity of two texts, 0 (nothing alike) to 1 (equal).
 * Winkler 1990, "String Comparator Metrics and Enhanced Decision Rules", with the usual prefix scale of 0.1 over at most
 * four characters, added at any similarity as in Winkler's published table.
 */
export function jaroWinkler(a: string, b: string): number {
  if (a === b) return 1
  const left = [...a]
  const right = [...b]
  if (left.length === 0 || right.length === 0) return 0
  const reach = Math.max(0, Math.floor(Math.max(left.length, right.length) / 2) - 1)
  const takenRight = new Set<number>()
  const matchedLeft: number[] = []
  left.forEach((character, index) => {
    const until = Math.min(right.length, index + reach + 1)
    for (let other = Math.max(0, index - reach); other < until; other += 1) {
      if (right[other] !== character || takenRight.has(other)) continue
      takenRight.add(other)
      matchedLeft.push(index)
      return
    }
  })
  const matches = matchedLeft.length
  if (matches === 0) return 0
  const inRight = [...takenRight].sort((x, y) => x - y)
  const outOfOrder = matchedLeft.filter((index, nth) => left[index] !== right[inRight[nth]!]).length / 2
  const jaro = (matches / left.length + matches / right.length + (matches - outOfOrder) / matches) / 3
  let prefix = 0
  while (prefix < 4 && left[prefix] !== undefined && left[prefix] === right[prefix]) prefix += 1
  return jaro + prefix * 0.1 * (1 - jaro)
}

/**
 * The number of single insertions, deletions, replacements and swaps of neighbours between two texts, no part edited
 * twice (optimal string alignment; Damerau 1964, Levenshtein 1966).
 */
export function editDistance(a: string, b: string): number {
  const left = [...a]
  const right = [...b]
  let beforeLast: number[] = []
  let last = Array.from({ length: right.length + 1 }, (_, index) => index)
  left.forEach((character, row) => {
    const current = [row + 1]
    right.forEach((other, column) => {
      let cost = Math.min(last[column]! + Number(character !== other), last[column + 1]! + 1, current[column]! + 1)
      const swapped = row > 0 && column > 0 && character === right[column - 1] && left[row - 1] === other
      if (swapped) cost = Math.min(cost, beforeLast[column - 1]! + 1)
      current.push(cost)
    })
    beforeLast = last
    last = current
  })
  return last[right.length]!
}

/**
 * The positions in `theirs` of what is not in `ours`, in order (the longest common subsequence; Wagner & Fischer 1974). Where
 * something of ours is left out, the position behind the gap is given, so that there is something to look at.
 */
export function differingPlaces(ours: readonly string[], theirs: readonly string[]): number[] {
  const lengths = Array.from({ length: ours.length + 1 }, () => new Array<number>(theirs.length + 1).fill(0))
  for (let row = ours.length - 1; row >= 0; row -= 1)
    for (let column = theirs.length - 1; column >= 0; column -= 1)
      lengths[row]![column] =
        ours[row] === theirs[column]
          ? lengths[row + 1]![column + 1]! + 1
          : Math.max(lengths[row + 1]![column]!, lengths[row]![column + 1]!)
  const places: number[] = []
  let gap = false
  let row = 0
  for (let column = 0; column < theirs.length; ) {
    if (ours[row] === theirs[column]) {
      if (gap && places.at(-1) !== column - 1) places.push(column)
      gap = false
      row += 1
      column += 1
    } else if (row < ours.length && lengths[row + 1]![column]! >= lengths[row]![column + 1]!) {
      gap = true
      row += 1
    } else {
      places.push(column)
      gap = false
      column += 1
    }
  }
  if (row < ours.length && places.length === 0 && theirs.length > 0) places.push(theirs.length - 1)
  return places
}
