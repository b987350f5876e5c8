import { screen, waitFor } from '@testing-library/react'
import { v7 as uuid } from 'uuid'
import type { Draft } from '#contract/applications'
import type { Form } from '#core/form/form'
import { type Call, showPage } from '../../../test/page'
import { api } from '../../api'
import { QuestionsSection } from './QuestionsSection'
import { useAutosave } from './useAutosave'

const form: Form = [
  {
    ...{ key: 'more', title: 'More', heading: 'More', intro: '', holds: 'questions' },
    questions: [
      { key: 'more.why', label: 'Why', kind: 'text', required: true },
      { key: 'more.when', label: 'When', kind: 'date', required: true },
    ],
  },
]

const aDraft = (answers: Draft['answers'] = {}): Draft =>
  ({
    id: uuid(),
    version: 1,
    stage: 'being written',
    form,
    answers,
    fileFacts: {},
    takenOver: {},
    decided: {},
    savedAt: '2026-11-28T08:00:00.000Z',
    today: '2026-11-28',
    left: [],
  }) as unknown as Draft

function Section({ id }: { id: string }) {
  const { data } = api.endpoints.readDraft.useQuery({ params: { id } })
  return data ? <Held draft={data} /> : null
}

/** What was drawn, one after the other. */
const drawn: unknown[] = []

function Held({ draft }: { draft: Draft }) {
  const autosave = useAutosave(draft)
  drawn.push(autosave.answer('more.why'))
  return (
    <>
      <QuestionsSection draft={draft} section={form[0]!} autosave={autosave} />
      <output>{autosave.state}</output>
      <p>version {autosave.version ?? 'none'}</p>
    </>
  )
}

const saved = (version: number, answers: Draft['answers']) => ({
  version,
  answers,
  savedAt: '2026-11-28T09:00:00.000Z',
  left: [],
})
const state = (text: string) =>
  waitFor(() => expect(screen.getByRole('status').textContent).toBe(text), { timeout: 6000 })

const open = (draft: Draft, saveAnswers: unknown) =>
  showPage(<Section id={draft.id} />, {
    roles: ['candidate'],
    readDraft: draft as never,
    saveAnswers: saveAnswers as never,
  })

test('what is typed is saved after a pause, in one small patch with the version it rests on', async () => {
  const draft = aDraft()
  const { user, sent } = await open(draft, saved(2, { 'more.why': 'Snow' }))
  await user.type(await screen.findByLabelText('Why'), 'Snow')
  await state('waiting')
  await state('saved')
  expect(sent.map(({ body }) => body)).toEqual([{ version: 1, changes: { 'more.why': 'Snow' }, section: 'more' }])
  await screen.findByText('version 2')
})

test('what was saved is there all along: nothing is drawn empty between typing and reading it back', async () => {
  const draft = aDraft()
  const { user } = await open(draft, saved(2, { 'more.why': 'Snow' }))
  await user.type(await screen.findByLabelText('Why'), 'Snow')
  drawn.splice(0)
  await state('saved')
  await screen.findByText('version 2')
  expect(new Set(drawn)).toEqual(new Set(['Snow']))
})

test('without a connection it is kept and said so, and saved when the browser is back', async () => {
  const draft = aDraft()
  let connected = false
  const { user } = await open(draft, () => (connected ? saved(2, { 'more.why': 'Snow' }) : 'no connection'))
  await user.type(await screen.findByLabelText('Why'), 'Snow')
  await state('no connection')
  expect(screen.getByText('version none')).toBeTruthy()
  connected = true
  window.dispatchEvent(new Event('online'))
  await state('saved')
})

test('what an earlier window could not save is there again, and is saved', async () => {
  const draft = aDraft()
  const first = await open(draft, 'no connection')
  await first.user.type(await screen.findByLabelText('Why'), 'Ice')
  await state('no connection')
  first.unmount()
  const { sent } = await open(draft, saved(2, { 'more.why': 'Ice' }))
  const field = await screen.findByLabelText<HTMLInputElement>('Why')
  await waitFor(() => expect(field.value).toBe('Ice'))
  await state('saved')
  expect(sent.at(-1)?.body).toMatchObject({ changes: { 'more.why': 'Ice' } })
})

test('what cannot be right is said beside it and not sent; the rest is', async () => {
  const draft = aDraft()
  const { user, sent } = await open(draft, saved(2, { 'more.why': 'Snow' }))
  await user.type(await screen.findByLabelText('When'), '2020')
  await state('refused')
  expect(screen.getByRole('alert').textContent).toMatch(/day/i)
  await user.type(screen.getByLabelText('Why'), 'Snow')
  await waitFor(() => expect(sent).toHaveLength(1), { timeout: 3000 })
  expect(sent[0]!.body).toMatchObject({ changes: { 'more.why': 'Snow' } })
})

describe('where another window changed the same answer', () => {
  const clash = async () => {
    const draft = aDraft({ 'more.why': 'Snow' })
    const meanwhile = {
      status: 409,
      code: 'changed-meanwhile',
      version: 4,
      current: { answers: { 'more.why': 'Theirs' } },
    }
    const theirs = { ...draft, version: 4, answers: { 'more.why': 'Theirs' } }
    let first = true
    const opened = await showPage(<Section id={draft.id} />, {
      roles: ['candidate'],
      readDraft: () => {
        const now = first ? draft : theirs
        first = false
        return now as never
      },
      saveAnswers: (({ body }: Call) =>
        (body as { version: number }).version < 4 ? { problem: meanwhile } : saved(5, { 'more.why': 'Mine' })) as never,
    })
    const field = await screen.findByLabelText<HTMLInputElement>('Why')
    await opened.user.clear(field)
    await opened.user.type(field, 'Mine')
    await screen.findByRole('alert', {}, { timeout: 4000 })
    return { ...opened, field }
  }

  test('both are shown, nothing is sent over the other, and one’s own can be kept', async () => {
    const { user, sent, field } = await clash()
    expect(field.value).toBe('Mine')
    expect(screen.getByRole('alert').textContent).toContain('Theirs')
    await user.click(screen.getByRole('button', { name: 'Keep what is here' }))
    await waitFor(() => expect(sent.at(-1)?.body).toMatchObject({ version: 4, changes: { 'more.why': 'Mine' } }), {
      timeout: 3000,
    })
    await state('saved')
  })

  test('or the other one taken', async () => {
    const { user, field } = await clash()
    await user.click(screen.getByRole('button', { name: 'Take the other' }))
    await waitFor(() => expect(field.value).toBe('Theirs'))
    expect(screen.queryByRole('alert')).toBeNull()
  })
})
