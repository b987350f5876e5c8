import { Upload } from 'tus-js-client'
import { formHeaders } from '../../api'

const pieceSize = 512 * 1024
const pausesMs = [0, 1000, 3000, 5000, 10_000, 20_000, 30_000]

/**
 * Sends a file in pieces and gives the name it lies under. A lost connection costs the piece that was under way; the same
 * file chosen again, also after the page was left, goes on where it stopped.
 *
 * @param tell is told the share that has arrived, 0 to 1
 */
export function uploadFile(file: File, tell: (share: number) => void): Promise<string> {
  return new Promise((done, fail) => {
    const upload = new Upload(file, {
      endpoint: '/api/my/uploads',
      chunkSize: pieceSize,
      retryDelays: pausesMs,
      headers: formHeaders(),
      removeFingerprintOnSuccess: true,
      onProgress: (sent, total) => tell(total === 0 ? 1 : sent / total),
      onSuccess: () => done(upload.url!.split('/').at(-1)!),
      onError: fail,
    })
    void upload.findPreviousUploads().then(([earlier]) => {
      if (earlier) upload.resumeFromPreviousUpload(earlier)
      upload.start()
    })
  })
}
