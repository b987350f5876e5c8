import fc from 'fast-check'
import type { Decision } from '../comparison/proposeDecision'
import { hiddenKinds } from '../privacy/hidden'
import { claimAsAt } from './claimAsAt'
import { overtaken, type Stated } from './overtaken'
import { audiences, type ClaimToReport, composeReport, sightFor, type ToReport } from './report'

describe('how a claim stood at a moment', () => {
  const asked = (askedAt: number, answeredAt: number | null = null, calledOffAt: number | null = null) => ({
    ...{ version: 1, askedAt, answeredAt, calledOffAt },
  })
  const decided = (decidedAt: number, decision: Decision = 'confirmed', undoneAt: number | null = null) => ({
    ...{ version: 1, decision, decidedAt, undoneAt },
  })
  const history = (over: object = {}) => ({
    versions: [{ version: 1, since: 10 }],
    papers: [{ version: 1, seenAt: 20 }],
    enquiries: [asked(30, 40)],
    findings: [decided(50)],
    ...over,
  })
  const rungsOf = (over: object, ...moments: number[]) => moments.map((at) => claimAsAt(history(over), at)?.rung)

  test('it climbs as things happen, and before it was said there is none', () =>
    expect(rungsOf({}, 5, 10, 20, 30, 49, 50)).toEqual([
      undefined,
      'claimed',
      'evidenced',
      'asked',
      'asked',
      'confirmed',
    ]))

  test('a decision that was undone held until then', () =>
    expect(rungsOf({ findings: [decided(50, 'contradicted', 60)] }, 50, 59, 60)).toEqual([
      ...['contradicted', 'contradicted', 'asked'],
    ]))

  test('what was called off has asked nothing from then on', () =>
    expect(rungsOf({ enquiries: [asked(30, null, 35)], findings: [] }, 34, 35)).toEqual(['asked', 'evidenced']))

  test('asked anew since it was decided, it waits again; decided anew, the newest holds', () => {
    expect(rungsOf({ enquiries: [asked(30, 40), asked(60)] }, 59, 60)).toEqual(['confirmed', 'asked'])
    expect(rungsOf({ findings: [decided(50), decided(55, 'unconfirmable')] }, 54, 55)).toEqual([
      ...['confirmed', 'unconfirmable'],
    ])
  })

  test('a renewal begins anew, and what was before it is told of as it was', () => {
    const versions = [...history().versions, { version: 2, since: 70 }]
    expect(rungsOf({ versions }, 69, 70)).toEqual(['confirmed', 'claimed'])
    expect(claimAsAt(history({ versions }), 69)?.version).toBe(1)
  })

  test('what happens later changes nothing of what was before', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 10, max: 99 }), { maxLength: 6 }),
        fc.integer({ min: 10, max: 99 }),
        (later, at) => {
          const more = later.filter((moment) => moment > at)
          const [before, after] = [[], more].map((moments) =>
            claimAsAt(
              history({
                enquiries: [asked(30, 40), ...moments.map((moment) => asked(moment))],
                findings: [decided(50), ...moments.map((moment) => decided(moment, 'unconfirmable'))],
              }),
              at,
            ),
          )
          expect(after?.rung).toBe(before?.rung)
        },
      ),
    ))
})

const claim = (over: Partial<ClaimToReport> = {}): ClaimToReport => ({
  ...{ id: 'one', kind: 'study', title: 'A degree', rung: 'confirmed', saidOn: '2026-10-01', flags: [] },
  fields: [
    { field: 'name', claimed: 'Rita', verdict: 'same' },
    { field: 'born', claimed: '1980-01-01', verdict: 'same' },
    { field: 'number', claimed: 'N-1', verdict: 'same' },
  ],
  ...over,
})
const known = (over: Partial<ToReport> = {}): ToReport => ({
  ...{ reference: 'RP-1', language: 'en', audience: 'inside', asAt: '2026-11-30', madeAt: '2026-11-30T10:00:00Z' },
  ...{ issuer: 'Vallorne', person: { name: 'Rita', born: '1980-01-01' }, claims: [claim()], flags: [] },
  waived: [{ requirement: 'Height', reason: 'On the ground', by: 'Ines', on: '2026-11-01' }],
  declared: [{ question: 'Dismissed?', answer: 'yes', outcome: null }],
  missing: ['Work'],
  ...over,
})
const all = sightFor('candidate', () => false)

