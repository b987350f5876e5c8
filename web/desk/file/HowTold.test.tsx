import { screen } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import { usualChannels } from '#core/messages/notices'
import { showPage } from '../../../test/page'
import { HeardOf } from './HeardOf'
import { HowTold } from './HowTold'

const show = (channels: object = {}, more: object = {}) =>
  showPage(<HowTold id={uuid()} />, {
    readNoticesOf: { channels: { ...usualChannels, ...channels }, phone: null, noPassingOn: false, ...more } as never,
  })

test.each<[string, object, object, string]>([
  ['as usual', {}, {}, 'Is told by mail.'],
  [
    'by both, and what was refused',
    { progress: ['mail', 'text'], general: [] },
    { phone: '+436645550101', noPassingOn: true },
    'Is told by mail and text message. Number confirmed: +436645550101. Refuses general mailings. Refuses that anything is passed on to others.',
  ],
  [
    'some things by text message alone',
    { answers: ['text'] },
    { phone: '+436645550101' },
    'Wants some things by text message alone; a mail goes where that does not arrive. Number confirmed: +436645550101.',
  ],
])('how somebody is told: %s', async (_, channels, more, words) => {
  await show(channels, more)
  screen.getByText(words)
})

test('where they heard of us is said where they have said it', async () => {
  const draw = (source: 'somebody' | null) =>
    showPage(<HeardOf id={uuid()} />, { readHeardOf: { source, recommendedBy: source ? 'Otto Quist' : '' } })
  const { unmount } = await draw('somebody')
  screen.getByText('Heard of us: somebody told me. Recommended by Otto Quist.')
  unmount()
  const { container } = await draw(null)
  expect(container.textContent).toBe('')
})
