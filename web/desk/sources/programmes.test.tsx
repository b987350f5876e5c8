import { screen, waitFor } from '@testing-library/react'
import type { Reply } from '#contract/endpoint'
import type { readResearch } from '#contract/programmes'
import { showPage } from '../../../test/page'
import { AwardRecords } from './AwardRecords'
import { OwnForm } from './OwnForm'
import { ProgrammePage } from './ProgrammePage'
import { Programmes } from './Programmes'

type Research = Reply<typeof readResearch>
const id = '0190a3f0-0000-7000-8000-000000000041'
const outcome = {
  level: 5,
  field: '0715',
  recognised: true,
  comparableTo: 'Diploma',
  why: 'Two years',
  from: 2004,
  to: null,
}
const research = (over: Partial<Research> = {}): Research => ({
  ...{ id, source: { id, name: 'Fjellvik' }, state: 'open', owner: null, openedAt: '2026-11-09T12:00:00.000Z' },
  programme: { title: 'Rigging', award: 'Diploma', level: 5, field: '0715', language: '', link: 'https://f.example' },
  ...{ neededBy: '2026-12-27', files: [{ id, reference: 'VM-1' }], recognised: null, version: 3, mine: false },
  ...{ consulted: [], outcome: null, concludedBy: null, concludedAt: null, readBy: null, readAt: null, note: '' },
  ...{ mayRead: true, alone: false },
  ...over,
})
const open = (over: Partial<Research> = {}, more: object = {}) =>
  showPage(<ProgrammePage />, {
    ...{ at: `/desk/sources/programmes/${id}`, path: '/desk/sources/programmes/:id' },
    readResearch: research(over),
    ...more,
  } as never)

test('the list says whose each is and by when it is needed, and how many there are in each state', async () => {
  const rows = [research(), research({ id: `${id.slice(0, -1)}2`, owner: 'Ines', neededBy: null, files: [] })]
  await showPage(<Programmes />, { listResearch: { rows, counts: { open: 2, 'second reader': 1, done: 0 } } })
  expect(await screen.findAllByRole('link', { name: 'Rigging' })).toHaveLength(2)
  expect(screen.getByText('nobody’s yet')).toBeTruthy()
  expect(screen.getByText('27 Dec 2026')).toBeTruthy()
  expect(screen.getByRole('button', { name: 'For a second reader 1' })).toBeTruthy()
})

test('one is taken, and what was found is concluded with what was consulted', async () => {
  const { user, sent } = await open({}, { takeResearch: { version: 4 }, saveResearch: { version: 4 } })
  await user.click(await screen.findByRole('button', { name: 'Take it' }))
  await waitFor(() => expect(sent[0]).toMatchObject({ name: 'takeResearch', body: { version: 3 } }))
  await user.type(screen.getByLabelText('What or who'), 'National register')
  await user.click(screen.getByLabelText('not recognised'))
  await user.type(screen.getByLabelText('Comparable to'), 'A short course')
  await user.type(screen.getByLabelText('Why'), 'Nine weeks only')
  await user.click(screen.getByRole('button', { name: 'Conclude, for a second reader' }))
  await waitFor(() =>
    expect(sent[1]?.body).toMatchObject({
      ...{ version: 3, concluded: true, consulted: [{ what: 'National register', link: '' }] },
      outcome: { recognised: false, comparableTo: 'A short course', why: 'Nine weeks only', level: 5, field: '0715' },
    }),
  )
  await user.click(screen.getByRole('button', { name: 'Keep for now' }))
  await waitFor(() => expect(sent[2]?.body).toMatchObject({ concluded: false }))
})

test('what is missing is said beside what it is about, and nothing typed is lost', async () => {
  const faults = [{ pointer: '/body/outcome/why', message: 'Say why.' }]
  const { user } = await open({}, { saveResearch: { problem: { status: 422, faults } } })
  await user.type(await screen.findByLabelText('Comparable to'), 'A diploma')
  await user.click(screen.getByRole('button', { name: 'Conclude, for a second reader' }))
  expect(await screen.findByText('Say why.')).toBeTruthy()
  expect(screen.getByLabelText<HTMLInputElement>('Comparable to').value).toBe('A diploma')
})

const concluded = { state: 'second reader' as const, outcome, consulted: [{ what: 'Register', link: '' }] }

