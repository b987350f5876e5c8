import type { File } from '#contract/desk'
import { writeValue } from '#core/words/stored'
import type { LikelyDate } from '../readiness/forecast'
import { titleOf } from '../readiness/queues'
import type { Readiness } from '../readiness/readiness'
import { heldUpBy } from '../readiness/summaries'

/** When a file is likely to be ready, what holds it up, and what would help most, as the desk reads it. */
export function likelyDateView(
  likely: LikelyDate,
  { facts }: Pick<Readiness, 'facts'>,
): Pick<File, 'likely' | 'slack' | 'heldUpBy' | 'help'> {
  const { slack, early, chance, late, heldUpBy: holder, help } = likely
  return {
    likely: { early, likely: likely.likely, late, chance },
    slack,
    heldUpBy: holder && { title: writeValue(heldUpBy(holder.outcome)), share: Math.round(100 * holder.share) },
    help: help && {
      ...{ how: help.how, what: help.step.what, days: help.days, chance: Math.round(100 * help.chance) },
      title: writeValue(titleOf(help.outcome)),
      source: facts.claims.find(({ id }) => id === help.claim)?.source ?? null,
      claim: help.claim ?? null,
    },
  }
}
