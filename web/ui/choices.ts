import { type CredentialKind, catalogue, type DocumentKind, type Named, offered } from '#core/catalogue/catalogue'
import { translated } from '#core/words/translations'

/** What the catalogue offers to choose, by name; also what was retired, where it is chosen already. */
export const choicesOf = (
  things: readonly (Named | CredentialKind | DocumentKind)[],
  ...chosen: readonly string[]
): { value: string; label: string }[] =>
  offered(things, ...chosen).map((thing) => ({ value: thing.key, label: translated<Named>(thing).name }))

/** The level a study is begun with: a bachelor where it is offered, or else the first that is. */
export function levelToBeginWith(): number {
  const levels = offered(catalogue().levels).map(({ key }) => Number(key))
  return levels.includes(6) ? 6 : (levels[0] ?? 6)
}
