import { jest } from '@jest/globals'
import { fireEvent, screen, waitFor } from '@testing-library/react'
import type { ClaimDetails } from '#contract/claims'
import { aDocument } from '../../../test/deskFile'
import { aClaim, aStudy } from '../../../test/draft'
import { showPage } from '../../../test/page'

/** What goes up in pieces is another protocol, tried in the browser: here it is only seen what was sent. */
const uploaded: File[] = []
jest.unstable_mockModule('./upload', () => ({
  uploadFile: async (file: File) => {
    uploaded.push(file)
    return 'an-upload'
  },
}))
const { Documents } = await import('./Documents')

const word = (name: string, size = 5) => {
  const file = new File(['words'], name)
  Object.defineProperty(file, 'size', { value: size })
  return file
}
const show = (details: ClaimDetails = aStudy(), documents: ReturnType<typeof aDocument>[] = []) =>
  showPage(<Documents claim={aClaim(details, { documents })} />, {
    roles: ['candidate'],
    attachUpload: { ...aDocument(), alsoBehind: null },
  })
const choose = (...files: File[]) => fireEvent.change(screen.getByLabelText(/^Add a PDF/), { target: { files } })
beforeEach(() => void uploaded.splice(0))

test('a Word file goes as it is, under the name of what it is', async () => {
  const { sent } = await show()
  choose(word('Final FINAL.docx'))
  await waitFor(() => expect(sent).toHaveLength(1))
  expect(uploaded.map(({ name }) => name)).toEqual(['A claim, Ines Caldwell.docx'])
  expect(sent[0]!.body).toMatchObject({ fileName: 'A claim, Ines Caldwell.docx', part: 'certificate' })
})

test.each([
  [[word('a.docx'), new File([''], 'b.png')], /^Add a Word file by itself/],
  [[word('large.docx', 10 * 1024 * 1024 + 1)], /^The Word file is larger than 10 MB/],
])('one that cannot go says why, and nothing is sent', async (files, words) => {
  await show()
  choose(...files)
  await screen.findByText(words)
  expect(uploaded).toEqual([])
})

test('what it was is reached beside what it became', async () => {
  const document = aDocument({ fromWord: true, fileName: 'Letter.pdf' })
  await show(aStudy(), [document, aDocument({ fileName: 'Plain.pdf' })])
  const links = screen.getAllByRole('link', { name: 'the Word file it was made of' })
  expect(links.map((link) => link.getAttribute('href'))).toEqual([`/api/documents/${document.id}/original`])
})

test('a video is recorded on the page only where one is asked', async () => {
  Object.assign(globalThis, { MediaRecorder: class {} })
  const paper: ClaimDetails = { kind: 'paper', sourceId: null, sourceName: '', question: 'q', title: 'Say it' }
  const plain = await show(paper)
  expect(screen.queryByRole('button', { name: 'Record it on this page' })).toBeNull()
  plain.unmount()
  await show({ ...paper, videoSeconds: 30 })
  expect(screen.getByRole('button', { name: 'Record it on this page' })).toBeTruthy()
})
