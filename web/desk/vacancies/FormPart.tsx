import { Plus } from 'lucide-react'
import { useState } from 'react'
import type { DeskVacancy } from '#contract/vacancySetUp'
import { type KnownFact, knownFacts } from '#core/conditions/vocabulary'
import type { Question, Section } from '#core/form/form'
import { rulesFaultWords } from '#core/words/rules'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { SelectField } from '../../ui/Field'
import { SortableList } from '../../ui/SortableList'
import { freshKey } from './freshKey'
import { QuestionEditor } from './QuestionEditor'
import { SectionEditor } from './SectionEditor'
import type { RulesEditing } from './useRules'

type Chosen = { section: string; question?: string }

const holdsWords: Record<Section['holds'], string> = {
  questions: '',
  study: say('composer.studiesOneByOne'),
  work: say('composer.theHistoryOfWorkWith'),
  credentials: say('composer.licencesAndCertificates'),
  identity: say('composer.aPaperOfIdentity'),
  vouching: say('composer.peopleWhoVouch'),
  equality: say('composer.voluntaryQuestionsCountedOnly'),
  permission: say('composer.thePermissionToCheckSigned'),
  send: say('composer.everythingOnceMoreAndThe'),
}

/** The application form: its sections and questions in order on the left, the chosen one on the right. */
export function FormPart({ vacancy, editing }: { vacancy: DeskVacancy; editing: RulesEditing }) {
  const { rules, change, faults } = editing
  const { form } = rules
  const [chosen, setChosen] = useState<Chosen>({ section: form[0]?.key ?? '' })
  const known = knownFacts(form, vacancy.checks)
  const section = form.find(({ key }) => key === chosen.section)
  const question = section?.questions.find(({ key }) => key === chosen.question)
  const putForm = (next: readonly Section[]) => change({ ...rules, form: next })
  const putSection = (next: Section) => putForm(form.map((other) => (other.key === next.key ? next : other)))
  const faultAt = (pointer: string) => faults.filter((fault) => fault.pointer.startsWith(pointer))
  return (
    <div className="grid min-h-0 min-w-0 flex-1 grid-cols-[minmax(0,1fr)_minmax(0,1.15fr)] overflow-hidden">
      <div className="min-h-0 min-w-0 overflow-auto border-line border-r px-4 py-3">
        <SortableList
          items={form}
          keyOf={({ key }) => key}
          nameOf={({ title }) => title}
          onOrder={putForm}
          className="grid grid-cols-[minmax(0,1fr)] gap-2"
        >
          {(own, grip, index) => (
            <SectionRow
              section={own}
              grip={grip}
              faulty={faultAt(`/form/${index}`).length > 0}
              chosen={chosen}
              onChoose={setChosen}
              onChange={putSection}
            />
          )}
        </SortableList>
        <AddSection form={form} onAdd={(next) => putForm(inserted(form, next))} />
      </div>
      <div className="min-h-0 min-w-0 overflow-auto px-4 py-3">
        {section && question ? (
          <>
            <Heading
              title={say('composer.question')}
              onRemove={() => {
                putSection({ ...section, questions: section.questions.filter((other) => other !== question) })
                setChosen({ section: section.key })
              }}
            />
            <QuestionEditor
              key={question.key}
              question={question}
              known={askedBefore(known, question.key)}
              onChange={(next) =>
                putSection({
                  ...section,
                  questions: section.questions.map((other) => (other === question ? next : other)),
                })
              }
            />
          </>
        ) : section ? (
          <>
            <Heading
              title={say('composer.section')}
              onRemove={section.holds === 'send' ? undefined : () => putForm(form.filter((other) => other !== section))}
            />
            <SectionEditor
              key={section.key}
              section={section}
              known={askedBefore(known, section.questions[0]?.key)}
              onChange={putSection}
            />
            {section.holds !== 'questions' && (
              <p className="mt-3 text-ink-2">
                {say('composer.itHolds')} {holdsWords[section.holds]}.
              </p>
            )}
          </>
        ) : (
          <p className="text-ink-2">{say('composer.chooseASectionOrA')}</p>
        )}
        <Faults
          faults={faults
            .filter(({ pointer }) => pointer.startsWith('/form'))
            .map((fault) => rulesFaultWords(fault, rules))}
        />
      </div>
    </div>
  )
}

/** What may be looked at before a question is asked. */
function askedBefore(known: readonly KnownFact[], question: string | undefined): KnownFact[] {
  const place = known.find((fact) => fact.question === question)?.place
  return known.filter((fact) => place === undefined || fact.place < place)
}

const inserted = (form: readonly Section[], next: Section) => {
  const at = form.findIndex(({ holds }) => holds === 'permission' || holds === 'send')
  return at < 0 ? [...form, next] : [...form.slice(0, at), next, ...form.slice(at)]
}

