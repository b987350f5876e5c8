import { screen, waitFor, within } from '@testing-library/react'
import { showPage } from '../../../test/page'
import { SectionLibrary } from '../vacancies/SectionLibrary'
import { VacancyGroups } from '../vacancies/VacancyGroups'
import { VacancyList } from '../vacancies/VacancyList'
import { AccessLog } from './AccessLog'
import { Outbox } from './Outbox'
import { Trail } from './Trail'

const show = (part: React.ReactElement, more: object = {}) => showPage(part, more as Parameters<typeof showPage>[1])
const nth = (at: number) => `0190a3f0-0000-7000-8000-00000000003${at}`
const rowOf = async (name: string | RegExp) => within((await screen.findByText(name)).closest('tr')!)
const at = '2026-11-20T08:00:00.000Z'

describe('mails that did not go out', () => {
  const mail = (at_: number, over: object = {}) => ({
    ...{ id: nth(at_), at, to: `person${at_}@mail.example`, channel: 'mail', subject: `Mail ${at_}`, state: 'refused' },
    ...{ because: 'no such mailbox', application: { id: nth(9), reference: 'VM-1' } },
    ...over,
  })

  test('one that was refused goes again or is let be; one that waits does neither', async () => {
    const lines = [mail(1), mail(2, { state: 'queued', because: null })]
    const { user, sent } = await show(<Outbox />, {
      ...{ readOutbox: lines, resendMessage: { done: true }, letMessageBe: { done: true } },
    })
    const refused = await rowOf('Mail 1')
    expect(refused.getByText(/no such mailbox/).textContent).toBe('Refused: no such mailbox')
    expect((await rowOf('Mail 2')).queryByRole('button')).toBeNull()
    await user.click(refused.getByRole('button', { name: 'Send again' }))
    await waitFor(() => expect(sent.at(-1)).toMatchObject({ name: 'resendMessage', params: { id: nth(1) } }))
    await user.click(refused.getByRole('button', { name: 'Let it be' }))
    await waitFor(() => expect(sent.at(-1)).toMatchObject({ name: 'letMessageBe', params: { id: nth(1) } }))
  })

  test('gone meanwhile, the reason is said; a hidden name hides the subject', async () => {
    const title = 'This mail was not refused.'
    const { user } = await show(<Outbox />, {
      readOutbox: [mail(1, { subject: '', channel: 'text', to: '+43 660' })],
      resendMessage: { problem: { status: 409, title } },
    })
    await screen.findByText('Hidden with the name')
    await user.click(screen.getByRole('button', { name: 'Send again' }))
    await screen.findByText(title)
  })

  test('nothing waiting is good news', async () => {
    await show(<Outbox />, { readOutbox: [] })
    await screen.findByText('Every mail has been taken by a mail server.')
  })
})

test('who saw what: with the reason, or that the role needs it, and older by pages', async () => {
  const entry = (at_: number, over: object = {}) => ({
    ...{ id: nth(at_), at, who: 'Ines Caldwell', what: 'the file', hidden: false, reason: null },
    ...over,
  })
  const asked: object[] = []
  const { user } = await show(<AccessLog />, {
    ...{ at: `/desk/people/${nth(7)}/access`, path: '/desk/people/:candidateId/access' },
    readAccessLog: ({ query }: { query: object }) => {
      asked.push(query)
      const first = !('before' in query)
      return {
        name: 'Oskar Fjellheim',
        entries: first
          ? [entry(1), entry(2, { what: 'birth date', hidden: true })]
          : [entry(3, { what: 'health', hidden: true, reason: 'The doctor asks.' })],
        next: first ? nth(2) : null,
      }
    },
  })
  await screen.findByRole('heading', { name: 'Who saw what: Oskar Fjellheim' })
  expect((await rowOf('birth date')).getByText('the work of the role needs it')).toBeTruthy()
  expect((await rowOf('the file')).queryByText('the work of the role needs it')).toBeNull()
  await user.click(screen.getByRole('button', { name: 'Older' }))
  await screen.findByText('The doctor asks.')
  expect(asked.at(-1)).toEqual({ before: nth(2) })
  expect(screen.queryByRole('button', { name: 'Older' })).toBeNull()
})

