import { useState } from 'react'
import type { Reply } from '#contract/endpoint'
import type { readMailsAbout } from '#contract/incomingMails'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { useToast } from '../useToast'
import { HowTold } from './HowTold'
import { More } from './More'

const stateWords = {
  queued: say('file.waitingToGoOut'),
  held: say('file.heldForText'),
  accepted: say('file.takenByTheMailServer'),
  delivered: say('file.delivered'),
  refused: say('overviews.refused'),
  'let be': say('file.refusedLetBe'),
}

/** Every mail about this application, and what became of it. */
export function Messages({ id }: { id: string }) {
  const { data: messages = [] } = api.endpoints.readMessages.useQuery({ params: { id } })
  const { data: received = [] } = api.endpoints.readMailsAbout.useQuery({ params: { id } })
  const waiting = received.filter(({ state }) => state === 'waiting').length
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
        count: messages.length + received.length,
        value: refused > 0 ? say('file.refusedRefused', { refused }) : '',
      })}
      open={refused > 0 || waiting > 0 || undefined}
    >
      <HowTold id={id} />
      <ProblemNote problem={again.problem} />
      <ul className="grid gap-1.5">
        {received.map((mail) => (
          <Received key={mail.id} mail={mail} />
        ))}
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
                {message.subject}{' '}
                <span className="text-ink-2">
                  {say('file.toTo', { to: message.to })}
                  {message.channel === 'text' && ` ${say('file.byText')}`}
                </span>
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

const receivedWords = {
  written: { waiting: say('file.receivedWaiting'), settled: say('file.receivedSettled') },
  automatic: { waiting: '', settled: say('file.receivedAutomatic') },
  bounce: { waiting: '', settled: say('file.receivedBounce') },
}

/** A mail that came in, with what to do about it. */
function Received({ mail }: { mail: Reply<typeof readMailsAbout>[number] }) {
  const waits = mail.state === 'waiting'
  const [open, setOpen] = useState(waits)
  const { act, busy, problem } = useAct('settleIncomingMail')
  const { may } = useSession()
  return (
    <li>
      <div className="flex items-baseline gap-3">
        <span className="w-[118px] shrink-0 font-mono text-[0.8rem] text-ink-2">
          {writeMoment(mail.receivedAt).replace(/^\w+,? /, '')}
        </span>
        <button
          type="button"
          aria-expanded={open}
          className="min-w-0 flex-1 text-left hover:underline"
          onClick={() => setOpen(!open)}
        >
          {mail.subject} <span className="text-ink-2">{say('file.receivedFrom', { from: mail.from })}</span>
        </button>
        <span className={waits ? 'font-semibold text-soon-ink' : 'text-ink-2'}>
          {receivedWords[mail.kind][mail.state]}
        </span>
      </div>
      {open && (
        <div className="mt-1 ml-[130px] border-asked border-l-2 pl-3">
          <p className="whitespace-pre-line break-words">{mail.text}</p>
          {mail.encloses.length > 0 && say('file.enclosesValue', { value: mail.encloses.join(', ') })}
          <ProblemNote problem={problem} />
          {waits && may('settleIncomingMail') && (
            <Button className="mt-1 !py-0" busy={busy} onClick={() => void act({ params: { id: mail.id } })}>
              {say('file.settle')}
            </Button>
          )}
        </div>
      )}
    </li>
  )
}
