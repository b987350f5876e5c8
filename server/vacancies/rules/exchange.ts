import type { Fault } from '#contract/faults'
import { RulesFile } from '#contract/ruleShapes'
import { differencesOf } from '#core/rules/difference'
import type { Rules } from '#core/rules/rules'
import { rulesFaultWords } from '#core/words/rules'
import { say } from '#core/words/say'
import type { Account, Deps } from '../../platform/deps'
import { invalid, requireVersion } from '../../platform/errors/problems'
import { faultsOf } from '../../platform/http/validate'
import { draftOf, publishedRules, writeDraft } from '../../records/rules/versions'
import { checkTitles } from '../../records/skills/checks'
import { faultsFor } from './draft'

type Owner = { id: string; rulesVersion: number }

/** The rules of a version by its number, or of the draft. */
export async function rulesNamed({ id, rulesVersion }: Owner, version: string): Promise<Rules> {
  return version === 'draft' ? (await draftOf(id, rulesVersion)).rules : publishedRules(id, Number(version))
}

/** What two versions say differently, as sentences. */
export async function compareRules(owner: Owner, from: string, to: string) {
  return { differences: differencesOf(await rulesNamed(owner, from), await rulesNamed(owner, to), await checkTitles()) }
}

/** Takes rules from a file into the draft. A file with any fault is refused with all of them, and changes nothing. */
export async function importRules(
  deps: Deps,
  actor: Account,
  owner: Owner,
  { version, text }: { version: number; text: string },
) {
  const before = await draftOf(owner.id, owner.rulesVersion)
  requireVersion(version, before.version, {})
  const content = parsed(text)
  const misshapen = faultsOf(RulesFile, content, '')
  if (misshapen.length > 0) throw invalid(misshapen)
  const { rules } = content as { rules: Rules }
  const faults = (await faultsFor(rules)).map(
    (fault): Fault => ({
      pointer: `/rules${fault.pointer}`,
      message: rulesFaultWords(fault, rules),
    }),
  )
  if (faults.length > 0) throw invalid(faults)
  await writeDraft(deps, actor, owner.id, { rules, basedOn: before.basedOn, version })
  return { version: version + 1 }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch (error) {
    const at = /position (\d+)/.exec(String(error))?.[1]
    const before = at === undefined ? undefined : text.slice(0, Number(at)).split('\n')
    const where = before ? ` near line ${before.length}, column ${before.at(-1)!.length + 1}` : ''
    throw invalid([{ pointer: '', message: say('problem.thisIsNotJsonExport', { where }) }])
  }
}
