import { jest } from '@jest/globals'
import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { File } from '#contract/desk'
import { aFile, asked } from '../../test/deskFile'
import { sessionOf, showPage } from '../../test/page'
import { tellOtherWindows, windowDone } from '../otherWindow'
import { AskAgain } from './AskAgain'
import { SavedViews } from './applications/SavedViews'
import { DeskFrame } from './DeskFrame'
import { FirstLook } from './file/FirstLook'
import { Vouchings } from './file/Vouchings'
import { CoverSheets } from './tray/CoverSheets'

const show = (part: React.ReactElement, more: object = {}) => showPage(part, more as Parameters<typeof showPage>[1])
const counts = { counts: { today: 4, hiring: 1000 }, refusedMails: 2, incomingMails: 0, today: '2026-11-28' }
const nobody = { ...sessionOf(), account: null }

describe('the desk', () => {
  const open = (more: object = {}) =>
    show(<DeskFrame />, { at: '/desk/today', path: '/desk/*', readCounts: counts, readClock: {}, ...more })
  const links = () => screen.getAllByRole('link').map(({ textContent }) => textContent)

  test('names the organisation, and counts what waits up to where counting ends', async () => {
    await open()
    await screen.findByText('Vallorne Mountain Lines')
    await waitFor(() => expect(links()).toContain('Today4'))
    expect(links()).toContain('Hiring999+')
    expect(links().some((words) => /2$/.test(words ?? ''))).toBe(true)
  })

  test('an assessor has the queues, and not the places of those who keep the files', async () => {
    await open({ roles: ['assessor'] })
    await waitFor(() => expect(links()).toContain('Today4'))
    for (const name of ['Paper tray', 'Audit trail', 'Sources'])
      expect(screen.queryByRole('link', { name: new RegExp(name) })).toBeNull()
  })

  test.each([
    ['nobody is signed in', { readSession: nobody }, '/sign-in?next=%2Fdesk%2Ftoday'],
    ['a candidate comes', { roles: ['candidate'] }, '/sign-in?next=%2Fdesk%2Ftoday'],
    [
      'one-time codes are still to be set up',
      { readSession: { ...sessionOf('coordinator'), codesFirst: true } },
      '/account',
    ],
  ])('leads on where %s', async (_, more, to) => {
    const { where } = await open(more)
    await waitFor(() => expect(where()).toBe(to))
  })

  test('the list of keys and the finder open by a key', async () => {
    const { user } = await open()
    await screen.findByText('Vallorne Mountain Lines')
    await user.keyboard('?')
    await screen.findByRole('dialog')
    await user.keyboard('{Escape}')
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull())
    await user.keyboard('{Control>}k{/Control}')
    await screen.findByRole('dialog')
  })

  test('signing out is one act', async () => {
    const { user, sent } = await open({ signOut: { done: true } })
    await user.click(await screen.findByRole('button', { name: 'Sign out' }))
    await waitFor(() => expect(sent[0]?.name).toBe('signOut'))
  })
})

