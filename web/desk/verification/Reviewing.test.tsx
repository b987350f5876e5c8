import { screen, waitFor } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { Review } from '#contract/reviews'
import { aLicence, aProof } from '../../../test/deskFile'
import { showPage } from '../../../test/page'
import { Reviewing } from './Reviewing'

const review = (over: Partial<Review> = {}): Review => ({
  ...{ id: uuid(), version: 2, state: 'second', openedAt: '2026-11-24T08:00:00.000Z', proposedBy: 'Ines Caldwell' },
  ...{
    views: [],
    may: { say: true, conclude: false, withdraw: false },
    alone: false,
    told: [],
    answerBy: null,
    answer: null,
  },
  ...over,
})
const view = (decision: Review['views'][number]['decision']) => ({
  ...{ by: 'Ines Caldwell', decision, note: 'They name another award.', at: '2026-11-24T08:00:00.000Z' },
})
const show = (given: Review, proposed: 'contradicted' | null = 'contradicted') => {
  const opened: string[] = []
  const page = showPage(
    <Reviewing claim={aLicence()} proof={aProof({ proposed })} review={given} onOpen={(id) => opened.push(id)} />,
    { roles: ['coordinator'], giveView: { state: 'third' }, concludeReview: { state: 'concluded' } },
  )
  return page.then((shown) => ({ ...shown, opened }))
}
const buttons = () => screen.queryAllByRole('button').map(({ textContent }) => textContent)

test('the second is asked for their own view, with what the evidence proposes first, and sees no other', async () => {
  const { user, sent } = await show(review())
  expect(screen.getByText(/Ines Caldwell has proposed a decision; a second person is needed/)).toBeTruthy()
  expect(buttons()).toEqual(['Record contradictionX', 'Confirm with a noteN', 'Cannot be confirmedU'])
  await user.keyboard('u')
  await user.type(await screen.findByRole('textbox'), 'Nothing says so.')
  await user.click(screen.getByRole('button', { name: 'Record' }))
  await waitFor(() =>
    expect(sent.filter(({ name }) => name === 'giveView')).toMatchObject([
      { name: 'giveView', body: { version: 2, decision: 'unconfirmable', note: 'Nothing says so.' } },
    ]),
  )
})

test('whoever has said what they think reads what was said, and waits', async () => {
  await show(review({ views: [view('contradicted')], may: { say: false, conclude: false, withdraw: false } }))
  expect(screen.getByText(/They name another award\./)).toBeTruthy()
  expect(buttons()).toEqual([])
})

test('while the candidate can answer, it is only decided in their favour', async () => {
  const may = { say: false, conclude: true, withdraw: false }
  await show(review({ state: 'hearing', answerBy: '2026-12-01', views: [view('contradicted')], may }))
  expect(screen.getByText(/They can answer until 1 Dec 2026/)).toBeTruthy()
  expect(buttons()).toEqual(['Confirm with a noteN', 'Cannot be confirmedU'])
})

test('what the candidate says stands there with their papers, and a person concludes', async () => {
  const may = { say: false, conclude: true, withdraw: false }
  const answer = { text: 'I finished both.', at: '2026-11-28T08:00:00.000Z', documents: ['paper'] }
  const { user, sent, opened } = await show(review({ state: 'answered', views: [view('contradicted')], may, answer }))
  expect(screen.getByText('I finished both.')).toBeTruthy()
  await user.click(screen.getByRole('button', { name: 'Document' }))
  expect(opened).toEqual(['paper'])
  await user.keyboard('x')
  const record = await screen.findByRole<HTMLButtonElement>('button', { name: 'Record contradiction' })
  expect(record.disabled).toBe(true)
  await user.type(screen.getByRole('textbox'), 'The paper does not show it.')
  await user.click(record)
  await waitFor(() =>
    expect(sent.filter(({ name }) => name === 'concludeReview')).toMatchObject([
      { body: { decision: 'contradicted' } },
    ]),
  )
})