test('the second reader reads it all and agrees, or says why it goes back', async () => {
  const { user, sent } = await open(concluded, { readAsSecond: { version: 4 } })
  expect(await screen.findByText('Two years')).toBeTruthy()
  expect(screen.getByText('2004 – today')).toBeTruthy()
  const back = screen.getByRole<HTMLButtonElement>('button', { name: 'Send it back' })
  expect(back.disabled).toBe(true)
  await user.click(screen.getByRole('button', { name: 'I agree' }))
  await waitFor(() => expect(sent[0]?.body).toEqual({ version: 3, agrees: true }))
  await user.type(screen.getByLabelText('What is missing, if it goes back'), 'Which register?')
  await user.click(back)
  await waitFor(() => expect(sent[1]?.body).toEqual({ version: 3, agrees: false, note: 'Which register?' }))
})

test('who concluded it does not read it; where there is nobody else it takes a reason', async () => {
  const { unmount } = await open({ ...concluded, mayRead: false })
  expect(await screen.findByText('You have concluded it: somebody else reads it.')).toBeTruthy()
  expect(screen.queryByRole('button', { name: 'I agree' })).toBeNull()
  unmount()
  const { user, sent } = await open({ ...concluded, alone: true }, { readAsSecond: { version: 4 } })
  const agree = await screen.findByRole<HTMLButtonElement>('button', { name: 'I agree' })
  expect(agree.disabled).toBe(true)
  await user.type(screen.getByLabelText(/^Why nobody else reads it/), 'Nobody else is here')
  await user.click(agree)
  await waitFor(() => expect(sent[0]?.body).toEqual({ version: 3, agrees: true, alone: 'Nobody else is here' }))
})

test('what was not recognised is looked into once more', async () => {
  const not = { ...concluded, state: 'done' as const, recognised: false, outcome: { ...outcome, recognised: false } }
  const { user, sent } = await open(not, { reopenResearch: { version: 4 } })
  await user.click(await screen.findByRole('button', { name: 'Look into it once more' }))
  await waitFor(() => expect(sent[0]).toMatchObject({ name: 'reopenResearch', body: { version: 3 } }))
})

test('a list of awards is taken in; rows that cannot be read are told, and a record is taken out', async () => {
  const row = { id, number: 'TB-1', name: 'Ilse', born: '', award: 'MSc', subject: 'Power', awarded: '2018-03' }
  const { user, sent } = await showPage(<AwardRecords sourceId={id} />, {
    readAwards: { count: 1, rows: [{ ...row, enteredBy: 'Ines', enteredAt: '2026-11-09T12:00:00.000Z' }] },
    importAwards: { kept: 1, confirmed: 1, faulty: [{ row: 3, message: 'A record needs a number and a name.' }] },
    removeAward: { done: true },
  })
  expect(await screen.findByText('Mar 2018')).toBeTruthy()
  await user.upload(
    screen.getByLabelText(/^A list of awards, CSV/),
    new File(['number;name'], 'a.csv', { type: 'text/csv' }),
  )
  expect(await screen.findByText('Row 3: A record needs a number and a name.')).toBeTruthy()
  await user.click(screen.getByRole('button', { name: 'Take TB-1 out' }))
  await waitFor(() => expect(sent.at(-1)).toMatchObject({ name: 'removeAward', params: { id, award: id } }))
})

test('a form is put here once, its fields begin as guessed, and each can be changed', async () => {
  const told: unknown[] = []
  const form = { sha256: 'a'.repeat(64), fileName: 'Form.pdf', fill: { surname: 'family name' as const } }
  const kept = { sha256: 'b'.repeat(64), fileName: 'New.pdf', pages: 1, fields: ['surname', 'given_names', 'box'] }
  const { user } = await showPage(<OwnForm form={form} onChange={(next) => told.push(next)} />, {
    uploadSourceForm: kept,
  })
  expect(screen.getByRole('link', { name: 'Form.pdf' }).getAttribute('href')).toContain('tried=yes')
  await user.selectOptions(screen.getByLabelText('surname'), 'full name')
  expect(told[0]).toEqual({ ...form, fill: { surname: 'name' } })
  await user.upload(
    screen.getByLabelText(/^Its own release form/),
    new File(['%PDF'], 'New.pdf', { type: 'application/pdf' }),
  )
  const fill = { surname: 'family name', given_names: 'given names', box: 'by hand' }
  await waitFor(() => expect(told[1]).toEqual({ sha256: kept.sha256, fileName: 'New.pdf', fill }))
  await user.click(screen.getByRole('button', { name: 'Remove' }))
  expect(told[2]).toBeUndefined()
})
