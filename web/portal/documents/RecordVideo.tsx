import { useEffect, useRef, useState } from 'react'
import { videoLimits } from '#core/documents/limits'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'

/** Well below what a video may weigh at the longest. */
const bitsPerSecond = Math.floor((videoLimits.bytes * 8 * 0.8) / videoLimits.seconds)
const kinds = ['video/webm;codecs=vp9,opus', 'video/webm;codecs=vp8,opus', 'video/webm', 'video/mp4']
const tickMs = 250

type Fault = 'refused' | 'missing' | 'stopped'

/** What is left of the time, as minutes and seconds. */
const writeLeft = (seconds: number) =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`

/** A video recorded here: it ends by itself at the limit, and is seen before it is sent. */
export function RecordVideo({
  seconds,
  title,
  onClose,
  onDone,
}: {
  seconds: number
  title: string
  onClose: () => void
  onDone: (recording: Blob) => void
}) {
  const [stream, setStream] = useState<MediaStream>()
  const [recorder, setRecorder] = useState<MediaRecorder>()
  const [left, setLeft] = useState(seconds)
  const [taken, setTaken] = useState<{ blob: Blob; address: string }>()
  const [fault, setFault] = useState<Fault>()
  const mirror = useRef<HTMLVideoElement>(null)

  useEffect(() => {
    let gone = false
    let opened: MediaStream | undefined
    const close = () => opened?.getTracks().forEach((track) => void track.stop())
    // A page that did not come safely has no camera at all.
    if (!navigator.mediaDevices) return setFault('missing')
    navigator.mediaDevices
      .getUserMedia({ video: { facingMode: 'user', width: { ideal: 960 }, height: { ideal: 540 } }, audio: true })
      .then(
        (got) => {
          opened = got
          if (gone) return close()
          setStream(got)
        },
        ({ name }: Error) => setFault(name === 'NotAllowedError' ? 'refused' : 'missing'),
      )
    return () => {
      gone = true
      close()
    }
  }, [])
  useEffect(() => {
    if (mirror.current && stream && !taken) mirror.current.srcObject = stream
  }, [stream, taken])
  useEffect(() => () => void (taken && URL.revokeObjectURL(taken.address)), [taken])

  const record = () => {
    if (!stream) return
    const begun = performance.now()
    const chunks: Blob[] = []
    const next = new MediaRecorder(stream, {
      mimeType: kinds.find((kind) => MediaRecorder.isTypeSupported(kind)),
      videoBitsPerSecond: bitsPerSecond - 128_000,
      audioBitsPerSecond: 128_000,
    })
    const timer = setInterval(() => {
      const still = seconds - (performance.now() - begun) / 1000
      setLeft(Math.max(still, 0))
      if (still <= 0) next.stop()
    }, tickMs)
    next.ondataavailable = ({ data }) => chunks.push(data)
    next.onerror = () => setFault('stopped')
    next.onstop = async () => {
      clearInterval(timer)
      setRecorder(undefined)
      const length = Math.min(performance.now() - begun, seconds * 1000)
      const blob = await withLength(new Blob(chunks, { type: next.mimeType.split(';')[0] }), length)
      setTaken({ blob, address: URL.createObjectURL(blob) })
    }
    setFault(undefined)
    setLeft(seconds)
    next.start(1000)
    setRecorder(next)
  }
  return (
    <Dialog open onClose={onClose} title={title} wide>
      <div className="grid gap-3">
        <p className="text-ink-2">{say('documents.recordUpTo', { time: writeLeft(seconds) })}</p>
        {fault && (
          <p role="alert" className="text-contradicted">
            {say(`documents.camera.${fault}`)}
          </p>
        )}
        {taken ? (
          // biome-ignore lint/a11y/useMediaCaption: a recording made a moment ago has no captions
          <video src={taken.address} controls aria-label={say('documents.yourRecording')} className="w-full bg-ink" />
        ) : (
          <video
            ref={mirror}
            autoPlay
            muted
            playsInline
            aria-label={say('documents.whatTheCameraSees')}
            className="aspect-video w-full -scale-x-100 bg-ink"
          />
        )}
        {!taken && (
          <p role="timer" className="font-mono text-[1.2em] tabular-nums">
            {recorder ? say('documents.stillLeft', { time: writeLeft(Math.ceil(left)) }) : writeLeft(seconds)}
          </p>
        )}
        <div className="flex flex-wrap gap-2">
          {taken ? (
            <>
              <Button kind="main" onClick={() => onDone(taken.blob)}>
                {say('documents.sendTheVideo')}
              </Button>
              <Button onClick={() => setTaken(undefined)}>{say('documents.recordAgain')}</Button>
            </>
          ) : recorder ? (
            <Button kind="main" onClick={() => recorder.stop()}>
              {say('documents.endRecording')}
            </Button>
          ) : (
            <Button kind="main" disabled={!stream} onClick={record}>
              {say('documents.beginRecording')}
            </Button>
          )}
          <Button kind="quiet" onClick={onClose}>
            {say('documents.cancel')}
          </Button>
        </div>
      </div>
    </Dialog>
  )
}

/** Browsers record WebM without saying how long it is; it is written into its head (RFC 9559, Duration). */
async function withLength(blob: Blob, milliseconds: number): Promise<Blob> {
  if (blob.type !== 'video/webm') return blob
  const { default: fixLength } = await import('fix-webm-duration')
  return fixLength(blob, milliseconds, { logger: false })
}
