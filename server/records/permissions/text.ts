import { say, spokenLanguage } from '#core/words/say'

/** The version of the text and the language it was read in, as it is kept with a signature. */
export const permissionVersion = () => `v3 ${spokenLanguage()}`

/** What is signed, in its version and in the reader's language. Paragraphs are separated by an empty line. */
export const permissionText = (operator: string) =>
  [
    say('permission.iAllowToCheckWhat', { operator }),
    say('permission.forEachCheckMayTell', { operator }),
    say('permission.employersIHaveMarkedAfter'),
    say('permission.iCanWithdrawThisPermission'),
  ].join('\n\n')
