import { lazy, Suspense, useState } from 'react'
import type { Draft } from '#contract/applications'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { Choice, TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { Sheet } from '../../ui/Sheet'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { WhomWeAsk } from './WhomWeAsk'

const DrawName = lazy(() => import('../../ui/DrawName').then((room) => ({ default: room.DrawName })))

/** The permission to check: all of it to read, signed by typing or drawing one’s name. */
export function PermissionSection({ draft }: { draft: Draft }) {
  const [way, setWay] = useState<'type' | 'draw'>('type')
  const [fullName, setFullName] = useState('')
  const [drawing, setDrawing] = useState<string>()
  const [password, setPassword] = useState('')
  const [agreed, setAgreed] = useState(false)
  const { act, busy, problem } = useAct('signPermission')
  const signed = way === 'draw' ? drawing !== undefined : fullName.trim().length >= 3
  return (
    <Sheet className="max-w-[720px]">
      {draft.permissionText.split('\n\n').map((paragraph) => (
        <p key={paragraph} className="mb-3">
          {paragraph}
        </p>
      ))}
      <WhomWeAsk claims={draft.claims} />
      {draft.permission ? (
        <p className="border-line border-t pt-3 font-semibold">
          {say('apply.signedBy', {
            name: draft.permission.fullName,
            when: writeMoment(draft.permission.signedAt),
          })}{' '}
          <a href={`/api/my/applications/${draft.id}/permission.pdf`} className="text-confirmed underline">
            {say('apply.keepTheSignedPdf')}
          </a>
        </p>
      ) : (
        <form
          className="grid gap-3 border-line border-t pt-4"
          noValidate
          onSubmit={(event) => {
            event.preventDefault()
            if (!agreed) return
            const signature = way === 'draw' && drawing ? { fullName: '', drawing } : { fullName }
            void act({ params: { id: draft.id }, body: { ...signature, password, agreed: true } })
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
            <Button kind="main" type="submit" busy={busy} disabled={!agreed || !signed || password === ''}>
              {say('apply.sign')}
            </Button>
          </div>
        </form>
      )}
    </Sheet>
  )
}
