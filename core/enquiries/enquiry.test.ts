import { languageOfSource } from '../sources/language'
import { beyondFields } from './asks'
import { type Progress, stageOf, turnOf } from './enquiry'
import { isToApprove } from './settings'

const open: Progress = {
  ...{ state: 'open', channel: 'link', toPrint: false, opened: false, partly: false, forwarded: false },
  ...{ reminders: 0, escalations: 0, paper: false },
}

test.each<[string, Partial<Progress>, string, string]>([
  ['has just been asked', {}, 'asked', 'source'],
  ['was reminded', { reminders: 1 }, 'reminded', 'source'],
  ['is asked by another way', { escalations: 1 }, 'escalated', 'source'],
  ['has opened it after a reminder', { opened: true, reminders: 1 }, 'opened', 'source'],
  ['has passed it on', { opened: true, forwarded: true }, 'forwarded', 'source'],
  ['has answered a part', { opened: true, partly: true }, 'partly answered', 'source'],
  ['waits for the printer', { channel: 'letter', toPrint: true }, 'to print', 'desk'],
  ['has a letter', { channel: 'letter' }, 'asked', 'source'],
  ['is to be called', { channel: 'telephone', reminders: 2 }, 'to call', 'desk'],
  ['has sent a paper', { channel: 'letter', paper: true, reminders: 1 }, 'paper came', 'desk'],
])('a source that %s', (_what, over, stage, turn) => {
  expect([stageOf({ ...open, ...over }), turnOf({ ...open, ...over }, false)]).toEqual([stage, turn])
})

test('what is prepared waits for whoever has to give what is missing', () => {
  const prepared = { ...open, state: 'prepared' as const }
  expect([turnOf(prepared, true), turnOf(prepared, false)]).toEqual(['candidate', 'desk'])
})

test('how a question ends is the desk’s to look at; one that was called off is nobody’s', () => {
  const turn = (state: Progress['state']) => turnOf({ ...open, state }, false)
  expect([turn('answered'), turn('declined'), turn('silent'), turn('withdrawn')]).toEqual([
    'desk',
    'desk',
    'desk',
    undefined,
  ])
})

test('only what is licensed has a standing, and only of work is it asked whether again, where the law lets one', () => {
  expect(beyondFields('licence', 'AT', ['AT'])).toEqual({ standing: true, hours: false, again: false })
  expect(beyondFields('work', 'AT', ['CH'])).toEqual({ standing: false, hours: true, again: false })
  expect(beyondFields('work', 'CH', ['CH'])).toEqual({ standing: false, hours: true, again: true })
  expect(beyondFields('study', 'CH', ['CH'])).toEqual({ standing: false, hours: false, again: false })
})

test.each([
  [null, 0, false],
  [{ amount: 0, currency: 'EUR' }, 0, false],
  [{ amount: 2000, currency: 'EUR' }, null, false],
  [{ amount: 2000, currency: 'EUR' }, 2000, false],
  [{ amount: 2001, currency: 'EUR' }, 2000, true],
  [{ amount: 1, currency: 'CHF' }, 2000, true],
] as const)('a cost of %j above a limit of %j: %s', (cost, limit, expected) => {
  expect(isToApprove(cost, limit, 'EUR')).toBe(expected)
})

test.each([
  ['AT', '', undefined, 'de'],
  ['CH', '', undefined, 'de'],
  ['CH', 'GE', undefined, 'fr'],
  ['CH', 'TI', undefined, 'it'],
  ['IT', '', undefined, 'it'],
  ['PL', '', undefined, 'en'],
  ['PL', '', 'de', 'de'],
  ['AT', '', '', 'de'],
] as const)('a source in %s %s that says %j is written to in %s', (country, region, language, expected) => {
  expect(languageOfSource({ country, region, language })).toBe(expected)
})
