import { screen, waitFor } from '@testing-library/react'
import type { Draft } from '#contract/applications'
import { catalogue } from '#core/catalogue/catalogue'
import type { Form } from '#core/form/form'
import { aDraft } from '../../test/draft'
import { sessionOf, showPage } from '../../test/page'
import { BegunBefore } from './apply/BegunBefore'
import type { Autosave } from './apply/useAutosave'
import { BeginHere } from './BeginHere'
import { forgetBefore, keepBefore, markBefore, readBefore, vacancyIn } from './beforeAccount'

const form: Form = [
  {
    ...{ key: 'about', title: 'About', heading: 'Who are you?', intro: '', holds: 'questions' },
    questions: [
      { key: 'about.familyName', label: 'Family name', kind: 'text', required: true },
      { key: 'about.photo', label: 'A photo', kind: 'document', required: false },
      { key: 'about.dismissed', label: 'Ever dismissed?', kind: 'yes or no', required: true, explain: 'yes' },
    ],
  },
  { ...{ key: 'study', title: 'Study', heading: 'Study', intro: '', holds: 'study' }, questions: [] },
]
const vacancy = {
  ...{ slug: 'track-engineer', title: 'Track engineer', form, requirements: [], names: {}, named: catalogue() },
  ...{ open: true, state: 'open' },
}
const show = (more: object = {}, over: object = {}) =>
  showPage(<BeginHere />, {
    ...{ at: '/vacancies/track-engineer/begin', path: '/vacancies/:slug/begin', roles: ['candidate'] },
    readVacancy: { ...vacancy, ...over },
    ...more,
  } as unknown as Parameters<typeof showPage>[1])
const nobody = { readSession: { ...sessionOf(), account: null } }
afterEach(() => forgetBefore('track-engineer'))

test('what is filled in without an account is kept in the browser, with what happened, and is there again', async () => {
  const { user, unmount } = await show(nobody)
  await user.type(screen.getByLabelText(/^Family name/), 'Vandermeer')
  await user.click(screen.getByLabelText('Yes'))
  await user.type(screen.getByLabelText(/^What happened/), 'In 2019.')
  expect(screen.queryByText('A photo')).toBeNull()
  const link = screen.getByRole('link', { name: 'Make an account to go on' })
  expect(link.getAttribute('href')).toBe('/sign-up?next=%2Fvacancies%2Ftrack-engineer%2Fbegin')
  await waitFor(
    async () =>
      expect((await readBefore('track-engineer'))?.answers).toEqual({
        ...{ 'about.familyName': 'Vandermeer', 'about.dismissed': 'yes', 'about.dismissed.because': 'In 2019.' },
      }),
    // It is kept a moment after the last key; a machine that is busy takes longer.
    { timeout: 5000 },
  )
  unmount()
  const again = await show(nobody)
  expect((await screen.findByLabelText<HTMLInputElement>(/^Family name/)).value).toBe('Vandermeer')
  await again.user.click(screen.getByRole('button', { name: 'Forget what is written here' }))
  await waitFor(async () => expect(await readBefore('track-engineer')).toBeUndefined())
})

test('whoever is signed in goes on in the application, and a closed vacancy takes nothing', async () => {
  const { user, where, unmount } = await show({ beginApplication: { id: '0190a3f0-0000-7000-8000-000000000099' } })
  await user.click(screen.getByRole('button', { name: 'Go on in the application' }))
  await waitFor(() => expect(where()).toBe('/apply/0190a3f0-0000-7000-8000-000000000099'))
  unmount()
  await show(nobody, { open: false })
  expect(screen.queryByLabelText(/^Family name/)).toBeNull()
})

describe('in the application', () => {
  const draft = (answers: Draft['answers'] = {}) =>
    aDraft({ form: form as Draft['form'], answers, vacancy: { ...aDraft().vacancy, slug: 'track-engineer' } })
  const open = async (answers: Draft['answers'] = {}) => {
    const given: Record<string, unknown> = {}
    const change = (key: string, value: unknown) => {
      given[key] = value
    }
    const autosave = { change } as unknown as Autosave
    const page = await showPage(<BegunBefore draft={draft(answers)} autosave={autosave} />, { roles: ['candidate'] })
    return { ...page, given }
  }
  const kept = { 'about.familyName': 'Vandermeer', 'about.dismissed': 'no', 'gone.question': 'x' }

  test('it is there by itself for whoever made the account for it, without what is not asked or given since', async () => {
    await keepBefore('track-engineer', kept)
    await markBefore('track-engineer', ' Ines@vallorne.example ')
    const { given } = await open({ 'about.dismissed': 'yes' })
    expect((await screen.findByRole('status')).textContent).toMatch(/^One answer/)
    expect(given).toEqual({ 'about.familyName': 'Vandermeer' })
    expect(await readBefore('track-engineer')).toBeUndefined()
  })

  test('anybody else is asked whether it is theirs, and it can be forgotten', async () => {
    await keepBefore('track-engineer', kept)
    const { user, given, unmount } = await open()
    expect(await screen.findByText(/Are they yours\?$/)).toBeTruthy()
    expect(given).toEqual({})
    await user.click(screen.getByRole('button', { name: 'Yes, put them in' }))
    expect(given).toEqual({ 'about.familyName': 'Vandermeer', 'about.dismissed': 'no' })
    unmount()
    await keepBefore('track-engineer', kept)
    await markBefore('track-engineer', 'somebody@else.example')
    const other = await open()
    await other.user.click(await screen.findByRole('button', { name: 'No, forget them' }))
    expect(other.given).toEqual({})
    await waitFor(async () => expect(await readBefore('track-engineer')).toBeUndefined())
  })
})

test('an empty answer is taken out again, and after a month nothing is left', async () => {
  await Promise.all([keepBefore('track-engineer', { a: 'x' }), keepBefore('track-engineer', { b: 'y' })])
  await keepBefore('track-engineer', { a: '' })
  expect((await readBefore('track-engineer'))?.answers).toEqual({ b: 'y' })
  const now = Date.now
  Date.now = () => now() + 31 * 86_400_000
  expect(await readBefore('track-engineer')).toBeUndefined()
  Date.now = now
  expect([vacancyIn('/vacancies/x-1/begin'), vacancyIn('/me'), vacancyIn(null)]).toEqual(['x-1', undefined, undefined])
})
