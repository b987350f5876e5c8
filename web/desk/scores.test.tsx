import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { aFile } from '../../test/deskFile'
import { type Call, showPage } from '../../test/page'
import { ScoreSheetPart } from './vacancies/ScoreSheetPart'
import { ScoreProof } from './verification/ScoreProof'

const show = (part: React.ReactElement, more: object = {}) => showPage(part, more as Parameters<typeof showPage>[1])
const criterion = (key: string, over: object = {}) => ({ key, title: key, lookFor: '', most: 5, weight: 1, ...over })
const criteria = [criterion('Craft', { weight: 2 }), criterion('Safety'), criterion('Winter', { most: 3 })]
const score = (reviewer: string, points: object, over: object = {}) => ({
  ...{ reviewer, points, note: '', handedInAt: '2026-11-20T08:00:00.000Z' },
  ...over,
})
const scores = (over: object = {}) => ({
  ...{ criteria, reviewers: 2, handedIn: 0, own: null, others: [], summary: null, open: true },
  ...over,
})
const bodies = (sent: Call[]) => sent.map(({ body }) => body)

describe('scoring an application', () => {
  const file = aFile()

  test('digits go from criterion to criterion, also faster than they are saved; then it is handed in', async () => {
    const { user, sent } = await show(<ScoreProof file={file} />, {
      readScores: scores(),
      saveScore: async () => {
        await new Promise((resolve) => setTimeout(resolve, 120))
        return { done: true }
      },
    })
    const handIn = await screen.findByRole<HTMLButtonElement>('button', { name: 'Hand in' })
    screen.getByText('counts 2 times')
    expect(handIn.disabled).toBe(true)
    await user.keyboard('4')
    await user.keyboard('5')
    // The last takes three at most: a five there is nothing.
    await user.keyboard('5')
    await user.keyboard('2')
    await waitFor(() => expect(handIn.disabled).toBe(false))
    await user.click(handIn)
    await waitFor(() =>
      expect(bodies(sent).at(-1)).toEqual({ points: { Craft: 4, Safety: 5, Winter: 2 }, note: '', handIn: true }),
    )
    // Nothing was lost between: whatever was saved last before holds all that was given by then.
    expect(bodies(sent)[0]).toEqual({ points: { Craft: 4 }, note: '', handIn: false })
  })

  test('a note is kept when it is left, before anything is handed in', async () => {
    const { user, sent } = await show(<ScoreProof file={file} />, { readScores: scores(), saveScore: { done: true } })
    await user.type(await screen.findByLabelText(/^Why, for those who decide/), 'Good hands')
    await user.tab()
    await waitFor(() => expect(bodies(sent)).toEqual([{ points: {}, note: 'Good hands', handIn: false }]))
  })

  test('decided meanwhile, that is said, and what was given stays on the page', async () => {
    const title = 'The shortlist has been decided.'
    const { user } = await show(<ScoreProof file={file} />, {
      ...{ readScores: scores(), saveScore: { problem: { status: 409, code: 'scored', title } } },
    })
    await screen.findByText('Craft')
    await user.keyboard('3')
    await screen.findByText(title)
    expect(screen.getAllByRole<HTMLInputElement>('radio', { checked: true })[0]!.value).toBe('3')
  })

  test('handed in, others’ scores are seen once all are in, and where they differ', async () => {
    const summary = {
      percent: 74,
      criteria: [
        { key: 'Craft', mean: 3, least: 1, most: 5, apart: true },
        { key: 'Safety', mean: 4, least: 4, most: 4, apart: false },
      ],
    }
    await show(<ScoreProof file={file} />, {
      readScores: scores({
        ...{ handedIn: 2, own: score('Ines', { Craft: 5, Safety: 4 }), summary },
        others: [score('Bastian', { Craft: 1, Safety: 4 }, { note: 'Never on a rope.' })],
      }),
    })
    expect((await screen.findByText('74 %')).parentElement!.textContent).toBe('74 % of the points.')
    const row = within(screen.getByRole('rowheader', { name: /^Craft/ }).closest('tr')!)
    row.getByText('You see this differently; talk.')
    expect(row.getAllByRole('cell').map(({ textContent }) => textContent)).toEqual(['5', '1'])
    expect(screen.getByText(/Never on a rope/).textContent).toBe('Bastian: Never on a rope.')
    expect(screen.queryByRole('button', { name: 'Hand in' })).toBeNull()
  })
})

describe('the score sheet of a vacancy', () => {
  const id = '0190a3f0-0000-7000-8000-0000000000e1'
  const sheet = (over: object = {}) => ({ version: 3, criteria, reviewers: 2, hideNames: false, used: 0, ...over })
  const open = (over: object = {}, more: object = {}, mayEdit = true) =>
    show(<ScoreSheetPart id={id} mayEdit={mayEdit} />, { readScoreSheet: sheet(over), ...more })

  test('criteria are added, changed, taken out and agreed on together', async () => {
    const { user, sent } = await open({}, { saveScoreSheet: sheet({ version: 4 }) })
    await user.click(await screen.findByRole('button', { name: 'Remove Winter' }))
    await user.click(screen.getByRole('button', { name: 'Add a criterion' }))
    fireEvent.change(screen.getAllByLabelText('Criterion').at(-1)!, { target: { value: 'Manners' } })
    await user.click(screen.getByLabelText(/^Hide names/))
    await user.selectOptions(screen.getByLabelText('Reviewers for each application'), '3')
    await user.click(screen.getByRole('button', { name: 'Agree on this sheet' }))
    await waitFor(() => expect(sent).toHaveLength(1))
    const body = sent[0]!.body as { criteria: { key: string; title: string }[] }
    expect(body).toMatchObject({ version: 3, reviewers: 3, hideNames: true })
    expect(body.criteria.map(({ title }) => title)).toEqual(['Craft', 'Safety', 'Manners'])
    expect(new Set(body.criteria.map(({ key }) => key)).size).toBe(3)
  })

  test('once a score is in, the criteria stay; how many review can still change', async () => {
    await open({ used: 1 })
    expect((await screen.findAllByLabelText<HTMLInputElement>('Criterion')).every(({ disabled }) => disabled)).toBe(
      true,
    )
    expect(screen.queryByRole('button', { name: 'Add a criterion' })).toBeNull()
    expect(screen.getByLabelText<HTMLSelectElement>('Reviewers for each application').disabled).toBe(false)
    screen.getByText(/One score was handed in on these criteria; they stay as they are\./)
  })

  test('whoever only reads it changes nothing', async () => {
    await open({}, {}, false)
    expect((await screen.findAllByLabelText<HTMLInputElement>('Criterion')).every(({ disabled }) => disabled)).toBe(
      true,
    )
    expect(screen.queryByRole('button')).toBeNull()
  })
})
