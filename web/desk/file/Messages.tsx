import { useState } from 'react'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { useToast } from '../useToast'
import { More } from './More'

const stateWords = {
  queued: say('file.waitingToGoOut'),
  accepted: say('file.takenByTheMailServer'),
  refused: 'refused',
  'let be': say('file.refusedLetBe'),
}

/** Every mail about this application, and what became of it. */
export function Messages({ id }: { id: string }) {
  const { data: messages = [] } = api.endpoints.readMessages.useQuery({ params: { id } })
  const [open, setOpen] = useState<string>()
  const again = useAct('resendMessage')
  const toast = useToast()
  const { may } = useSession()
  const refused = messages.filter(({ state }) => state === 'refused').length
  const resend = async (message: string) => {
    if (await again.act({ params: { id: message } })) toast(say('file.queuedAgainToTheAddress'))
  }
  return (
    <More
      title={say('file.mailsCountValue', {
        count: messages.length,
        value: refused > 0 ? say('file.refusedRefused', { refused }) : '',
      })}
      open={refused > 0 || undefined}
    >
      <ProblemNote problem={again.problem} />
      <ul className="grid gap-1.5">
        {messages.map((message) => (
          <li key={message.id}>
            <div className="flex items-baseline gap-3">
              <span className="w-[118px] shrink-0 font-mono text-[0.8rem] text-ink-2">
                {writeMoment(message.at).replace(/^\w+,? /, '')}
              </span>
              <button
                type="button"
                aria-expanded={open === message.id}
                className="min-w-0 flex-1 text-left hover:underline"
                onClick={() => setOpen(open === message.id ? undefined : message.id)}
              >
                {message.subject} <span className="text-ink-2">{say('file.toTo', { to: message.to })}</span>
              </button>
              <span className={message.state === 'refused' ? 'font-semibold text-contradicted' : 'text-ink-2'}>
                {stateWords[message.state]}
              </span>
            </div>
            {message.refusedBecause && (
              <p className="flex items-baseline gap-3 pl-[130px] text-contradicted">
                <span className="flex-1">
                  {say('file.theMailServerSaid', { refusedBecause: message.refusedBecause })}
                </span>
                {may('resendMessage') && (
                  <Button className="!py-0" busy={again.busy} onClick={() => void resend(message.id)}>
                    {say('file.sendAgain')}
                  </Button>
                )}
              </p>
            )}
            {open === message.id && (
              <p className="mt-1 ml-[130px] whitespace-pre-line border-line border-l-2 pl-3">
                {message.text}
                {message.encloses.length > 0 && say('file.enclosesValue', { value: message.encloses.join(', ') })}
              </p>
            )}
          </li>
        ))}
      </ul>
    </More>
  )
}
