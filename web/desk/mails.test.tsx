import { screen, waitFor, within } from '@testing-library/react'
import type { Reply } from '#contract/endpoint'
import type { listIncomingMails } from '#contract/incomingMails'
import type { readMessages } from '#contract/messages'
import { showPage } from '../../test/page'
import { Messages } from './file/Messages'
import { IncomingMails } from './overviews/IncomingMails'
import { Outbox } from './overviews/Outbox'

const id = '0190a3f0-0000-7000-8000-0000000000aa'

const mail = (
  over: Partial<Reply<typeof listIncomingMails>[number]> = {},
): Reply<typeof listIncomingMails>[number] => ({
  id,
  from: 'Anna Answers <anna@mail.example>',
  subject: 'Re: A question',
  text: 'Here it is.',
  encloses: ['Diploma.pdf'],
  kind: 'written',
  state: 'waiting',
  receivedAt: '2026-11-28T08:00:00.000Z',
  application: null,
  ...over,
})

const message = (over: Partial<Reply<typeof readMessages>[number]> = {}): Reply<typeof readMessages>[number] => ({
  id,
  at: '2026-11-27T08:00:00.000Z',
  channel: 'mail',
  to: 'anna@mail.example',
  subject: 'A question',
  text: 'One thing more.',
  encloses: [],
  state: 'accepted',
  settledAt: null,
  refusedBecause: null,
  ...over,
})

describe('mail that came in', () => {
  test('is put where it belongs by a reference; a wrong one is said at the field', async () => {
    const faults = [{ pointer: '/body/reference', message: 'No application has this reference.' }]
    const { user, sent } = await showPage(<IncomingMails />, {
      listIncomingMails: [mail()],
      fileIncomingMail: ({ body }) =>
        (body as { reference: string }).reference === 'VM-1' ? { done: true } : { problem: { status: 422, faults } },
    })
    const field = await screen.findByLabelText(/^Reference of the file/)
    await user.type(field, 'VM-0')
    await user.click(screen.getByRole('button', { name: 'Put it there' }))
    expect((await screen.findByRole('alert')).textContent).toBe('No application has this reference.')
    await user.clear(field)
    await user.type(field, 'VM-1')
    await user.click(screen.getByRole('button', { name: 'Put it there' }))
    await waitFor(() => expect(sent.at(-1)).toMatchObject({ name: 'fileIncomingMail', body: { reference: 'VM-1' } }))
  })

  test('that found its thread leads to the file, and is marked as done', async () => {
    const application = { id, reference: 'VM-EDMH-RK' }
    const { user, sent } = await showPage(<IncomingMails />, {
      listIncomingMails: [mail({ application })],
      settleIncomingMail: { done: true },
    })
    expect((await screen.findByRole('link', { name: 'VM-EDMH-RK' })).getAttribute('href')).toBe(`/desk/today/${id}`)
    expect(screen.getByText('Enclosed: Diploma.pdf')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Mark as done' }))
    await waitFor(() => expect(sent).toMatchObject([{ name: 'settleIncomingMail', params: { id } }]))
  })

  test('with nobody waiting says so', async () => {
    await showPage(<IncomingMails />, { listIncomingMails: [] })
    expect(await screen.findByText('Nobody waits for an answer by mail.')).toBeTruthy()
  })
})

describe('in the file', () => {
  const show = (roles: Parameters<typeof showPage>[1] = {}) =>
    showPage(<Messages id={id} />, {
      readMailsAbout: [
        mail(),
        mail({ id: `${id.slice(0, -1)}b`, kind: 'automatic', state: 'settled', subject: 'Away' }),
      ],
      readMessages: [
        message(),
        message({
          id: `${id.slice(0, -1)}c`,
          channel: 'text',
          to: '+436645550000',
          state: 'refused',
          refusedBecause: 'No phone has this number.',
        }),
      ],
      settleIncomingMail: { done: true },
      resendMessage: { done: true },
      ...roles,
    })

  test('what came in and what went out stand together; what waits is open', async () => {
    await show()
    const lines = (await screen.findAllByRole('listitem')).map(({ textContent }) => textContent!)
    expect(lines[0]).toContain('waits for you')
    expect(lines[0]).toContain('Here it is.')
    expect(lines[1]).toContain('sent by a machine')
    expect(lines.find((line) => line.includes('+436645550000'))).toContain('by text')
  })

  test('a refused one is sent again, by who may', async () => {
    const { user, sent } = await show()
    const refused = (await screen.findByText(/No phone has this number/)).closest('li')!
    await user.click(await within(refused).findByRole('button', { name: 'Send again' }))
    await waitFor(() => expect(sent).toMatchObject([{ name: 'resendMessage' }]))
  })

  test('an assessor reads and does nothing', async () => {
    await show({ roles: ['assessor'] })
    await screen.findByText(/No phone has this number/)
    expect(screen.queryByRole('button', { name: /Send again|Mark as done/ })).toBeNull()
  })
})

test('the outbox tells what waits and what was refused, and lets one be', async () => {
  const { user, sent } = await showPage(<Outbox />, {
    readOutbox: [
      {
        id,
        at: message().at,
        channel: 'mail',
        to: 'x@refuses.example',
        subject: 'First',
        state: 'refused',
        because: '550 No',
        application: null,
      },
      {
        id: `${id.slice(0, -1)}b`,
        at: message().at,
        channel: 'text',
        to: '+43664',
        subject: 'Second',
        state: 'queued',
        because: null,
        application: null,
      },
    ],
    letMessageBe: { done: true },
  })
  expect(await screen.findByText('+43664 (text)')).toBeTruthy()
  expect(screen.getByText(/550 No/)).toBeTruthy()
  expect(screen.getAllByRole('button', { name: 'Send again' })).toHaveLength(1)
  await user.click(screen.getByRole('button', { name: /let it be|dismiss/i }))
  await waitFor(() => expect(sent).toMatchObject([{ name: 'letMessageBe', params: { id } }]))
})
