import { screen, waitFor, within } from '@testing-library/react'
import type { Reply } from '#contract/endpoint'
import type { readVacancy } from '#contract/vacancies'
import { catalogue } from '#core/catalogue/catalogue'
import type { Requirement } from '#core/requirements/requirement'
import { aSection } from '../../test/draft'
import { sessionOf, showPage } from '../../test/page'
import { Forgotten, MailChange, NewPassword } from './account/Forgotten'
import { MyApplications } from './MyApplications'
import { VacancyList } from './VacancyList'
import { VacancyPage } from './VacancyPage'
import { WouldIFit } from './WouldIFit'

type Vacancy = Reply<typeof readVacancy>
const id = '0190a3f0-0000-7000-8000-000000000041'
const requirement = (key: string, over: Partial<Requirement>): Requirement => ({
  ...{
    key,
    title: key,
    why: `Why ${key}.`,
    gate: 'send',
    rung: 'claimed',
    waivableBy: [],
    asks: { kind: 'permission' },
  },
  ...over,
})
const requirements: Requirement[] = [
  requirement('Permission to check', {}),
  requirement('Degree', {
    asks: { kind: 'study', levelAtLeast: 6 },
    citation: { text: 'Order, section 14', link: 'https://law.example/14' },
  }),
  requirement('First aid', { gate: 'start', asks: { kind: 'credential', credential: 'first-aid' }, rung: 'evidenced' }),
]
const line = {
  ...{ id, slug: 'track-engineer', title: 'Track engineer', family: 'Track', place: 'Oberfeld', hours: 'Full time' },
  ...{ payFrom: 4_000_000, payTo: 5_000_000, contract: 'Permanent', closesAt: '2026-12-20T16:00:00.000Z' },
  ...{ timeZone: 'Europe/Vienna', targetStart: '2027-02-01', summary: 'Look after the track.' },
}
const aVacancy = (over: Partial<Vacancy> = {}): Vacancy =>
  ({
    ...line,
    duties: { type: 'doc', content: [{ type: 'paragraph', content: [{ type: 'text', text: 'Walk the line.' }] }] },
    ...{ state: 'open', opensAt: '2026-11-01T08:00:00.000Z', group: null, headcount: 2, open: true, requirements },
    ...{ names: {}, named: catalogue(), form: [], mine: null, decidesOn: null },
    ...over,
  }) as Vacancy
const nobody = { ...sessionOf(), account: null }
const show = (part: React.ReactElement, more: object = {}) =>
  showPage(part, { roles: ['candidate'], ...more } as Parameters<typeof showPage>[1])

describe('a vacancy', () => {
  const open = (over: Partial<Vacancy> = {}, more: object = {}) =>
    show(<VacancyPage />, {
      ...{ at: '/vacancies/track-engineer', path: '/vacancies/:slug', readVacancy: aVacancy(over) },
      ...more,
    })

  test('says all it asks, by the gate it is asked at, and why', async () => {
    await open()
    await screen.findByRole('heading', { name: 'Track engineer' })
    screen.getByText('Walk the line.')
    const gates = screen.getAllByRole('heading', { level: 3 }).map(({ textContent }) => textContent)
    expect(gates).toEqual(['When you apply', 'Before the first day'])
    screen.getByText('Why Degree.')
    expect(screen.getByRole('link', { name: 'Order, section 14' }).getAttribute('href')).toBe('https://law.example/14')
    expect(screen.getByText(/^€40,000|40,000/).textContent).toMatch(/40,000.*50,000/)
  })

  test.each<[string, Partial<Vacancy>, object, string, string | null]>([
    [
      'a visitor',
      {},
      { readSession: nobody },
      'Make an account to apply',
      '/sign-up?next=%2Fvacancies%2Ftrack-engineer',
    ],
    ['somebody writing', { mine: { id, stage: 'being written' } }, {}, 'Go on with your application', `/apply/${id}`],
    ['somebody who has sent', { mine: { id, stage: 'sent' } }, {}, 'See where it stands', `/applications/${id}`],
  ])('leads %s on', async (_, over, more, name, to) => {
    await open(over, more)
    expect((await screen.findByRole('link', { name })).getAttribute('href')).toBe(to)
  })

  test('is applied for by one act, which leads to the application', async () => {
    const { user, where } = await open({}, { beginApplication: { id } })
    await user.click(await screen.findByRole('button', { name: 'Apply' }))
    await waitFor(() => expect(where()).toBe(`/apply/${id}`))
  })

  test('withdrawn, it can be applied for again while it is open, and not after', async () => {
    const mine = { id, stage: 'withdrawn' as const }
    const still = await open({ mine })
    await screen.findByRole('button', { name: 'Apply again' })
    still.unmount()
    await open({ mine, open: false })
    await screen.findByRole('link', { name: 'See where it stands' })
    expect(screen.queryByRole('button', { name: 'Apply again' })).toBeNull()
  })

  test('closed meanwhile, that is said beside the button; closed before, instead of it', async () => {
    const title = 'This vacancy is closed. No new applications can be started.'
    const late = await open({}, { beginApplication: { problem: { status: 409, code: 'closed', title } } })
    await late.user.click(await screen.findByRole('button', { name: 'Apply' }))
    await screen.findByText(title)
    late.unmount()
    await open({ open: false })
    await screen.findByText('This vacancy is closed.')
    expect(screen.queryByRole('button', { name: 'Apply' })).toBeNull()
  })

  test('somebody at the desk reads it and does not apply', async () => {
    await open({}, { roles: ['coordinator'] })
    await screen.findByText('You are signed in at the desk. Candidates apply from their own account.')
  })

  test('of a group, one application counts for the others too', async () => {
    const others = [{ slug: 'guide', title: 'Guide', place: 'Hochsattel' }]
    await open({ group: { title: 'Spring intake', rankUpTo: 2, others } })
    expect((await screen.findByRole('link', { name: 'Guide' })).getAttribute('href')).toBe('/vacancies/guide')
  })

  test('a draft says that nobody else can open it', async () => {
    await open({ state: 'draft', open: false }, { roles: ['coordinator'] })
    await screen.findByText(/^This is a draft, as a candidate will see it/)
  })
})

