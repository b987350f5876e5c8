import { enquiryCounts } from '../records/enquiries/enquiries'
import { allSources, sourceLine } from '../records/sources/sources'

/** Every source, with how often it was asked and how long it takes. */
export async function sourceDirectory() {
  const counts = await enquiryCounts()
  return (await allSources()).map((source) => ({
    ...sourceLine(source),
    mail: source.mail,
    register: source.register !== null,
    ...(counts.get(source.id) ?? { asked: 0, open: 0, medianDays: null }),
  }))
}
