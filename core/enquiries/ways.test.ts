import fc from 'fast-check'
import type { Channel, Contact } from '../sources/source'
import { askedBy, nextWay, waysFor } from './ways'

const contact = (id: string, over: Partial<Contact> = {}): Contact => ({
  ...{ id, purposes: [], name: id, mail: '', phone: '', address: '', enteredBy: '', enteredById: null },
  checked: { how: 'own website', by: 'Ines', at: '2026-01-01' },
  ...over,
})
const degrees = contact('degrees', { purposes: ['degree records'], mail: 'degrees@x.example', phone: '+43 1' })
const front = contact('front', { mail: 'front@x.example', address: 'Ring 1' })
const disputes = contact('disputes', { purposes: ['disputes'], mail: 'disputes@x.example', phone: '+43 2' })
const study = { kind: 'study' as const, number: 'T-1' }
const written = (
  channels: Channel[],
  contacts = [disputes, front, degrees],
  register: string | null = null,
  claim = study,
) =>
  waysFor({ contacts, channels, register }, claim).map(({ channel, contactId }) =>
    [channel, contactId].filter(Boolean).join(' '),
  )

test('a source that says nothing of it is asked by mail, then by letter, then by telephone; the right office first', () => {
  expect(written([])).toEqual(['link degrees', 'link front', 'letter front', 'telephone degrees'])
})

test('a source is asked in the order it prefers', () => {
  expect(written(['telephone', 'link'])).toEqual(['telephone degrees', 'link degrees', 'link front'])
})

test('a register answers for what bears a number, and only where there is one', () => {
  expect(written(['register', 'letter'], undefined, 'degrees')).toEqual(['register', 'letter front'])
  expect(written(['register', 'letter'], undefined, null)).toEqual(['letter front'])
  expect(written(['register'], undefined, 'degrees', { ...study, number: '' })).toEqual([])
})

test('whoever nobody has made sure of is asked by no way', () => {
  expect(written(['link'], [{ ...degrees, checked: null }, front])).toEqual(['link front'])
})

test('a credential is brought by its candidate: it is no way the desk could take', () => {
  expect(written(['credential', 'letter'])).toEqual(['letter front'])
})

test('each way is taken once, and then there is none', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.constantFrom(...askedBy)), (channels) => {
      const ways = waysFor({ contacts: [disputes, front, degrees], channels, register: 'r' }, study)
      const tried: typeof ways = []
      for (let next = nextWay(ways, tried); next; next = nextWay(ways, tried)) tried.push(next)
      expect(tried).toEqual(ways)
    }),
  )
})
