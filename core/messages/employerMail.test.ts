import { employerOf } from './employerMail'

const employers = ['Nordrampe Seilbahnen', 'Trasse Elektro GmbH', 'Société des Téléphériques', 'SBG']

test.each([
  ['jo@nordrampe.example', 'Nordrampe Seilbahnen'],
  ['jo@mail.nordrampe.example', 'Nordrampe Seilbahnen'],
  ['jo@trasse-elektro.example', 'Trasse Elektro GmbH'],
  ['jo@trasseelektrogmbh.example', 'Trasse Elektro GmbH'],
  ['jo@telepheriques.example', 'Société des Téléphériques'],
])('%s is an address at %s', (mail, employer) => expect(employerOf(mail, employers)).toBe(employer))

test.each(['jo@mail.example', 'nordrampe@mail.example', 'jo@gmbh.example', 'jo@sbg.example', 'jo', ''])(
  '%s is none',
  (mail) => expect(employerOf(mail, employers)).toBeUndefined(),
)
