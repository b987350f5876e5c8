import { useEffect, useRef } from 'react'
import SignaturePad from 'signature_pad'
import { Button } from './Button'

type Props = {
  /** What is drawn here. */
  label: string
  /** What clears it. */
  again: string
  onDrawn: (drawing: string | undefined) => void
  error?: string
}

/** A place to draw one's name with a finger, a pen or the mouse. */
export function DrawName({ label, again, onDrawn, error }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const pad = useRef<SignaturePad>(null)
  const told = useRef(onDrawn)
  told.current = onDrawn
  useEffect(() => {
    const element = canvas.current!
    const scale = Math.max(window.devicePixelRatio, 1)
    element.width = element.offsetWidth * scale
    element.height = element.offsetHeight * scale
    element.getContext('2d')!.scale(scale, scale)
    const own = new SignaturePad(element, { penColor: '#10204a', minWidth: 0.8, maxWidth: 2.4 })
    own.addEventListener('endStroke', () => told.current(own.isEmpty() ? undefined : own.toDataURL('image/png')))
    pad.current = own
    return () => own.off()
  }, [])
  const clear = () => {
    pad.current?.clear()
    told.current(undefined)
  }
  return (
    <div>
      <p className="mb-1 font-semibold text-[0.93em]">{label}</p>
      <canvas
        ref={canvas}
        aria-label={label}
        className="h-[150px] w-full max-w-[460px] touch-none rounded-sheet border border-line-strong bg-white"
      />
      <Button kind="quiet" className="!px-0" onClick={clear}>
        {again}
      </Button>
      {error && (
        <p role="alert" className="font-semibold text-[0.9em] text-contradicted">
          {error}
        </p>
      )}
    </div>
  )
}
