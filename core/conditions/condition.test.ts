import fc from 'fast-check'
import { type Condition, type Facts, type FactValue, factsOf } from './condition'
import { judge } from './judge'

const names = ['a', 'b', 'c', 'd']
const comparisons: fc.Arbitrary<Condition> = fc.oneof(
  fc.record({ fact: fc.constantFrom(...names), is: fc.constantFrom('yes', 'no') }),
  fc.record({ fact: fc.constantFrom(...names), oneOf: fc.constant(['yes', 'perhaps']) }),
)
const { condition: conditions } = fc.letrec<{ condition: Condition }>((tie) => ({
  condition: fc.oneof(
    { maxDepth: 3 },
    comparisons,
    fc.array(tie('condition'), { maxLength: 3 }).map((all) => ({ all })),
    fc.array(tie('condition'), { maxLength: 3 }).map((any) => ({ any })),
    fc.array(tie('condition'), { maxLength: 3 }).map((none) => ({ none })),
  ),
}))
const answers = fc.constantFrom('yes', 'no', 'perhaps')
const facts: fc.Arbitrary<Facts> = fc.dictionary(fc.constantFrom(...names), answers)

describe('conditions', () => {
  test('an answer more never changes what was decided', () => {
    fc.assert(
      fc.property(conditions, facts, fc.constantFrom(...names), answers, (condition, known, name, answer) => {
        const before = judge(condition, known).truth
        fc.pre(before !== 'undecided')
        expect(judge(condition, { [name]: answer, ...known }).truth).toBe(before)
      }),
    )
  })

  test('undecided names only unanswered questions, and always at least one', () => {
    fc.assert(
      fc.property(conditions, facts, (condition, known) => {
        const { truth, deciding } = judge(condition, known)
        expect(deciding.every((name) => known[name] === undefined && factsOf(condition).includes(name))).toBe(true)
        expect(deciding.length > 0).toBe(truth === 'undecided')
      }),
    )
  })

  test('De Morgan: none of the parts is all of their negations', () => {
    fc.assert(
      fc.property(fc.array(conditions, { maxLength: 3 }), facts, (parts, known) => {
        expect(judge({ none: parts }, known).truth).toBe(
          judge({ all: parts.map((part) => ({ none: [part] })) }, known).truth,
        )
      }),
    )
  })

  test('every answered question decides', () => {
    fc.assert(
      fc.property(conditions, fc.tuple(answers, answers, answers, answers), (condition, [a, b, c, d]) => {
        expect(judge(condition, { a, b, c, d }).truth).not.toBe('undecided')
      }),
    )
  })

  test('one false part settles all of them, and is the reason', () => {
    const found = judge(
      {
        all: [
          { fact: 'ropes', is: 'yes' },
          { fact: 'night', is: 'yes' },
        ],
      },
      { night: 'no' },
    )
    expect(found).toMatchObject({ truth: false, deciding: [], because: [{ value: 'no', truth: false }] })
  })

  test('numbers and lists are compared as such', () => {
    expect(judge({ fact: 'years', atLeast: 3 }, { years: 3 }).truth).toBe(true)
    expect(judge({ fact: 'years', atMost: 3 }, { years: 4 }).truth).toBe(false)
    expect(judge({ fact: 'languages', holds: 'fr' }, { languages: ['de', 'fr'] }).truth).toBe(true)
    expect(judge({ fact: 'years', atLeast: 3 }, { years: 'three' }).truth).toBe(false)
  })
})

