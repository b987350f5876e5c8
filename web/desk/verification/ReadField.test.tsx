import { screen, waitFor } from '@testing-library/react'
import type { DocumentReading } from '#contract/verification'
import { aDocument, aFile, aLicence, aProof } from '../../../test/deskFile'
import { showPage } from '../../../test/page'
import { LookAt } from './LookAt'

const place = { page: 1, x: 0.2, y: 0.4, width: 0.3, height: 0.02 }
const reading: DocumentReading = {
  state: 'read',
  values: {
    number: { value: 'RG-3-21561', how: 'recognised', place },
    through: { value: '2026-12-18', how: 'code', place },
  },
  letter: null,
}
const proof = aProof({
  fields: [
    { key: 'number', kind: 'number', matters: true },
    { key: 'through', kind: 'date', matters: true },
    { key: 'issued', kind: 'date', matters: false },
  ],
  claimed: { number: 'RG-3-21560', through: '2026-12-18', issued: '2024-12-18' },
})

function open(
  given: DocumentReading = reading,
  over: Parameters<typeof aDocument>[0] = {},
  left: Record<string, string> = {},
  of = proof,
) {
  const document = aDocument({ mediaType: 'image/png', ...over })
  const claim = aLicence({ documents: [document] })
  return showPage(
    <LookAt file={aFile({ claims: [claim] })} claim={claim} proof={of} documentId={document.id} onClose={() => {}} />,
    {
      roles: ['coordinator'],
      readUnfinishedDocument: { value: left, savedAt: null },
      keepUnfinishedDocument: { done: true },
      readByMachine: given,
      seeDocument: { done: true },
      sendDocumentBack: { done: true },
    },
  )
}

test('what the machine read is there with its place, marked as such; the rest is empty', async () => {
  await open()
  await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Number').value).toBe('RG-3-21561'))
  expect(
    screen.getByRole('button', { name: /Show Number on the page: by machine, off the picture, p. 1/ }),
  ).toBeTruthy()
  expect(screen.getByRole('button', { name: /Valid through.*off the code/ })).toBeTruthy()
  expect(screen.getByRole('img', { name: 'Number on the page' })).toBeTruthy()
  expect(screen.getByLabelText<HTMLInputElement>('Issued').value).toBe('')
  expect(screen.getByText('not read by machine')).toBeTruthy()
  expect(screen.getByText('Claimed: RG-3-21560; the paper says something else')).toBeTruthy()
})

test('a misread is mended, what is not on the paper is said to be, and all goes back as it was read', async () => {
  const { user, sent } = await open()
  const number = await screen.findByDisplayValue('RG-3-21561')
  await user.clear(number)
  await user.type(number, 'RG-3-21567')
  expect(screen.getByText('read by a person; the machine had RG-3-21561')).toBeTruthy()
  await user.click(screen.getByRole('button', { name: 'The rest is not on the paper' }))
  await user.click(screen.getByRole('button', { name: 'Readable and right' }))
  await waitFor(() =>
    expect(sent.find(({ name }) => name === 'seeDocument')?.body).toEqual({
      version: 0,
      reads: { number: 'RG-3-21567', through: '2026-12-18' },
      absent: ['issued'],
    }),
  )
})

test.each([
  ['waiting', /A machine is reading this paper/],
  ['no recognition', /character recognition is not installed here/],
  ['failed', /could not be read by machine/],
] as const)('%s is said, and everything can be typed', async (state, words) => {
  await open({ state, values: {}, letter: null })
  expect(await screen.findByText(words)).toBeTruthy()
  expect(screen.getByLabelText<HTMLInputElement>('Number').disabled).toBe(false)
})

test('once seen, it says how each value came to be known', async () => {
  await open(reading, {
    state: 'seen',
    reads: { number: 'RG-3-21567', through: '2026-12-18' },
    readBy: {
      number: { by: 'person', machine: 'RG-3-21561' },
      through: { by: 'machine', how: 'code', place },
      issued: { by: 'absent' },
    },
  })
  expect(await screen.findByText('read by a person; the machine had RG-3-21561')).toBeTruthy()
  expect(screen.getByRole('button', { name: /Valid through.*off the code/ })).toBeTruthy()
  expect(screen.getByText('not on the paper')).toBeTruthy()
})

test('what was begun and not finished is there again, and is forgotten once it is seen', async () => {
  const { user, sent } = await open(reading, {}, { 'typed.number': 'RG-3-21567', 'absent.issued': 'yes' })
  expect(await screen.findByDisplayValue('RG-3-21567')).toBeTruthy()
  expect(screen.getByText('not on the paper')).toBeTruthy()
  await user.type(screen.getByLabelText('Number'), '8')
  await waitFor(() =>
    expect(sent.at(-1)).toMatchObject({
      name: 'keepUnfinishedDocument',
      body: { value: { 'typed.number': 'RG-3-215678', 'absent.issued': 'yes' } },
    }),
  )
  await user.click(screen.getByRole('button', { name: 'Readable and right' }))
  await waitFor(() => expect(sent.at(-1)).toMatchObject({ name: 'keepUnfinishedDocument', body: { value: {} } }))
})

describe('a letter of work', () => {
  const letter = {
    ...reading,
    values: {},
    letter: { title: place, 'first day': place, 'last day': place, letterhead: place },
  }

  test('what was found is there, what was not has to be said, and what is missing goes back', async () => {
    const { user, sent } = await open(letter)
    const signature = await screen.findByRole('radiogroup', { name: 'Signature' })
    expect(signature.querySelectorAll('input:checked')).toHaveLength(0)
    await user.click(signature.querySelectorAll('input')[1]!)
    await user.click(screen.getByRole('button', { name: 'Send back' }))
    expect(screen.getByText('The candidate is asked for a letter with what is missing: a signature.')).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Send it back' }))
    await waitFor(() =>
      expect(sent.find(({ name }) => name === 'sendDocumentBack')?.body).toEqual({
        ...{ version: 0, reason: '', lacks: ['signature'] },
      }),
    )
  })
})

test('an award written out is not something else than its short form', async () => {
  const award = aProof({ fields: [{ key: 'award', kind: 'words', matters: true }], claimed: { award: 'MSc' } })
  const { user } = await open({ ...reading, values: {} }, {}, {}, award)
  const field = await screen.findByLabelText<HTMLInputElement>('Award')
  await user.type(field, 'Master of Science')
  expect(screen.getByText('Claimed: MSc; the paper says the same in other words')).toBeTruthy()
  await user.clear(field)
  await user.type(field, 'Certificate of attendance')
  expect(screen.getByText('Claimed: MSc; the paper says something else')).toBeTruthy()
})
