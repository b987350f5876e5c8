import type english from './marks.en'
import type { Translated } from './translated'

export default {
  'marks.noneGraded': 'Noten sind angegeben, keine davon ist gewertet.',
  'marks.overall': '{{percent}} % insgesamt{{class}}, aus {{credits}} gewerteten Punkten auf der Skala {{scale}}.',
  'marks.missing': 'Eine Note fehlt. „passed“ genügt, wo es keine Note gibt.',
  'marks.notAMark': '„{{mark}}“ ist keine Note dieser Skala.',
  'marks.outsideTheScale': '{{mark}} liegt außerhalb dieser Skala.',
  'marks.noCredits': 'Die Punkte fehlen.',
  'marks.howCounted':
    'Jede Note wird in Prozent zwischen der schlechtesten (0 %) und der besten (100 %) der Skala umgerechnet und mit ihren Credits gewichtet. Nicht bestandene Kurse zählen; ohne Note bestandene nicht. Gerundet wird einmal, am Ende, kaufmännisch auf eine Stelle.',
} satisfies Translated<typeof english>
