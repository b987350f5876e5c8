import type { Draft } from '#contract/applications'
import { say } from '#core/words/say'
import { Sheet } from '../../ui/Sheet'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { Signing } from '../Signing'
import { WhomWeAsk } from './WhomWeAsk'

/** The permission to check: all of it to read, signed by typing or drawing one’s name. */
export function PermissionSection({ draft }: { draft: Draft }) {
  const { act, busy, problem } = useAct('signPermission')
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
        <Signing
          {...{ busy, problem }}
          act={say('apply.sign')}
          onSign={(signature) => void act({ params: { id: draft.id }, body: signature })}
        />
      )}
    </Sheet>
  )
}
