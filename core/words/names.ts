import { catalogue, credentialKind, documentKind, type Named, studyField, studyLevel } from '../catalogue/catalogue'
import { translated } from './translations'

const nameOf = (thing: Named | undefined): string | undefined => thing && translated(thing).name

/** What a kind of licence or certificate is called; its key where it is not in the catalogue. */
export const credentialName = (key: string): string => nameOf(credentialKind(key)) ?? key

/** What a kind of document is called; its key where it is not in the catalogue. */
export const documentName = (key: string): string => nameOf(documentKind(key)) ?? key

/** What a language is called; its code where it is not in the catalogue. */
export const languageName = (key: string): string =>
  nameOf(catalogue().languages.find((language) => language.key === key)) ?? key

/** What a level of ISCED 2011 is called; its number where it is not in the catalogue. */
export const studyLevelName = (level: number): string => nameOf(studyLevel(level)) ?? String(level)

/** What a field of ISCED-F 2013 is called; its number where it is not in the catalogue. */
export const studyFieldName = (field: string): string => nameOf(studyField(field)) ?? field