describe('a report says what its reader may see', () => {
  test('to the desk what rights show, to the candidate all, to others nothing that is hidden from some', () => {
    expect([...sightFor('inside', (kind) => kind === 'health')]).toEqual(['name', 'health'])
    expect([...all]).toEqual([...hiddenKinds])
    expect([...sightFor('recipient', () => true)]).toEqual(['name'])
  })

  test('a day of birth is nowhere in it where it may not be seen', () => {
    const { report } = composeReport(
      known(),
      sightFor('inside', () => false),
    )
    expect(JSON.stringify(report)).not.toContain('1980')
    expect(report.withheld).toEqual([{ what: 'declarations', count: 1 }])
    expect(report.declared).toEqual([])
  })

  test('of papers about health it only says how many there are', () => {
    const claims = [claim(), claim({ id: 'two', title: 'Medical, category A', hidden: 'health' })]
    const { report, told } = composeReport(
      known({ claims }),
      sightFor('inside', () => false),
    )
    expect(JSON.stringify(report)).not.toContain('Medical')
    expect([report.withheld.find(({ what }) => what === 'health')?.count, [...told]]).toEqual([1, ['one']])
  })

  test('of what was chosen a recipient is told, by name; of the rest how much there is, and of no application', () => {
    const claims = [claim(), claim({ id: 'two', title: 'Another degree' }), claim({ id: 'three', title: 'A third' })]
    const upheld = { outcome: 'upheld', by: 'Ines', on: '2026-11-01', reason: 'It is so' } as const
    const { report, told } = composeReport(
      known({
        ...{ claims, audience: 'recipient', recipient: 'Rail Inspectorate' },
        application: { reference: 'VAL-1', post: 'Driver' },
        flags: [{ kind: 'too young', raisedOn: '2026-10-01', settled: upheld }],
      }),
      sightFor('recipient', () => false),
      new Set(['two']),
    )
    expect([report.recipient, report.claims.map(({ title }) => title), [...told]]).toEqual([
      ...['Rail Inspectorate', ['Another degree'], ['two']],
    ])
    expect(report.withheld.find(({ what }) => what === 'not chosen')?.count).toBe(2)
    expect([report.application, report.flags, report.notChecked.map(({ because }) => because)]).not.toContain('Driver')
    expect([report.application, report.flags]).toEqual([undefined, []])
    expect(JSON.stringify(report)).not.toMatch(/VAL-1|Driver|A third/)
  })

  test('that somebody’s paper of identity was checked is said without its number, and to others not at all', () => {
    const claims = [claim({ kind: 'identity', title: 'Passport', hidden: 'identity number' })]
    const inside = composeReport(
      known({ claims }),
      sightFor('inside', () => false),
    ).report
    expect([inside.claims[0]!.title, JSON.stringify(inside)]).toEqual(['Passport', expect.not.stringContaining('N-1')])
    const outside = composeReport(
      known({ claims, audience: 'recipient' }),
      sightFor('recipient', () => false),
    ).report
    expect([outside.claims, outside.waived, outside.withheld[0]]).toEqual([
      ...[[], [], { what: 'identity number', count: 1 }],
    ])
  })

  test('red flags: all to the desk, what is settled to the candidate, what was upheld to others', () => {
    const settled = (outcome: 'upheld' | 'dismissed') => ({ outcome, by: 'Ines', on: '2026-11-02' })
    const flags = [{}, { settled: settled('dismissed') }, { settled: settled('upheld') }].map((one) => ({
      ...{ kind: 'too young' as const, raisedOn: '2026-11-01' },
      ...one,
    }))
    const counts = audiences.map((audience) => {
      const { report } = composeReport(known({ audience, claims: [claim({ flags })], flags }), all)
      return [audience, report.claims[0]!.flags.length, report.flags.length]
    })
    expect(counts).toEqual([
      ['candidate', 2, 2],
      ['inside', 3, 3],
      ['recipient', 1, 1],
    ])
  })

  test('what was not checked is said with its reason, also what there is nothing of', () => {
    const claims = [
      claim({ title: 'a', rung: 'claimed' }),
      claim({ title: 'b', rung: 'evidenced' }),
      claim({ title: 'c', rung: 'evidenced', neverAsk: true }),
      claim({ title: 'd', rung: 'asked' }),
      claim({ title: 'e', rung: 'unconfirmable' }),
      claim({ title: 'f', stale: true }),
      claim({ title: 'g', rung: 'contradicted' }),
    ]
    const { report } = composeReport(known({ claims }), all)
    expect(report.notChecked.map(({ what, because }) => `${what}: ${because}`)).toEqual([
      ...['a: nobody asked', 'b: paper only', 'c: not to be asked', 'd: no answer yet', 'e: nobody could say'],
      ...['f: confirmed long ago', 'Height: requirement waived', 'Work: none in the file'],
    ])
  })

  test('of chosen claims it tells of no other, and says how many there are', () => {
    const claims = [claim(), claim({ id: 'two', title: 'Another' })]
    const { report } = composeReport(known({ claims }), all, new Set(['two']))
    expect([report.claims.map(({ title }) => title), report.withheld]).toEqual([
      ['Another'],
      [{ what: 'not chosen', count: 1 }],
    ])
  })

  test('whoever may see less never reads more', () =>
    fc.assert(
      fc.property(fc.subarray([...hiddenKinds]), fc.constantFrom(...hiddenKinds), (seen, less) => {
        const claims = hiddenKinds.map((hidden) => claim({ id: hidden, title: hidden, hidden }))
        const length = (kinds: readonly (typeof hiddenKinds)[number][]) => {
          const { report } = composeReport(known({ claims }), new Set(kinds))
          return report.claims.length + report.declared.length + report.claims.flatMap(({ fields }) => fields).length
        }
        expect(length(seen.filter((kind) => kind !== less))).toBeLessThanOrEqual(length(seen))
      }),
    ))
})

