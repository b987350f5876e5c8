import { useEffect, useRef, useState } from 'react'
import { Link, useParams } from 'react-router'
import type { Reply } from '#contract/endpoint'
import type { readSitting } from '#contract/skills'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { Sheet } from '../../ui/Sheet'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'

type Sitting = Reply<typeof readSitting>

/** A paper, one question a page; answers are saved as given, time runs on the server. */
export function SitCheck() {
  const { id = '' } = useParams()
  const {
    data: sitting,
    error,
    refetch,
  } = api.endpoints.readSitting.useQuery({ params: { id } }, { refetchOnMountOrArgChange: true })
  if (!sitting) return <Waiting error={error} onRetry={refetch} />
  return sitting.result ? <Result sitting={sitting} result={sitting.result} /> : <Sheets sitting={sitting} />
}

function Sheets({ sitting }: { sitting: Sitting }) {
  const saving = useAct('saveSittingAnswer')
  const handing = useAct('handInSitting')
  const [given, setGiven] = useState(sitting.answers)
  const firstOpen = sitting.questions.findIndex(({ id }) => !sitting.answers[id]?.length)
  const [at, setAt] = useState(firstOpen === -1 ? 0 : firstOpen)
  const left = useSecondsLeft(sitting.secondsLeft)
  const question = sitting.questions[at]!
  const answered = sitting.questions.filter(({ id }) => given[id]?.length).length
  // What could not be saved, for want of a connection say, is saved before anything is handed in.
  const unsaved = useRef(new Map<string, string[]>())
  const underWay = useRef<Promise<boolean>>(undefined)
  const saveEach = async () => {
    for (let [next] = unsaved.current; next; [next] = unsaved.current) {
      const [id, options] = next
      if (!(await saving.act({ params: { id: sitting.id, question: id }, body: { given: options } }))) return false
      if (unsaved.current.get(id) === options) unsaved.current.delete(id)
    }
    return true
  }
  /** What is being saved goes on with what was given meanwhile, and whoever asks waits for all of it. */
  const saveAll = () => {
    underWay.current ??= saveEach().finally(() => {
      underWay.current = undefined
    })
    return underWay.current
  }
  const handIn = async () => {
    if (await saveAll()) await handing.act({ params: { id: sitting.id } })
  }
  // Once time is up it goes in with whatever could be saved.
  const timeIsUp = useRef(async () => {})
  timeIsUp.current = async () => {
    await saveAll()
    await handing.act({ params: { id: sitting.id } })
  }
  useEffect(() => {
    if (left === 0) void timeIsUp.current()
  }, [left])
  const choose = (option: string) => {
    setGiven((before) => ({ ...before, [question.id]: [option] }))
    unsaved.current.set(question.id, [option])
    void saveAll()
  }
  return (
    <main className="mx-auto max-w-[720px] px-4 py-7">
      <div className="mb-3 flex items-baseline justify-between gap-4">
        <h1 className="text-[1.7em]">{sitting.title}</h1>
        <p
          role="timer"
          className={`font-mono text-[1.1em] ${left < 120 ? 'text-contradicted' : ''}`}
          aria-label={say('check.minutesLeft', { left: Math.ceil(left / 60) })}
        >
          {Math.floor(left / 60)}:{String(left % 60).padStart(2, '0')}
        </p>
      </div>
      <nav aria-label={say('check.questions')} className="mb-3 flex flex-wrap gap-1.5">
        {sitting.questions.map(({ id }, index) => (
          <button
            key={id}
            type="button"
            onClick={() => setAt(index)}
            aria-current={index === at ? 'step' : undefined}
            aria-label={say('check.questionIndexOpen', {
              index: index + 1,
              open: given[id]?.length ? say('check.answered') : say('check.open'),
            })}
            className={`min-w-9 rounded-sheet border px-2 py-1 font-mono ${index === at ? 'border-ink font-semibold' : 'border-line-strong'} ${given[id]?.length ? 'bg-confirmed-wash' : 'bg-sheet'}`}
          >
            {index + 1}
          </button>
        ))}
      </nav>
      <Sheet>
        <Choice
          key={question.id}
          name={question.id}
          inline={false}
          label={`${at + 1}. ${question.text}`}
          value={given[question.id]?.[0] ?? ''}
          onChange={choose}
          options={question.options.map(({ id, text }) => ({ value: id, label: text }))}
        />
        <div className="mt-3">
          <ProblemNote problem={saving.problem} />
        </div>
      </Sheet>
      <div className="mt-4 flex flex-wrap items-center gap-3">
        <Button disabled={at === 0} onClick={() => setAt(at - 1)}>
          {say('check.back')}
        </Button>
        <Button
          kind={at < sitting.questions.length - 1 ? 'main' : 'plain'}
          disabled={at === sitting.questions.length - 1}
          onClick={() => setAt(at + 1)}
        >
          {say('check.nextQuestion')}
        </Button>
        <span className="ml-auto text-ink-2">
          {say('check.ofAnswered', { answered, count: sitting.questions.length })}
        </span>
        <Button
          kind={answered === sitting.questions.length ? 'main' : 'plain'}
          busy={handing.busy}
          onClick={() => void handIn()}
        >
          {say('check.handIn')}
        </Button>
      </div>
      <div className="mt-3">
        <ProblemNote problem={handing.problem} />
      </div>
    </main>
  )
}

function useSecondsLeft(atLoading: number): number {
  const [left, setLeft] = useState(atLoading)
  useEffect(() => {
    const end = Date.now() + atLoading * 1000
    const timer = setInterval(() => setLeft(Math.max(0, Math.round((end - Date.now()) / 1000))), 500)
    return () => clearInterval(timer)
  }, [atLoading])
  return left
}

function Result({ sitting, result }: { sitting: Sitting; result: NonNullable<Sitting['result']> }) {
  return (
    <main className="mx-auto max-w-[640px] px-4 py-8">
      <h1 className="mb-3 text-[2em]">{sitting.title}</h1>
      <Sheet>
        <p className="text-[1.2em]">
          <strong>
            {say('check.ofRight', {
              right: result.right,
              of: result.of,
              percent: result.percent,
            })}
          </strong>{' '}
          {result.passed
            ? say('check.youHavePassed')
            : say('check.wereNeededSomebodyWillBe', {
                passPercent: result.passPercent,
              })}
        </p>
        <p className="mt-4">
          <Link to={`/applications/${sitting.applicationId}`} className="font-semibold text-confirmed">
            {say('check.backToWhereYourApplication')}
          </Link>
        </p>
      </Sheet>
    </main>
  )
}
