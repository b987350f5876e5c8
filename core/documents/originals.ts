/** Where an original stands: said to come, in the safe, given back, or said to come and not coming. */
export const originalStates = ['announced', 'here', 'returned', 'called off'] as const
export type OriginalState = (typeof originalStates)[number]

/** How a paper travels: brought or fetched in person, or by post. */
export const originalWays = ['in person', 'by post'] as const
export type OriginalWay = (typeof originalWays)[number]

/** What was found on one page when the original lay beside its scan. */
export type ComparedPage = { page: number; same: boolean; note: string }

/** What a comparison comes to: every page has to be there once, and one that differs says how. */
export function comparisonOf(
  compared: readonly ComparedPage[],
  pages: number,
): { state: 'same' | 'differs'; pages: number[] } | { state: 'incomplete'; pages: number[] } {
  const all = Array.from({ length: pages }, (_, nth) => nth + 1)
  const lacking = all.filter((page) => compared.filter((one) => one.page === page).length !== 1)
  const strange = compared.filter(({ page }) => page < 1 || page > pages).map(({ page }) => page)
  const unsaid = compared.filter(({ same, note }) => !same && note.trim() === '').map(({ page }) => page)
  const incomplete = [...new Set([...lacking, ...strange, ...unsaid])].sort((a, b) => a - b)
  if (incomplete.length > 0) return { state: 'incomplete', pages: incomplete }
  const differing = compared.filter(({ same }) => !same).map(({ page }) => page)
  return { state: differing.length > 0 ? 'differs' : 'same', pages: differing.sort((a, b) => a - b) }
}
