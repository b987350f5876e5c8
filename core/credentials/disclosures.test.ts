import fc from 'fast-check'
import { type Disclosure, disclosedIn } from './disclosures'

const payload = { name: 'Rita', _sd: ['d1'], list: [{ '...': 'd2' }, 'plain', { '...': 'd3' }] }
const all: Disclosure[] = [
  { digest: 'd1', value: '1980' },
  { digest: 'd2', value: { _sd: ['d4'] } },
  { digest: 'd3', value: 'c' },
  { digest: 'd4', value: 'inside another' },
]
const these = (...digests: string[]) => all.filter(({ digest }) => digests.includes(digest))

test('what is left out is counted, also inside what is shown', () => {
  expect(disclosedIn(payload, all)).toEqual({ sound: true, hidden: 0 })
  expect(disclosedIn(payload, these('d2'))).toEqual({ sound: true, hidden: 3 })
  expect(disclosedIn(payload, [])).toEqual({ sound: true, hidden: 3 })
})

test('a part whose own text is hidden cannot be shown, nor one that is no part, nor one twice', () => {
  expect(disclosedIn(payload, these('d4')).sound).toBe(false)
  expect(disclosedIn(payload, [...these('d1'), { digest: 'other', value: 'forged' }]).sound).toBe(false)
  expect(disclosedIn(payload, [...these('d1'), ...these('d1')]).sound).toBe(false)
  // A digest that stands twice in the text makes the whole of it unsound (7.1, 4).
  expect(disclosedIn({ ...payload, again: { _sd: ['d1'] } }, these('d1')).sound).toBe(false)
})

test('the example of RFC 9901, 5.1: all its digests are found, and each disclosure hidden counts one', () => {
  const example = {
    _sd: [
      'CrQe7S5kqBAHt-nMYXgc6bdt2SH5aTY1sU_M-PgkjPI',
      'JzYjH4svliH0R3PyEMfeZu6Jt69u5qehZo7F7EPYlSE',
      'PorFbpKuVu6xymJagvkFsFXAbRoc2JGlAUA2BA4o7cI',
      'TGf4oLbgwd5JQaHyKVQZU9UdGE0w5rtDsrZzfUaomLo',
      'XQ_3kPKt1XyX7KANkqVR6yZ2Va5NrPIvPYbyMvRKBMM',
      'XzFrzwscM6Gn6CJDc6vVK8BkMnfG8vOSKfpPIZdAfdE',
      'gbOsI4Edq2x2Kw-w5wPEzakob9hV1cRD0ATN3oQL9JM',
      'jsu9yVulwQQlhFlM_3JlzMaSFzglhQG0DpfayQwLUK4',
    ],
    nationalities: [
      { '...': 'pFndjkZ_VCzmyTa6UjlZo3dh-ko8aIKQc9DlGzhaVYo' },
      { '...': '7Cf6JkPudry3lcbwHgeZ8khAv1U1OSlerP0VkBJrWZ0' },
    ],
    _sd_alg: 'sha-256',
  }
  const shown = [{ digest: 'pFndjkZ_VCzmyTa6UjlZo3dh-ko8aIKQc9DlGzhaVYo', value: 'US' }]
  expect(disclosedIn(example, shown)).toEqual({ sound: true, hidden: 9 })
})

test('hiding one more part that is shown never shows more', () =>
  fc.assert(
    fc.property(fc.subarray(['d1', 'd2', 'd3']), (digests) => {
      const more = disclosedIn(payload, these(...digests))
      for (const digest of digests) {
        const less = disclosedIn(payload, these(...digests.filter((one) => one !== digest)))
        expect(less.sound).toBe(true)
        // What stands in a part that is hidden is not seen to be there.
        expect(less.hidden).toBeGreaterThanOrEqual(more.hidden)
      }
    }),
  ))
