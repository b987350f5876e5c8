import { numberRule } from '#core/catalogue/numberPattern'
import { say } from '#core/words/say'
import { api } from '../../api'

type Chosen = { sourceId: string | null; sourceName: string }

/**
 * What a number should look like where its source has said so, while it is typed: it may be right all the same, and can be
 * kept.
 *
 * @param kinds the kinds of sources that were searched, so that what was found is asked for once
 */
export function useNumberHint(
  { sourceId, sourceName }: Chosen,
  claim: 'study' | 'licence' | 'certificate',
  number: string,
  kinds: string,
): string | undefined {
  const { data: found = [] } = api.endpoints.findSources.useQuery(
    { query: { text: sourceName, kind: kinds } },
    { skip: !sourceId },
  )
  const formats = (found.find(({ id }) => id === sourceId)?.numberFormats ?? []).filter((one) => one.claim === claim)
  if (formats.length === 0) return undefined
  const fits = number.trim() === '' || formats.some(({ pattern }) => numberRule(pattern)?.test(number.trim()))
  return say(fits ? 'apply.numbersLookLike' : 'apply.numberLooksOtherwise', {
    source: sourceName,
    example: formats.map(({ example }) => example).join(', '),
  })
}
