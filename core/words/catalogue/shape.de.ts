import type english from './shape.en'
import type { Translated } from './translated'

export default {
  'shape.invalid_one': 'Etwas stimmt nicht.',
  'shape.invalid_other': '{{count}} Dinge stimmen nicht.',
  'shape.missing': 'Das fehlt.',
  'shape.empty': 'Das ist leer.',
  'shape.tooShort': 'Mindestens {{limit}} Zeichen sind nötig.',
  'shape.tooLong': 'Hier passen höchstens {{limit}} Zeichen hinein.',
  'shape.email': 'Das ist keine Mailadresse.',
  'shape.date': 'Das ist kein Tag, etwa 2026-11-24.',
  'shape.uuid': 'Das ist keine Kennung.',
  'shape.date-time': 'Das ist kein Zeitpunkt.',
  'shape.form': 'Das hat eine andere Form als erwartet.',
  'shape.oneOf': 'Das ist keines von: {{values}}.',
  'shape.oneLine': 'Hier passt nur eine Zeile Text.',
  'shape.atLeast': 'Das muss mindestens {{limit}} sein.',
  'shape.atMost': 'Das darf höchstens {{limit}} sein.',
  'shape.unknown': '„{{property}}“ ist hier nicht bekannt.',
  'shape.wrong': 'Das stimmt nicht.',
  'shape.character': 'Das enthält ein Zeichen, das nicht behalten werden kann.',
} satisfies Translated<typeof english>
