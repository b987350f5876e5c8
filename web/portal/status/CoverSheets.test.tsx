import { screen, within } from '@testing-library/react'
import { showPage } from '../../../test/page'
import { CoverSheets } from './CoverSheets'

const id = '00000000-0000-7000-8000-000000000001'
const claimId = '00000000-0000-7000-8000-000000000002'
const sheet = (number: number, more: object = {}) => ({
  ...{ number, reference: `CS-000${number}`, title: `Paper ${number}`, pages: 2 },
  ...{ claimId, part: 'certificate' as const, state: 'waiting' as const, cameAt: null, postedAt: null, fault: null },
  ...more,
})
const show = (sheets: ReturnType<typeof sheet>[], parts: ('transcript' | 'certificate')[] = ['transcript']) =>
  showPage(<CoverSheets id={id} />, {
    listMyCoverSheets: { sheets, places: parts.length ? [{ claimId, label: 'MSc', parts }] : [], address: 'Here' },
    makeMyCoverSheets: { sheets: [{ number: 9, reference: 'CS-0009' }] },
    callOffCoverSheet: { done: true },
  })

test('each sheet says whether its paper came; all that wait are printed together', async () => {
  await show([
    sheet(1),
    sheet(2, { state: 'came', cameAt: '2026-11-24T09:00:00.000Z' }),
    sheet(3, { state: 'not right', cameAt: '2026-11-25T09:00:00.000Z', fault: 'pages' }),
  ])
  expect(screen.getByText('Waits for its 2 pages.')).toBeTruthy()
  expect(screen.getByText(/came on 24 Nov 2026 and lies in your file/)).toBeTruthy()
  expect(screen.getByText(/another number of pages than you said/)).toBeTruthy()
  const all = screen.getByRole<HTMLAnchorElement>('link', { name: 'Print all that wait' })
  expect(decodeURIComponent(all.href)).toMatch(/cover-sheets\.pdf\?numbers=1,3$/)
  const came = screen.getByText('Paper 2').closest('li')!
  expect(within(came).queryByRole('button')).toBeNull()
})

test('sheets are made for chosen papers, with their pages; more pages than a paper may have are not sent', async () => {
  const { user, sent } = await show([])
  await user.click(screen.getByRole('button', { name: 'Make cover sheets' }))
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Make the sheet' }).disabled).toBe(true)
  await user.click(screen.getByRole('checkbox', { name: 'transcript of marks' }))
  const pages = screen.getByLabelText(/^Pages of MSc/)
  await user.clear(pages)
  await user.type(pages, '21')
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Make the sheet' }).disabled).toBe(true)
  await user.clear(pages)
  await user.type(pages, '4')
  await user.click(screen.getByRole('button', { name: 'Make the sheet' }))
  expect(sent.at(-1)).toMatchObject({ body: { papers: [{ claimId, part: 'transcript', pages: 4 }] } })
})

test('one whose paper does not come is done away with', async () => {
  const { user, sent } = await show([sheet(4)])
  await user.click(screen.getByRole('button', { name: 'It does not come' }))
  expect(sent.at(-1)).toMatchObject({ params: { number: '4' } })
})

test('where nothing was made and nothing may come, nothing is there', async () => {
  await show([], [])
  expect(screen.queryByText('Papers by post or fax')).toBeNull()
})
