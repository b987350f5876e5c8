import type { Form } from '../form/form'
import type { Requirement } from '../requirements/requirement'
import { forReader } from '../words/translations'
import { type Catalogue, catalogue } from './catalogue'

/** What of the catalogue a vacancy names, in the reader's language: all a page needs to say what is asked. */
export function namedIn(requirements: readonly Requirement[], form: Form): Catalogue {
  const said = valuesIn([requirements, form])
  const among = <Thing extends { key: string; translations?: object }>(things: readonly Thing[]) =>
    things.filter(({ key }) => said.has(key)).map((thing) => forReader(thing))
  const { credentials, levels, fields, documents, languages } = catalogue()
  const speaks = form.some(({ questions }) => questions.some(({ kind }) => kind === 'languages'))
  return {
    ...{ credentials: among(credentials), levels: among(levels), fields: among(fields) },
    ...{ documents: among(documents), languages: speaks ? languages.map((one) => forReader(one)) : [], scales: [] },
  }
}

/** Every text and number that stands anywhere in a value. */
function valuesIn(value: unknown, found: Set<string> = new Set()): Set<string> {
  if (typeof value === 'string' || typeof value === 'number') found.add(String(value))
  else if (typeof value === 'object' && value !== null) for (const inner of Object.values(value)) valuesIn(inner, found)
  return found
}
