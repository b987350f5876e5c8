import QRCode from 'qrcode'
import { type ReactNode, useEffect, useEffectEvent, useState } from 'react'
import { useDispatch } from 'react-redux'
import type { Capture, capturedThings } from '#contract/identity'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'

const lookAgainMs = 2000

type Props = {
  claimId: string
  what: (typeof capturedThings)[number]
  /** What the button says that opens the device on this screen. */
  here: string
  onTaken: (capture: Capture) => void
  /** A way around the device, where there is one. */
  more?: ReactNode
  children: ReactNode
}

/** The capture device on this screen or on a phone; what it has taken comes back here by itself. */
export function CaptureDevice({ claimId, what, here, onTaken, more, children }: Props) {
  const dispatch = useDispatch()
  const beginning = useAct('beginCapture')
  const { act: take, problem } = useAct('takeCapture')
  const [capture, setCapture] = useState<Capture>()
  const [picture, setPicture] = useState<string>()
  const waiting = capture?.state === 'waiting' ? capture.id : undefined
  const look = useEffectEvent(async (id: string) => {
    const now = await take({ params: { id } })
    if (!now || now.state === 'waiting') return
    setCapture(now)
    setPicture(undefined)
    // Only what was taken changes the application; looking every other second does not.
    dispatch(api.util.invalidateTags(['draft', 'status']))
    onTaken(now)
  })
  useEffect(() => {
    if (!waiting) return
    const timer = setInterval(() => void look(waiting), lookAgainMs)
    return () => clearInterval(timer)
  }, [waiting])
  const begin = async (where: 'here' | 'phone') => {
    // The window is opened by the click itself, since browsers block one that comes later.
    const device = where === 'here' ? window.open('', '_blank') : null
    const begun = await beginning.act({ params: { id: claimId }, body: { what } })
    if (!begun) return device?.close()
    setCapture(begun)
    if (device) device.location.href = begun.address
    else setPicture(await QRCode.toDataURL(begun.address, { margin: 1, width: 240 }))
  }
  return (
    <div className="grid gap-3">
      <p>{children}</p>
      <div className="flex flex-wrap gap-2">
        <Button kind="main" busy={beginning.busy} onClick={() => void begin('here')}>
          {here}
        </Button>
        <Button busy={beginning.busy} onClick={() => void begin('phone')}>
          {say('apply.handItOverToMy')}
        </Button>
        {more}
      </div>
      {picture && (
        <div className="flex flex-wrap items-center gap-4">
          <img src={picture} alt={say('apply.qrCodeThatOpensThe')} width={160} height={160} />
          <p className="max-w-[36ch] text-ink-2">{say('apply.pointTheCameraOfYour')}</p>
        </div>
      )}
      <p role="status" className="text-soon-ink empty:hidden">
        {capture?.state === 'waiting'
          ? say('apply.waitingForThePicture')
          : capture?.state === 'unclear'
            ? `${say('apply.thatWasNotClearEnough')} ${capture.why ?? ''} ${say('apply.tryAgainOrTypeIt')}`
            : capture?.state === 'gone'
              ? say('apply.thatTookTooLongBegin')
              : ''}
      </p>
      <ProblemNote problem={beginning.problem ?? problem} />
    </div>
  )
}
