import fc from 'fast-check'
import { assemble, mark, type Question } from './paper'

const bank: Question[] = Array.from({ length: 30 }, (_, index) => ({
  id: `q${String(index).padStart(2, '0')}`,
  topic: ['isolate', 'prove dead', 'earth'][index % 3]!,
  difficulty: ((index % 2) + 1) as 1 | 2,
  options: ['a', 'b', 'c', 'd'].map((id) => ({ id, right: id === 'abcd'[index % 4] })),
}))
const blueprint = [
  { topic: 'isolate', count: 4 },
  { topic: 'prove dead', count: 3, difficulty: 2 as const },
  { topic: 'earth', count: 3 },
]
const paperOf = (seed: string, from = bank) => {
  const drawn = assemble(from, blueprint, seed)
  if (!drawn.ok) throw new Error('short')
  return drawn.paper
}

test('a paper follows its blueprint, holds no question twice, and depends on its seed alone', () => {
  fc.assert(
    fc.property(fc.string(), (seed) => {
      const paper = paperOf(seed)
      const questions = paper.map(({ question }) => bank.find(({ id }) => id === question)!)
      expect(new Set(questions).size).toBe(10)
      expect(questions.filter(({ topic }) => topic === 'prove dead').every(({ difficulty }) => difficulty === 2)).toBe(
        true,
      )
      expect(questions.filter(({ topic }) => topic === 'isolate')).toHaveLength(4)
      expect(paperOf(seed, [...bank].reverse())).toEqual(paper)
    }),
  )
  expect(paperOf('one')).not.toEqual(paperOf('two'))
})

test('every question of the bank is drawn in the long run', () => {
  const seen = new Set(
    Array.from({ length: 400 }, (_, seed) => paperOf(String(seed))).flatMap((paper) =>
      paper.map(({ question }) => question),
    ),
  )
  const possible = bank.filter(({ topic, difficulty }) => topic !== 'prove dead' || difficulty === 2)
  expect(seen.size).toBe(possible.length)
})

test('a bank that is too small says what is short', () => {
  expect(assemble(bank, [{ topic: 'earth', count: 11 }], 'x')).toEqual({
    ok: false,
    short: [{ topic: 'earth', wanted: 11, found: 10 }],
  })
})

test('marks count exact answers, and a missing answer is wrong', () => {
  const paper = paperOf('one')
  const right = Object.fromEntries(
    paper.map(({ question }) => [
      question,
      [bank.find(({ id }) => id === question)!.options.find((option) => option.right)!.id],
    ]),
  )
  expect(mark(bank, paper, right, 80)).toMatchObject({ right: 10, percent: 100, passed: true })
  const [first, second, third] = paper.map(({ question }) => question)
  const some = { ...right, [first!]: [], [second!]: ['a', 'b', 'c', 'd'], [third!]: [] }
  expect(mark(bank, paper, some, 80)).toMatchObject({ right: 7, percent: 70, passed: false })
})
