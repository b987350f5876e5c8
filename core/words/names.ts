import { credentialKind, studyFields, studyLevels } from '../requirements/catalogue'
import { say } from './say'
import { translated } from './translations'

/** What a kind of licence or certificate is called; its key where it is not in the catalogue. */
export function credentialName(key: string): string {
  const kind = credentialKind(key)
  return kind ? translated(kind).name : key
}

/** What a level of ISCED 2011 is called, where it is one that is offered. */
export function studyLevelName(level: number): string | undefined {
  const known = studyLevels.find((each) => each === level)
  return known && say(`names.level.${known}`)
}

/** What a field of ISCED-F 2013 is called; its number where it is not offered. */
export function studyFieldName(field: string): string {
  const known = studyFields.find((each) => each === field)
  return known ? say(`names.field.${known}`) : field
}
