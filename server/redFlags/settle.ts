import type { Static } from '@sinclair/typebox'
import type { settleRedFlag, switchRedFlagKind } from '#contract/redFlags'
import { type FlagKind, flagKinds, isMostlyWrong } from '#core/redFlags/redFlag'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import { writeVersioned } from '../platform/database/settings'
import type { Account, Deps } from '../platform/deps'
import { notFound, requireVersion } from '../platform/errors/problems'
import { countsSettled, queueFlags, settlementsOf, switchedOff } from '../records/redFlags/flags'
import { Flag, FlagSettlement } from '../records/redFlags/model'
import { problems } from './problems'
import { openByKind } from './queue'

type Settling = Static<typeof settleRedFlag.body>

/**
 * Says what a red flag comes to, or that it is looked at again. Nothing is refused by it: what it means for the claim is decided
 * there. Of two who settle it at once the first does.
 */
export async function settleFlag(deps: Deps, actor: Account, id: string, { version, outcome, reason }: Settling) {
  const flag = await Flag.findByPk(id)
  if (!flag || flag.state === 'gone') throw notFound()
  requireVersion(version, flag.version)
  if ((outcome === 'reopened') === (flag.state === 'open')) throw problems.settledAlready()
  const before = await settlementsOf([id])
  await compareAndSet(flag, version, { state: outcome === 'reopened' ? 'open' : outcome })
  await FlagSettlement.create({
    ...{ flagId: id, nth: before.length + 1, outcome, reason: reason.trim() },
    ...{ settledBy: actor.name, settledById: actor.id, settledAt: deps.clock.now() },
  })
  // What it rested on may be gone since.
  if (outcome === 'reopened') await queueFlags(flag.candidateId)
  await recordEvent(deps, actor, {
    code: 'flag-settled',
    words: `flag-settled.${outcome}`,
    values: { kind: { code: `flags.kind.${flag.kind}` }, reason: reason.trim() },
    candidateId: flag.candidateId,
    ...(flag.claimId ? { claimId: flag.claimId } : {}),
  })
  return { done: true as const }
}

/** How often each kind was right. */
export async function countRedFlags(deps: Deps) {
  const [{ version, off }, counts, open] = await Promise.all([switchedOff(), countsSettled(), openByKind(deps)])
  const count = (kind: FlagKind, state: Flag['state']) =>
    Number(counts.find((one) => one.kind === kind && one.state === state)?.count ?? 0)
  return {
    version,
    kinds: flagKinds.map((kind) => {
      const of = {
        open: open.get(kind) ?? 0,
        upheld: count(kind, 'upheld'),
        dismissed: count(kind, 'dismissed'),
      }
      return { kind, ...of, mostlyWrong: isMostlyWrong(of), off: off[kind] ?? null }
    }),
  }
}

/** Looks for a kind no more, or again; what was found of it stays, and is seen again with it. */
export async function switchKind(
  deps: Deps,
  actor: Account,
  kind: FlagKind,
  { version, on, reason }: Static<typeof switchRedFlagKind.body>,
) {
  const { off } = await switchedOff()
  const { [kind]: before, ...rest } = off
  if (on === !before) throw problems.switchedAlready()
  const now = deps.clock.now()
  const next = on ? rest : { ...rest, [kind]: { by: actor.name, at: now.toISOString(), reason: reason.trim() } }
  const saved = await writeVersioned('red flags', version, next, { id: actor.id, name: actor.name, at: now })
  await recordEvent(deps, actor, {
    code: 'flag-kind-switched',
    words: on ? 'flag-kind-switched.on' : 'flag-kind-switched.off',
    values: { kind: { code: `flags.kind.${kind}` }, reason: reason.trim() },
  })
  return { version: saved }
}
