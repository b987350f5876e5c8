import fc from 'fast-check'
import { channelsFor, faultsOfChannels, noticeChannels, noticeKinds, usualChannels } from './notices'

const anyChannels = fc.record(
  Object.fromEntries(noticeKinds.map((kind) => [kind, fc.subarray([...noticeChannels])])) as Record<
    (typeof noticeKinds)[number],
    fc.Arbitrary<(typeof noticeChannels)[number][]>
  >,
)

test('whatever was chosen, what is about an application goes by at least one channel that can reach its reader', () => {
  fc.assert(
    fc.property(anyChannels, fc.boolean(), (channels, hasNumber) => {
      for (const kind of noticeKinds.filter((one) => one !== 'general')) {
        const by = channelsFor(kind, channels, hasNumber)
        expect(by.length).toBeGreaterThan(0)
        if (!hasNumber) expect(by).toEqual(['mail'])
      }
    }),
  )
})

test('a general mailing that was refused goes by nothing, also where a number is there', () => {
  const refused = { ...usualChannels, general: [] }
  expect(channelsFor('general', refused, true)).toEqual([])
  expect(channelsFor('general', { ...usualChannels, general: ['text'] }, false)).toEqual(['mail'])
})

test('none cannot be chosen for what is about an application, and no text message without a confirmed number', () => {
  expect(faultsOfChannels({ ...usualChannels, 'to do': [], general: [] }, true)).toEqual([
    { kind: 'to do', code: 'one-is-needed' },
  ])
  expect(faultsOfChannels({ ...usualChannels, answers: ['mail', 'text'] }, false)).toEqual([
    { kind: 'answers', code: 'number-not-confirmed' },
  ])
  expect(faultsOfChannels(usualChannels, false)).toEqual([])
})
