import { type Catalogue, type CataloguePart, catalogueParts } from './catalogue'

export const changesOfCatalogue = ['added', 'changed', 'retired', 'offered again'] as const
/** What became of something the catalogue names. */
export type CatalogueChange = {
  part: CataloguePart
  key: string
  name: string
  what: (typeof changesOfCatalogue)[number]
}

/** What is different from one catalogue to the next, thing by thing, by the names of the later one. */
export function catalogueChanges(before: Catalogue, after: Catalogue): CatalogueChange[] {
  return catalogueParts.flatMap((part) =>
    after[part].flatMap((thing): CatalogueChange[] => {
      const then = before[part].find(({ key }) => key === thing.key)
      const said = { part, key: thing.key, name: thing.name }
      if (!then) return [{ ...said, what: 'added' }]
      if (sameValue(then, thing)) return []
      if (Boolean(then.retired) === Boolean(thing.retired)) return [{ ...said, what: 'changed' }]
      return [{ ...said, what: thing.retired ? 'retired' : 'offered again' }]
    }),
  )
}

/** Equal however their properties are ordered; what is not there is as good as nothing said. */
function sameValue(one: unknown, other: unknown): boolean {
  if (typeof one !== 'object' || typeof other !== 'object' || one === null || other === null) return one === other
  const names = new Set([...Object.keys(one), ...Object.keys(other)])
  return [...names].every((name) =>
    sameValue((one as Record<string, unknown>)[name], (other as Record<string, unknown>)[name]),
  )
}
