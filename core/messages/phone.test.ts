import { dialled } from './phone'

test.each([
  ['+43 512 555 1234', 'AT', '+435125551234'],
  ['0512 555 1234', 'AT', '+435125551234'],
  ['0043 (512) 555-1234', 'AT', '+435125551234'],
  ['079 555 12 34', 'CH', '+41795551234'],
  ['12', 'AT', undefined],
  ['ask at the hut', 'AT', undefined],
  ['', 'AT', undefined],
])('%j in %s is dialled as %s', (text, country, number) => expect(dialled(text, country)).toBe(number))
