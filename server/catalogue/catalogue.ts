import type { Fault } from '#contract/faults'
import type { Catalogue } from '#core/catalogue/catalogue'
import { catalogueChanges } from '#core/catalogue/differences'
import { faultsOfCatalogue, type PlacedFault } from '#core/catalogue/faultsOfCatalogue'
import { startingCatalogue } from '#core/catalogue/starting'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { currentCatalogue } from '../platform/catalogue'
import { versionsOfSetting, writeVersioned } from '../platform/database/settings'
import type { Account as Actor, Deps } from '../platform/deps'
import { changedMeanwhile, invalid } from '../platform/errors/problems'
import { queueJob } from '../platform/jobs/queue'

export const readCatalogue = currentCatalogue

/** Every version of the catalogue with what it changed, the newest first. */
export async function readCatalogueVersions() {
  const versions = await versionsOfSetting('catalogue')
  return {
    versions: versions.map(({ version, changedBy, changedAt, value }, nth) => ({
      ...{ version, changedBy, changedAt: changedAt.toISOString() },
      changes: catalogueChanges(
        (versions[nth + 1]?.value as Catalogue | undefined) ?? startingCatalogue,
        value as Catalogue,
      ),
    })),
  }
}

type Given = { version: number; catalogue: Catalogue }

/** Writes the next version of the catalogue. What cannot hold is said of each thing. */
export async function saveCatalogue(deps: Deps, actor: Actor, { version, catalogue }: Given) {
  const { version: now, catalogue: before } = await currentCatalogue()
  // Against a newer one, what somebody else has added meanwhile would seem to be left out.
  if (now !== version) throw changedMeanwhile()
  const faults = faultsOfCatalogue(catalogue, before)
  if (faults.length > 0) throw invalid(faults.map(inWords))
  const next = await writeVersioned('catalogue', version, catalogue, {
    id: actor.id,
    name: actor.name,
    at: deps.clock.now(),
  })
  // How long before its last day something counts as expiring may be another now.
  const day = deps.clock.today().toString()
  await queueJob('summaries', { day, because: `catalogue ${next}` }, { uniqueKey: `summaries catalogue ${next}` })
  await recordEvent(deps, actor, {
    code: 'catalogue-changed',
    values: { things: { list: catalogueChanges(before, catalogue).map(({ name }) => name) } },
    details: { version: next },
  })
  return { version: next }
}

const inWords = (fault: PlacedFault): Fault => ({
  pointer: `/body/catalogue${fault.pointer}`,
  message:
    fault.code === 'left-out'
      ? say('problem.catalogue.left-out', { name: fault.name })
      : say(`problem.catalogue.${fault.code}`),
})
