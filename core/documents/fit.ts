/** How a page is made smaller: its longest side in pixels, and the quality of its JPEG from 0 to 1. */
export type Shrink = { side: number; quality: number }

/** From hardly touched to just readable; A4 at 1200 pixels is about 100 to the inch. */
export const shrinks: readonly Shrink[] = [
  { side: 2200, quality: 0.82 },
  { side: 1900, quality: 0.76 },
  { side: 1600, quality: 0.7 },
  { side: 1400, quality: 0.6 },
  { side: 1200, quality: 0.5 },
]

/**
 * Makes pages one after the other so that all together stay below a limit. Each may use an equal share of what is left, so
 * that a page that needs little leaves the rest to those after it; where even the strongest step is too large, that is
 * taken.
 *
 * @param make makes a page at a step and tells its size in bytes
 * @returns the pages in order
 */
export async function fitPages<T extends { size: number }>(
  count: number,
  limit: number,
  make: (page: number, shrink: Shrink) => Promise<T>,
): Promise<T[]> {
  const made: T[] = []
  let left = limit
  let from = 0
  for (let page = 0; page < count; page++) {
    const share = left / (count - page)
    let result = await make(page, shrinks[from]!)
    let step = from
    while (result.size > share && step < shrinks.length - 1) result = await make(page, shrinks[++step]!)
    // Pages of one batch resemble one another: the next one begins where this one ended, or one step above.
    from = Math.max(0, step - 1)
    left -= result.size
    made.push(result)
  }
  return made
}
