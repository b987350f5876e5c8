import { faultsOfTable, type Right, type RightsTable, usualRights } from '#core/rights/rights'
import { roleWords } from '#core/words/roles'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { versionsOfSetting, writeVersioned } from '../platform/database/settings'
import type { Account as Actor, Deps } from '../platform/deps'
import { invalid } from '../platform/errors/problems'
import { decidedRights } from '../records/accounts/staff'
import { peopleByRole } from './colleagues'

/** The table as it holds now, with who decided it last and how many people have each role. */
export async function readRights() {
  const [[newest], people] = await Promise.all([versionsOfSetting('rights'), peopleByRole()])
  return {
    version: newest?.version ?? 0,
    table: { ...usualRights, ...(newest?.value as Partial<RightsTable> | undefined) },
    changedBy: newest?.changedBy ?? null,
    changedAt: newest?.changedAt.toISOString() ?? null,
    people,
  }
}

/** Decides the table anew. Nobody can shut administrators out of it, nor leave work to nobody. */
export async function saveRights(
  deps: Deps,
  actor: Actor,
  { version, table }: { version: number; table: RightsTable },
) {
  const faults = faultsOfTable(table).map(({ code, right, role }) => ({
    pointer: `/body/table/${right}`,
    message:
      code === 'locked'
        ? say('problem.rightIsLocked', { right: say(`right.${right}`), role: roleWords(role ?? '') })
        : say('problem.rightHasNobody', { right: say(`right.${right}`) }),
  }))
  if (faults.length > 0) throw invalid(faults)
  const before = { ...usualRights, ...(await decidedRights()) }
  const next = await writeVersioned('rights', version, table, { id: actor.id, name: actor.name, at: deps.clock.now() })
  const changed = (Object.keys(table) as Right[]).filter(
    (right) => [...table[right]].sort().join() !== [...before[right]].sort().join(),
  )
  await recordEvent(deps, actor, {
    code: 'rights-changed',
    values: { rights: { list: changed.map((right) => ({ code: `right.${right}` as const })) } },
    details: { before: pick(before, changed), after: pick(table, changed) },
  })
  return { version: next }
}

const pick = (table: RightsTable, wanted: readonly Right[]) =>
  Object.fromEntries(wanted.map((right) => [right, table[right]]))
