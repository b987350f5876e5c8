import { screen, waitFor } from '@testing-library/react'
import type { ReportLine } from '#contract/reports'
import { aFile } from '../../../test/deskFile'
import { showPage } from '../../../test/page'
import { OwnReports } from '../../portal/status/OwnReports'
import { Reports } from './Reports'

const line = (over: Partial<ReportLine> = {}): ReportLine => ({
  ...{ id: '0190a3f0-0000-7000-8000-000000000001', version: 1, reference: 'RP-7K3Q-R9', audience: 'inside' },
  ...{ language: 'en', asAt: '2026-11-29', madeAt: '2026-11-29T08:00:00Z', madeBy: 'Ines Caldwell' },
  ...{ endsAt: '2999-11-29T08:00:00Z', revoked: null, opens: true, claims: ['A degree', 'A job'], sentTo: [] },
  ...over,
})
const show = async (lines: ReportLine[], more: object = {}) => {
  const shown = await showPage(<Reports file={aFile()} />, { listReports: lines, ...more } as never)
  await shown.user.click(await screen.findByText(`Reports (${lines.length})`))
  return shown
}
const acts = (sent: { name: string; body?: unknown }[], name: string) => sent.filter((call) => call.name === name)

test('a report opens in all its forms, unless it says more than its reader may see', async () => {
  await show([line(), line({ id: '0190a3f0-0000-7000-8000-000000000002', opens: false, audience: 'candidate' })])
  const links = screen.getAllByRole('link').map((link) => link.getAttribute('href'))
  expect(links).toEqual(['pdf', 'json', 'jwt', 'sd-jwt'].map((form) => `/api/desk/reports/${line().id}/${form}`))
  expect(screen.getByText('It is for the candidate alone.')).toBeTruthy()
})

test('it is made for whom, about what, in which language and as at which day', async () => {
  const { user, sent } = await show([], { makeReport: line() })
  await user.click(screen.getByRole('button', { name: 'Make a report' }))
  await user.click(screen.getByLabelText('the candidate, who is sent it'))
  await user.click(screen.getByLabelText('the whole file'))
  await user.selectOptions(screen.getByLabelText('Language'), 'de')
  await user.clear(screen.getByLabelText('As at'))
  await user.type(screen.getByLabelText('As at'), '2 Nov 2026')
  await user.click(screen.getByRole('button', { name: 'Make a report' }))
  await waitFor(() => expect(acts(sent, 'makeReport')).toHaveLength(1))
  expect(acts(sent, 'makeReport')[0]!.body).toEqual({
    ...{ audience: 'candidate', scope: 'file', language: 'de', asAt: '2026-11-02' },
  })
})

test('it is revoked with a reason, and what is revoked says why and is not revoked again', async () => {
  const { user, sent, unmount } = await show([line()], { revokeReport: { done: true } })
  await user.click(screen.getByRole('button', { name: 'Revoke' }))
  const revoke = screen.getByRole<HTMLButtonElement>('button', { name: 'Revoke' })
  expect(revoke.disabled).toBe(true)
  await user.type(screen.getByLabelText(/^Why/), 'Made for the wrong body')
  await user.click(revoke)
  await waitFor(() => expect(acts(sent, 'revokeReport')).toHaveLength(1))
  expect(acts(sent, 'revokeReport')[0]!.body).toEqual({ version: 1, reason: 'Made for the wrong body' })
  unmount()
  await show([line({ revoked: { at: '2026-11-30T08:00:00Z', because: 'decided otherwise' } })])
  expect(screen.getByText('revoked 30 Nov 2026: decided otherwise')).toBeTruthy()
  expect(screen.queryByRole('button', { name: 'Revoke' })).toBeNull()
})

test('whoever may make none sees none', async () => {
  await showPage(<Reports file={aFile()} />, { roles: ['assessor'], listReports: [line()] } as never)
  expect(screen.queryByText(/^Reports/)).toBeNull()
})

test('a candidate keeps theirs, and shows only some of it', async () => {
  const { user, sent } = await showPage(<OwnReports id="0190a3f0-0000-7000-8000-000000000009" />, {
    ...{ roles: ['candidate'], listOwnReports: [line({ audience: 'candidate' })], makeOwnReport: line() },
  } as never)
  await user.click(await screen.findByRole('button', { name: 'Show only some of it' }))
  expect(screen.queryByRole('link', { name: 'Credential that shows these' })).toBeNull()
  await user.click(screen.getByLabelText('A job'))
  expect(screen.getByRole('link', { name: 'Credential that shows these' }).getAttribute('href')).toBe(
    `/api/my/reports/${line().id}/sd-jwt?claims=1`,
  )
  await user.click(screen.getByRole('button', { name: 'Make a report' }))
  await waitFor(() => expect(acts(sent, 'makeOwnReport')[0]?.body).toEqual({ language: 'en' }))
})
