import { useState } from 'react'
import type { DeskVacancy } from '#contract/vacancySetUp'
import { knownFacts } from '#core/conditions/vocabulary'
import { gates, type Requirement } from '#core/requirements/requirement'
import { requirementSentence } from '#core/words/requirements'
import { rulesFaultWords } from '#core/words/rules'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { SortableList } from '../../ui/SortableList'
import { newAsk } from './AskEditor'
import { Faults, Heading } from './FormPart'
import { freshKey } from './freshKey'
import { gateWords } from './gateWords'
import { OnboardingTasks } from './OnboardingTasks'
import { RequirementEditor } from './RequirementEditor'
import { type Tried, TryPanel } from './TryPanel'
import type { RulesEditing } from './useRules'

const stateWords: Record<Tried['state'], string> = {
  met: 'text-confirmed',
  unmet: 'text-contradicted',
  'not needed': 'text-ink-3',
  undecided: 'text-soon-ink',
}

/** The requirements as sentences, the chosen one being composed, and how they come out for somebody. */
export function RequirementsPart({ vacancy, editing }: { vacancy: DeskVacancy; editing: RulesEditing }) {
  const { rules, change, faults } = editing
  const [chosen, setChosen] = useState<string>()
  const [tried, setTried] = useState<ReadonlyMap<string, Tried>>(new Map())
  const known = knownFacts(rules.form, vacancy.checks)
  const names = new Map([
    ...Object.entries(vacancy.checks),
    ...rules.form.flatMap(({ questions }) => questions.map(({ key, label }) => [key, label] as const)),
    ...[...rules.onboarding, ...(rules.fees ?? [])].map(({ key, title }) => [key, title] as const),
  ])
  const nameOf = (key: string) => names.get(key) ?? key
  const put = (requirements: readonly Requirement[]) => change({ ...rules, requirements })
  const current = rules.requirements.find(({ key }) => key === chosen)
  const add = () => {
    const requirement: Requirement = {
      key: freshKey('requirement', new Set(rules.requirements.map(({ key }) => key))),
      title: say('composer.aNewRequirement'),
      why: '',
      gate: 'offer',
      asks: newAsk('credential', { rules, checks: vacancy.checks }),
      rung: 'confirmed',
      waivableBy: [],
    }
    put([...rules.requirements, requirement])
    setChosen(requirement.key)
  }
  return (
    <div className="grid min-h-0 min-w-0 flex-1 grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)_300px] overflow-hidden">
      <div className="min-h-0 overflow-auto border-line border-r px-3 py-3">
        {gates.map((gate) => {
          const own = rules.requirements.filter((requirement) => requirement.gate === gate)
          return (
            <section key={gate} className="mb-3">
              <h2 className="mb-1 text-[1.0667rem]">{gateWords[gate]}</h2>
              {own.length === 0 && <p className="text-ink-3">{say('composer.nothingIsAsked')}</p>}
              <SortableList
                items={own}
                keyOf={({ key }) => key}
                nameOf={({ title }) => title}
                onOrder={(ordered) => put([...rules.requirements.filter((other) => other.gate !== gate), ...ordered])}
              >
                {(requirement, grip) => (
                  <Row
                    sentence={requirementSentence(requirement, nameOf, known)}
                    requirement={requirement}
                    grip={grip}
                    chosen={requirement === current}
                    faulty={faults.some(({ pointer }) =>
                      pointer.startsWith(`/requirements/${rules.requirements.indexOf(requirement)}/`),
                    )}
                    tried={tried.get(requirement.key)}
                    onChoose={() => setChosen(requirement.key)}
                  />
                )}
              </SortableList>
            </section>
          )
        })}
        <Button onClick={add}>{say('composer.addARequirement')}</Button>
        <OnboardingTasks rules={rules} onChange={change} />
      </div>
      <div className="min-h-0 overflow-auto border-line border-r px-4 py-3">
        {current ? (
          <>
            <Heading
              title={say('composer.requirement')}
              onRemove={() => put(rules.requirements.filter((other) => other !== current))}
            />
            <RequirementEditor
              key={current.key}
              requirement={current}
              rules={rules}
              known={known}
              checks={vacancy.checks}
              onChange={(next) => put(rules.requirements.map((other) => (other === current ? next : other)))}
            />
          </>
        ) : (
          <p className="text-ink-2">{say('composer.chooseARequirementOnThe')}</p>
        )}
        <Faults
          faults={faults
            .filter(({ pointer }) => !pointer.startsWith('/form') && !pointer.startsWith('/fees'))
            .map((fault) => rulesFaultWords(fault, rules))}
        />
      </div>
      <TryPanel vacancy={vacancy} rules={rules} onTried={setTried} />
    </div>
  )
}

type RowProps = {
  sentence: string
  requirement: Requirement
  grip: React.ReactNode
  chosen: boolean
  faulty: boolean
  tried: Tried | undefined
  onChoose: () => void
}

function Row({ sentence, requirement, grip, chosen, faulty, tried, onChoose }: RowProps) {
  return (
    <div
      className={`flex items-start gap-1 border-line border-b py-1.5 ${chosen ? 'bg-confirmed-wash' : 'hover:bg-sheet-2'} ${faulty ? 'border-l-2 border-l-contradicted' : ''}`}
    >
      {grip}
      <button type="button" className="min-w-0 flex-1 text-left" onClick={onChoose} aria-pressed={chosen}>
        <span className="flex items-baseline justify-between gap-2">
          <span className="font-semibold">{requirement.title}</span>{' '}
          {tried && (
            <span className={`whitespace-nowrap font-semibold text-[0.8333rem] ${stateWords[tried.state]}`}>
              {say(`state.outcome.${tried.state}`)}
            </span>
          )}
        </span>
        <span className="block text-ink-2">{sentence}</span>
      </button>
    </div>
  )
}
