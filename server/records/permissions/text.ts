import type { PermissionTexts } from '#contract/organisation'
import { textIn } from '#core/organisation/organisation'
import { languages, say, spokenLanguage } from '#core/words/say'
import { readVersioned } from '../../platform/database/settings'
import type { Deps } from '../../platform/deps'

/** Where the name of the organisation stands in a text that it has written itself. */
export const organisationField = '{{organisation}}'

/** The text we come with has had this many versions. */
const versionsBefore = 3

/** The name a version is kept under with a signature; 0 is the text we come with. */
export const nameOfVersion = (version: number) => `v${versionsBefore + version}`

/** The text we come with, in the reader's language. Paragraphs are separated by an empty line. */
export const ownPermissionText = (organisation: string) =>
  [
    say('permission.iAllowToCheckWhat', { operator: organisation }),
    say('permission.forEachCheckMayTell', { operator: organisation }),
    say('permission.employersIHaveMarkedAfter'),
    say('permission.iCanWithdrawThisPermission'),
  ].join('\n\n')

/** What is signed now, in the reader's language, and the name of its version with the language, as kept with a signature. */
export async function permissionText({ organisation }: Pick<Deps, 'organisation'>) {
  const { version, value } = await readVersioned<PermissionTexts>('permission text')
  const language = languages.find((one) => one === spokenLanguage()) ?? languages[0]
  const written = value && textIn(value, language, organisation.languages)
  return {
    text: written?.replaceAll(organisationField, organisation.name) ?? ownPermissionText(organisation.name),
    version: `${nameOfVersion(version)} ${spokenLanguage()}`,
  }
}
