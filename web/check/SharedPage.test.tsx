import { screen } from '@testing-library/react'
import type { SharedRecord } from '#contract/recipients'
import type { Report } from '#core/report/report'
import { showPage } from '../../test/page'
import { SharedPage } from './SharedPage'

const report: Report = {
  ...{ shape: 1, reference: 'RP-7K3Q-R9', language: 'en', audience: 'recipient', recipient: 'Rail Inspectorate' },
  ...{ asAt: '2026-11-30', madeAt: '2026-11-30T10:00:00Z', issuer: 'Vallorne Mountain Lines' },
  ...{ person: { name: 'Rita Report' }, claims: [], flags: [], waived: [], declared: [], notChecked: [] },
  withheld: [{ what: 'not chosen', count: 3 }],
}
const token = 'x'.repeat(43)
const show = (over: Partial<SharedRecord> = {}) =>
  showPage(<SharedPage />, {
    ...{ at: `/shared/${token}`, path: '/shared/:token', roles: [] },
    openSharedRecord: {
      ...{ state: 'open', because: '', from: 'Vallorne Mountain Lines', to: 'Rail Inspectorate', report },
      ...{ linkEndsAt: '2026-12-30T23:00:00Z', endsAt: '2027-11-30T10:00:00Z' },
      ...over,
    },
  } as never)

test('a recipient reads what was sent, for whom, until when, and keeps it in three forms', async () => {
  await show()
  expect(await screen.findByRole('heading', { name: 'What has been proven, for Rail Inspectorate' })).toBeTruthy()
  expect(screen.getByText(/This link is open until 30 Dec 2026/)).toBeTruthy()
  expect(screen.getByText('3 of it: not chosen to be sent')).toBeTruthy()
  expect(screen.getAllByRole('link').map((link) => link.getAttribute('href'))).toEqual(
    ['pdf', 'jwt', 'json'].map((form) => `/api/shared-records/${token}/${form}`),
  )
})

test.each([
  ['link ended', '', /This link has ended/],
  ['ended', '', /its time has ended/],
  ['revoked', 'decided otherwise', /does not hold any more: decided otherwise/],
  ['taken back', 'taken back by them', /was taken back: taken back by them/],
] as const)('%s is an alarm, and nothing is to be kept', async (state, because, words) => {
  await show({ state, because, report: null })
  expect((await screen.findByRole('alert')).textContent).toMatch(words)
  expect(screen.queryAllByRole('link')).toEqual([])
})
