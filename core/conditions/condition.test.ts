import fc from 'fast-check'
import { type Condition, type Facts, factsOf, judge } from './condition'

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
