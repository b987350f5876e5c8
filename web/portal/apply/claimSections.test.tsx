import { screen, waitFor, within } from '@testing-library/react'
import type { Draft } from '#contract/applications'
import { aClaim, aDraft, aSection, aStudy, aWork } from '../../../test/draft'
import { showPage } from '../../../test/page'
import { CredentialsSection } from './CredentialsSection'
import { StudySection } from './StudySection'
import { WorkSection } from './WorkSection'

const history = (over: object = {}): Draft['requirements'][number] => ({
  ...{ key: 'history', title: 'History', why: '', gate: 'send', rung: 'claimed', waivableBy: [] },
  asks: { kind: 'history', years: 5, toleratedGapDays: 30, ...over },
})
const licence = (credential: string): Draft['requirements'][number] => ({
  ...{ key: credential, title: credential, why: '', gate: 'start', rung: 'claimed', waivableBy: [] },
  asks: { kind: 'credential', credential },
})
const known = {
  ...{ id: '0190a3f0-0000-7000-8000-0000000000aa', name: 'Technical University of Arvelle', aliases: ['TUA'] },
  ...{ kind: 'university' as const, town: 'Arvelle', country: 'FR' },
  programmes: [
    {
      title: 'Electrical Power Systems',
      award: 'MSc',
      level: 7,
      field: '0713',
      language: 'fr',
      link: 'https://tua.test',
    },
  ],
}
type Showing = Parameters<typeof showPage>[1]
const show = (part: React.ReactElement, more: object = {}) =>
  showPage(part, { roles: ['candidate'], findSources: [], ...more } as Showing)
const detailsOf = (sent: { body: unknown }[]) => (sent.at(-1)!.body as { details: Record<string, unknown> }).details

