import { screen, waitFor, within } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { FlagLine, QueuedFlag } from '#contract/redFlags'
import { type FlagKind, flagKinds } from '#core/redFlags/redFlag'
import { showPage } from '../../../test/page'
import { ClaimFlags } from './ClaimFlags'
import { RedFlags } from './RedFlags'

const [applicationId, claimId] = [uuid(), uuid()]

const aFlag = (over: Partial<FlagLine> = {}): FlagLine => ({
  ...{ id: uuid(), version: 1, kind: 'same picture', state: 'open', raisedAt: '2026-11-24T08:00:00.000Z' },
  says: 'The paper of First aid looks the same as one of Ilse Vandermeer.',
  ...{ claimId, documentId: 'paper', place: null, enquiryId: null, settled: null },
  other: { name: 'Ilse Vandermeer', applicationId, claimId },
  ...over,
})
const queued = (name: string, over: Partial<QueuedFlag> = {}): QueuedFlag => ({
  ...{ ...aFlag(), name, applicationId, reference: 'VM-3V2B-2S', slack: 6 },
  ...over,
})
const settled = (outcome: 'upheld' | 'dismissed') => ({
  ...{ by: 'Ines Caldwell', at: '2026-11-24T08:00:00.000Z', outcome, reason: 'Both lie before me.' },
})

describe('beside the claim', () => {
  const show = async (flags: FlagLine[], roles = ['coordinator']) => {
    const opened: string[] = []
    const page = await showPage(<ClaimFlags flags={flags} onPaper={(id) => opened.push(id)} />, {
      ...{ roles, settleRedFlag: { done: true } },
    } as never)
    return { ...page, opened }
  }

  test('it says what it rests on, what to do, and leads there', async () => {
    const { user, opened } = await show([aFlag()])
    expect(screen.getByText(/looks the same as one of Ilse Vandermeer/)).toBeTruthy()
    expect(screen.getByText(/Lay both side by side/)).toBeTruthy()
    expect(screen.getByRole('link', { name: 'Open the file of Ilse Vandermeer' }).getAttribute('href')).toBe(
      `/desk/today/${applicationId}/${claimId}`,
    )
    await user.click(screen.getByRole('button', { name: 'Show on the paper' }))
    expect(opened).toEqual(['paper'])
    expect(screen.getByText(/takes a second person while a red flag stands/)).toBeTruthy()
  })

  test('it is settled by a key, with what it comes to and why', async () => {
    const flag = aFlag()
    const { user, sent } = await show([flag])
    await user.keyboard('f')
    const dialog = within(await screen.findByRole('dialog'))
    const settle = dialog.getByRole<HTMLButtonElement>('button', { name: 'Settle it' })
    await user.type(dialog.getByRole('textbox'), 'They share one household and one course.')
    expect(settle.disabled).toBe(true)
    await user.click(dialog.getByRole('radio', { name: 'Nothing in it' }))
    await user.click(settle)
    await waitFor(() =>
      expect(sent.filter(({ name }) => name === 'settleRedFlag')).toMatchObject([
        { body: { version: 1, outcome: 'dismissed', reason: 'They share one household and one course.' } },
      ]),
    )
  })

  test('what was dismissed stays with who and why, stands in nobody’s way, and can be looked at again', async () => {
    const { user, sent } = await show([aFlag({ state: 'dismissed', version: 2, settled: settled('dismissed') })])
    expect(screen.getByText(/Dismissed by Ines Caldwell, 24 Nov: Both lie before me\./)).toBeTruthy()
    expect(screen.queryByText(/takes a second person/)).toBeNull()
    await user.click(screen.getByRole('button', { name: 'Look at it again' }))
    const dialog = within(await screen.findByRole('dialog'))
    expect(dialog.queryByRole('radio')).toBeNull()
    await user.type(dialog.getByRole('textbox'), 'A third paper of the course has come.')
    await user.click(dialog.getByRole('button', { name: 'Look at it again' }))
    await waitFor(() =>
      expect(sent.filter(({ name }) => name === 'settleRedFlag')).toMatchObject([
        { body: { version: 2, outcome: 'reopened' } },
      ]),
    )
  })

  test('open ones come first, and whoever may not settle them reads them', async () => {
    await show(
      [aFlag({ state: 'upheld', settled: settled('upheld'), says: 'The second.' }), aFlag({ says: 'The first.' })],
      ['auditor'],
    )
    const [first, second] = screen.getAllByRole('listitem')
    expect([first!.textContent, second!.textContent]).toEqual([
      expect.stringContaining('The first.'),
      expect.stringContaining('The second.'),
    ])
    expect(screen.queryByRole('button', { name: /Settle/ })).toBeNull()
  })
})

describe('the queue', () => {
  const counted = (over: Partial<Record<FlagKind, object>> = {}) => ({
    version: 3,
    kinds: flagKinds.map((kind) => ({
      ...{ kind, open: 0, upheld: 0, dismissed: 0, mostlyWrong: false, off: null },
      ...over[kind],
    })),
  })
  const show = (flags: QueuedFlag[], counts = counted(), roles = ['administrator']) =>
    showPage(<RedFlags />, {
      ...{ roles, listRedFlags: { flags, next: null }, countRedFlags: counts },
      ...{ settleRedFlag: { done: true }, switchRedFlagKind: { version: 4 } },
    } as never)

  test('goes by the keyboard, and settles the one it stands at', async () => {
    const { user } = await show([queued('Ada'), queued('Bea', { says: 'The one below.' })])
    await screen.findByText('Ada')
    await user.keyboard('jf')
    expect(within(await screen.findByRole('dialog')).getByText(/The one below\./)).toBeTruthy()
  })

  test('an empty one says so', async () => {
    await show([])
    expect(await screen.findByText('No red flag waits for anybody.')).toBeTruthy()
  })

  test('a kind that is mostly wrong is switched off by somebody who says why', async () => {
    const { user, sent } = await show([], counted({ 'image editor': { upheld: 0, dismissed: 7, mostlyWrong: true } }))
    const row = within((await screen.findByText('Worked on as a picture')).closest('tr')!)
    expect(row.getByText('Mostly wrong')).toBeTruthy()
    await user.click(row.getByRole('button', { name: 'Switch off' }))
    const dialog = within(await screen.findByRole('dialog'))
    await user.type(dialog.getByRole('textbox'), 'Most people here scan with such a program.')
    await user.click(dialog.getByRole('button', { name: 'Switch off' }))
    await waitFor(() =>
      expect(sent.filter(({ name }) => name === 'switchRedFlagKind')).toMatchObject([
        { body: { version: 3, on: false, reason: 'Most people here scan with such a program.' } },
      ]),
    )
  })

  test('one that is off says since when and by whom, and only an administrator is offered to switch', async () => {
    const off = { by: 'Anselm Okoye', at: '2026-11-20T08:00:00.000Z', reason: 'Too many slips.' }
    await show([], counted({ 'number pattern': { off } }), ['coordinator'])
    expect(await screen.findByText('Off since 20 Nov, Anselm Okoye: Too many slips.')).toBeTruthy()
    expect(screen.queryByRole('button', { name: /Switch/ })).toBeNull()
  })
})
