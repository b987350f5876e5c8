import { screen } from '@testing-library/react'
import type { ClaimDetails } from '#contract/claims'
import { aDocument } from '../../../test/deskFile'
import { aClaim, aDraft, aStudy } from '../../../test/draft'
import { showPage } from '../../../test/page'
import { ClaimPapers } from './ClaimPapers'

const aLicence: ClaimDetails = {
  ...{ kind: 'licence', sourceId: null, sourceName: 'Rail office', credential: 'driving', number: '1' },
  ...{ issued: '2020-01-01', through: '2027-01-01' },
}
const show = (documents: ReturnType<typeof aDocument>[] = []) =>
  showPage(<ClaimPapers claim={aClaim(aStudy(), { documents })} draft={aDraft()} />, { roles: ['candidate'] })
const ways = () => screen.queryAllByRole('radio').map((way) => (way.parentElement as HTMLElement).textContent)
const offered = () =>
  [...(screen.queryByRole<HTMLSelectElement>('combobox')?.options ?? [])].map(({ textContent }) => textContent)
const field = () => screen.getByLabelText<HTMLInputElement>(/^Add a PDF/)

test('the degree, or what stands in for it, reads as one choice; the papers of the way that was chosen are asked', async () => {
  const { user } = await show()
  expect(ways()).toEqual([
    'certificate',
    'transcript of marks and letter of award',
    'interim certificate and transcript of marks, for now: the final one follows by a day you name',
    'interim certificate and transcript of each term, for now: the final one follows by a day you name',
  ])
  expect(offered()).toEqual([])
  expect(field().disabled).toBe(false)
  await user.click(screen.getAllByRole('radio')[3]!)
  expect(offered()).toEqual(['interim certificate', 'transcript of each term'])
  // Nothing is added before the day is named.
  expect(field().disabled).toBe(true)
  await user.type(screen.getByLabelText('The final one comes by'), '4 Mar 2027')
  await user.tab()
  expect(field().disabled).toBe(false)
  await user.selectOptions(screen.getByRole('combobox'), 'transcript of each term')
  expect(screen.queryByLabelText('The final one comes by')).toBeNull()
})

test('what is there says which way it is, and by when the final one comes', async () => {
  await show([aDocument({ part: 'interim certificate', finalBy: '2027-03-04', fileName: 'Interim.pdf' })])
  expect(screen.getAllByRole<HTMLInputElement>('radio')[2]!.checked).toBe(true)
  expect(screen.getByText(/the final one by 4 Mar 2027/)).toBeTruthy()
  expect(screen.getByText(/transcript of marks/, { selector: 'p' })).toBeTruthy()
})

test('for a licence what stands in is among what a paper may be', async () => {
  await showPage(<ClaimPapers claim={aClaim(aLicence)} draft={aDraft()} />, { roles: ['candidate'] })
  expect(ways()).toEqual([])
  expect(offered()).toEqual(['certificate', 'receipt of an application', 'interim certificate'])
})

test('with all the papers there is nothing to choose', async () => {
  await show([aDocument({ part: 'certificate' })])
  expect(ways()).toEqual([])
})
