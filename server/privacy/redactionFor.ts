import type { File } from '#contract/desk'
import { type HiddenKind, mayReveal, sees, subjectOf } from '#core/privacy/hidden'
import type { Right, Role } from '#core/rights/rights'
import { hiddenWords } from './accessLog'

/** Who reads: their roles and rights, and the subjects that are shown to them at the moment. */
export type Reader = { roles: readonly Role[]; rights: readonly Right[]; shown: ReadonlySet<string> }

/** Says of one part after another whether it is covered for a reader, and keeps those that are, for the page to name. */
export function coverFor({ rights, shown }: Reader) {
  const hidden: File['hidden'] = []
  const covers = (kind: HiddenKind, label = hiddenWords(kind), claimId?: string): boolean => {
    const subject = subjectOf(kind, claimId)
    if (sees(rights, kind) || shown.has(subject)) return false
    hidden.push({ subject, label, mayReveal: mayReveal(rights, kind) })
    return true
  }
  return { hidden, covers }
}
