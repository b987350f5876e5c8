import { allRight, answerOf, answerOfForm, draftOf, isReady, replyOf } from './answers'
import type { Question } from './question'

const question = (over: Partial<Question> = {}): Question =>
  ({
    ...{ id: 'q', state: 'open', operator: 'We', source: 'They', candidate: 'Ada Kern', kind: 'work', parts: [] },
    ...{ claimed: { name: 'Ada Kern', from: '2019-01-01' }, draft: null, draftVersion: 0, paper: null },
    ...{ asks: { standing: false, hours: true, again: false }, answerBy: '2026-12-01', contact: '', answeredAt: null },
    fields: [
      { key: 'name', kind: 'name' },
      { key: 'from', kind: 'date' },
    ],
    ...over,
  }) as unknown as Question
const right = { 'says name': 'agrees', 'says from': 'agrees', respondent: 'Ewa Nowak' }
const sent = (written: Record<string, string>, of = question()) => {
  const answer = answerOfForm(of, written)
  return { ready: isReady(of, answer), reply: replyOf(of, answer), draft: draftOf(of, answer) }
}

test('what is written into the plain form is the answer that the page with script would send', () => {
  const { ready, reply } = sent({ ...right, hours: 'part time', note: '  Good. ', capacity: 'Personnel' })
  expect(ready).toBe(true)
  expect(reply).toEqual({
    ...{ known: true, note: 'Good.', respondent: 'Ewa Nowak', capacity: 'Personnel', hours: 'part time' },
    fields: { name: { says: 'agrees' }, from: { says: 'agrees' } },
  })
})

test('a value without a word beside it is one that is not so; a day is read as people write it', () => {
  const { reply } = sent({ ...right, 'says from': '', 'value from': '3 Feb 2019' })
  expect(reply.fields.from).toEqual({ says: 'differs', value: '2019-02-03' })
  expect(sent({ ...right, 'says from': 'differs', 'value from': 'some spring' }).reply.fields.from).toEqual({
    says: 'differs',
    value: 'some spring',
  })
})

test.each<[string, Record<string, string>]>([
  ['a line without an answer', { ...right, 'says name': '' }],
  ['a line that is not so, with no value', { ...right, 'says name': 'differs', 'value name': '  ' }],
  ['nobody who signs', { ...right, respondent: ' E ' }],
  ['a word that is none of ours', { ...right, 'says name': 'perhaps' }],
])('%s keeps it from being sent, and is kept as a draft', (_, written) => {
  const { ready, draft } = sent(written)
  expect([ready, draft.fields]).toEqual([false, expect.objectContaining({ from: { says: 'agrees' } })])
})

test('of somebody unknown nothing is said but that, whatever was ticked before', () => {
  const { ready, reply } = sent({ ...right, unknown: 'on', hours: 'full time' })
  expect([ready, reply.known, reply.fields, reply.hours]).toEqual([true, false, {}, undefined])
})

test('what was not asked is left out; a standing that was asked is needed', () => {
  const licence = question({ asks: { standing: true, hours: false, again: false } })
  expect(sent({ ...right, hours: 'full time', again: 'yes' }, licence)).toMatchObject({ ready: false })
  const { ready, reply } = sent(
    { ...right, hours: 'full time', standing: 'suspended', 'standing from': '1.2.2026' },
    licence,
  )
  expect([ready, reply.standing, reply.hours]).toEqual([true, { state: 'suspended', from: '2026-02-01' }, undefined])
  expect(sent({ ...right, standing: 'good' }).reply).not.toHaveProperty('standing')
})

test('the terms of a restriction go with it, and with nothing else', () => {
  const licence = question({ asks: { standing: true, hours: false, again: false } })
  const onTerms = { 'term not at night': 'on', 'term supervised': 'on', 'terms said': ' up to 30 kV ' }
  expect(sent({ ...right, standing: 'restricted', ...onTerms }, licence).reply.standing).toEqual({
    state: 'restricted',
    terms: ['supervised', 'not at night'],
    termsSaid: 'up to 30 kV',
  })
  expect(sent({ ...right, standing: 'restricted' }, licence).reply.standing).toEqual({ state: 'restricted' })
  expect(sent({ ...right, standing: 'suspended', ...onTerms }, licence).reply.standing).toEqual({ state: 'suspended' })
})

test('one button says that all of it is right; what was kept before comes back as it was', () => {
  const { reply, draft } = sent({
    act: 'all right',
    respondent: 'Ewa Nowak',
    'says name': 'differs',
    'value name': 'X',
  })
  expect(reply.fields).toEqual({ name: { says: 'agrees' }, from: { says: 'agrees' } })
  expect(Object.keys(allRight(question()))).toEqual(['name', 'from'])
  const kept = answerOf(question({ draft }))
  expect(draftOf(question(), kept)).toEqual(draft)
})
