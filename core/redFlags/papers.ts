import type { FlagFacts, PaperElsewhere, PaperOfFlags } from './facts'
import type { RedFlag } from './redFlag'

/**
 * In how many of 256 bits two pictures of one paper differ at most. Measured by `npm run bench -- pictures`: copies differ in up
 * to 15, other papers of the same form in at least 31.
 */
export const mostBitsApart = 22

const setBits = Array.from({ length: 16 }, (_, digit) => [1, 2, 4, 8].filter((bit) => digit & bit).length)

/** In how many bits two pictures differ. Both are as many hexadecimal digits. */
export function bitsApart(one: string, other: string): number {
  let count = 0
  for (let at = 0; at < one.length; at += 1)
    count += setBits[Number.parseInt(one[at]!, 16) ^ Number.parseInt(other[at] ?? '0', 16)]!
  return count
}

/** What lies in many files is a form; a few of them show that as well as all. */
const mostTwins = 3

/** Papers of this file that lie in another one too, oldest first: the same bytes, or a page that looks the same. */
export function sameElsewhere({ papers, papersElsewhere }: FlagFacts): RedFlag[] {
  return papers.flatMap((paper) => {
    const twins = papersElsewhere.flatMap((other): RedFlag[] => {
      const at = { claimId: paper.claimId, documentId: paper.documentId }
      const about = `${paper.sha256} ${other.sha256} ${other.candidateId}`
      const also = {
        other: { candidateId: other.candidateId, claimId: other.claimId, documentId: other.documentId },
        values: { claim: paper.label },
      }
      if (paper.sha256 === other.sha256) return [{ kind: 'same file', about, at, ...also }]
      const page = samePage(paper, other)
      if (page === undefined) return []
      const place = { page: page + 1, x: 0, y: 0, width: 1, height: 1 }
      return [{ kind: 'same picture', about, at: { ...at, place }, ...also }]
    })
    return twins.slice(0, mostTwins)
  })
}

/** The first page that looks like one of another paper. */
function samePage({ pictures }: Pick<PaperOfFlags, 'pictures'>, other: PaperElsewhere): number | undefined {
  const at = pictures.findIndex(
    (page) => page !== null && other.pictures.some((one) => one !== null && bitsApart(page, one) <= mostBitsApart),
  )
  return at < 0 ? undefined : at
}
