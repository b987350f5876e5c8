import { screen } from '@testing-library/react'
import { showPage } from '../../../test/page'
import { RecordVideo } from './RecordVideo'

/** What a browser with a camera has, and this one has not: a recorder that gives a piece when it ends. */
class Recorder {
  static isTypeSupported = (kind: string) => kind.startsWith('video/mp4')
  mimeType = 'video/mp4'
  ondataavailable = (_: { data: Blob }) => {}
  onstop = () => {}
  start() {}
  stop() {
    this.ondataavailable({ data: new Blob(['taken'], { type: this.mimeType }) })
    this.onstop()
  }
}
let stopped = 0
const withCamera = (getUserMedia: () => Promise<unknown>) => {
  Object.assign(globalThis, { MediaRecorder: Recorder })
  Object.defineProperty(navigator, 'mediaDevices', { configurable: true, value: { getUserMedia } })
  URL.createObjectURL = () => 'blob:recording'
  URL.revokeObjectURL = () => {}
}
const camera = async () => ({ getTracks: () => [{ stop: () => (stopped += 1) }] })

test('it ends by itself at its limit, is seen, and only then given on', async () => {
  withCamera(camera)
  const done: Blob[] = []
  const { user, unmount } = await showPage(
    <RecordVideo seconds={1} title="Say it" onClose={() => {}} onDone={(blob) => done.push(blob)} />,
  )
  await user.click(await screen.findByRole('button', { name: 'Begin recording' }))
  expect(screen.getByText(/^Recording, 0:0[01] left$/)).toBeTruthy()
  await screen.findByLabelText('Your recording', undefined, { timeout: 3000 })
  expect(done).toEqual([])
  await user.click(screen.getByRole('button', { name: 'Record it again' }))
  await user.click(screen.getByRole('button', { name: 'Begin recording' }))
  await user.click(screen.getByRole('button', { name: 'End recording' }))
  await user.click(await screen.findByRole('button', { name: 'Send it' }))
  expect(done.map(({ type }) => type)).toEqual(['video/mp4'])
  unmount()
  expect(stopped).toBe(1)
})

test.each([
  ['NotAllowedError', /may not use the camera/],
  ['NotFoundError', /no camera with a microphone/],
])('without a camera it says why: %s', async (name, words) => {
  withCamera(() => Promise.reject(Object.assign(new Error(name), { name })))
  await showPage(<RecordVideo seconds={60} title="Say it" onClose={() => {}} onDone={() => {}} />)
  expect((await screen.findByRole('alert')).textContent).toMatch(words)
  expect(screen.getByRole('button', { name: 'Begin recording' }).hasAttribute('disabled')).toBe(true)
})
