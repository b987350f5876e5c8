import type { SheetReading } from './coverSheet'

/** A page as it came out of the scanner. */
export type ScannedPage = {
  /** The code on it, where it is a cover sheet. */
  sheet?: SheetReading
  /** How far it lies turned, in quarter turns clockwise; known of cover sheets only. */
  turned?: 0 | 1 | 2 | 3
  blank: boolean
}

/** Pages that belong together. `sheet` is the cover sheet's number; without one nobody has said where they belong. */
export type SplitPaper = {
  sheet?: number
  /** The answer of a source: the reference of the enquiry whose sheet lay on top, or whose form it is. */
  enquiry?: string
  /** A cover sheet was there and could not be read for certain. */
  doubtful?: { likely?: string }
  /** Positions of its pages in the scan, from 0. */
  pages: number[]
  /** Quarter turns clockwise that bring the pages upright, taken from the cover sheet. */
  upright: 0 | 1 | 2 | 3
}

/**
 * Splits a scan at its cover sheets. A cover sheet's pages follow it; blank pages, such as the backs of single-sided
 * papers, are left out. The same sheet twice in one scan is one paper, so that what got out of order comes together. Pages
 * before the first cover sheet belong to nobody yet.
 */
export function splitScan(pages: readonly ScannedPage[]): SplitPaper[] {
  const papers: SplitPaper[] = []
  let current: SplitPaper | undefined
  pages.forEach((page, nth) => {
    if (page.sheet) {
      current = startOf(papers, page)
      // A form is part of the answer; a sheet only lies on it.
      if (page.sheet.ok && page.sheet.of === 'enquiry' && page.sheet.isForm) current.pages.push(nth)
      return
    }
    if (page.blank) return
    if (!current) {
      current = { pages: [], upright: 0 }
      papers.push(current)
    }
    current.pages.push(nth)
  })
  return papers
}

function startOf(papers: SplitPaper[], { sheet, turned = 0 }: ScannedPage): SplitPaper {
  const upright = ((4 - turned) % 4) as SplitPaper['upright']
  if (!sheet!.ok) {
    papers.push({ doubtful: { likely: sheet!.likely }, pages: [], upright })
    return papers.at(-1)!
  }
  const key: Pick<SplitPaper, 'sheet' | 'enquiry'> =
    sheet!.of === 'enquiry' ? { enquiry: sheet!.reference } : { sheet: sheet!.number }
  const known = papers.find((paper) => (key.enquiry ? paper.enquiry === key.enquiry : paper.sheet === key.sheet))
  if (known) return known
  papers.push({ ...key, pages: [], upright })
  return papers.at(-1)!
}
