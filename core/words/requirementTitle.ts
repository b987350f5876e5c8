import type { SourceCondition } from '../sources/source'
import { say } from './say'
import { type Translations, translated } from './translations'

/** What a requirement is called, or its outcome, which bears the same names. */
export type Titled = {
  title: string
  part?: 'because' | 'document' | SourceCondition['kind']
  translations?: Translations<'title'>
}

export function requirementTitle(named: Titled): string {
  const { title } = translated(named)
  return named.part ? say(`ask.part.${named.part}`, { label: title || say('reason.theSource') }) : title
}