describe('the history', () => {
  test('the first entry runs to the present; what is saved is what was typed', async () => {
    const added = aClaim(aWork())
    const { user, sent } = await show(<WorkSection draft={aDraft({ requirements: [history()] })} />, {
      addClaim: added,
    })
    await user.click(screen.getByRole('button', { name: 'Add what you do now' }))
    await user.type(screen.getByLabelText('Position'), 'Track engineer')
    await user.type(screen.getByLabelText('Employer'), 'Karwen Line')
    await user.type(screen.getByLabelText(/^First day/), '1 Feb 2022')
    await user.type(screen.getByLabelText(/^Kind of work/), 'Track, Rail')
    await user.click(screen.getByLabelText('After an offer'))
    await user.click(screen.getByRole('button', { name: 'Add to my history' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(detailsOf(sent)).toMatchObject({
      ...{ position: 'Track engineer', sourceName: 'Karwen Line', sourceId: null, from: '2022-02-01', to: 'present' },
      ...{ tags: ['track', 'rail'], mayAsk: 'after an offer', activity: 'employment' },
    })
  })

  test('a gap stands between the entries and is filled with its own days', async () => {
    const claims = [
      aClaim(aWork({ from: '2024-01-01' }), { label: 'Driver, Karwen Line' }),
      aClaim(aWork({ from: '2019-01-01', to: '2023-06-30' }), { label: 'Guard, Trasse' }),
    ]
    const { user, sent } = await show(<WorkSection draft={aDraft({ requirements: [history()], claims })} />, {
      addClaim: aClaim(aWork()),
    })
    const headings = () => screen.getAllByRole('heading', { level: 2 }).map(({ textContent }) => textContent)
    expect(headings()).toEqual(['Driver, Karwen Line', 'Guard, Trasse'])
    await user.click(screen.getByRole('button', { name: 'Fill this gap' }))
    expect(screen.getByLabelText<HTMLSelectElement>('What were you doing?').value).toBe('without work')
    expect(screen.getByLabelText<HTMLInputElement>(/^First day/).value).toBe('1 Jul 2023')
    // What nobody employs one for has no employer, and nobody to be asked about.
    expect(screen.queryByLabelText('Employer')).toBeNull()
    await user.type(screen.getByLabelText('In a few words'), 'A year with the children')
    await user.click(screen.getByRole('button', { name: 'Add to my history' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(detailsOf(sent)).toMatchObject({ from: '2023-07-01', to: '2023-12-31', activity: 'without work' })
  })

  test('the entry after the first ends the day before it', async () => {
    const claims = [aClaim(aWork({ from: '2024-03' }))]
    const { user } = await show(<WorkSection draft={aDraft({ requirements: [history()], claims })} />)
    await user.click(screen.getByRole('button', { name: 'Add another entry' }))
    expect(screen.getByLabelText<HTMLInputElement>(/^Last day/).value).toBe('29 Feb 2024')
  })

  test('two at once are said to overlap, and both are fine', async () => {
    const claims = [
      aClaim(aWork({ from: '2022-01-01' }), { label: 'Driver' }),
      aClaim(aWork({ from: '2021-01-01', to: '2022-01-10' }), { label: 'Guard' }),
    ]
    await show(<WorkSection draft={aDraft({ requirements: [history()], claims })} />)
    expect(screen.getByText(/overlap by/).textContent).toMatch(/Driver|Guard/)
  })

  test('what a source has been asked about is changed only where the desk has opened it again', async () => {
    const claims = [aClaim(aWork(), { label: 'Driver', rung: 'asked' })]
    const form = [aSection('work')]
    const closed = await show(<WorkSection draft={aDraft({ form, claims })} />)
    expect(screen.queryByRole('button', { name: 'Change Driver' })).toBeNull()
    screen.getByText(/^The source has been asked\./)
    closed.unmount()
    const part = {
      id: 'p',
      section: 'work',
      question: null,
      state: 'open',
      title: 'Work',
      reason: 'Days',
      dueOn: '2026-12-01',
    }
    const reopened = [part] as unknown as Draft['reopened']
    const { user, sent } = await show(<WorkSection draft={aDraft({ form, claims, reopened })} />, {
      changeClaim: claims[0],
    })
    await user.click(screen.getByRole('button', { name: 'Change Driver' }))
    await user.clear(screen.getByLabelText('Position'))
    await user.type(screen.getByLabelText('Position'), 'Shunter')
    await user.click(screen.getByRole('button', { name: 'Save' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]).toMatchObject({
      params: { id: claims[0]!.id },
      body: { version: 2, details: { position: 'Shunter' } },
    })
  })

  test('a fault is said beside its field, and what was typed stays when it is left and come back to', async () => {
    const draft = aDraft({ requirements: [history()] })
    const faults = [{ pointer: '/body/details/position', message: 'Say what you were.' }]
    const { user, sent, unmount } = await show(<WorkSection draft={draft} />, {
      addClaim: { problem: { status: 422, faults } },
    })
    await user.click(screen.getByRole('button', { name: 'Add what you do now' }))
    // What the contract asks for is said before anything is sent.
    await user.click(screen.getByRole('button', { name: 'Add to my history' }))
    await screen.findAllByRole('alert')
    expect(sent).toEqual([])
    await user.type(screen.getByLabelText('Position'), 'X')
    await user.type(screen.getByLabelText('Employer'), 'Karwen')
    await user.type(screen.getByLabelText(/^First day/), '2022')
    await user.type(screen.getByLabelText(/^Who there can confirm it/), 'The depot')
    await user.click(screen.getByRole('button', { name: 'Add to my history' }))
    await screen.findByText('Say what you were.')
    unmount()
    const again = await show(<WorkSection draft={draft} />)
    await again.user.click(screen.getByRole('button', { name: 'Add what you do now' }))
    // What is kept on the device is read from it, which takes a moment.
    const known = () => screen.getByLabelText<HTMLInputElement>(/^Who there can confirm it/).value
    await waitFor(() => expect(known()).toBe('The depot'))
    // Given up, it is gone.
    await again.user.click(screen.getByRole('button', { name: 'Cancel' }))
    await again.user.click(screen.getByRole('button', { name: 'Add what you do now' }))
    await expect(waitFor(() => expect(known()).not.toBe(''), { timeout: 300 })).rejects.toThrow()
  })

  test('homes are asked where the rules ask for them, with the country', async () => {
    const none = await show(<WorkSection draft={aDraft()} />)
    expect(screen.queryByText('Where have you lived?')).toBeNull()
    none.unmount()
    const { user, sent } = await show(<WorkSection draft={aDraft({ requirements: [history({ of: 'home' })] })} />, {
      addClaim: aClaim(aWork()),
      findPlaces: [{ town: 'Oberfeld', region: 'Oberland' }],
    })
    screen.getByText('Over the last 5 years, newest first.')
    await user.click(screen.getByRole('button', { name: 'Add where you live now' }))
    const add = screen.getByRole<HTMLButtonElement>('button', { name: 'Add this home' })
    expect(add.disabled).toBe(true)
    expect(screen.queryByLabelText(/^Street/)).toBeNull()
    await user.selectOptions(screen.getByLabelText('Country'), 'Austria')
    await user.type(screen.getByLabelText('Postcode'), '6801')
    await user.click(await screen.findByRole('button', { name: 'Oberfeld, Oberland' }))
    await user.type(screen.getByLabelText(/^Moved in/), '2020')
    await user.click(add)
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(detailsOf(sent)).toMatchObject({
      ...{ kind: 'residence', address: '6801 Oberfeld, Oberland', country: 'AT', from: '2020', to: 'present' },
      place: { postcode: '6801', town: 'Oberfeld', region: 'Oberland' },
    })
  })

  test('the street of a home is asked only where the rules ask for it', async () => {
    const requirements = [history({ of: 'home', street: true })]
    const { user } = await show(<WorkSection draft={aDraft({ requirements })} />, { findPlaces: [] })
    await user.click(screen.getByRole('button', { name: 'Add where you live now' }))
    await user.selectOptions(screen.getByLabelText('Country'), 'Austria')
    await user.type(screen.getByLabelText('Town'), 'Oberfeld')
    await user.type(screen.getByLabelText(/^Moved in/), '2020')
    const add = screen.getByRole<HTMLButtonElement>('button', { name: 'Add this home' })
    expect(add.disabled).toBe(true)
    await user.type(screen.getByLabelText('Street and number'), 'Dorfstrasse 4')
    expect(add.disabled).toBe(false)
  })
})

describe('studies', () => {
  test('a programme that is known fills in the rest, and its level is not changed by hand', async () => {
    const { user, sent } = await show(<StudySection draft={aDraft()} />, {
      findSources: [known],
      addClaim: aClaim(aStudy()),
    })
    await user.type(screen.getByLabelText('Who awarded it?'), 'TUA')
    await user.click(await screen.findByText('Technical University of Arvelle'))
    await user.selectOptions(await screen.findByLabelText('Programme'), 'MSc, Electrical Power Systems')
    expect(screen.getByLabelText<HTMLInputElement>('Award').value).toBe('MSc')
    expect(screen.getByLabelText<HTMLSelectElement>('Level').disabled).toBe(true)
    await user.selectOptions(screen.getByLabelText('How it stands'), 'In progress')
    await user.type(screen.getByLabelText(/^Begun/), 'Sep 2025')
    await user.type(screen.getByLabelText(/^Expected to be finished/), 'Jul 2027')
    expect(screen.queryByLabelText(/^Number of the certificate/)).toBeNull()
    await user.click(screen.getByRole('button', { name: 'Add to my studies' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(detailsOf(sent)).toMatchObject({
      ...{ sourceId: known.id, country: 'FR', subject: 'Electrical Power Systems', level: 7, field: '0713' },
      ...{ outcome: 'in progress', from: '2025-09', expected: '2027-07', to: 'present', link: 'https://tua.test' },
    })
  })

  test('an institution nobody has heard of is a name, and that is said', async () => {
    const { user } = await show(<StudySection draft={aDraft()} />)
    await user.type(screen.getByLabelText('Who awarded it?'), 'Bergschule Nord')
    await user.click(await screen.findByText('“Bergschule Nord” is not in the list: go on with this name'))
    await screen.findByText(/^Not in our directory yet/)
  })

  test('marks are counted as they are typed, and a mark that is none is said', async () => {
    const { user } = await show(<StudySection draft={aDraft()} />)
    await user.click(screen.getByRole('button', { name: /^Add the marks by term/ }))
    await user.type(screen.getByLabelText('Course 1 of term 1'), 'Rope drives')
    await user.type(screen.getByLabelText('Mark of course 1 of term 1'), '80')
    expect(screen.getByRole('status').textContent).toMatch(/^80/)
    await user.click(screen.getByRole('button', { name: 'Add a course to First term' }))
    await user.type(screen.getByLabelText('Course 2 of term 1'), 'Statics')
    await user.type(screen.getByLabelText('Mark of course 2 of term 1'), 'great')
    screen.getByText('“great” is no mark of this scale.')
    await user.clear(screen.getByLabelText('Mark of course 2 of term 1'))
    await user.type(screen.getByLabelText('Mark of course 2 of term 1'), '60')
    expect(screen.getByRole('status').textContent).toMatch(/^70/)
    await user.click(screen.getByRole('button', { name: 'Take all marks out' }))
    screen.getByRole('button', { name: /^Add the marks by term/ })
  })

  test('several are put from the lowest to the highest with one press, and what the vacancy takes is said', async () => {
    const master = aClaim(aStudy({ level: 7 }), { label: 'MSc' })
    const bachelor = aClaim(aStudy({ level: 6 }), { label: 'BSc' })
    const trade = aClaim(aStudy({ level: 3 }), { label: 'Trade' })
    const asks = { kind: 'study' as const, levelAtLeast: 6 }
    const requirement = {
      ...{ key: 's', title: 'Degree', why: '', gate: 'send' as const },
      asks,
      rung: 'claimed' as const,
    }
    const draft = aDraft({ claims: [master, trade, bachelor], requirements: [{ ...requirement, waivableBy: [] }] })
    const { user, sent, unmount } = await show(<StudySection draft={draft} />, { orderClaims: { done: true } })
    screen.getByText('What this vacancy takes:')
    screen.getByText(/, when you apply\.$|by the application/)
    await user.click(screen.getByRole('button', { name: 'Put them from the lowest to the highest' }))
    await waitFor(() => expect(sent[0]?.body).toEqual({ claims: [trade.id, bachelor.id, master.id] }))
    unmount()
    await show(<StudySection draft={aDraft({ claims: [trade, bachelor, master] })} />)
    expect(screen.queryByRole('button', { name: /from the lowest/ })).toBeNull()
  })

  test('one that is given is shown with when and where, and removed by its version', async () => {
    const claim = aClaim(aStudy({ outcome: 'left' }), { label: 'MSc Power systems' })
    const { user, sent } = await show(<StudySection draft={aDraft({ claims: [claim] })} />, {
      removeClaim: { done: true },
    })
    const line = screen.getByRole('heading', { name: 'MSc Power systems' }).nextElementSibling
    expect(line?.textContent).toBe('Arvelle, Sept 2019 to Jul 2021, left without finishing, AR-1')
    await user.click(screen.getByRole('button', { name: 'Remove MSc Power systems' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(sent[0]).toMatchObject({ name: 'removeClaim', params: { id: claim.id }, query: { version: '2' } })
  })
})

describe('licences and certificates', () => {
  const card = aClaim(
    {
      ...{
        kind: 'certificate',
        sourceId: null,
        sourceName: 'Ropeguild',
        credential: 'rope-access',
        number: 'RG-3-21560',
      },
      ...{ issued: '2024-03-03', through: '2027-03-02' },
    },
    { label: 'Rope access card' },
  )

  test('what the post asks for is offered by name until it is there', async () => {
    const requirements = [licence('rope-access'), licence('first-aid')]
    const { user, sent } = await show(<CredentialsSection draft={aDraft({ requirements, claims: [card] })} />, {
      addClaim: card,
    })
    expect(screen.getAllByRole('button', { name: /^Add: / }).map(({ textContent }) => textContent)).toEqual([
      'Add: First aid at work',
    ])
    await user.click(screen.getByRole('button', { name: 'Add: First aid at work' }))
    await user.type(screen.getByLabelText('Who issued it?'), 'Red aid')
    await user.type(screen.getByLabelText('Number'), 'FA-1')
    await user.type(screen.getByLabelText(/^Valid through/), '1 May 2028')
    await user.click(screen.getByRole('button', { name: 'Add to my papers' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(detailsOf(sent)).toMatchObject({ credential: 'first-aid', number: 'FA-1', through: '2028-05-01' })
  })

  test('the same one again leads to the one that is there: to open it, or to renew it', async () => {
    const problem = { status: 409, code: 'already-given', title: 'This is in your file.', claimId: card.id }
    const { user } = await show(<CredentialsSection draft={aDraft({ claims: [card] })} />, { addClaim: { problem } })
    const give = async () => {
      await user.click(screen.getByRole('button', { name: 'Add another kind' }))
      await user.selectOptions(screen.getByLabelText('Kind'), 'rope-access')
      await user.type(screen.getByLabelText('Who issued it?'), 'Guild')
      await user.type(screen.getByLabelText('Number'), 'RG-3-21560')
      await user.type(screen.getByLabelText(/^Valid through/), '1 Mar 2027')
      await user.click(screen.getByRole('button', { name: 'Add to my papers' }))
      await screen.findByText('This is in your file.')
    }
    await give()
    await user.click(screen.getByRole('button', { name: 'Open it' }))
    expect(screen.getByLabelText<HTMLInputElement>('Number').value).toBe('RG-3-21560')
    expect(screen.getByLabelText<HTMLSelectElement>('Kind').disabled).toBe(true)
    await user.click(screen.getByRole('button', { name: 'Cancel' }))
    await give()
    await user.click(screen.getByRole('button', { name: 'Give its renewal' }))
    const line = screen.getByRole('heading', { name: 'Rope access card' }).closest('section, div')!
    expect(within(document.body).getAllByLabelText(/^Valid through/)).toHaveLength(1)
    expect(line).toBeTruthy()
  })
})