describe('the audit trail', () => {
  const event = (at_: number, over: object = {}) => ({
    ...{ id: nth(at_), at, who: 'Ines Caldwell', what: `Act ${at_}`, about: 'VM-1', applicationId: null },
    ...over,
  })
  const trail = { readTrail: { events: [event(1, { applicationId: nth(8) }), event(2)], next: null } }

  test('an act leads to the file it is about, where it is about one', async () => {
    await show(<Trail />, trail)
    expect((await screen.findByText('Act 1')).getAttribute('href')).toBe(`/desk/today/${nth(8)}`)
    expect((await screen.findByText('Act 2')).closest('a')).toBeNull()
  })

  test('narrowed by words, the pages begin anew', async () => {
    const asked: Record<string, string>[] = []
    const { user } = await show(<Trail />, {
      readTrail: ({ query }: { query: Record<string, string> }) => {
        asked.push(query)
        return { events: [event(1)], next: query.before ? null : nth(1) }
      },
    })
    await user.click(await screen.findByRole('button', { name: 'Older' }))
    await waitFor(() => expect(asked.at(-1)).toEqual({ before: nth(1) }))
    await screen.findByRole('button', { name: 'Newest' })
    await user.type(screen.getByLabelText('Narrow to'), 'x')
    await waitFor(() => expect(asked.at(-1)).toEqual({ text: 'x' }))
    expect(screen.queryByRole('button', { name: 'Newest' })).toBeNull()
  })

  test('verified whole: nothing changed, with how much was followed', async () => {
    const { user } = await show(<Trail />, { ...trail, verifyTrail: { links: 120, chains: 4, erased: 2, broken: [] } })
    await user.click(await screen.findByRole('button', { name: 'Verify the whole record' }))
    expect((await screen.findByRole('status')).textContent).toMatch(
      /^Nothing was changed since it was recorded\. 120 links in 4 chains/,
    )
  })

  test('of one person: the first link that was changed, and what it says now', async () => {
    const broken = [{ chain: nth(5), person: 'Oskar', seq: 3, fault: 'changed', at, what: 'Confirmed' }]
    const { user, sent } = await show(<Trail />, {
      ...{ ...trail, at: `/desk/trail?person=${nth(5)}` },
      verifyTrail: { links: 7, chains: 1, erased: 0, broken },
    })
    await user.click(await screen.findByRole('button', { name: 'Verify this file’s record' }))
    const found = (await screen.findByRole('status')).textContent
    expect(found).toMatch(/^Oskar: link 3 was changed after it was recorded\. It says “Confirmed”/)
    expect(sent[0]!.body).toEqual({ candidateId: nth(5) })
    expect(screen.queryByLabelText('A fingerprint kept before')).toBeNull()
  })

  test('compared with a fingerprint that was kept, by the name of its file', async () => {
    const { user } = await show(<Trail />, { ...trail, verifySince: { links: 9, chains: 1, erased: 0, broken: [] } })
    await user.upload(await screen.findByLabelText('A fingerprint kept before'), new File(['x'], 'May.csv'))
    expect((await screen.findByRole('status')).textContent).toMatch(
      /^Nothing was changed or written anew since May\.csv\./,
    )
  })
})

