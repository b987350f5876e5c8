import type { Account } from '../platform/deps'
import { enquiryCounts } from '../records/enquiries/enquiries'
import { allSources, sourceLine } from '../records/sources/sources'
import { checkableBy } from './keep'

/** Every source, with how often it was asked and how long it takes. */
export async function sourceDirectory(actor: Account) {
  const [counts, own] = await Promise.all([enquiryCounts(), checkableBy({ enteredById: actor.id }, actor)])
  return (await allSources()).map((source) => ({
    ...sourceLine(source),
    mail: source.mail,
    register: source.register,
    answerWorkingDays: source.answerWorkingDays,
    version: source.version,
    enteredBy: source.enteredBy,
    checkedBy: source.checkedAt ? (source.checkedBy ?? '') : null,
    ...(source.enteredById === actor.id ? own : { mayCheck: true, alone: false }),
    retired: source.retiredAt !== null,
    ...(counts.get(source.id) ?? { asked: 0, open: 0, medianDays: null }),
  }))
}
