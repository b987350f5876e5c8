import { say, spokenLanguage } from '#core/words/say'

/** The version of the text and the language it was read in, as it is kept with a signature. */
export const permissionVersion = () => `v3 ${spokenLanguage()}`

/** What is signed, in its version and in the reader's language. Paragraphs are separated by an empty line. */
export const permissionText = (operator: string) =>
  [
    say(
      'I allow {{operator}} to check what I have stated in my application with those who issued it: schools and universities, licensing bodies, certifiers and former employers.',
      { operator },
    ),
    say(
      'For each check, {{operator}} may tell the source my name, my date of birth and the statement to be checked, and nothing else. The source may answer these questions and no others.',
      { operator },
    ),
    say('Employers I have marked “after an offer” or “not at all” are not asked before, or at all.'),
    say(
      'I can withdraw this permission at any time on my status page. What was checked until then stays on record; nothing more will be asked.',
    ),
  ].join('\n\n')
