import { useState } from 'react'
import type { Draft } from '#contract/applications'
import { Button } from '../../ui/Button'
import { TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { Sheet } from '../../ui/Sheet'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'

/** The permission to check: all of it to read, signed by typing one’s name. */
export function PermissionSection({ draft }: { draft: Draft }) {
  const [fullName, setFullName] = useState('')
  const [password, setPassword] = useState('')
  const [agreed, setAgreed] = useState(false)
  const { act, busy, problem } = useAct('signPermission')
  return (
    <Sheet className="max-w-[720px]">
      {draft.permissionText.split('\n\n').map((paragraph) => (
        <p key={paragraph} className="mb-3">
          {paragraph}
        </p>
      ))}
      {draft.permission ? (
        <p className="border-line border-t pt-3 font-semibold">
          Signed by {draft.permission.fullName}, {writeMoment(draft.permission.signedAt)}.{' '}
          <a href={`/api/my/applications/${draft.id}/permission.pdf`} className="text-confirmed underline">
            Keep the signed PDF
          </a>
        </p>
      ) : (
        <form
          className="grid gap-3 border-line border-t pt-4"
          noValidate
          onSubmit={(event) => {
            event.preventDefault()
            if (agreed) void act({ params: { id: draft.id }, body: { fullName, password, agreed: true } })
          }}
        >
          <label className="flex items-start gap-2">
            <input
              type="checkbox"
              className="mt-1 accent-confirmed"
              checked={agreed}
              onChange={(event) => setAgreed(event.target.checked)}
            />
            I have read this and agree to it.
          </label>
          <TextField
            label="Sign by typing your full name"
            autoComplete="off"
            value={fullName}
            onChange={(event) => setFullName(event.target.value)}
            error={faultAt(problem, 'fullName')}
          />
          <TextField
            label="Your password"
            type="password"
            autoComplete="current-password"
            value={password}
            onChange={(event) => setPassword(event.target.value)}
            error={faultAt(problem, 'password')}
          />
          <ProblemNote problem={problem?.faults ? undefined : problem} />
          <div>
            <Button
              kind="main"
              type="submit"
              busy={busy}
              disabled={!agreed || fullName.trim().length < 3 || password === ''}
            >
              Sign
            </Button>
          </div>
        </form>
      )}
    </Sheet>
  )
}
