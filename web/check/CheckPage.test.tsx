import { screen, waitFor } from '@testing-library/react'
import type { CheckResult } from '#contract/reports'
import type { Report } from '#core/report/report'
import { showPage } from '../../test/page'
import { CheckPage } from './CheckPage'

const report: Report = {
  ...{ shape: 1, reference: 'RP-7K3Q-R9', language: 'en', audience: 'inside', asAt: '2026-11-30' },
  ...{ madeAt: '2026-11-30T10:00:00Z', issuer: 'Vallorne Mountain Lines', person: { name: 'Rita Report' } },
  claims: [
    {
      ...{
        kind: 'licence',
        title: 'Driving licence',
        rung: 'confirmed',
        saidOn: '2026-10-01',
        paperSeenOn: '2026-10-04',
      },
      fields: [{ field: 'number', claimed: 'RG-1', onPaper: 'RG-1', bySource: 'RG-7', verdict: 'close' }],
      source: { name: 'Mountain Railways Authority', country: 'AT' },
      asked: { channel: 'register', on: '2026-10-05', answeredOn: '2026-10-06', respondent: 'Register' },
      finding: {
        decision: 'confirmed with a note',
        on: '2026-10-07',
        by: 'Ines',
        byRule: false,
        note: 'A one, misread',
      },
      standing: { state: 'restricted', terms: ['supervised'], from: '2026-01-01' },
      through: '2028-05-01',
      confirmedUntil: '2027-10-07',
      flags: [
        { kind: 'too young', raisedOn: '2026-10-04', settled: { outcome: 'dismissed', by: 'Ines', on: '2026-10-05' } },
      ],
    },
  ],
  flags: [],
  waived: [{ requirement: 'Height', reason: 'On the ground', by: 'Tomas', on: '2026-11-01' }],
  declared: [{ question: 'Ever dismissed?', answer: 'Yes', outcome: 'no bearing' }],
  notChecked: [{ what: 'Work', because: 'none in the file' }],
  withheld: [{ what: 'health', count: 2 }],
}
const result = (over: Partial<CheckResult> = {}): CheckResult => ({
  ...{ fault: null, issuer: 'Vallorne Mountain Lines', own: true, kind: 'report', hidden: 0, says: {}, byCode: false },
  ...{ signedAt: '2026-11-30T10:00:00Z', endsAt: '2027-11-30T10:00:00Z', report },
  ...over,
})
const paste = async (found: CheckResult) => {
  const shown = await showPage(<CheckPage />, { at: '/check', path: '/check/:token?', checkCredential: found } as never)
  await shown.user.type(screen.getByRole('textbox'), 'a.b.c')
  await shown.user.click(screen.getByRole('button', { name: 'Check it' }))
  return shown
}

test('what holds is said first, then all that was signed, with its table', async () => {
  await paste(result())
  expect((await screen.findByRole('status')).textContent).toBe(
    'It holds: unchanged, signed by Vallorne Mountain Lines.',
  )
  for (const text of [
    'What has been proven of Rita Report',
    'confirmed with a note, 7 Oct 2026, by Ines',
    'restricted: only under supervision, from 1 Jan 2026',
    'Young for it: dismissed by Ines, 5 Oct 2026.',
    'On the ground (Tomas, 1 Nov 2026)',
    'Yes: makes no difference',
    'There is nothing of it in the file.',
    '2 of it: its reader may not see it',
  ])
    expect(screen.getByText(text)).toBeTruthy()
  const cells = screen.getAllByRole('cell').map(({ textContent }) => textContent)
  expect(cells).toEqual(['RG-1', 'RG-1', 'RG-7', 'close, worth a look'])
})

test.each([
  ['bad-signature', /was changed, or somebody else signed it/],
  ['revoked', /was revoked/],
  ['file-changed', /changed after it was made/],
  ['unknown-issuer', /is not known here/],
] as const)('%s is an alarm, and another can be checked', async (fault, words) => {
  const { user } = await paste(result({ fault, report: null, kind: null, hidden: 2 }))
  expect((await screen.findByRole('alert')).textContent).toMatch(words)
  expect(screen.getByText('2 parts of it were left out by whoever shows it.')).toBeTruthy()
  expect(screen.queryByText(/What has been proven/)).toBeNull()
  await user.click(screen.getByRole('button', { name: 'Check another' }))
  expect(screen.getByRole<HTMLTextAreaElement>('textbox').value).toBe('')
})

test('of a credential of somebody else it shows what it says, by the names of its fields', async () => {
  await paste(
    result({
      own: false,
      kind: 'credential',
      report: null,
      issuer: 'Tannberg',
      says: { award: 'MSc', awarded: '2018-03-22' },
    }),
  )
  await screen.findByText('What it says')
  expect(screen.getByText('22 Mar 2018')).toBeTruthy()
  expect(screen.getByText('Award')).toBeTruthy()
})

test('a file goes as it is; a code on paper leads to what was signed, to be compared', async () => {
  const { user, sent, unmount } = await showPage(<CheckPage />, {
    ...{ at: '/check', path: '/check/:token?', checkCredential: result() },
  } as never)
  await user.upload(
    screen.getByLabelText('Report or credential'),
    new File(['%PDF'], 'r.pdf', { type: 'application/pdf' }),
  )
  await waitFor(() => expect(sent.filter(({ name }) => name === 'checkCredential')).toHaveLength(1))
  unmount()
  const token = 'x'.repeat(43)
  await showPage(<CheckPage />, {
    at: `/check/${token}`,
    path: '/check/:token?',
    checkByLink: result({ byCode: true }),
  } as never)
  expect(await screen.findByText(/Compare it with the paper before you/)).toBeTruthy()
  // What a code leads to says nothing of the paper it stands on.
  expect(screen.getByRole('status').textContent).not.toMatch(/unchanged/)
})
