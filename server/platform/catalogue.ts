import { type Catalogue, goByCatalogue } from '#core/catalogue/catalogue'
import { startingCatalogue } from '#core/catalogue/starting'
import { databaseOfSettings, readStanding, readVersioned } from './database/settings'

let held: { of: unknown; version: number } | undefined

/** The catalogue as it was last changed, with its version; what came into catalogues since then is as to begin with. */
export async function currentCatalogue(): Promise<{ version: number; catalogue: Catalogue }> {
  const { version, value } = await readVersioned<Partial<Catalogue>>('catalogue')
  return { version, catalogue: { ...startingCatalogue, ...value } }
}

const heldOf = (of: unknown) => (held && held.of === of ? held : undefined)

/** Has this process go by the newest catalogue; it is read only where it is another than the one that is held. */
export async function goByNewestCatalogue(version?: number) {
  const newest = version ?? (await readStanding()).catalogueVersion
  const of = databaseOfSettings()
  if (heldOf(of)?.version === newest) return
  const read = await currentCatalogue()
  // Of two that read at the same moment the one with the older may come back later.
  if ((heldOf(of)?.version ?? 0) > read.version) return
  held = { of, version: read.version }
  goByCatalogue(read.catalogue)
}
