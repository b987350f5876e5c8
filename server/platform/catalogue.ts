import { type Catalogue, goByCatalogue } from '#core/catalogue/catalogue'
import { startingCatalogue } from '#core/catalogue/starting'
import { newestVersion, readVersioned } from './database/settings'

let held: { version: number; catalogue: Catalogue } | undefined

/** The catalogue as it was last changed, with its version; what came into catalogues since then is as to begin with. */
export async function currentCatalogue(): Promise<{ version: number; catalogue: Catalogue }> {
  const { version, value } = await readVersioned<Partial<Catalogue>>('catalogue')
  return { version, catalogue: { ...startingCatalogue, ...value } }
}

/** Has this process go by the newest catalogue; it is read only where it is another than the one that is held. */
export async function goByNewestCatalogue() {
  if (held?.version === (await newestVersion('catalogue')) && held) return
  const read = await currentCatalogue()
  // Of two that read at the same moment the one with the older may come back later.
  if (held && held.version > read.version) return
  held = read
  goByCatalogue(read.catalogue)
}
