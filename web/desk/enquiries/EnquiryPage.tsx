import { useEffect, useState } from 'react'
import { Link, useParams } from 'react-router'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { addressOf, api } from '../../api'
import { Button } from '../../ui/Button'
import { SelectField } from '../../ui/Field'
import { PdfPages } from '../../ui/Paper'
import { ProblemNote } from '../../ui/ProblemNote'
import { useTitle } from '../../ui/useTitle'
import { Waiting } from '../../ui/Waiting'
import { writeShortDay } from '../../ui/write'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { useToast } from '../useToast'
import { Answering } from './Answering'
import type { AtDesk } from './atDesk'
import { SecondPerson } from './SecondPerson'
import { Stated } from './Stated'
import { costWords, wayWords } from './words'

/** One question to one source: what was tried, what came, and what can be done now. */
export function EnquiryPage() {
  const { id = '' } = useParams()
  const { data, error, refetch } = api.endpoints.readEnquiryAtDesk.useQuery(
    { params: { id } },
    { refetchOnMountOrArgChange: true },
  )
  useTitle(data ? `${data.row.source.name}, ${data.row.candidate}` : say('enquiries.title'))
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return <Shown key={data.version} enquiry={data} />
}

function Shown({ enquiry }: { enquiry: AtDesk }) {
  const { row, paper, second } = enquiry
  const { may } = useSession()
  const open = !['prepared', 'answered', 'declined', 'silent'].includes(row.stage)
  const byTelephone = open && row.channel === 'telephone' && !paper
  const beside = paper && may('readEnquiryPaper') ? paper : undefined
  return (
    <main
      aria-label={say('enquiries.title')}
      className={`grid h-full min-h-0 overflow-auto bg-sheet max-lg:content-start ${beside ? 'lg:grid-cols-[26rem_minmax(0,1fr)]' : 'lg:grid-cols-[minmax(0,1fr)_22.6rem]'}`}
    >
      <section className="min-w-0 px-5 py-3">
        <p>
          <Link to="/desk/verification/table" className="font-semibold text-confirmed">
            {say('enquiries.title')}
          </Link>
        </p>
        <h1 className="text-[1.4667rem]">{row.source.name}</h1>
        <p className="text-ink-2">
          {say('enquiries.aboutWhom', { claim: row.claim, candidate: row.candidate })}{' '}
          <span className="font-mono">{row.reference}</span>
        </p>
        <p className="mb-3">
          <strong>{say(`enquiries.stage.${row.stage}`)}</strong>{' '}
          {say('enquiries.turnOf', { who: say(`enquiries.turn.${row.turn}`) })}
        </p>
        {row.lacks.length > 0 && (
          <div className="mb-3 bg-soon-wash px-3 py-2 text-soon-ink">
            <p className="font-semibold">{say('enquiries.goesOnceThere')}</p>
            <ul>
              {row.lacks.map((lack) => (
                <li key={lack}>{lack}</li>
              ))}
            </ul>
          </div>
        )}
        <Forwards enquiry={enquiry} />
        {second ? (
          <SecondPerson enquiry={enquiry} />
        ) : (
          <AnswerOrStated enquiry={enquiry} answering={Boolean(open && (paper || byTelephone))} />
        )}
        {beside && (
          <div className="mt-4 border-line border-t pt-3">
            <ActsAndSteps enquiry={enquiry} open={open} />
          </div>
        )}
      </section>
      {beside ? (
        <section aria-label={beside.fileName} className="min-w-0 border-line border-l bg-sheet-2 px-4 py-3">
          <div className="sticky top-3">
            <PaperShown id={row.id} paper={beside} />
          </div>
        </section>
      ) : (
        <aside className="min-w-0 border-line border-l bg-sheet-2 px-4 py-3">
          <ActsAndSteps enquiry={enquiry} open={open} />
        </aside>
      )}
    </main>
  )
}

/** What can be done now, and what was tried before. */
function ActsAndSteps({ enquiry, open }: { enquiry: AtDesk; open: boolean }) {
  const { row } = enquiry
  return (
    <>
      <Acts enquiry={enquiry} open={open} />
      <h2 className="mt-4 mb-1 text-[1.1em]">{say('enquiries.whatWasTried')}</h2>
      <ol className="grid gap-1.5 text-[0.8667rem]">
        {enquiry.steps.map(({ step, channel, at, by, to, note }) => (
          <li key={`${at}${step}`} className="grid grid-cols-[4.2rem_1fr]">
            <span className="font-mono text-ink-2">{writeShortDay(at)}</span>
            <span>
              {say(`enquiries.step.${step}`, { way: say(`sources.channel.${channel}`) })}
              {by && <span className="text-ink-2">, {by}</span>}
              {to && <span className="block break-words text-ink-2">{to.replaceAll('\n', ', ')}</span>}
              {note && <span className="block break-words">{note}</span>}
            </span>
          </li>
        ))}
      </ol>
      <p className="mt-4 flex gap-4">
        <Link to={`/desk/verification/${row.applicationId}/${row.claimId}`} className="font-semibold text-confirmed">
          {say('enquiries.toTheFile')}
        </Link>
        <Link to={`/desk/sources/${row.source.id}`} className="font-semibold text-confirmed">
          {say('enquiries.toTheSource')}
        </Link>
      </p>
    </>
  )
}

/** What can be typed in now, for those who may; for everybody else what is asked, and what was said to it. */
function AnswerOrStated({ enquiry, answering }: { enquiry: AtDesk; answering: boolean }) {
  const { may } = useSession()
  return answering && may('enterReply') ? <Answering enquiry={enquiry} /> : <Stated enquiry={enquiry} />
}

