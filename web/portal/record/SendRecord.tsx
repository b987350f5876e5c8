import { useState } from 'react'
import type { Recipients } from '#contract/recipients'
import { writeWhen } from '#core/dates/write'
import { languages, say } from '#core/words/say'
import { languageHere } from '../../language'
import { HowToSend, howOf, usualSending } from '../../recipients/HowToSend'
import { freshWish, isWhole, WhomAndWhat } from '../../recipients/WhomAndWhat'
import { Button } from '../../ui/Button'
import { faultAt } from '../../ui/ProblemNote'
import { Sheet } from '../../ui/Sheet'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { Signing } from '../Signing'

/** Whom, what, how, and the permission for it, signed: one page, one act. */
export function SendRecord({
  recipients,
  onDone,
}: {
  recipients: Pick<Recipients, 'today' | 'claims'>
  onDone: () => void
}) {
  const { organisation } = useSession()
  const { act, busy, problem } = useAct('permitRecipient')
  const [wish, setWish] = useState(() =>
    freshWish(recipients, languages.find((language) => language === languageHere()) ?? 'en'),
  )
  const [sending, setSending] = useState(() => usualSending(recipients.today))
  const whole = isWhole(wish) && (sending.way !== 'link' || sending.linkEndsOn !== '')
  return (
    <Sheet className="grid grid-cols-[minmax(0,1fr)] gap-4">
      <h2 className="text-[1.3em]">{say('recipients.whom')}</h2>
      <WhomAndWhat {...{ wish, recipients, problem }} onChange={setWish} throughLabel={say('recipients.through')} />
      <HowToSend
        name="way"
        later
        sending={sending}
        onChange={setSending}
        error={faultAt(problem, 'linkEndsOn') ?? faultAt(problem, 'send/linkEndsOn')}
      />
      <div className="border-line border-t pt-3">
        <h3 className="mb-1.5 font-semibold">{say('recipients.sign')}</h3>
        <p className="mb-2 max-w-[68ch]">
          {say('recipients.allow', {
            organisation: organisation?.name ?? '',
            recipient: wish.recipient.name.trim() || '…',
            day: wish.through ? writeWhen(wish.through) : '…',
          })}
        </p>
        <p className="mb-3 max-w-[68ch]">{say('recipients.allowEnds')}</p>
        <Signing
          {...{ busy, problem }}
          disabled={!whole}
          act={say(sending.way === 'later' ? 'recipients.signOnly' : 'recipients.signAndSend')}
          onSign={(signature) =>
            void act({ body: { ...wish, ...signature, send: howOf(sending) } }).then((done) => done && onDone())
          }
        />
      </div>
      <p>
        <Button kind="quiet" onClick={onDone}>
          {say('recipients.cancel')}
        </Button>
      </p>
    </Sheet>
  )
}
