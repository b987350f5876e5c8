import { speaksFor, speaksOf } from './sender'

const checked = { how: 'own website' as const, by: 'Ines', at: '2026-01-01' }
const contacts = [
  { mail: 'records@tannberg.example', checked },
  { mail: 'old.school@everybody.example', checked },
  { mail: 'new@elsewhere.example', checked: null },
]
const free = new Set(['everybody.example'])

test.each([
  ['Records@Tannberg.example', true, 'the contact itself, however it is written'],
  ['dean@tannberg.example', true, 'somebody of the same domain'],
  ['dean@tannberg.example.org', false, 'a domain that only begins like it'],
  ['dean@mail.tannberg.example', false, 'a part of the domain that nobody has looked at'],
  ['old.school@everybody.example', true, 'a contact with an address anybody could have'],
  ['somebody@everybody.example', false, 'anybody else with such an address'],
  ['new@elsewhere.example', false, 'a contact nobody has made sure of'],
  ['', false, 'nobody'],
])('%s speaks for the source: %s', (mail, expected) => {
  expect(speaksFor(mail, contacts, free)).toBe(expected)
})

test.each([
  ['We confirm that Ms DRÉAU-OKAFOR, Maelle, studied here.', true],
  ['We confirm that Ms Okafor studied here.', false],
  ['', false],
])('“%s” speaks of Maëlle Dréau-Okafor: %s', (text, expected) => {
  expect(speaksOf(text, 'Maëlle Dréau-Okafor')).toBe(expected)
})