export function Heading({ title, onRemove }: { title: string; onRemove?: () => void }) {
  return (
    <div className="mb-2 flex items-baseline justify-between">
      <h2 className="text-[1.2rem]">{title}</h2>
      {onRemove && (
        <Button kind="quiet" className="!text-contradicted" onClick={onRemove}>
          {say('composer.takeOut')}
        </Button>
      )}
    </div>
  )
}

export function Faults({ faults }: { faults: readonly string[] }) {
  if (faults.length === 0) return null
  return (
    <ul role="alert" className="mt-4 grid gap-1 rounded-sheet bg-contradicted-wash px-3 py-2 text-contradicted">
      {[...new Set(faults)].map((words) => (
        <li key={words}>{words}</li>
      ))}
    </ul>
  )
}

type RowProps = {
  section: Section
  grip: React.ReactNode
  faulty: boolean
  chosen: Chosen
  onChoose: (chosen: Chosen) => void
  onChange: (section: Section) => void
}

function SectionRow({ section, grip, faulty, chosen, onChoose, onChange }: RowProps) {
  const on = chosen.section === section.key && !chosen.question
  const addQuestion = () => {
    const taken = new Set(section.questions.map(({ key }) => key.replace(`${section.key}.`, '')))
    const question: Question = {
      key: `${section.key}.${freshKey('question', taken)}`,
      label: say('composer.aNewQuestion'),
      kind: 'text',
      required: true,
    }
    onChange({ ...section, questions: [...section.questions, question] })
    onChoose({ section: section.key, question: question.key })
  }
  return (
    <div className={`rounded-sheet border ${faulty ? 'border-contradicted' : 'border-line'}`}>
      <div className={`flex items-center gap-1 px-1.5 py-1 ${on ? 'bg-confirmed-wash' : 'bg-sheet-2'}`}>
        {grip}
        <button
          type="button"
          className="min-w-0 flex-1 truncate text-left font-semibold"
          onClick={() => onChoose({ section: section.key })}
        >
          {section.title || say('composer.untitled')}
          <span className="font-normal text-ink-2"> {holdsWords[section.holds]}</span>
        </button>
        {section.when && (
          <span className="whitespace-nowrap text-[0.8rem] text-ink-2">{say('composer.withACondition')}</span>
        )}
        {section.shared && (
          <span className="whitespace-nowrap text-[0.8rem] text-ink-2">
            {say('composer.sharedVersion', { version: section.shared.version })}
          </span>
        )}
      </div>
      {section.holds === 'questions' && (
        <div className="px-1.5 pb-1">
          <SortableList
            items={section.questions}
            keyOf={({ key }) => key}
            nameOf={({ label }) => label}
            onOrder={(questions) => onChange({ ...section, questions })}
          >
            {(question, grip_) => (
              <div
                className={`flex items-center gap-1 rounded-sheet py-0.5 ${chosen.question === question.key ? 'bg-confirmed-wash' : 'hover:bg-sheet-2'}`}
              >
                {grip_}
                <button
                  type="button"
                  className="min-w-0 flex-1 truncate text-left"
                  onClick={() => onChoose({ section: section.key, question: question.key })}
                >
                  {question.label}
                </button>
                <span className="whitespace-nowrap text-[0.8rem] text-ink-2">
                  {[
                    question.when ? say('composer.withACondition2') : '',
                    question.required ? '' : say('composer.mayBeLeftOut'),
                  ]
                    .filter(Boolean)
                    .join(', ')}
                </span>
              </div>
            )}
          </SortableList>
          <button
            type="button"
            className="flex items-center gap-1 px-1 py-0.5 font-semibold text-[0.8333rem] text-confirmed"
            onClick={addQuestion}
          >
            <Plus size={13} aria-hidden /> {say('composer.addAQuestion')}
            <span className="sr-only"> {say('composer.toTitle', { title: section.title })}</span>
          </button>
        </div>
      )}
    </div>
  )
}

/** A section of the common library, or one of this vacancy’s own. */
function AddSection({ form, onAdd }: { form: readonly Section[]; onAdd: (section: Section) => void }) {
  const { data: library = [] } = api.endpoints.sharedSections.useQuery({})
  const keys = new Set(form.map(({ key }) => key))
  const left = library.filter(({ key }) => !keys.has(key))
  return (
    <div className="mt-3 flex flex-wrap items-end gap-2">
      {left.length > 0 && (
        <SelectField
          label={say('composer.addASectionOfThe')}
          value=""
          empty={say('composer.chooseOne')}
          options={left.map(({ key, section }) => ({ value: key, label: section.title }))}
          onChange={(event) => {
            const chosen = left.find(({ key }) => key === event.target.value)
            if (chosen) onAdd({ ...chosen.section, shared: { key: chosen.key, version: chosen.version } })
          }}
        />
      )}
      <Button
        onClick={() =>
          onAdd({
            key: freshKey('section', keys),
            title: say('composer.aNewSection'),
            heading: say('composer.whatDoesItAsk'),
            intro: '',
            holds: 'questions',
            questions: [],
          })
        }
      >
        {say('composer.addASectionOfIts')}
      </Button>
    </div>
  )
}
