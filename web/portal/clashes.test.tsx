import { fireEvent, screen, waitFor } from '@testing-library/react'
import { aClaim, aDraft, aWork } from '../../test/draft'
import { type Call, showPage } from '../../test/page'
import { api } from '../api'
import { WorkSection } from './apply/WorkSection'
import { CorrectContact } from './status/CorrectContact'
import { RenewalForm } from './status/RenewalForm'

/** What was changed in another window meanwhile: said once, read again, and then what was typed goes. */
const clash = { problem: { status: 409, code: 'changed-meanwhile', title: 'Changed meanwhile.' } }
const bodyOf = (call: Call | undefined) => call!.body as { version: number }
const type = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } })

/** Answers the first attempt with a clash, and afterwards by the version that is known then. */
function twoWindows(reply: unknown) {
  let version = 1
  return {
    version: () => version,
    answer: (call: Call) => {
      if (bodyOf(call).version === 5) return reply
      version = 5
      return clash
    },
  }
}

test('contact details are corrected in one go, and again after somebody else was first', async () => {
  const windows = twoWindows({ version: 6, answers: {}, savedAt: '2026-11-28T08:00:00.000Z', left: [] })
  const id = '0190a3f0-0000-7000-8000-000000000051'
  const status = () =>
    ({
      ...{ id, reference: 'VM-1', stage: 'sent' },
      contact: {
        version: windows.version(),
        questions: [{ key: 'contact.town', label: 'Town', kind: 'text', required: true }],
        answers: { 'contact.town': 'Innsbruck' },
      },
    }) as never
  function Page() {
    const { data } = api.endpoints.readStatus.useQuery({ params: { id } })
    return data ? <CorrectContact status={data} /> : null
  }
  const { user, sent } = await showPage(<Page />, {
    ...{ roles: ['candidate'], readStatus: status as never, saveAnswers: windows.answer as never },
  })
  await user.click(await screen.findByRole('button', { name: 'Correct how we can reach you' }))
  type('Town', 'Hall')
  await user.click(screen.getByRole('button', { name: 'Save' }))
  await screen.findByText('Changed meanwhile.')
  expect(screen.getByLabelText<HTMLInputElement>('Town').value).toBe('Hall')
  await waitFor(async () => {
    await user.click(screen.getByRole('button', { name: 'Save' }))
    expect(bodyOf(sent.at(-1)).version).toBe(5)
  })
  expect(sent.at(-1)!.body).toEqual({ version: 5, changes: { 'contact.town': 'Hall' } })
  await screen.findByRole('button', { name: 'Correct how we can reach you' })
})

test('a renewal that was refused as too old goes on what stands now', async () => {
  const windows = twoWindows({ version: 6 })
  const id = '0190a3f0-0000-7000-8000-000000000052'
  const details = {
    ...{ kind: 'certificate', sourceId: null, sourceName: 'Guild', credential: 'rope-access', number: 'RG-1' },
    ...{ issued: '2024-03-03', through: '2026-12-18' },
  } as never
  function Page() {
    const { data } = api.endpoints.readStatus.useQuery({ params: { id } })
    return data ? <RenewalForm claim={data.claims[0]!} /> : null
  }
  const claim = () => aClaim(details, { id, version: windows.version() })
  const { user, sent } = await showPage(<Page />, {
    ...{
      roles: ['candidate'],
      readStatus: (() => ({ claims: [claim()] })) as never,
      renewCredential: windows.answer as never,
    },
  })
  const save = await screen.findByRole<HTMLButtonElement>('button', { name: 'Save the renewal' })
  expect(save.disabled).toBe(true)
  type('Number on the renewal', 'RG-2')
  await user.type(screen.getByLabelText('Issued'), '2 Dec 2026')
  await user.type(screen.getByLabelText('Valid through'), '1 Dec 2028')
  await user.click(save)
  await screen.findByText('Changed meanwhile.')
  await waitFor(async () => {
    await user.click(save)
    expect(bodyOf(sent.at(-1)).version).toBe(5)
  })
  expect(sent.at(-1)!.body).toEqual({ version: 5, number: 'RG-2', issued: '2026-12-02', through: '2028-12-01' })
})

test('a claim changed in two windows: what was typed stays, and goes on the version that stands', async () => {
  const windows = twoWindows(aClaim(aWork()))
  const draft = aDraft()
  const claimId = '0190a3f0-0000-7000-8000-000000000053'
  const now = () => ({
    ...draft,
    claims: [aClaim(aWork(), { id: claimId, label: 'Driver', version: windows.version() })],
  })
  function Page() {
    const { data } = api.endpoints.readDraft.useQuery({ params: { id: draft.id } })
    return data ? <WorkSection draft={data} /> : null
  }
  const { user, sent } = await showPage(<Page />, {
    ...{ roles: ['candidate'], readDraft: now as never, changeClaim: windows.answer as never, findSources: [] },
  })
  await user.click(await screen.findByRole('button', { name: 'Change Driver' }))
  type('Position', 'Shunter')
  await user.click(screen.getByRole('button', { name: 'Save' }))
  await screen.findByText('Changed meanwhile.')
  expect(screen.getByLabelText<HTMLInputElement>('Position').value).toBe('Shunter')
  await waitFor(async () => {
    await user.click(screen.getByRole('button', { name: 'Save' }))
    expect(bodyOf(sent.at(-1)).version).toBe(5)
  })
  expect(sent.at(-1)!.body).toMatchObject({ version: 5, details: { position: 'Shunter' } })
})
