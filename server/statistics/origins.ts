import { say } from '#core/words/say'
import type { Deps } from '../platform/deps'
import { countHeardOf } from '../records/heard/count'
import { figure } from './figure'
import type { Period } from './filter'

/** Where those who sent heard of us, and how far they came. */
export async function origins(_deps: Deps, { vacancyId, since, until }: Period) {
  const rows = await countHeardOf({ ...(vacancyId ? { vacancyId } : {}), since, until })
  return [
    figure(
      'origins',
      { origin: 'text', sent: 'count', shortlist: 'count', offer: 'count', start: 'count' },
      rows.map(({ source, counts }) => ({
        origin: source === null ? say('statistics.notSaid') : say(`role.heard.${source}`),
        ...counts,
      })),
      { kind: 'bars', series: ['sent', 'shortlist', 'offer', 'start'] },
    ),
  ]
}