describe('exactly', () => {
  const values: Record<string, FactValue[]> = {
    a: ['yes', 'no', 'perhaps'],
    b: ['yes', 'no', 'perhaps'],
    years: [0, 1, 1.5, 2, 2.5, 3, 4],
    languages: [[], ['de'], ['fr'], ['de', 'fr']],
    since: ['2019-12-31', '2020-01-01', '2020-12-31', '2021-01-01'],
  }
  const leaf: fc.Arbitrary<Condition> = fc.oneof(
    fc.record({ fact: fc.constantFrom('a', 'b'), is: fc.constantFrom('yes', 'no') }),
    fc.record({ fact: fc.constantFrom('a', 'b'), oneOf: fc.constant(['yes', 'no']) }),
    fc.record({ fact: fc.constant('years'), atLeast: fc.integer({ min: 1, max: 3 }) }),
    fc.record({ fact: fc.constant('years'), atMost: fc.integer({ min: 1, max: 3 }) }),
    fc.record({ fact: fc.constant('languages'), holds: fc.constantFrom('de', 'fr') }),
    fc.record({ fact: fc.constant('since'), onOrAfter: fc.constantFrom('2020', '2021') }),
    fc.record({ fact: fc.constant('since'), onOrBefore: fc.constantFrom('2019', '2020') }),
  )
  const { tree } = fc.letrec<{ tree: Condition }>((tie) => ({
    tree: fc.oneof(
      { maxDepth: 4 },
      leaf,
      fc.array(tie('tree'), { minLength: 1, maxLength: 3 }).map((all) => ({ all })),
      fc.array(tie('tree'), { minLength: 1, maxLength: 3 }).map((any) => ({ any })),
      fc.array(tie('tree'), { minLength: 1, maxLength: 2 }).map((none) => ({ none })),
    ),
  }))
  const known: fc.Arbitrary<Facts> = fc.record(
    { a: fc.constantFrom(...values.a!), years: fc.constantFrom(...values.years!) },
    { requiredKeys: [] },
  )
  const completions = (names: readonly string[], given: Facts): Facts[] =>
    names
      .filter((name) => given[name] === undefined)
      .reduce(
        (all, name) => all.flatMap((facts) => values[name]!.map((value) => ({ ...facts, [name]: value }))),
        [given],
      )

  test('undecided means that two completions differ, and deciding names what they differ by, no more and no less', () => {
    fc.assert(
      fc.property(tree, known, (condition, given) => {
        const names = factsOf(condition)
        const all = completions(names, given)
        const truthOf = (facts: Facts) => judge(condition, facts).truth
        const { truth, deciding } = judge(condition, given)
        const truths = new Set(all.map(truthOf))
        expect(truth).toBe(truths.size > 1 ? 'undecided' : [...truths][0])
        const matters = names.filter(
          (name) =>
            given[name] === undefined &&
            all.some((facts) => values[name]!.some((value) => truthOf({ ...facts, [name]: value }) !== truthOf(facts))),
        )
        expect([...deciding].sort()).toEqual([...matters].sort())
      }),
      { numRuns: 400 },
    )
  })

  test('what a question can be decides more: yes or no leaves no third way, unless an honest blank is one', () => {
    const either: Condition = {
      any: [
        { fact: 'drives', is: 'yes' },
        { fact: 'drives', is: 'no' },
      ],
    }
    expect(judge(either, {}).truth).toBe('undecided')
    expect(judge(either, {}, new Map([['drives', { values: ['yes', 'no'] }]])).truth).toBe(true)
    const domains = new Map([['drives', { values: ['yes', 'no'], blanks: ['does not apply'] }]])
    expect(judge(either, {}, domains).truth).toBe('undecided')
  })

  test('a whole number has nothing between two and three', () => {
    const around: Condition = {
      any: [
        { fact: 'n', atLeast: 3 },
        { fact: 'n', atMost: 2 },
      ],
    }
    expect(judge(around, {}).truth).toBe('undecided')
    expect(judge(around, {}, new Map([['n', { whole: true }]])).truth).toBe(true)
  })

  test('of a number that is known within bounds, the bounds decide where they can', () => {
    const atLeast = (limit: number) => judge({ fact: 'months', atLeast: limit }, { months: { least: 30, most: 36 } })
    expect([30, 36, 37].map((limit) => atLeast(limit).truth)).toEqual([true, 'undecided', false])
    expect(atLeast(33).deciding).toEqual(['months'])
  })

  test('sixty comparisons over twelve open facts are decided at once, not by trying four thousand ways each time', () => {
    const parts = Array.from(
      { length: 20 },
      (_, nth): Condition => ({
        any: [0, 1, 2].map((more) => ({ fact: `f${(nth * 5 + more * 7) % 12}`, is: more % 2 === 0 ? 'yes' : 'no' })),
      }),
    )
    const began = performance.now()
    for (let run = 0; run < 50; run += 1) judge({ all: parts }, {})
    expect((performance.now() - began) / 50).toBeLessThan(25)
  })
})