describe('would I fit', () => {
  const asksHeights = aSection('questions', {
    key: 'more',
    questions: [{ key: 'more.heights', label: 'Fit for heights?', kind: 'yes or no', required: true }],
  })
  const decisive = [
    requirement('Heights', { asks: { kind: 'declaration', question: 'more.heights', mustBe: 'yes' } }),
    requirement('First aid', { gate: 'start', asks: { kind: 'credential', credential: 'first-aid' } }),
  ]
  const open = () =>
    show(<WouldIFit />, {
      ...{ at: '/vacancies/track-engineer/fit', path: '/vacancies/:slug/fit' },
      readVacancy: aVacancy({ form: [asksHeights], requirements: decisive }),
    })
  const choices = (label: RegExp) => within(screen.getByRole('group', { name: label }))

  test('depends on what is not said yet, then fits, and sends nothing', async () => {
    const { user, sent } = await open()
    await screen.findByText('That depends on what is still open below.')
    await user.click(choices(/heights/i).getByLabelText('Yes'))
    await user.click(choices(/^Do you have/).getByLabelText('Yes'))
    await screen.findByText('Yes, this fits, as far as you have said.')
    expect(sent).toEqual([])
  })

  test('says what speaks against it', async () => {
    const { user } = await open()
    await user.click((await screen.findAllByLabelText('No'))[0]!)
    await screen.findByText('As things stand, no.')
    const against = screen.getByRole('heading', { name: 'What speaks against it' }).closest('section')!
    expect(against.textContent).toContain('Heights')
  })
})

describe('the open vacancies', () => {
  const facets = {
    ...{ family: [{ value: 'Track', count: 1 }], place: [{ value: 'Oberfeld', count: 2 }], payBand: [], contract: [] },
  }
  const open = (more: object = {}) => show(<VacancyList />, { listVacancies: { vacancies: [line], facets }, ...more })

  test('a filter stands in the address and says how many it leaves', async () => {
    const asked: Record<string, string>[] = []
    const { user, where } = await open({
      listVacancies: ({ query }: { query: Record<string, string> }) => {
        asked.push(query)
        return { vacancies: [line], facets }
      },
    })
    await screen.findByText('One open vacancy')
    const place = screen.getByLabelText(/^Oberfeld/)
    expect(place.closest('label')!.textContent).toBe('Oberfeld2')
    await user.click(place)
    await waitFor(() => expect(where()).toBe('/?place=Oberfeld'))
    await waitFor(() => expect(asked.at(-1)).toEqual({ place: 'Oberfeld' }))
    await user.click(await screen.findByRole('button', { name: 'Show all' }))
    await waitFor(() => expect(where()).toBe('/'))
  })

  test('where nothing fits it says what to do; where nothing answers, it can be tried again', async () => {
    const none = await open({ listVacancies: { vacancies: [], facets } })
    await screen.findByText(/^Nothing open fits this at the moment/)
    none.unmount()
    await open({ listVacancies: 'no connection' })
    await screen.findByRole('button', { name: /again/i })
  })
})

