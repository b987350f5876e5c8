import type { Requirement } from '../requirements/requirement'
import { say } from './say'
import { translated } from './translations'

/** What a requirement is called, or its outcome, which bears the same names. */
export type Titled = Pick<Requirement, 'title' | 'part' | 'translations'>

export function requirementTitle(named: Titled): string {
  const { title } = translated(named)
  return named.part ? say(`ask.part.${named.part}`, { label: title }) : title
}