/** Who a source wants to pass the question on to, beyond its own domain: the desk looks first. */
function Forwards({ enquiry }: { enquiry: AtDesk }) {
  const { act, busy, problem } = useAct('checkForward')
  const { may } = useSession()
  if (!may('checkForward')) return null
  return (
    <>
      {enquiry.forwards.map(({ id: forward, toMail, toName, by }) => (
        <div key={forward} className="mb-3 bg-soon-wash px-3 py-2 text-soon-ink">
          <p className="font-semibold">{say('enquiries.wantsToPassOn', { by, name: toName, to: toMail })}</p>
          <ProblemNote problem={problem} />
          <p className="mt-1 flex gap-2">
            {([true, false] as const).map((send) => (
              <Button
                key={String(send)}
                busy={busy}
                onClick={() => void act({ params: { id: enquiry.row.id, forward }, body: { send } })}
              >
                {say(send ? 'enquiries.letGo' : 'enquiries.doNotLetGo')}
              </Button>
            ))}
          </p>
        </div>
      ))}
    </>
  )
}

/** What can be done with it now, by those who may. */
function Acts({ enquiry, open }: { enquiry: AtDesk; open: boolean }) {
  const { row, version, ways, contact } = enquiry
  const { may } = useSession()
  const toast = useToast()
  const remind = useAct('remindEnquiries')
  const escalate = useAct('escalateEnquiry')
  const withdraw = useAct('withdrawEnquiry')
  const approve = useAct('approveCost')
  const params = { id: row.id }
  const live = open || row.stage === 'prepared'
  const others = ways.filter((way) => way.channel !== row.channel || !contact.includes(way.to))
  const remindNow = async () => {
    const done = await remind.act({ body: { ids: [row.id] } })
    if (done) toast(say('enquiries.reminded', { count: done.reminded, not: done.not }))
  }
  return (
    <div className="grid gap-2">
      <dl className="grid grid-cols-[6rem_1fr] gap-y-0.5 text-[0.9em]">
        <dt className="text-ink-2">{say('enquiries.way')}</dt>
        <dd>
          {say(`sources.channel.${row.channel}`)}
          {contact && <span className="block break-words text-ink-2">{contact.replaceAll('\n', ', ')}</span>}
        </dd>
        <dt className="text-ink-2">{say('enquiries.due')}</dt>
        <dd className={row.overdue ? 'font-semibold text-soon-ink' : ''}>{writeWhen(row.answerBy)}</dd>
        {row.dueOn && (
          <>
            <dt className="text-ink-2">{say('enquiries.next')}</dt>
            <dd>{say('enquiries.nextOn', { day: writeWhen(row.dueOn) })}</dd>
          </>
        )}
        {row.cost && row.cost.amount > 0 && (
          <>
            <dt className="text-ink-2">{say('enquiries.cost')}</dt>
            <dd>{costWords(row.cost)}</dd>
          </>
        )}
      </dl>
      <ProblemNote problem={remind.problem ?? escalate.problem ?? withdraw.problem ?? approve.problem} />
      {row.toApprove && may('approveCost') && (
        <Button kind="main" busy={approve.busy} onClick={() => void approve.act({ params, body: { version } })}>
          {say('enquiries.approve', { cost: costWords(row.cost) })}
        </Button>
      )}
      {row.turn === 'source' && may('remindEnquiries') && (
        <Button busy={remind.busy} onClick={() => void remindNow()}>
          {say('enquiries.remindNow')}
        </Button>
      )}
      {open && may('escalateEnquiry') && others.length > 0 && (
        <SelectField
          label={say('enquiries.askOtherwise')}
          empty={say('enquiries.chooseWay')}
          value=""
          options={others.map((way, nth) => ({ value: String(nth), label: wayWords(way) }))}
          onChange={(event) => {
            const way = others[Number(event.target.value)]
            if (!way) return
            const body = { version, channel: way.channel, ...(way.contactId ? { contactId: way.contactId } : {}) }
            void escalate.act({ params, body })
          }}
        />
      )}
      {live && may('withdrawEnquiry') && (
        <Button kind="grave" busy={withdraw.busy} onClick={() => void withdraw.act({ params, body: { version } })}>
          {say('enquiries.callOff')}
        </Button>
      )}
    </div>
  )
}

function PaperShown({ id, paper }: { id: string; paper: NonNullable<AtDesk['paper']> }) {
  const { fileName, cameAt, mediaType } = paper
  const address = addressOf('readEnquiryPaper', { params: { id } })
  return (
    <>
      <p className="mb-1 text-ink-2">
        {say('enquiries.paperCame', { day: writeShortDay(cameAt) })}{' '}
        <a href={address} target="_blank" rel="noreferrer" className="font-semibold text-confirmed">
          {fileName}
        </a>
      </p>
      {mediaType === 'application/pdf' && (
        <PdfPages address={address} name={fileName} width={620} firstPageOnly={false} />
      )}
      {mediaType.startsWith('image/') && (
        <img src={address} alt={say('ui.theDocument', { name: fileName })} className="max-w-full border border-line" />
      )}
      {mediaType.startsWith('text/') && <TextShown address={address} />}
    </>
  )
}

/** What came as text, as it was written. */
function TextShown({ address }: { address: string }) {
  const [text, setText] = useState('')
  useEffect(() => {
    let gone = false
    void fetch(address)
      .then((reply) => (reply.ok ? reply.text() : ''))
      .then((written) => !gone && setText(written))
    return () => {
      gone = true
    }
  }, [address])
  return <pre className="whitespace-pre-wrap break-words border border-line bg-sheet p-3 font-sans">{text}</pre>
}
