import { useEffect, useState } from 'react'
import type { MadeUp } from '#contract/rules'
import type { DeskVacancy } from '#contract/vacancySetUp'
import { gates } from '#core/requirements/requirement'
import type { Rules } from '#core/rules/rules'
import { say } from '#core/words/say'
import { SelectField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useInTurn } from '../../useInTurn'
import { gateWords } from './gateWords'
import { MadeUpEditor } from './MadeUpEditor'

export type Tried = {
  requirement: string
  title: string
  gate: (typeof gates)[number]
  state: 'met' | 'unmet' | 'not needed' | 'undecided'
  why: string
  ball: string
  deciding: string[]
}

const nobody: MadeUp = { answers: {}, credentials: [], checksPassed: [], permissionSigned: false }
const pauseMs = 400
const madeUpValue = say('composer.madeUp')

type Props = { vacancy: DeskVacancy; rules: Rules; onTried: (tried: ReadonlyMap<string, Tried>) => void }

/** How the rules come out for somebody, made up or real, as they are edited: every state with its reason and whose ball it is. */
export function TryPanel({ vacancy, rules, onTried }: Props) {
  const [who, setWho] = useState(madeUpValue)
  const [madeUp, setMadeUp] = useState<MadeUp>(nobody)
  const [result, setResult] = useState<{ name: string; outcomes: Tried[] }>()
  const { act, problem } = useAct('tryRules')
  const inTurn = useInTurn()
  const { id } = vacancy
  useEffect(() => {
    const tryThem = async () => {
      const tried = await act({
        params: { id },
        body: { rules, who: who === madeUpValue ? { madeUp } : { application: who } },
      })
      if (!tried) return
      setResult(tried)
      onTried(new Map(tried.outcomes.map((outcome) => [outcome.requirement, outcome])))
    }
    // What is changed while a trial is under way is tried after it.
    const timer = setTimeout(() => void inTurn(tryThem), pauseMs)
    return () => clearTimeout(timer)
  }, [act, id, inTurn, rules, who, madeUp, onTried])
  const all = result?.outcomes.filter(({ state }) => state === 'unmet' || state === 'undecided') ?? []
  const own = new Set(rules.requirements.map(({ key }) => key))
  const open = all.filter(({ requirement }) => own.has(requirement))
  const answers = all.length - open.length
  return (
    <aside aria-label={say('composer.tryIt')} className="min-h-0 overflow-auto bg-sheet-2 px-3 py-3">
      <h2 className="text-[1.2rem]">{say('composer.tryIt')}</h2>
      <p className="mb-2 text-[0.8333rem] text-ink-2">{say('composer.nothingHereIsKeptChange')}</p>
      <SelectField
        label={say('composer.withWhom')}
        value={who}
        options={[
          { value: madeUpValue, label: say('composer.somebodyMadeUp') },
          ...vacancy.people.map(({ id: person, name, reference }) => ({
            value: person,
            label: `${name}, ${reference}`,
          })),
        ]}
        onChange={(event) => setWho(event.target.value)}
      />
      {who === madeUpValue && (
        <MadeUpEditor rules={rules} checks={vacancy.checks} madeUp={madeUp} onChange={setMadeUp} />
      )}
      <ProblemNote problem={problem} />
      {result && (
        <div className="mt-3">
          <p className="font-semibold" role="status">
            {open.length === 0
              ? say('composer.nothingIsOpenFor', { name: result.name })
              : say('composer.openFor', {
                  value:
                    open.length === 1
                      ? say('composer.oneRequirementIs')
                      : say('composer.requirementsAre', { count: open.length }),
                  name: result.name,
                })}
          </p>
          {answers > 0 && (
            <p className="text-[0.8333rem] text-ink-2">
              {say('composer.theFormAsksForStill', {
                value: answers === 1 ? say('composer.oneAnswer') : say('composer.answersAnswers', { answers }),
                value2: answers === 1 ? say('composer.is') : say('composer.are'),
              })}
            </p>
          )}
          {gates.map((gate) => {
            const here = open.filter((outcome) => outcome.gate === gate)
            if (here.length === 0) return null
            return (
              <section key={gate} className="mt-2">
                <h3 className="font-semibold text-[0.8333rem] text-ink-2">{gateWords[gate]}</h3>
                <ul className="divide-y divide-line">
                  {here.map(({ requirement, title, state, why, ball, deciding }) => (
                    <li key={requirement} className="py-1">
                      <span className="font-semibold">{title}</span>{' '}
                      {state === 'undecided' && (
                        <span className="font-semibold text-soon-ink">{say('composer.undecided')} </span>
                      )}
                      <span className="text-ink-2">{why}</span>
                      {deciding.length > 0 && (
                        <span className="block text-[0.8333rem]">
                          {say('composer.wouldBeDecidedBy', { value: deciding.join(', ') })}
                        </span>
                      )}
                      {ball && <span className="block text-[0.8333rem] text-ink-3">{ball}</span>}
                    </li>
                  ))}
                </ul>
              </section>
            )
          })}
        </div>
      )}
    </aside>
  )
}
