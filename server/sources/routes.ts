import * as contract from '#contract/sources'
import { bind } from '../http/bind'
import { enquiryCounts } from '../verification/enquiries'
import { allSources, findSources, sourceLine } from './sources'

export const sourceRoutes = [
  bind(contract.findSources, ({ input }) => findSources(input.query)),
  bind(contract.sourceDirectory, async () => {
    const counts = await enquiryCounts()
    return (await allSources()).map((source) => ({
      ...sourceLine(source),
      mail: source.mail,
      register: source.register !== null,
      ...(counts.get(source.id) ?? { asked: 0, open: 0, medianDays: null }),
    }))
  }),
]
