import { lazy, Suspense, useState } from 'react'
import { say } from '#core/words/say'
import type { Problem } from '../api'
import { Button } from '../ui/Button'
import { Choice, TextField } from '../ui/Field'
import { faultAt, ProblemNote } from '../ui/ProblemNote'

const DrawName = lazy(() => import('../ui/DrawName').then((room) => ({ default: room.DrawName })))

type Signed = { fullName: string; drawing?: string; password: string; agreed: true }
type Props = {
  /** What the button says. */
  act: string
  busy: boolean
  problem: Problem | undefined
  onSign: (signature: Signed) => void
  /** What is signed is not whole yet. */
  disabled?: boolean
}

/** Under what was read: that one agrees, one’s name typed or drawn, and the password again. */
export function Signing({ act, busy, problem, onSign, disabled }: Props) {
  const [way, setWay] = useState<'type' | 'draw'>('type')
  const [fullName, setFullName] = useState('')
  const [drawing, setDrawing] = useState<string>()
  const [password, setPassword] = useState('')
  const [agreed, setAgreed] = useState(false)
  const signed = way === 'draw' ? drawing !== undefined : fullName.trim().length >= 3
  return (
    <form
      className="grid gap-3 border-line border-t pt-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        if (!agreed) return
        const signature = way === 'draw' && drawing ? { fullName: '', drawing } : { fullName }
        onSign({ ...signature, password, agreed: true })
      }}
    >
      <label className="flex items-start gap-2">
        <input
          type="checkbox"
          className="mt-1 accent-confirmed"
          checked={agreed}
          onChange={(event) => setAgreed(event.target.checked)}
        />
        {say('apply.iHaveReadThisAnd')}
      </label>
      <Choice
        label={say('apply.howWouldYouLikeTo')}
        name="signing"
        inline
        value={way}
        onChange={(value) => setWay(value as 'type' | 'draw')}
        options={[
          { value: 'type', label: say('apply.typeMyName') },
          { value: 'draw', label: say('apply.drawIt') },
        ]}
      />
      {way === 'type' ? (
        <TextField
          label={say('apply.signByTypingYourFull')}
          autoComplete="off"
          value={fullName}
          onChange={(event) => setFullName(event.target.value)}
          error={faultAt(problem, 'fullName')}
        />
      ) : (
        <Suspense fallback={null}>
          <DrawName
            label={say('apply.drawYourNameHere')}
            again={say('apply.drawItAgain')}
            onDrawn={setDrawing}
            error={faultAt(problem, 'drawing')}
          />
        </Suspense>
      )}
      <TextField
        label={say('apply.yourPassword')}
        type="password"
        autoComplete="current-password"
        value={password}
        onChange={(event) => setPassword(event.target.value)}
        error={faultAt(problem, 'password')}
      />
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <div>
        <Button kind="main" type="submit" busy={busy} disabled={disabled || !agreed || !signed || password === ''}>
          {act}
        </Button>
      </div>
    </form>
  )
}