describe('what was stated turns out otherwise', () => {
  const stated = (over: Partial<Stated> = {}): Stated => ({
    ...{ claimId: 'one', version: 1, finding: { id: 'f', decision: 'confirmed' }, standing: null },
    ...over,
  })
  const standing = (state: 'good' | 'restricted' | 'revoked', more: object = {}) => ({ standing: { state, ...more } })
  const isOvertaken = (before: Stated, ...now: Stated[]) => overtaken([before], now).length > 0

  test.each<[string, Stated, Stated[], boolean]>([
    ['nothing has changed', stated(), [stated()], false],
    ['it was confirmed anew', stated(), [stated({ finding: { id: 'g', decision: 'confirmed with a note' } })], false],
    ['it was contradicted', stated(), [stated({ finding: { id: 'g', decision: 'contradicted' } })], true],
    ['the decision was undone', stated(), [stated({ finding: null })], true],
    ['it was decided where nothing was', stated({ finding: null }), [stated()], false],
    ['it was renewed, and stands as it stood', stated(), [stated(), stated({ version: 2, finding: null })], false],
    ['the claim is gone', stated(), [], true],
    ['its body says that it is in good standing', stated(), [stated(standing('good'))], false],
    ['its body revokes it', stated(standing('good')), [stated(standing('revoked'))], true],
    ['it is restricted where nothing was said', stated(), [stated(standing('restricted'))], true],
    ['the same restriction', stated(standing('restricted')), [stated(standing('restricted', { terms: [] }))], false],
    [
      'other terms of a restriction',
      stated(standing('restricted')),
      [stated(standing('restricted', { termsSaid: 'Not alone' }))],
      true,
    ],
  ])('%s', (_what, before, now, expected) => expect(isOvertaken(before, ...now)).toBe(expected))
})