describe('the list of vacancies', () => {
  const vacancy = (at_: number, over: object = {}) => ({
    ...{ id: nth(at_), slug: `post-${at_}`, title: `Post ${at_}`, place: 'Oberfeld', state: 'open', group: null },
    ...{ closesAt: at, timeZone: 'Europe/Vienna', targetStart: '2027-02-01', headcount: 2, changed: false },
    byStage: { sent: 3 },
    ...over,
  })

  test('a coordinator sets up a vacancy with all an earlier one says', async () => {
    const { user, sent, where } = await show(<VacancyList />, {
      ...{ deskVacancies: [vacancy(1), vacancy(2, { changed: true, state: 'draft' })], createVacancy: { id: nth(6) } },
    })
    expect((await rowOf('Post 2')).getByText('draft, being edited')).toBeTruthy()
    expect((await screen.findByText('Post 1')).getAttribute('href')).toBe(`/desk/vacancies/${nth(1)}/post`)
    await user.click(await screen.findByRole('button', { name: 'Set up a vacancy' }))
    const dialog = within(await screen.findByRole('dialog'))
    const make = dialog.getByRole<HTMLButtonElement>('button', { name: 'Set it up' })
    expect(make.disabled).toBe(true)
    await user.type(dialog.getByLabelText('Title'), 'Guide ')
    await user.click(dialog.getByLabelText('What an earlier vacancy says and asks'))
    expect(make.disabled).toBe(true)
    await user.selectOptions(dialog.getByLabelText('Which one'), 'Post 1, Oberfeld')
    await user.click(make)
    await waitFor(() => expect(where()).toBe(`/desk/vacancies/${nth(6)}/post`))
    expect(sent[0]!.body).toEqual({ title: 'Guide', copyOf: nth(1) })
  })

  test('without an earlier one it begins from a starting point, never from nothing', async () => {
    const { user, sent } = await show(<VacancyList />, { deskVacancies: [], createVacancy: { id: nth(6) } })
    await user.click(await screen.findByRole('button', { name: 'Set up a vacancy' }))
    const dialog = within(await screen.findByRole('dialog'))
    expect(dialog.queryByLabelText(/earlier/)).toBeNull()
    await user.type(dialog.getByLabelText('Title'), 'Deckhand')
    await user.click(dialog.getByLabelText('An apprenticeship'))
    await user.click(dialog.getByRole('button', { name: 'Set it up' }))
    await waitFor(() => expect(sent[0]?.body).toEqual({ title: 'Deckhand', start: 'apprenticeship' }))
  })

  test.each([
    ['hiring manager', `/desk/vacancies/${nth(1)}/post`],
    ['assessor', '/vacancies/post-1'],
  ])('a %s is led to %s, and sets up nothing', async (role, to) => {
    await show(<VacancyList />, { roles: [role], deskVacancies: [vacancy(1)] })
    await waitFor(async () => expect((await screen.findByText('Post 1')).getAttribute('href')).toBe(to))
    expect(screen.queryByRole('button', { name: 'Set up a vacancy' })).toBeNull()
  })

  test('a group has posts that belong to no other, and says how many are ranked', async () => {
    const group = { id: nth(4), version: 2, title: 'Spring intake', rankUpTo: 2, vacancies: [{ id: nth(1) }] }
    const { user, sent } = await show(<VacancyGroups />, {
      ...{
        listVacancyGroups: [group],
        deskVacancies: [vacancy(1), vacancy(2)],
        saveVacancyGroup: { id: nth(4), version: 3 },
      },
    })
    await user.click(await screen.findByRole('button', { name: 'Make a group' }))
    const [spring, fresh] = [...document.querySelectorAll('form')].map((form) => within(form))
    expect(spring!.getAllByRole('checkbox')).toHaveLength(2)
    // The first post is the spring intake’s.
    expect(fresh!.getAllByRole('checkbox')).toHaveLength(1)
    await user.click(spring!.getByLabelText('Post 2, Oberfeld'))
    await user.click(spring!.getByRole('button', { name: 'Save the group' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]!.body).toEqual({
      ...{ id: nth(4), version: 2, title: 'Spring intake', rankUpTo: 2, vacancies: [nth(1), nth(2)] },
    })
  })

  test('a shared section is put into the drafts that have an older one, each once', async () => {
    const section = { key: 'contact', title: 'Contact', heading: '', intro: '', holds: 'questions', questions: [] }
    const use = (at_: number, version: number) => ({ id: nth(at_), title: `Post ${at_}`, version, where: 'draft' })
    const shared = {
      ...{ key: 'contact', version: 2, note: 'One address', savedBy: 'Ines', savedAt: at, section },
      usedBy: [use(1, 1), use(1, 1), use(2, 2)],
    }
    const { user, sent } = await show(<SectionLibrary />, {
      sharedSections: [shared],
      spreadSharedSection: { changed: 1 },
    })
    expect((await rowOf('Contact')).getByText(/^2 vacancies, 1 of them an older version/)).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Put version 2 into their drafts' }))
    await waitFor(() => expect(sent[0]).toMatchObject({ params: { key: 'contact' }, body: { vacancies: [nth(1)] } }))
  })
})
