import { Check, Circle } from 'lucide-react'
import { useEffect, useRef } from 'react'
import { Link, useSearchParams } from 'react-router'
import type { Reply } from '#contract/endpoint'
import type { FirstStep } from '#contract/firstSteps'
import type { Contract } from '#contract/index'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { Overview } from '../overviews/Overview'

type Steps = Reply<Contract['readFirstSteps']>

/** Where each step is done; mail is tried right here. */
const places: Record<Exclude<FirstStep, 'mail'>, string> = {
  organisation: '/desk/organisation',
  holidays: '/desk/organisation',
  colleagues: '/desk/colleagues',
  source: '/desk/sources/new',
  vacancy: '/desk/vacancies',
}

/** What a house that has just been taken into use still needs. */
export function FirstSteps() {
  const { data, error, refetch } = api.endpoints.readFirstSteps.useQuery({}, { refetchOnMountOrArgChange: true })
  useArrival()
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const open = data.steps.filter(({ done, later }) => !done && !later)
  const later = data.steps.filter(({ done, later: left }) => !done && left)
  const done = data.steps.filter((step) => step.done)
  return (
    <Overview title={say('administration.firstSteps')} about={say('administration.aboutFirstSteps')}>
      <div className="grid max-w-[760px] gap-6">
        {open.length === 0 && <p className="font-semibold">{say('administration.everythingIsThere')}</p>}
        <Steps title={say('administration.toDo')} steps={open} data={data} />
        <Steps title={say('administration.leftForLater')} steps={later} data={data} />
        <Steps title={say('administration.done')} steps={done} data={data} />
      </div>
    </Overview>
  )
}

/** Whoever comes by the link of the test mail has shown that it arrived. */
function useArrival() {
  const [search, setSearch] = useSearchParams()
  const { act } = useAct('confirmTestMail')
  const token = search.get('mail')
  const told = useRef(false)
  useEffect(() => {
    if (!token || told.current) return
    told.current = true
    void act({ body: { token } }).then(() => setSearch({}, { replace: true }))
  }, [token, act, setSearch])
}

function Steps({ title, steps, data }: { title: string; steps: Steps['steps']; data: Steps }) {
  if (steps.length === 0) return null
  return (
    <section aria-label={title}>
      <h2 className="mb-2 text-[1.2rem]">{title}</h2>
      <ul className="grid gap-2">
        {steps.map((one) => (
          <Step key={one.step} {...one} testMail={data.testMail} />
        ))}
      </ul>
    </section>
  )
}

type StepProps = Steps['steps'][number] & Pick<Steps, 'testMail'>

function Step({ step, done, later, testMail }: StepProps) {
  const { act, busy, problem } = useAct('leaveForLater')
  const Icon = done ? Check : Circle
  return (
    <li className="flex items-start gap-3 rounded-sheet border border-line p-3">
      <Icon size={18} aria-hidden className={done ? 'mt-0.5 text-confirmed' : 'mt-0.5 text-ink-3'} />
      <div className="min-w-0 flex-1">
        <p className="font-semibold">{say(`administration.step.${step}`)}</p>
        <p className="text-ink-2">{say(`administration.step.${step}.means`)}</p>
        {step === 'mail' && <TestMail testMail={testMail} />}
        <ProblemNote problem={problem} />
      </div>
      <div className="flex shrink-0 items-center gap-2">
        {step !== 'mail' && (
          <Link to={places[step]} className="font-semibold text-confirmed">
            {done ? say('administration.lookAtIt') : say('administration.doIt')}
          </Link>
        )}
        {!done && (
          <Button kind="quiet" busy={busy} onClick={() => void act({ params: { step }, body: { later: !later } })}>
            {later ? say('administration.takeUp') : say('administration.later')}
          </Button>
        )}
      </div>
    </li>
  )
}

/** A mail to oneself, and what has become of it. */
function TestMail({ testMail }: Pick<Steps, 'testMail'>) {
  const { act, busy, problem } = useAct('sendTestMail')
  const waits = testMail?.state === 'on its way' || testMail?.state === 'taken'
  api.endpoints.readFirstSteps.useQuery({}, { pollingInterval: waits ? 3_000 : 0 })
  return (
    <div className="mt-2 grid gap-2">
      {testMail && (
        <p role="status" className={testMail.state === 'refused' ? 'text-contradicted' : 'text-ink-2'}>
          {say(`administration.testMail.${testMail.state}`, { to: testMail.to })}
          {testMail.because && ` ${testMail.because}`}
        </p>
      )}
      <Button className="justify-self-start" busy={busy} onClick={() => void act({})}>
        {testMail ? say('administration.anotherTestMail') : say('administration.sendTestMail')}
      </Button>
      <ProblemNote problem={problem} />
    </div>
  )
}
