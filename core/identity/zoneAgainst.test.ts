import { Temporal } from 'temporal-polyfill'
import { writeZone } from './machineZone'
import { zoneAgainst } from './zoneAgainst'

const today = Temporal.PlainDate.from('2026-11-24')
const paper = {
  familyName: 'MUELLER HALDE',
  givenNames: 'Runa',
  number: 'C70318824',
  issuer: 'AUT',
  nationality: 'AUT',
  born: '1991-02-03',
  through: '2031-02-11',
  sex: 'female' as const,
}
const zone = writeZone('TD3', paper)
const claimed = {
  familyName: 'Müller-Halde',
  givenNames: 'Runa',
  number: 'c70 318 824',
  issuer: 'AUT',
  born: '1991-02-03',
  through: '2031-02-11',
  zone,
}
const against = (change: Partial<typeof claimed>) => zoneAgainst({ ...claimed, ...change }, today)

test('a claim as its zone says it, in the ways names and numbers are written', () => {
  expect(against({})).toEqual({ readable: true, wrong: [], mended: [], differs: [] })
})

test('what was changed after the zone was read is named', () => {
  expect(against({ number: 'C70318825', through: '2036-02-11' }).differs).toEqual(['number', 'through'])
  expect(against({ familyName: 'Kestrel' }).differs).toEqual(['familyName'])
  expect(against({ givenNames: '' }).differs).toEqual(['givenNames'])
  expect(against({ born: '1991-03-02', issuer: 'DEU' }).differs).toEqual(['issuer', 'born'])
})

test('look-alikes and check digits come from the lines as they were captured', () => {
  expect(against({ zone: zone.replace('910203', '91O2O3') })).toMatchObject({
    mended: [{ field: 'born', read: '91O2O3', as: '910203' }],
    differs: [],
  })
  expect(against({ zone: zone.replace('910203', '910204') })).toMatchObject({
    wrong: ['born', 'whole'],
    differs: ['born'],
  })
})

test('lines that are no zone are said to be none', () => {
  expect(against({ zone: 'HELLO' })).toEqual({ readable: false, wrong: [], mended: [], differs: [] })
})