describe('away for a while', () => {
  /** An act that is refused until the password was given. */
  function Acting() {
    return (
      <>
        <SavedViews query="late=yes" onChoose={() => undefined} />
        <AskAgain />
      </>
    )
  }
  const refusedFirst = (code: string) => {
    let given = false
    return {
      saveView: () => (given ? { id: uuid() } : { problem: { status: code === 'password-again' ? 403 : 401, code } }),
      give: (call: { body: unknown }) => {
        if ((call.body as { password: string }).password !== 'right-password')
          return { problem: { status: 401, code: 'wrong-mail-or-password', title: 'These do not fit.' } }
        given = true
        return sessionOf('coordinator')
      },
    }
  }
  const save = async (user: Awaited<ReturnType<typeof show>>['user']) => {
    await user.click(await screen.findByRole('button', { name: 'Save this view' }))
    fireEvent.change(await screen.findByLabelText('Keep what is shown as'), { target: { value: 'Late' } })
    await user.click(screen.getByRole('button', { name: 'Save' }))
  }

  test('the password is asked for, wrong ones are said, and what was refused goes through by itself', async () => {
    const { saveView, give } = refusedFirst('sign-in-first')
    const { user, sent } = await show(<Acting />, { listViews: [], saveView, signIn: give })
    await save(user)
    await screen.findByText('You were away for a while')
    expect(screen.getByLabelText<HTMLInputElement>('Mail address').value).toBe('ines@vallorne.example')
    fireEvent.change(screen.getByLabelText('Password'), { target: { value: 'wrong' } })
    await user.click(screen.getByRole('button', { name: 'Go on' }))
    await screen.findByText('These do not fit.')
    fireEvent.change(screen.getByLabelText('Password'), { target: { value: 'right-password' } })
    await user.click(screen.getByRole('button', { name: 'Go on' }))
    await waitFor(() => expect(screen.queryByText('You were away for a while')).toBeNull())
    await waitFor(() =>
      expect(sent.at(-1)).toMatchObject({ name: 'saveView', body: { name: 'Late', query: 'late=yes' } }),
    )
  })

  test.each([
    ['sign-in-first', 'leaveForProvider', { next: windowDone }],
    ['password-again', 'confirmThroughProvider', {}],
  ] as const)('who comes through the identity provider goes there in another window: %s', async (code, name, body) => {
    let given = false
    const place = { location: { href: '' }, close: () => undefined }
    const opening = jest.spyOn(window, 'open').mockReturnValue(place as unknown as Window)
    const session = sessionOf('coordinator')
    const { user, sent } = await show(<Acting />, {
      readSession: {
        ...session,
        account: { ...session.account!, throughProvider: true },
        provider: 'Vallorne Identity',
      },
      listViews: [],
      saveView: () => (given ? { id: uuid() } : { problem: { status: code === 'password-again' ? 403 : 401, code } }),
      [name]: { address: 'http://identity.test/auth' },
    })
    await save(user)
    await user.click(await screen.findByRole('button', { name: 'Go to Vallorne Identity' }))
    await screen.findByText(/Waiting/)
    expect([sent.at(-1)?.name, sent.at(-1)?.body, place.location.href]).toEqual([
      name,
      body,
      'http://identity.test/auth',
    ])
    given = true
    tellOtherWindows()
    await waitFor(() => expect(sent.map((call) => call.name)).toEqual(['saveView', name, 'saveView']))
    opening.mockRestore()
  })

  test('left without a password, the act stays refused', async () => {
    const { saveView, give } = refusedFirst('password-again')
    const { user, sent } = await show(<Acting />, { listViews: [], saveView, confirmSession: give })
    await save(user)
    await screen.findByText('Your password once more')
    await user.keyboard('{Escape}')
    await waitFor(() => expect(screen.queryByText('Your password once more')).toBeNull())
    expect(sent.map(({ name }) => name)).toEqual(['saveView'])
  })
})

test('a saved view is chosen by name, and forgotten', async () => {
  const views = [
    { id: uuid(), name: 'Late', query: 'late=yes' },
    { id: uuid(), name: 'Blank', query: 'blanks=yes' },
  ]
  const chosen: string[] = []
  const { user, sent } = await show(<SavedViews query="late=yes" onChoose={(query) => chosen.push(query)} />, {
    ...{ listViews: views, removeView: { done: true } },
  })
  await user.click(await screen.findByRole('button', { name: 'View: Late' }))
  await user.click(await screen.findByRole('button', { name: 'Blank' }))
  expect(chosen).toEqual(['blanks=yes'])
  await user.click(screen.getByRole('button', { name: 'View: Late' }))
  await user.click(await screen.findByRole('button', { name: 'Forget the view Late' }))
  await waitFor(() => expect(sent[0]).toMatchObject({ name: 'removeView', params: { id: views[0]!.id } }))
})

