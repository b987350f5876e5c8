import { screen, waitFor, within } from '@testing-library/react'
import { aClaim, aDraft, aStudy } from '../../../test/draft'
import { showPage } from '../../../test/page'
import { aRequirement } from '../../../test/requirements'
import { RenewalForm } from '../status/RenewalForm'
import { CredentialsSection } from './CredentialsSection'
import { StudySection } from './StudySection'

/** Languages, steps of a series, a second field, and whoever vouches for a paper, as a candidate gives them. */

type Showing = Parameters<typeof showPage>[1]
const show = (part: React.ReactElement, more: object = {}) =>
  showPage(part, { roles: ['candidate'], findSources: [], ...more } as Showing)
const bodyOf = (sent: { body: unknown }[]) => sent.at(-1)!.body as { details: Record<string, unknown> }
const type = async (user: Awaited<ReturnType<typeof show>>['user'], field: RegExp | string, text: string) => {
  await user.clear(screen.getByLabelText(field))
  await user.type(screen.getByLabelText(field), text)
  await user.tab()
}

test('a language begins with the one the post asks for, and goes without a certificate too', async () => {
  const requirements = [aRequirement({ kind: 'language', language: 'de', level: 'B2' })]
  const { user, sent } = await show(<CredentialsSection draft={aDraft({ requirements })} />, {
    addClaim: aClaim(aStudy()),
  })
  await user.click(screen.getByRole('button', { name: 'Add a language' }))
  expect(screen.getByLabelText<HTMLSelectElement>('Language').value).toBe('de')
  await user.selectOptions(screen.getByLabelText('How well'), 'C1')
  await user.click(screen.getByRole('button', { name: 'Add the language' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(bodyOf(sent).details).toMatchObject({
    kind: 'language',
    language: 'de',
    level: 'C1',
    sourceName: '',
    number: '',
  })
})

const vaccinated = aClaim({
  ...{ kind: 'certificate', credential: 'tick-vaccination', sourceId: null, sourceName: 'Practice', number: '' },
  ...{ issued: '2026-02-02', through: '2026-03-02', steps: ['2026-02-02'] },
})

test('steps are asked for instead of an issue and a last day, and the next one due is said', async () => {
  const { user, sent } = await show(<CredentialsSection draft={aDraft()} />, { addClaim: vaccinated })
  await user.click(screen.getByRole('button', { name: /another kind/ }))
  await user.selectOptions(screen.getByLabelText('Kind'), 'tick-vaccination')
  expect(screen.queryByLabelText(/^Valid through/)).toBeNull()
  await type(user, 'Step 1 given on', '2 Feb 2026')
  await screen.findByText('The next is due on 2 Mar 2026.')
  await user.click(screen.getByRole('button', { name: 'Add a step' }))
  await type(user, 'Step 2 given on', '5 Mar 2026')
  await screen.findByText('The next is due on 5 Mar 2029.')
  await user.click(screen.getByRole('button', { name: 'Add to my papers' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(bodyOf(sent).details).toMatchObject({ steps: ['2026-02-02', '2026-03-05'], through: '2029-03-05' })
})

test('the next step is added as a renewal, beside those that were given', async () => {
  const { user, sent } = await show(<RenewalForm claim={vaccinated} />, { renewCredential: vaccinated })
  await user.click(screen.getByRole('button', { name: 'Add a step' }))
  await type(user, 'Step 2 given on', '5 Mar 2026')
  await user.click(screen.getByRole('button', { name: 'Save the renewal' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]!.body).toMatchObject({ steps: ['2026-02-02', '2026-03-05'], through: '2029-03-05' })
})

test('a second field is named with its subject, and taken out again', async () => {
  const study = aClaim(aStudy())
  const { user, sent } = await show(<StudySection draft={aDraft({ claims: [study] })} />, { changeClaim: study })
  await user.click(screen.getByRole('button', { name: /^Change/ }))
  const second = screen.getByLabelText('Second field or minor')
  await user.selectOptions(second, 'minor')
  await type(user, 'Its subject', 'Geology')
  await user.click(screen.getByRole('button', { name: 'Save' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(bodyOf(sent).details.second).toMatchObject({ as: 'minor', subject: 'Geology' })
})

describe('whoever vouches for a paper', () => {
  const study = aClaim(aStudy(), { id: '0190a3f0-0000-7000-8000-00000000000a', label: 'MSc' })
  const asked = aRequirement({ kind: 'study', levelAtLeast: 6 }, { certified: { forms: ['certified copy'] } })

  test('is asked for where a requirement wants it, and only there', async () => {
    await show(<StudySection draft={aDraft({ claims: [study] })} />)
    expect(screen.queryByRole('button', { name: /certified, swore/ })).toBeNull()
  })

  test('is named with what they are and when, for the paper it is of', async () => {
    const { user, sent } = await show(<StudySection draft={aDraft({ claims: [study], requirements: [asked] })} />, {
      addClaim: study,
    })
    await user.click(screen.getByRole('button', { name: /certified, swore/ }))
    const part = screen.getByRole('region', { name: 'Who vouches for the paper' })
    await user.click(within(part).getByLabelText('sworn translation'))
    await user.type(within(part).getByLabelText('Who vouches for it'), 'Notary Lind')
    await user.type(within(part).getByLabelText('As whom'), 'Notary')
    await type(user, 'On which day', '2 Nov 2026')
    await user.click(within(part).getByRole('button', { name: 'Save' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    expect(bodyOf(sent).details).toMatchObject({
      ...{ kind: 'attestation', form: 'sworn translation', capacity: 'Notary', on: '2026-11-02' },
      ...{ of: study.id, title: 'MSc', sourceName: 'Notary Lind' },
    })
  })
})
