import { screen, waitFor } from '@testing-library/react'
import type { Question } from '#core/form/form'
import { aClaim, aDraft, aStudy } from '../../../test/draft'
import { showPage } from '../../../test/page'
import { AnswerField } from '../../ui/answers/AnswerField'
import { RenewalForm } from '../status/RenewalForm'
import { AskedPaper } from './AskedPaper'
import { CredentialsSection } from './CredentialsSection'
import { StudySection } from './StudySection'

/** What candidates meet of the kinds an organisation has made its own. */

type Showing = Parameters<typeof showPage>[1]
const show = (part: React.ReactElement, more: object = {}) =>
  showPage(part, { roles: ['candidate'], findSources: [], ...more } as Showing)
const insurance = aClaim({
  ...{ kind: 'certificate', credential: 'guide-insurance', sourceId: null, sourceName: 'Alpine Mutual' },
  ...{ number: 'P-1', issued: '2026-03-10', through: '2027-03-31', fields: { 'sum-insured': '500000000' } },
})
const details = (sent: { body: unknown }[]) => (sent.at(-1)!.body as { details: Record<string, unknown> }).details
const through = () => screen.getByLabelText<HTMLInputElement>(/^Valid through/).value

test('the last day comes by the rule of the kind, gives way with the issue, and stays once it was typed', async () => {
  const { user, sent } = await show(<CredentialsSection draft={aDraft({})} />, { addClaim: insurance })
  await user.click(screen.getByRole('button', { name: /another kind/ }))
  await user.selectOptions(screen.getByLabelText('Kind'), 'guide-insurance')
  const issued = screen.getByLabelText(/^Issued/)
  await user.type(issued, '10 Mar 2026')
  await user.tab()
  await waitFor(() => expect(through()).toMatch(/31 Mar 2027/))
  await user.clear(issued)
  await user.type(issued, '10 Apr 2026')
  await user.tab()
  await waitFor(() => expect(through()).toMatch(/30 Apr 2027/))
  await user.clear(screen.getByLabelText(/^Valid through/))
  await user.type(screen.getByLabelText(/^Valid through/), '1 Apr 2027')
  await user.clear(issued)
  await user.type(issued, '2 Apr 2026')
  await user.tab()
  expect(through()).toMatch(/1 Apr 2027/)
  await user.type(screen.getByLabelText('Who issued it?'), 'Alpine Mutual')
  await user.type(screen.getByLabelText('Number'), 'P-1')
  await user.type(screen.getByLabelText('Sum insured'), '5000000')
  await user.click(screen.getByRole('button', { name: 'Add to my papers' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(details(sent)).toMatchObject({
    ...{ kind: 'certificate', credential: 'guide-insurance', issued: '2026-04-02', through: '2027-04-01' },
    fields: { 'sum-insured': '500000000' },
  })
})

test('what was given for the fields of a kind is read on its line', async () => {
  await show(<CredentialsSection draft={aDraft({ claims: [insurance] })} />)
  await screen.findByText('Sum insured: 5,000,000.00 EUR')
})

test('a renewal gives the fields anew, beginning with what they were', async () => {
  const { user, sent } = await show(<RenewalForm claim={insurance} />, { renewCredential: insurance })
  await user.type(screen.getByLabelText(/Number/), 'P-2')
  await user.type(screen.getByLabelText(/^Issued/), '1 Apr 2027')
  await user.type(screen.getByLabelText(/^Valid through/), '31 Mar 2028')
  await user.click(screen.getByRole('button', { name: /Save/ }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]!.body).toMatchObject({ number: 'P-2', fields: { 'sum-insured': '500000000' } })
})

test('a paper of a kind says what to give, and is filed as of that kind', async () => {
  const question: Question = {
    ...{
      key: 'dog',
      label: 'Papers of your rescue dog',
      kind: 'document',
      required: false,
      documentKind: 'rescue-dog',
    },
  }
  const { user, sent } = await show(<AskedPaper question={question} draft={aDraft({})} titled />, {
    addClaim: insurance,
  })
  await screen.findByText('The certificate of the last examination, and the vaccinations.')
  await user.click(screen.getByRole('button', { name: 'Add a document' }))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(details(sent)).toMatchObject({ kind: 'paper', question: 'dog', documentKind: 'rescue-dog' })
})

test('languages are given one by one, each with how well', async () => {
  const given: unknown[] = []
  const question: Question = { key: 'speaks', label: 'Which languages?', kind: 'languages', required: true }
  const field = (value: readonly Record<string, string>[]) => (
    <AnswerField question={question} value={value} onChange={(next) => given.push(next)} />
  )
  const { user } = await show(field([{ language: 'de' }]))
  expect(screen.getByLabelText<HTMLSelectElement>('Language').selectedOptions[0]!.textContent).toBe('German')
  await user.selectOptions(screen.getByLabelText('How well (A1 to C2)'), 'B2')
  await user.click(screen.getByRole('button', { name: /Add another/ }))
  expect(given).toEqual([[{ language: 'de', level: 'B2' }], [{ language: 'de' }, {}]])
})

test('a field of study is chosen, and none is taken for granted', async () => {
  const { user, sent } = await show(<StudySection draft={aDraft({})} />, { addClaim: aClaim(aStudy()) })
  expect(screen.getByLabelText<HTMLSelectElement>('Field').value).toBe('')
  await user.selectOptions(screen.getByLabelText('Field'), '0732')
  expect(sent).toEqual([])
  expect(screen.getByLabelText<HTMLSelectElement>('Field').selectedOptions[0]!.textContent).toBe(
    'Building and civil engineering',
  )
})
