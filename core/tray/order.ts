import type { SplitPaper } from './split'

/** What can be wrong with a paper that came behind a sheet its sender printed. */
export const sheetFaults = ['pages', 'beneath', 'alone', 'used', 'not filed'] as const
export type SheetFault = (typeof sheetFaults)[number]

/**
 * Whether the sheets of a scan lie beneath their papers instead of on top: it begins with pages of nobody and ends with a sheet
 * alone. Each paper would then go behind the sheet of the one before it.
 */
export function sheetsLieBeneath(papers: readonly SplitPaper[]): boolean {
  const [first, last] = [papers[0], papers.at(-1)]
  return (
    papers.length > 1 &&
    first!.sheet === undefined &&
    first!.enquiry === undefined &&
    !first!.doubtful &&
    last!.sheet !== undefined &&
    last!.pages.length === 0
  )
}

/**
 * What is wrong with a paper behind its sheet.
 *
 * @param said how many pages its sender said there are; absent where nobody said
 * @param beneath the sheets of this scan lie beneath their papers
 */
export function faultOfSheet({ pages }: SplitPaper, said: number | null, beneath: boolean): SheetFault | undefined {
  if (beneath) return 'beneath'
  if (pages.length === 0) return 'alone'
  return said !== null && said !== pages.length ? 'pages' : undefined
}
