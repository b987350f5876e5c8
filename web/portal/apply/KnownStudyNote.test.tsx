import { screen, waitFor } from '@testing-library/react'
import type { Claim } from '#contract/claims'
import type { KnownStudy } from '#core/sources/knownStudy'
import { aClaim, aStudy } from '../../../test/draft'
import { showPage } from '../../../test/page'
import { KnownStudies, KnownStudyNote } from './KnownStudyNote'

const study = aClaim(aStudy(), { label: 'MSc Power systems' })
const known = (over: Partial<KnownStudy> = {}): KnownStudy => ({
  ...{
    claim: study.id,
    source: 'Tannberg',
    state: 'accredited',
    programme: 'MSc, Power',
    stated: false,
    research: null,
  },
  accreditation: { by: 'Council', basis: 'accredited', from: 2012, to: null },
  ...over,
})
const show = (over: Partial<KnownStudy> = {}, claim: Claim = study, more: object = {}) =>
  showPage(<KnownStudyNote claim={claim} studies={[known(over)]} />, { roles: ['candidate'], ...more } as never)
const yes = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Yes, both are so' })

test('both have to be said before it is confirmed', async () => {
  const { user, sent } = await show({}, study, { stateAward: study })
  expect(screen.getByText(/^MSc, Power at Tannberg is known to us: accredited by Council, 2012 – now/)).toBeTruthy()
  await user.click(screen.getByLabelText(/^The paper of my award/))
  expect(yes().disabled).toBe(true)
  await user.click(screen.getByLabelText('I have finished this programme.'))
  await user.click(yes())
  const body = { version: study.version, paperSaysTheSame: true, finished: true }
  await waitFor(() => expect(sent).toMatchObject([{ name: 'stateAward', params: { id: study.id }, body }]))
})

test.each<[string, Partial<KnownStudy>, Partial<Claim>, RegExp]>([
  ['confirmed', {}, { rung: 'confirmed' }, /^Confirmed\.$/],
  ['stated before', { stated: true }, {}, /^Thank you\. As soon as there is a record/],
  ['of a year outside', { state: 'year outside' }, {}, /Your year lies outside, so we ask them/],
  ['looked into', { state: 'unknown programme', research: { state: 'open', outcome: null } }, {}, /and look into it/],
])('a study that is %s says so and asks for nothing', async (_, over, claim, words) => {
  await show(over, { ...study, ...claim })
  expect(screen.getByText(words)).toBeTruthy()
  expect(screen.queryByRole('button')).toBeNull()
})

test.each<[string, Partial<KnownStudy>, Partial<Claim>]>([
  ['of a programme nobody has accredited', { state: 'not accredited', accreditation: undefined }, {}],
  ['that goes on', { state: 'not finished' }, {}],
  ['whose source is asked', {}, { rung: 'asked' }],
])('a study %s says nothing', async (_, over, claim) => {
  const { container } = await show(over, { ...study, ...claim })
  expect(container.querySelector('p')).toBeNull()
})

test('whoever writes for somebody is shown what is known, and cannot say it for them', async () => {
  await showPage(<KnownStudyNote claim={study} studies={[known()]} />, { roles: ['coordinator'] })
  expect(screen.getByText(/is known to us/)).toBeTruthy()
  expect(screen.queryByRole('button')).toBeNull()
})

test('what was found of a new programme is told to whoever has it', async () => {
  const outcome = { level: 7, field: '0713', comparableTo: 'a course', why: 'Nine weeks.', from: 2000, to: null }
  const research = (recognised: boolean) => ({ state: 'done' as const, outcome: { ...outcome, recognised } })
  await show({ state: 'unknown programme', research: research(false) })
  expect(screen.getByText(/cannot recognise it: it compares to a course\. Nine weeks\./)).toBeTruthy()
})

test('one asks about a programme nobody knows; ahead of finishing only with a link to it', async () => {
  const going = (link: string) => aClaim(aStudy({ outcome: 'in progress', to: 'present', link }), { id: study.id })
  const unknown = { state: 'unknown programme' as const }
  const { unmount } = await show(unknown, going(''))
  expect(screen.getByText(/^Give the link to the programme above/)).toBeTruthy()
  expect(screen.queryByRole('button')).toBeNull()
  unmount()
  const { user, sent } = await show(unknown, going('https://x.example'), { askAboutProgramme: { done: true } })
  await user.click(screen.getByRole('button', { name: 'Ask about it now, before I finish' }))
  await waitFor(() => expect(sent[0]).toMatchObject({ name: 'askAboutProgramme', params: { id: study.id } }))
})

test('once sent, only those are listed there is something to say of', async () => {
  const settled = aClaim(aStudy(), { rung: 'confirmed', label: 'BSc' })
  const studies = [known(), known({ claim: settled.id })]
  await showPage(<KnownStudies claims={[study, settled]} studies={studies} />, { roles: ['candidate'] })
  expect(screen.getByText('MSc Power systems')).toBeTruthy()
  expect(screen.queryByText('BSc')).toBeNull()
})
