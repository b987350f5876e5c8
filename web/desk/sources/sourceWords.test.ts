import type { ContactFlag } from '#core/sources/lookalikes'
import type { HitReason } from '#core/sources/rank'
import desk from '#core/words/groups/desk.en'
import { learn } from '#core/words/say'
import { flagWords, hitWords, sellerWords, twinWords } from './sourceWords'

beforeAll(() => learn('en', desk as never))

const hit = (over: Partial<HitReason>): HitReason => ({
  by: 'name',
  how: 'same',
  name: 'Arvelle',
  town: false,
  ...over,
})

test.each<[Partial<HitReason>, string]>([
  [{}, 'goes by Arvelle'],
  [{ by: 'other', how: 'spelling' }, 'also goes by Arvelle, spelled another way'],
  [{ by: 'short', how: 'beginning' }, 'in short Arvelle, begins like this'],
  [{ by: 'earlier', how: 'slip', town: true }, 'went by Arvelle, with a slip, by its town'],
  [{ by: 'initials' }, 'initials of Arvelle'],
  [{ how: 'partly' }, 'goes by Arvelle, some of the words'],
])('%j is said as “%s”', (over, words) => {
  expect(hitWords(hit(over))).toBe(words)
})

const near = { domain: 'arvele.example', known: 'arvelle.example', source: 'Arvelle' }
test.each<[ContactFlag, string]>([
  [{ code: 'near-domain', ...near }, 'arvele.example looks like arvelle.example of Arvelle, and is not.'],
  [{ code: 'other-ending', ...near }, 'arvele.example ends otherwise than arvelle.example of Arvelle.'],
  [
    { code: 'free-mail', domain: 'bergpost.example' },
    'Anybody gets an address at bergpost.example; an institution has its own.',
  ],
  [
    { code: 'own-mail', mail: 'jo@x.example' },
    'jo@x.example stands in the file of somebody whose claim it would confirm.',
  ],
  [
    { code: 'own-domain', domain: 'x.example' },
    'Somebody whose claim it would confirm has an address at x.example too.',
  ],
  [{ code: 'own-phone', phone: '+43 1' }, '+43 1 stands in the file of somebody whose claim it would confirm.'],
  [{ code: 'said-by-candidate', value: 'x@y.example' }, 'x@y.example comes from a candidate’s own words.'],
])('the flag %j is a sentence', (flag, words) => {
  expect(flagWords(flag)).toBe(words)
})

test('a seller says by what it is one, and twins what speaks for them', () => {
  expect(sellerWords({ id: '1', by: 'domain', value: 'x.example' })).toMatch(
    /^It is asked at a domain on the list.*x\.example/,
  )
  expect(sellerWords({ id: '1', by: 'name', value: 'X' })).toMatch(/^It goes by a name on the list/)
  expect(twinWords({ code: 'name', one: 'A', other: 'A' })).toBe('Both go by A.')
  expect(twinWords({ code: 'name', one: 'A', other: 'B' })).toBe('A here, B there.')
  expect(twinWords({ code: 'domain', value: 'x.example' })).toBe('Both are asked at x.example.')
  expect(twinWords({ code: 'phone', value: '555' })).toBe('Both have the telephone number ending in 555.')
})