describe('my applications', () => {
  const mine = (over: object) => ({
    ...{ id, title: 'Track engineer', place: 'Oberfeld', stage: 'sent', reference: 'VM-EDMH-RK', ball: 'With us.' },
    ...{ left: 0, closesAt: '2026-12-20T16:00:00.000Z', timeZone: 'Europe/Vienna' },
    ...over,
  })

  test('a draft says what is left and is deleted after a second thought', async () => {
    const draft = mine({ stage: 'being written', reference: null, left: 2 })
    const { user, sent } = await show(<MyApplications />, { myApplications: [draft], deleteDraft: { done: true } })
    await screen.findByText(/^Not sent yet, 2 things are left\. Closes/)
    await user.click(screen.getByRole('button', { name: 'Delete the draft' }))
    expect(sent).toEqual([])
    await user.click(within(await screen.findByRole('dialog')).getByRole('button', { name: 'Delete the draft' }))
    await waitFor(() => expect(sent[0]).toMatchObject({ name: 'deleteDraft', params: { id } }))
  })

  test('one that was sent says who has the ball; none yet leads to what is open', async () => {
    const sent = await show(<MyApplications />, { myApplications: [mine({})] })
    await screen.findByText('With us.')
    expect(screen.getByRole('link', { name: 'Track engineer, Oberfeld' }).getAttribute('href')).toBe(
      `/applications/${id}`,
    )
    expect(screen.queryByRole('button', { name: 'Delete the draft' })).toBeNull()
    sent.unmount()
    await show(<MyApplications />, { myApplications: [] })
    expect((await screen.findByRole('link', { name: /open vacancies/ })).getAttribute('href')).toBe('/')
  })
})

describe('links of mails', () => {
  const token = 't'.repeat(43)

  test('a forgotten password says the same whether the address is known or not', async () => {
    const { user, sent } = await show(<Forgotten />, { readSession: nobody, askReset: { done: true } })
    await user.click(await screen.findByRole('button', { name: 'Send me a link' }))
    await screen.findAllByRole('alert')
    expect(sent).toEqual([])
    await user.type(screen.getByLabelText('Mail address'), 'ada@mail.example')
    await user.click(screen.getByRole('button', { name: 'Send me a link' }))
    await screen.findByText(/ada@mail\.example/)
    await screen.findByRole('heading', { name: 'Look into your mailbox' })
  })

  test('a new password leads to signing in; a link that was used says so', async () => {
    const more = { at: `/new-password/${token}`, path: '/new-password/:token', readSession: nobody }
    const good = await show(<NewPassword />, { ...more, resetPassword: { done: true } })
    await good.user.type(await screen.findByLabelText('New password'), 'glacier lantern forty')
    await good.user.click(screen.getByRole('button', { name: 'Set it' }))
    await waitFor(() => expect(good.where()).toBe('/sign-in'))
    expect(good.sent[0]!.body).toEqual({ token, password: 'glacier lantern forty' })
    good.unmount()
    const title = 'This link has been used or has expired.'
    const used = await show(<NewPassword />, { ...more, resetPassword: { problem: { status: 410, title } } })
    await used.user.type(await screen.findByLabelText('New password'), 'glacier lantern forty')
    await used.user.click(screen.getByRole('button', { name: 'Set it' }))
    await screen.findByText(title)
  })

  test.each([
    [{ changed: true, waitingFor: null }, 'Your address is changed. Use it from now on to sign in.'],
    [{ changed: false, waitingFor: 'new@mail.example' }, 'Thank you. We are still waiting for new@mail.example.'],
  ])('a change of address waits for both: %j', async (reply, words) => {
    const { user } = await show(<MailChange />, {
      ...{ at: `/mail/${token}`, path: '/mail/:token', readSession: nobody, confirmMailChange: reply },
    })
    await user.click(await screen.findByRole('button', { name: 'Agree' }))
    expect((await screen.findByRole('status')).textContent).toBe(words)
  })
})
