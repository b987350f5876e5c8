import type { RulesDraft as RulesDraftView } from '#contract/rules'
import { faultsOfRules, type RulesFault } from '#core/rules/faults'
import type { Rules } from '#core/rules/rules'
import type { Account, Deps } from '../../platform/deps'
import { requireVersion } from '../../platform/errors/problems'
import { RulesDraft } from '../../records/rules/model'
import { draftOf, writeDraft } from '../../records/rules/versions'
import { checkTitles } from '../../records/skills/checks'

type Owner = { id: string; rulesVersion: number }

export const faultsFor = async (rules: Rules): Promise<RulesFault[]> => faultsOfRules(rules, await checkTitles())

/** The rules being edited, with what is wrong with them. */
export async function draftView({ id, rulesVersion }: Owner): Promise<RulesDraftView> {
  const draft = await draftOf(id, rulesVersion)
  return { ...draft, savedAt: draft.savedAt.toISOString(), faults: await faultsFor(draft.rules) }
}

/** Saves the rules being edited, faults and all: nothing typed is lost, and nothing faulty can be published. */
export async function saveRulesDraft(
  deps: Deps,
  actor: Account,
  { id, rulesVersion }: Owner,
  { version, rules }: { version: number; rules: Rules },
) {
  const before = await draftOf(id, rulesVersion)
  requireVersion(version, before.version, { rules: before.rules, savedBy: before.savedBy })
  const savedAt = await writeDraft(deps, actor, id, { rules, basedOn: before.basedOn, version })
  const { changed } = await draftOf(id, rulesVersion)
  return { version: version + 1, savedAt: savedAt.toISOString(), faults: await faultsFor(rules), changed }
}

/** Goes back to the rules as they are published. */
export async function dropRulesDraft({ id }: Owner) {
  await RulesDraft.destroy({ where: { vacancyId: id } })
  return { done: true as const }
}
