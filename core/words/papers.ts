import type { PaperNeed, PaperPart } from '../papers/papers'
import { say } from './say'

export const paperPartWords = (part: PaperPart): string =>
  ({
    certificate: say('certificate'),
    transcript: say('transcript of marks'),
    'letter of award': say('letter of award'),
    'proof of enrolment': say('proof of enrolment'),
    front: say('front'),
    back: say('back'),
    translation: say('translation'),
    'data page': say('page with your picture'),
    portrait: say('portrait of yourself'),
    'one other paper': say('one other paper'),
    'second other paper': say('a second other paper'),
    other: say('something else'),
  })[part]

const list = (parts: readonly PaperPart[]) => parts.map(paperPartWords).join(say(' and '))

/** What papers are wanted and what is still missing, in a sentence or two; nothing where all is there. */
export function paperNeedWords({ sets, missing, untranslated }: PaperNeed, held: number): string {
  const wanted = sets.map(list).join(say(', or '))
  const lack =
    missing.length === 0
      ? ''
      : held === 0
        ? say('Needed: {{wanted}}.', { wanted })
        : say('Still missing: {{missing}}.', { missing: list(missing) })
  const translate = untranslated.length > 0 ? say('Its language is not read here: add a translation beside it.') : ''
  return [lack, translate].filter(Boolean).join(' ')
}
