import type { MarkScale } from './catalogue'

const same = (name: string) => ({ name, translations: { de: { name } } })
const both = (name: string, german: string) => ({ name, translations: { de: { name: german } } })

/** Scales of marks that are met most, to begin with. Class limits are in per cent. */
export const usualScales: readonly MarkScale[] = [
  {
    key: 'percentage',
    ...both('0 to 100 per cent', '0 bis 100 Prozent'),
    scale: {
      kind: 'numbers',
      ...{ worst: 0, best: 100, pass: 40 },
      classes: [
        { from: 70, ...same('first class') },
        { from: 60, ...same('upper second class') },
        { from: 50, ...same('lower second class') },
        { from: 40, ...same('third class') },
      ],
    },
  },
  {
    key: 'five to one',
    ...both('5 (failed) to 1 (best)', '5 (nicht bestanden) bis 1 (beste)'),
    scale: {
      kind: 'numbers',
      ...{ worst: 5, best: 1, pass: 4 },
      classes: [
        { from: 87.5, ...both('with distinction', 'mit Auszeichnung') },
        { from: 62.5, ...both('with merit', 'mit gutem Erfolg') },
        { from: 25, ...both('passed', 'bestanden') },
      ],
    },
  },
  {
    key: 'zero to twenty',
    ...both('0 to 20', '0 bis 20'),
    scale: {
      kind: 'numbers',
      ...{ worst: 0, best: 20, pass: 10 },
      classes: [
        { from: 80, ...same('très bien') },
        { from: 70, ...same('bien') },
        { from: 60, ...same('assez bien') },
        { from: 50, ...same('passable') },
      ],
    },
  },
  {
    key: 'zero to four',
    ...both('0 to 4 points', '0 bis 4 Punkte'),
    scale: {
      kind: 'numbers',
      ...{ worst: 0, best: 4, pass: 2 },
      classes: [
        { from: 92.5, ...same('summa cum laude') },
        { from: 87.5, ...same('magna cum laude') },
        { from: 80, ...same('cum laude') },
      ],
    },
  },
  {
    key: 'letters',
    ...both('A to F', 'A bis F'),
    scale: {
      kind: 'letters',
      letters: [
        { letter: 'A', percent: 95, passes: true },
        { letter: 'B', percent: 85, passes: true },
        { letter: 'C', percent: 75, passes: true },
        { letter: 'D', percent: 65, passes: true },
        { letter: 'E', percent: 55, passes: true },
        { letter: 'F', percent: 25, passes: false },
      ],
      classes: [
        { from: 90, ...both('excellent', 'ausgezeichnet') },
        { from: 75, ...both('good', 'gut') },
        { from: 55, ...both('sufficient', 'genügend') },
      ],
    },
  },
]