describe('a first look', () => {
  const look = (over: Partial<File['firstLook']> = {}, more: Partial<File> = {}) =>
    aFile({ firstLook: { eligible: 'yes', because: [], blanks: [], settled: { done: 1, of: 3 }, ...over }, ...more })

  test('says what speaks against somebody, what is blank and why', async () => {
    const one = asked('Degree')
    const file = aFile(
      {
        firstLook: {
          ...{ eligible: 'no', because: ['Degree'], settled: { done: 1, of: 3 } },
          blanks: [{ label: 'Work permit', blank: 'unknown', because: 'It is being renewed.' }],
        },
      },
      [one],
    )
    await show(<FirstLook file={file} />)
    const words = (await screen.findByRole('region', { name: 'First look' })).textContent
    expect(words).toMatch(/Does not meet what was asked:.*Degree/)
    expect(words).toContain('Work permit: does not know, “It is being renewed.”')
  })

  test('who else it might be is compared by a key, for those who may', async () => {
    const [oneId, otherId] = [uuid(), uuid()]
    const file = look(
      {},
      {
        duplicates: [{ oneId, otherId, name: 'Oskar F.' }] as never,
        onBehalf: { how: 'by phone', by: 'Ines', confirmedAt: null },
      },
    )
    const { user, where } = await show(<FirstLook file={file} />)
    await screen.findByText('Oskar F. may be the same person.')
    screen.getByText('Written down by phone by Ines.')
    await user.keyboard('d')
    await waitFor(() => expect(where()).toBe(`/desk/duplicates/${oneId}/${otherId}`))
  })

  test('once the shortlist is decided there is nothing left to look at first', async () => {
    const { container } = await show(<FirstLook file={look({}, { stage: 'shortlisted' })} />)
    expect(container.textContent).toBe('')
  })
})

test('those who vouch: what they said, and who has not answered', async () => {
  const vouching = (name: string, over: object = {}) => ({
    ...{ id: uuid(), name, relation: 'supervisor', state: 'asked', askedAt: '2026-11-20T08:00:00.000Z', doneAt: null },
    ...{ answer: null },
    ...over,
  })
  const answer = {
    ...{
      knownFrom: '2019',
      knownTo: 'present',
      worked: 'every week',
      trust: 'with support',
      statement: 'Careful and calm.',
    },
    ...{ respondent: 'Hedda Lund', capacity: 'Head of track' },
  }
  const vouchings = [
    vouching('Hedda Lund', { state: 'done', doneAt: '2026-11-22T08:00:00.000Z', answer }),
    vouching('Bo Nilsen', { relation: 'colleague' }),
  ]
  const { user } = await show(<Vouchings vouchings={vouchings as never} />)
  await user.click(await screen.findByText('People who vouch, 1 of 2'))
  screen.getByText('would trust them, with support at first')
  screen.getByText('Careful and calm.')
  expect(screen.getByText(/^Hedda Lund, Head of track/).textContent).toMatch(
    /Worked together every week from 2019 to now/,
  )
  expect(screen.getByText('Bo Nilsen').closest('li')!.textContent).toMatch(/a colleague asked .*, no answer yet/)
})

describe('cover sheets', () => {
  const places = [
    { claimId: '0190a3f0-0000-7000-8000-000000000061', label: 'MSc', parts: ['certificate', 'transcript'] },
    { claimId: '0190a3f0-0000-7000-8000-000000000062', label: 'First aid', parts: ['front'] },
  ]
  const id = uuid()
  const open = (more: object) => show(<CoverSheets applicationId={id} onClose={() => undefined} />, more)

  test('are made for the papers that are chosen, and downloaded as one', async () => {
    const { user, sent } = await open({
      placesFor: places,
      printCoverSheets: { sheets: [{ number: 7 }, { number: 8 }] },
    })
    const dialog = within(await screen.findByRole('dialog'))
    const boxes = await dialog.findAllByRole('checkbox')
    const make = dialog.getByRole<HTMLButtonElement>('button', { name: 'Make the sheet' })
    expect(make.disabled).toBe(true)
    await user.click(boxes[0]!)
    await user.click(boxes[2]!)
    await user.click(dialog.getByRole('button', { name: 'Make 2 sheets' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]!.body).toEqual({
      papers: [
        { claimId: places[0]!.claimId, part: 'certificate' },
        { claimId: places[1]!.claimId, part: 'front' },
      ],
    })
    expect((await dialog.findByRole('link')).getAttribute('href')).toContain('numbers=7%2C8')
  })

  test('without a claim there is nothing to print for, and that is said', async () => {
    await open({ placesFor: [] })
    await screen.findByText(/^Nothing is claimed yet/)
  })
})
