import { screen, waitFor, within } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { Role } from '#contract/roles'
import { aDocument, aFile, aLicence, anEnquiry, aProof } from '../../../test/deskFile'
import { showPage } from '../../../test/page'
import { ClaimProof } from './ClaimProof'

const agreed = (over: Parameters<typeof aLicence>[0] = {}) =>
  aLicence({
    rung: 'asked',
    documents: [aDocument({ state: 'seen', seenBy: 'Ines Caldwell', seenAt: '2026-11-19T08:00:00.000Z' })],
    ...over,
  })
const agreeing = (over: Parameters<typeof aProof>[0] = {}) =>
  aProof({
    comparison: { fields: [], explanations: [], outcome: 'agrees' },
    sentence: { head: 'Everything agrees.', detail: '' },
    enquiries: [anEnquiry()],
    proposed: 'confirmed',
    ...over,
  })

const show = (
  claim: ReturnType<typeof aLicence>,
  roles: Role[],
  { readProof = agreeing(), ...more }: Parameters<typeof showPage>[1] = {},
) => showPage(<ClaimProof file={aFile({ claims: [claim] })} claim={claim} />, { roles, readProof, ...more })

const buttons = () =>
  screen
    .getAllByRole('button')
    .map(({ textContent }) => textContent ?? '')
    .filter((words) => / ?[A-Z]$/.test(words))

test('a reply that agrees is confirmed by one key, with the version that was seen', async () => {
  const claim = agreed({ version: 4 })
  const { user, sent } = await show(claim, ['coordinator'], { decideClaim: { findingId: claim.id, reviewId: null } })
  await screen.findByRole('button', { name: /^Confirm/ })
  await user.keyboard('c')
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(sent[0]).toMatchObject({
    name: 'decideClaim',
    params: { id: claim.id },
    body: { version: 3, decision: 'confirmed', note: '' },
  })
})

test.each([
  [
    { since: '2026-03-01', until: '2027-03-01' },
    'Confirmed since 1 Mar 2026; serves every application until 1 Mar 2027.',
  ],
  [{ since: '2026-03-01', until: null }, 'Confirmed since 1 Mar 2026; it is not asked again.'],
  [
    { since: '2024-03-01', until: '2025-03-01', stale: true as const },
    'Confirmed on 1 Mar 2024, which served until 1 Mar 2025: ask again.',
  ],
])('what is confirmed says since when and until when: %j', async (confirmed, words) => {
  await show(agreed({ rung: 'confirmed', confirmed }), ['coordinator'])
  expect(await screen.findByText(words)).toBeTruthy()
  expect(screen.queryAllByRole('button', { name: /^Ask the source/ })).toHaveLength('stale' in confirmed ? 1 : 0)
})

test('what was confirmed by rule says on what, and other papers behind it can be opened', async () => {
  const basis = {
    ...{ programme: 'MSc, Power', basis: 'accredited' as const, by: 'Council', from: 2012, to: null },
    record: 'TB-1',
  }
  const at = '2026-11-25T09:00:00.000Z'
  const finding = { id: uuid(), decision: 'confirmed' as const, note: '', by: '', basis, at, undone: false }
  const [paper, form] = [
    aDocument({ state: 'seen' }),
    aDocument({ state: 'seen', part: 'release form', fileName: 'Form.pdf' }),
  ]
  const claim = agreed({ rung: 'confirmed', documents: [paper, form] })
  const { user } = await show(claim, ['coordinator'], { readProof: aProof({ findings: [finding] }) })
  expect(
    await screen.findByText(/confirmed at once by rule: MSc, Power, accredited by Council \(2012 – today\)/),
  ).toBeTruthy()
  await user.click(screen.getByRole('button', { name: 'Form.pdf' }))
  expect(await screen.findByRole('dialog', { name: /Form\.pdf/ })).toBeTruthy()
})

