import { addressLine } from './address'

test.each([
  [
    { street: 'Dorfstrasse 4', postcode: '6800', town: 'Vallorne', region: 'Oberland' },
    'Dorfstrasse 4, 6800 Vallorne, Oberland',
  ],
  [{ postcode: '6800', town: 'Vallorne' }, '6800 Vallorne'],
  [{ street: ' ', town: 'Vallorne', region: '' }, 'Vallorne'],
  [{ town: '' }, ''],
])('%j in one line', (place, line) => expect(addressLine(place)).toBe(line))
