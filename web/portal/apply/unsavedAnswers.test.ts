import fc from 'fast-check'
import type { AnswerValue } from '#core/form/answer'
import type { Form } from '#core/form/form'
import { afterSaving, changed, same, settled, type Typed, toSave } from './unsavedAnswers'

const form: Form = [
  {
    key: 'about',
    title: 'About you',
    heading: 'Who are you?',
    intro: '',
    holds: 'questions',
    questions: [
      { key: 'name', label: 'Name', kind: 'text', required: true },
      { key: 'town', label: 'Town', kind: 'text', required: true },
      { key: 'born', label: 'Born', kind: 'date', required: true },
    ],
  },
]

describe('what is typed', () => {
  test('is saved, and what was typed meanwhile stays, based on what is saved', () => {
    const typed = changed(changed({}, 'name', 'Ho', {}), 'town', 'Vallorne', {})
    const { changes } = toSave(form, typed, {}, {})
    expect(changes).toEqual({ name: 'Ho', town: 'Vallorne' })
    const meanwhile = changed(typed, 'name', 'Hofer', {})
    expect(afterSaving(meanwhile, changes, changes)).toEqual({ name: { value: 'Hofer', basedOn: 'Ho' } })
  })

  test('and cannot be kept as it is stays here and holds nothing else up', () => {
    const typed = changed(changed({}, 'born', 'yesterday', {}), 'town', 'Vallorne', {})
    const { changes, wrong } = toSave(form, typed, {}, {})
    expect([changes, Object.keys(wrong)]).toEqual([{ town: 'Vallorne' }, ['born']])
    expect(Object.keys(afterSaving(typed, changes, changes))).toEqual(['born'])
  })

  test('waits where another place has changed the same, and only there', () => {
    const typed = changed(changed({}, 'name', 'Ada', { name: 'A' }), 'town', 'Vallorne', {})
    const { changes, elsewhere } = toSave(form, typed, { name: 'Eva' }, {})
    expect([changes, elsewhere]).toEqual([{ town: 'Vallorne' }, { name: 'Eva' }])
    expect(toSave(form, typed, { name: 'Ada' }, {}).elsewhere).toEqual({})
  })

  test('and taken out again while something of it has still to be chosen about is not forgotten', () => {
    const typed = changed(changed({}, 'name', '', { name: 'A' }), 'town', 'Vallorne', {})
    const { changes } = toSave(form, typed, { name: 'Eva' }, { name: 'Eva' })
    expect(afterSaving(typed, changes, { name: 'Eva', ...changes })).toEqual({ name: { value: '', basedOn: 'A' } })
  })
})

describe('choosing', () => {
  const typed: Typed = { name: { value: 'Ada', basedOn: 'A' } }
  test('one’s own is saved over what was seen', () => {
    const chosen = settled(typed, 'name', { keep: 'mine', clash: 'Eva', theirs: 'Eva' })
    expect(toSave(form, chosen, { name: 'Eva' }, {}).changes).toEqual({ name: 'Ada' })
  })
  test('theirs lets go of one’s own', () =>
    expect(settled(typed, 'name', { keep: 'theirs', clash: 'Eva', theirs: 'Eva' })).toEqual({}))
  test('against what has changed once more asks once more', () => {
    const chosen = settled(typed, 'name', { keep: 'mine', clash: 'Eva', theirs: 'Eve' })
    expect(toSave(form, chosen, { name: 'Eve' }, {}).elsewhere).toEqual({ name: 'Eve' })
  })
  test('what an earlier window had left behind saves that', () => {
    const chosen = settled(typed, 'name', { keep: 'theirs', clash: 'Adah', theirs: 'A' })
    expect(toSave(form, chosen, { name: 'A' }, {}).changes).toEqual({ name: 'Adah' })
  })
})

type Values = Record<string, AnswerValue>
type Device = { typed: Typed; clashes: Values; known: Values; version: number; seen: Record<string, AnswerValue[]> }

