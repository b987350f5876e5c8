import { type CredentialKind, type DocumentKind, type Named, offered } from '#core/catalogue/catalogue'
import { translated } from '#core/words/translations'

/** What the catalogue offers to choose, by name; also what was retired, where it is chosen already. */
export const choicesOf = (
  things: readonly (Named | CredentialKind | DocumentKind)[],
  ...chosen: readonly string[]
): { value: string; label: string }[] =>
  offered(things, ...chosen).map((thing) => ({ value: thing.key, label: translated<Named>(thing).name }))
