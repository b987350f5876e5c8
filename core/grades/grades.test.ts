import fc from 'fast-check'
import { usualScales } from '../catalogue/usualScales'
import { overallOf, type Scale, type Term } from './grades'

const scales: Record<string, Scale> = Object.fromEntries(usualScales.map(({ key, scale }) => [key, scale]))

const term = (...courses: [mark: string, credits: number][]): Term[] => [
  { name: 'Autumn', courses: courses.map(([mark, credits], index) => ({ title: `Course ${index}`, mark, credits })) },
]
const overall = (scale: string, ...courses: [mark: string, credits: number][]) => {
  const { percent, class: reached } = overallOf(term(...courses), scales[scale]!)
  return [percent, reached?.name ?? null]
}

// Worked by hand: sum(credits x percent) / sum(credits).
test.each<[string, [string, number][], [number | null, string | null]]>([
  [
    'percentage',
    [
      ['80', 10],
      ['60', 20],
    ],
    [66.7, 'upper second class'],
  ],
  ['percentage', [['69.95', 10]], [70, 'first class']],
  ['percentage', [['69.94', 10]], [69.9, 'upper second class']],
  [
    'five to one',
    [
      ['1', 5],
      ['2', 5],
    ],
    [87.5, 'with distinction'],
  ],
  [
    'five to one',
    [
      ['1,7', 6],
      ['3', 6],
    ],
    [66.3, 'with merit'],
  ],
  ['five to one', [['5', 6]], [0, null]],
  [
    'zero to twenty',
    [
      ['16', 3],
      ['12', 3],
    ],
    [70, 'bien'],
  ],
  [
    'zero to four',
    [
      ['4', 3],
      ['3.5', 1],
    ],
    [96.9, 'summa cum laude'],
  ],
  [
    'letters',
    [
      ['A', 1],
      ['b', 1],
      ['F', 2],
    ],
    [57.5, 'sufficient'],
  ],
  ['percentage', [['passed', 10]], [null, null]],
])('%s: %j is %j', (scale, courses, expected) => expect(overall(scale, ...courses)).toEqual(expected))

test('what is passed without a grade counts its credits and weighs nothing; what is failed weighs and earns nothing', () => {
  const result = overallOf(term(['passed', 6], ['2', 6], ['5', 6]), scales['five to one']!)
  expect([result.percent, result.creditsEarned, result.creditsGraded]).toEqual([37.5, 12, 12])
})

test('marks that cannot be read are named by their place and count nowhere', () => {
  const result = overallOf(term(['80', 10], ['lots', 10], ['120', 10], ['50', 0]), scales.percentage!)
  expect(result.percent).toBe(80)
  expect(result.faults).toEqual([
    { term: 0, course: 1, code: 'not-a-mark', mark: 'lots' },
    { term: 0, course: 2, code: 'outside-the-scale', mark: '120' },
    { term: 0, course: 3, code: 'no-credits' },
  ])
})

const numbers = Object.values(scales).filter(
  (scale): scale is Extract<Scale, { kind: 'numbers' }> => scale.kind === 'numbers',
)
const markOn = ({ worst, best }: { worst: number; best: number }, share: number) =>
  (worst + (best - worst) * share).toFixed(12)

test('the overall result lies between the worst and the best mark, and a better mark never lowers it', () => {
  const share = fc.double({ min: 0, max: 1, noNaN: true })
  const credits = fc.integer({ min: 1, max: 30 })
  fc.assert(
    fc.property(
      fc.constantFrom(...numbers),
      fc.array(fc.tuple(share, credits), { minLength: 1, maxLength: 8 }),
      share,
      (scale, marks, better) => {
        const of = (all: [number, number][]) =>
          overallOf(term(...all.map(([at, weight]): [string, number] => [markOn(scale, at), weight])), scale).percent!
        const before = of(marks)
        const shares = marks.map(([at]) => at * 100)
        expect(before).toBeGreaterThanOrEqual(Math.min(...shares) - 0.06)
        expect(before).toBeLessThanOrEqual(Math.max(...shares) + 0.06)
        const [[first, weight], ...rest] = marks as [[number, number], ...[number, number][]]
        expect(of([[Math.max(first, better), weight], ...rest])).toBeGreaterThanOrEqual(before)
      },
    ),
  )
})

test.each(['1e1', '0x10', '1.2.3', '7 5', 'Infinity', '.5', '5.', '+5'])('%s is no mark', (mark) =>
  expect(overallOf(term([mark, 10]), scales.percentage!).faults).toEqual([
    { term: 0, course: 0, code: 'not-a-mark', mark },
  ]),
)