/** Two devices of one person and the server between them, as `useAutosave` and a versioned patch play together. */
function play(steps: readonly Step[]) {
  const server = { answers: {} as Values, version: 0 }
  const device = (): Device => ({ typed: {}, clashes: {}, known: {}, version: 0, seen: {} })
  const devices = [device(), device()]
  /** What somebody typed last, by device and question, as long as it was neither saved nor chosen against. */
  const owed: Values[] = [{}, {}]
  const overwritten: string[] = []
  const see = (at: Device, key: string, value: AnswerValue) => {
    at.seen[key] = [...(at.seen[key] ?? []), value]
  }
  const type = (nth: number, key: string, value: string) => {
    const at = devices[nth]!
    if (!at.typed[key]) see(at, key, at.known[key] ?? '')
    at.typed = changed(at.typed, key, value, at.known)
    owed[nth]![key] = value
  }
  const save = (nth: number, meanwhile?: { key: string; value: string }) => {
    const at = devices[nth]!
    for (;;) {
      const { changes, elsewhere } = toSave(form, at.typed, at.known, at.clashes)
      at.clashes = { ...elsewhere, ...at.clashes }
      if (Object.keys(changes).length === 0) return
      if (at.version !== server.version) {
        Object.assign(at, { known: { ...server.answers }, version: server.version })
        continue
      }
      if (meanwhile) type(nth, meanwhile.key, meanwhile.value)
      for (const [key, value] of Object.entries(changes)) {
        const before = server.answers[key] ?? ''
        if (!same(before, value) && !at.seen[key]?.some((one) => same(one, before)))
          overwritten.push(`${key}: ${before}`)
        if (same(owed[nth]![key], value)) delete owed[nth]![key]
        see(at, key, value)
      }
      Object.assign(server.answers, changes)
      server.version += 1
      Object.assign(at, { known: { ...server.answers }, version: server.version })
      at.typed = afterSaving(at.typed, changes, at.known)
      return
    }
  }
  const settle = (nth: number, key: string, keep: 'mine' | 'theirs') => {
    const at = devices[nth]!
    const clash = at.clashes[key]
    if (clash === undefined) return
    see(at, key, clash)
    at.typed = settled(at.typed, key, { keep, clash, theirs: at.known[key] ?? '' })
    at.clashes = Object.fromEntries(Object.entries(at.clashes).filter(([other]) => other !== key))
    if (keep === 'theirs') delete owed[nth]![key]
  }
  for (const step of steps) {
    if (step.does === 'type') type(step.nth, step.key, step.value)
    if (step.does === 'save') save(step.nth)
    if (step.does === 'save while typing') save(step.nth, step)
    if (step.does === 'settle') settle(step.nth, step.key, step.keep)
  }
  return { server, devices, owed, overwritten, save, settle }
}

type Step =
  | { does: 'type' | 'save while typing'; nth: number; key: string; value: string }
  | { does: 'save'; nth: number }
  | { does: 'settle'; nth: number; key: string; keep: 'mine' | 'theirs' }
const nth = fc.constantFrom(0, 1)
const key = fc.constantFrom('name', 'town')
const value = fc.constantFrom('', 'a', 'b', 'c', 'd')
const steps = fc.array(
  fc.oneof(
    fc.record({ does: fc.constantFrom('type' as const, 'save while typing' as const), nth, key, value }),
    fc.record({ does: fc.constant('save' as const), nth }),
    fc.record({
      does: fc.constant('settle' as const),
      nth,
      key,
      keep: fc.constantFrom('mine' as const, 'theirs' as const),
    }),
  ),
  { maxLength: 30 },
)

describe('two devices at the same application, whatever is done in whatever order', () => {
  test('what was typed is still there until it is saved or chosen against', () =>
    fc.assert(
      fc.property(steps, (done) => {
        const { devices, owed } = play(done)
        for (const [at, { typed }] of devices.entries())
          for (const [name, mine] of Object.entries(owed[at]!)) expect([name, typed[name]?.value]).toEqual([name, mine])
      }),
      { numRuns: 1000 },
    ))

  test('nothing is written over what was never shown', () =>
    fc.assert(
      fc.property(steps, (done) => expect(play(done).overwritten).toEqual([])),
      { numRuns: 1000 },
    ))

  test('once all is chosen and saved, both hold the same and nothing waits', () =>
    fc.assert(
      fc.property(steps, (done) => {
        const { server, devices, save, settle } = play(done)
        for (let round = 0; round < 6; round += 1)
          for (const at of [0, 1]) {
            save(at)
            for (const name of Object.keys(devices[at]!.clashes)) settle(at, name, 'mine')
            save(at)
          }
        for (const { typed, clashes } of devices) expect([typed, clashes]).toEqual([{}, {}])
        expect(Object.keys(server.answers).length).toBeLessThanOrEqual(2)
      }),
      { numRuns: 500 },
    ))
})