test.each<[Role, boolean]>([
  ['coordinator', true],
  ['administrator', true],
  ['hiring manager', false],
  ['assessor', false],
])('a %s sees buttons to decide: %s, and the key does no more than they', async (role, decides) => {
  const claim = agreed()
  const { user, sent } = await show(claim, [role], { decideClaim: { findingId: claim.id, reviewId: null } })
  await screen.findByText('Everything agrees.')
  if (decides) await screen.findByRole('button', { name: /^Confirm/ })
  else expect(screen.queryByRole('button', { name: /^Confirm/ })).toBeNull()
  await user.keyboard('c')
  await waitFor(() => expect(sent).toHaveLength(decides ? 1 : 0))
})

test('whoever may not open papers is told so and is shown none', async () => {
  await show(agreed(), ['assessor'])
  expect(await screen.findByText(/Card.pdf/)).toBeTruthy()
  expect(screen.queryByRole('button', { name: /Open beside the claim/ })).toBeNull()
})

test('a contradiction asks for words before it is recorded', async () => {
  const claim = aLicence({ rung: 'asked' })
  const { user, sent } = await show(claim, ['coordinator'], {
    decideClaim: { findingId: claim.id, reviewId: null },
    readProof: agreeing({
      comparison: { fields: [], explanations: [], outcome: 'contradicts' },
      sentence: { head: 'One field contradicts.', detail: 'Valid through: different.' },
      proposed: 'contradicted',
    }),
  })
  await screen.findByText('One field contradicts.')
  await screen.findByRole('button', { name: /^Record contradiction/ })
  await user.keyboard('x')
  const dialog = await screen.findByRole('dialog')
  expect(sent).toEqual([])
  await user.type(within(dialog).getByRole('textbox'), 'The register says 2028.')
  await user.click(within(dialog).getByRole('button', { name: /contradiction/i }))
  await waitFor(() =>
    expect(sent[0]?.body).toMatchObject({ decision: 'contradicted', note: 'The register says 2028.' }),
  )
})

test('letters that are typed into a field decide nothing', async () => {
  const claim = agreed()
  const { user, sent } = await showPage(
    <>
      <input aria-label="Note" />
      <ClaimProof file={aFile({ claims: [claim] })} claim={claim} />
    </>,
    { decideClaim: { findingId: claim.id, reviewId: null }, readProof: agreeing() },
  )
  await screen.findByRole('button', { name: /^Confirm/ })
  await user.type(screen.getByLabelText('Note'), 'ccc')
  expect(sent).toEqual([])
})

test('what is settled asks for nothing more', async () => {
  await show(agreed({ rung: 'confirmed' }), ['coordinator'])
  await screen.findByText('Everything agrees.')
  await waitFor(() => expect(buttons()).toEqual([]))
  expect(screen.getByText(/settled/i)).toBeTruthy()
})

test('what was asked, answered and decided stands beneath, the newest first, and undone decisions as such', async () => {
  const claim = agreed()
  const findings = [
    {
      id: claim.id,
      decision: 'confirmed' as const,
      note: 'Looks fine',
      by: 'Ines Caldwell',
      at: '2026-11-25T08:00:00.000Z',
      basis: null,
      undone: true,
    },
  ]
  await show(claim, ['coordinator'], { readProof: agreeing({ findings }) })
  const list = await screen.findByRole('list', { name: 'What was done about this' })
  const lines = within(list)
    .getAllByRole('listitem')
    .map(({ textContent }) => textContent)
  expect(lines[0]).toMatch(/25 Nov.*undone.*confirmed by Ines Caldwell.*Looks fine/i)
  expect(lines[1]).toMatch(/24 Nov.*Card office/)
  expect(lines[2]).toMatch(/20 Nov.*secure link by mail.*Ines Caldwell/)
})

test('a key for the paper pressed before the proof is there opens it then; one that decides does nothing yet', async () => {
  let tell: (proof: ReturnType<typeof agreeing>) => void = () => {}
  const coming = new Promise<ReturnType<typeof agreeing>>((done) => {
    tell = done
  })
  const claim = agreed()
  const { user, sent } = await show(claim, ['coordinator'], {
    decideClaim: { findingId: claim.id, reviewId: null },
    readProof: (() => coming) as never,
  })
  await screen.findByRole('status')
  await user.keyboard('cl')
  tell(agreeing())
  expect(await screen.findByRole('dialog', { name: /Card.pdf/ })).toBeTruthy()
  expect(sent).toEqual([])
})
