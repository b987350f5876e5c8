import { linksIn } from './answer'
import type { Question } from './form'
import { hostOf } from './links'

test.each([
  ['https://work.example/bridges?page=2#plan', 'work.example'],
  ['https://WORK.example', 'work.example'],
  ['https://pаypal.example/', 'xn--pypal-4ve.example'],
  ['http://work.example/', undefined],
  ['javascript:alert(1)', undefined],
  ['https://good.example@bad.example/', undefined],
  ['https://work.example:8443/', undefined],
  ['https://127.0.0.1/', undefined],
  ['https://2130706433/', undefined],
  ['https://[::1]/', undefined],
  ['https://intranet/', undefined],
  ['https://work.example\\@bad.example', undefined],
  ['https:// work.example', undefined],
  ['work.example', undefined],
  [`https://work.example/${'a'.repeat(500)}`, undefined],
])('%s leads to %s', (link, host) => expect(hostOf(link)).toBe(host))

test('links are found in the answer and in the records of one', () => {
  const one: Question = { key: 'a', label: 'A', kind: 'link', required: false }
  const many: Question = {
    ...{ key: 'b', label: 'B', kind: 'records', required: false },
    parts: [
      { key: 'title', label: 'Title', kind: 'text', required: true },
      { key: 'at', label: 'Where', kind: 'link', required: true },
    ],
  }
  expect(linksIn(one, 'https://a.example/')).toEqual(['https://a.example/'])
  expect(linksIn(many, [{ title: 'T', at: 'https://b.example/' }, { title: 'U' }])).toEqual(['https://b.example/'])
  expect(linksIn({ ...one, kind: 'text' }, 'https://a.example/')).toEqual([])
  expect(linksIn(many, { blank: 'does not apply' })).toEqual([])
})
