import type { PermissionLine } from '#contract/recipients'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'

type Props = {
  permission: PermissionLine
  /** Where what was signed is opened, and what the way there is called. */
  address: string
  open: string
}

/** Whom a permission is for, what for and of what, until when, and who signed it. */
export function PermissionFacts({ permission, address, open }: Props) {
  const { recipient, purpose, claims, state, given, fullName, signedOn, through, hasPaper, inApplication } = permission
  const signed = given === 'paper' ? 'recipients.onPaper' : fullName ? 'recipients.signedBy' : 'recipients.signedOn'
  return (
    <>
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h3 className="font-semibold">{recipient.name}</h3>
        <span className={state === 'holds' ? 'text-confirmed' : 'text-ink-2'}>
          {say(`recipients.state.${state}`, { day: writeWhen(through) })}
        </span>
      </div>
      <p className="text-ink-2">
        {recipient.mail}. {say('recipients.for', { purpose })}.{' '}
        {inApplication ? say('recipients.ofNeeded') : say('recipients.of', { claims: claims.join(', ') })}
      </p>
      <p className="flex flex-wrap gap-x-4 text-ink-2">
        {say(signed, { name: fullName, day: writeWhen(signedOn) })}
        {hasPaper && (
          <a href={address} target="_blank" rel="noreferrer" className="font-semibold text-confirmed underline">
            {open}
          </a>
        )}
      </p>
    </>
  )
}
