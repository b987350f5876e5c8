import type { Unfinished as Kept } from '#contract/unfinished'
import type { Account } from '../platform/deps'
import { Unfinished } from '../records/decisions/unfinished'

/** What somebody has begun to type about a document or a claim: theirs alone, on whatever machine they sign in. */
export async function readUnfinished(actor: Account, about: string): Promise<Kept> {
  const kept = await Unfinished.findOne({ where: { accountId: actor.id, about } })
  return { value: kept?.value ?? {}, savedAt: kept?.savedAt.toISOString() ?? null }
}

/** Keeps it; nothing forgets it. Goes by the machine's clock, as whatever is only kept for a time. */
export async function keepUnfinished(actor: Account, about: string, value: Record<string, string>) {
  const key = { accountId: actor.id, about }
  if (Object.keys(value).length === 0) await Unfinished.destroy({ where: key })
  else await Unfinished.upsert({ ...key, value, savedAt: new Date() })
  return { done: true as const }
}
