import { useState } from 'react'
import type { DeskVacancy } from '#contract/vacancySetUp'
import type { KnownFact } from '#core/conditions/vocabulary'
import { knownFeeFacts } from '#core/fees/facts'
import type { FeeFact, FeeLine, FeeSchedule, FeeTax } from '#core/fees/schedule'
import { surplusKinds } from '#core/fees/schedule'
import { lineSentence } from '#core/words/fees'
import { rulesFaultWords } from '#core/words/rules'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { SelectField, TextField } from '../../ui/Field'
import { SortableList } from '../../ui/SortableList'
import { Tick } from '../../ui/Tick'
import { useCurrency } from '../../useCurrency'
import { AmountField } from './AmountField'
import { ConditionEditor } from './ConditionEditor'
import { PerCent } from './FeeAmountEditor'
import { FeeFactEditor } from './FeeFactEditor'
import { FeeLineEditor } from './FeeLineEditor'
import { Faults, Heading } from './FormPart'
import { freshKey } from './freshKey'
import { TimeToFinish } from './TimeToFinish'
import { TryFees } from './TryFees'
import type { RulesEditing } from './useRules'

type Chosen = { of: 'schedule' | 'line' | 'fact' | 'tax'; schedule: string; key: string }

/** What applying costs: schedules with their lines, the chosen one being composed, and what it comes to for somebody. */
export function FeesPart({ vacancy, editing }: { vacancy: DeskVacancy; editing: RulesEditing }) {
  const { rules, change, faults } = editing
  const fees = rules.fees ?? []
  const currency = useCurrency()
  const [chosen, setChosen] = useState<Chosen>()
  const put = (next: readonly FeeSchedule[]) => {
    const { fees: _, ...others } = rules
    change(next.length > 0 ? { ...others, fees: next } : others)
  }
  const putOne = (one: FeeSchedule) => put(fees.map((other) => (other.key === one.key ? one : other)))
  const current = fees.find(({ key }) => key === chosen?.schedule) ?? fees[0]
  const add = () => {
    const key = freshKey('fees', new Set(fees.map((one) => one.key)))
    const made: FeeSchedule = {
      ...{ key, title: say('composer.newFees'), currency, facts: [], taxes: [], taxIncluded: true },
      lines: [{ key: 'fee', title: say('composer.newLine'), why: '', amount: { kind: 'fixed', amount: 4500 } }],
      ...{ dueDays: 14, holds: false, surplus: 'given back' },
    }
    const requirement = {
      key: freshKey('fee', new Set(rules.requirements.map((one) => one.key))),
      ...{ title: made.title, why: '', gate: 'shortlist' as const, rung: 'claimed' as const, waivableBy: ['money'] },
      asks: { kind: 'fee' as const, schedule: key },
    }
    // Nobody pays what no requirement asks for.
    change({ ...rules, fees: [...fees, made], requirements: [...rules.requirements, requirement] })
    setChosen({ of: 'schedule', schedule: key, key })
  }
  const remove = (key: string) => {
    const { fees: _, ...others } = rules
    const left = fees.filter((one) => one.key !== key)
    const requirements = rules.requirements.filter(({ asks }) => asks.kind !== 'fee' || asks.schedule !== key)
    change({ ...others, requirements, ...(left.length > 0 ? { fees: left } : {}) })
  }
  const known = current ? knownFeeFacts(current, rules.form, vacancy.checks) : []
  return (
    <div className="grid min-h-0 min-w-0 flex-1 grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)_320px] overflow-hidden">
      <div className="min-h-0 overflow-auto border-line border-r px-3 py-3">
        {fees.length === 0 && <p className="mb-3 text-ink-2">{say('composer.noFees')}</p>}
        {fees.map((one) => (
          <Schedule
            key={one.key}
            schedule={one}
            known={knownFeeFacts(one, rules.form, vacancy.checks)}
            chosen={chosen}
            onChoose={setChosen}
            onChange={putOne}
          />
        ))}
        <Button onClick={add}>{say('composer.addFees')}</Button>
        <TimeToFinish editing={editing} />
      </div>
      <div className="min-h-0 overflow-auto border-line border-r px-4 py-3">
        {current && chosen ? (
          <Editor
            key={`${chosen.schedule} ${chosen.of} ${chosen.key}`}
            chosen={chosen}
            schedule={current}
            known={known}
            onChange={putOne}
            onRemove={() => remove(current.key)}
            onGone={() => setChosen(undefined)}
          />
        ) : (
          <p className="text-ink-2">{say('composer.chooseALine')}</p>
        )}
        <Faults
          faults={faults
            .filter(({ pointer }) => pointer.startsWith('/fees'))
            .map((fault) => rulesFaultWords(fault, rules))}
        />
      </div>
      <aside aria-label={say('composer.tryIt')} className="min-h-0 overflow-auto bg-sheet-2 px-3 py-3">
        <h2 className="text-[1.2rem]">{say('composer.tryIt')}</h2>
        <p className="mb-2 text-[0.8333rem] text-ink-2">{say('composer.tryFees')}</p>
        {current && (
          <TryFees today={vacancy.today} key={current.key} schedule={current} form={rules.form} known={known} />
        )}
      </aside>
    </div>
  )
}

type ScheduleProps = {
  schedule: FeeSchedule
  known: readonly KnownFact[]
  chosen: Chosen | undefined
  onChoose: (chosen: Chosen) => void
  onChange: (schedule: FeeSchedule) => void
}

/** A schedule in sentences: what it is, its lines, what is asked for it alone, its taxes. */
function Schedule({ schedule, known, chosen, onChoose, onChange }: ScheduleProps) {
  const { key, title, lines, facts, taxes } = schedule
  const isChosen = (of: Chosen['of'], own: string) => chosen?.schedule === key && chosen.of === of && chosen.key === own
  const row = (of: Chosen['of'], own: string, name: string, sentence: string, grip?: React.ReactNode) => (
    <div
      key={own}
      className={`flex items-start gap-1 border-line border-b py-1.5 ${isChosen(of, own) ? 'bg-confirmed-wash' : 'hover:bg-sheet-2'}`}
    >
      {grip}
      <button
        type="button"
        className="min-w-0 flex-1 text-left"
        aria-pressed={isChosen(of, own)}
        onClick={() => onChoose({ of, schedule: key, key: own })}
      >
        <span className="font-semibold">{name}</span>
        {sentence && <span className="block text-ink-2">{sentence}</span>}
      </button>
    </div>
  )
  const addLine = () => {
    const own = freshKey('line', new Set(lines.map((line) => line.key)))
    const line: FeeLine = { key: own, title: say('composer.newLine'), why: '', amount: { kind: 'fixed', amount: 1000 } }
    onChange({ ...schedule, lines: [...lines, line] })
    onChoose({ of: 'line', schedule: key, key: own })
  }
  const addFact = () => {
    const own = freshKey('fact', new Set(facts.map((fact) => fact.key)))
    const fact: FeeFact = { key: own, label: say('composer.newFeeFact'), kind: 'yes or no' }
    onChange({ ...schedule, facts: [...facts, fact] })
    onChoose({ of: 'fact', schedule: key, key: own })
  }
  const addTax = () => {
    const own = freshKey('tax', new Set(taxes.map((tax) => tax.key)))
    onChange({ ...schedule, taxes: [...taxes, { key: own, title: say('composer.newTax'), basisPoints: 2000 }] })
    onChoose({ of: 'tax', schedule: key, key: own })
  }
  const more = (name: string, act: () => void) => (
    <p className="py-1.5">
      <button type="button" className="font-semibold text-confirmed" onClick={act}>
        {name}
      </button>
    </p>
  )
  return (
    <section className="mb-4" aria-label={title}>
      {row('schedule', key, title, '')}
      <h3 className="mt-2 text-[0.8333rem] text-ink-2">{say('composer.lines')}</h3>
      <SortableList
        items={lines}
        keyOf={(line) => line.key}
        nameOf={(line) => line.title}
        onOrder={(ordered) => onChange({ ...schedule, lines: ordered })}
      >
        {(line, grip) => row('line', line.key, line.title, lineSentence(line, schedule, known), grip)}
      </SortableList>
      {more(say('composer.addALine'), addLine)}
      <h3 className="mt-1 text-[0.8333rem] text-ink-2">{say('composer.askedForTheFee')}</h3>
      {facts.map((fact) => row('fact', fact.key, fact.label, fact.proof ?? ''))}
      {more(say('composer.addAFeeFact'), addFact)}
      <h3 className="mt-1 text-[0.8333rem] text-ink-2">{say('composer.taxes')}</h3>
      {taxes.map((tax) => row('tax', tax.key, tax.title, `${tax.basisPoints / 100} %`))}
      {more(say('composer.addATax'), addTax)}
    </section>
  )
}

type EditorProps = {
  chosen: Chosen
  schedule: FeeSchedule
  known: readonly KnownFact[]
  onChange: (schedule: FeeSchedule) => void
  onRemove: () => void
  onGone: () => void
}

function Editor({ chosen: { of, key }, schedule, known, onChange, onRemove, onGone }: EditorProps) {
  const { lines, facts, taxes } = schedule
  const swap = <T extends { key: string }>(items: readonly T[], next: T) =>
    items.map((item) => (item.key === next.key ? next : item))
  const drop = <T extends { key: string }>(items: readonly T[]) => items.filter((item) => item.key !== key)
  const gone = (next: FeeSchedule) => {
    onChange(next)
    onGone()
  }
  if (of === 'schedule')
    return (
      <>
        <Heading title={say('composer.fees')} onRemove={onRemove} />
        <Terms schedule={schedule} onChange={onChange} />
      </>
    )
  const line = of === 'line' && lines.find((one) => one.key === key)
  if (line)
    return (
      <>
        <Heading title={say('composer.line')} onRemove={() => gone({ ...schedule, lines: drop(lines) })} />
        <FeeLineEditor
          line={line}
          schedule={schedule}
          known={known}
          onChange={(next) => onChange({ ...schedule, lines: swap(lines, next) })}
        />
      </>
    )
  const fact = of === 'fact' && facts.find((one) => one.key === key)
  if (fact)
    return (
      <>
        <Heading title={say('composer.askedForTheFee')} onRemove={() => gone({ ...schedule, facts: drop(facts) })} />
        <FeeFactEditor fact={fact} onChange={(next) => onChange({ ...schedule, facts: swap(facts, next) })} />
      </>
    )
  const tax = of === 'tax' && taxes.find((one) => one.key === key)
  if (!tax) return null
  return (
    <>
      <Heading title={say('composer.tax')} onRemove={() => gone({ ...schedule, taxes: drop(taxes) })} />
      <Tax
        tax={tax}
        known={known.filter((one) => !('means' in one.of))}
        onChange={(next) => onChange({ ...schedule, taxes: swap(taxes, next) })}
      />
    </>
  )
}

type TaxProps = { tax: FeeTax; known: readonly KnownFact[]; onChange: (tax: FeeTax) => void }

const Tax = ({ tax, known, onChange }: TaxProps) => (
  <div className="grid gap-3">
    <TextField
      label={say('composer.title')}
      value={tax.title}
      maxLength={160}
      onChange={({ target }) => onChange({ ...tax, title: target.value })}
    />
    <PerCent
      label={say('composer.perCent')}
      basisPoints={tax.basisPoints}
      onChange={(basisPoints) => onChange({ ...tax, basisPoints })}
    />
    <ConditionEditor
      label={say('composer.onlyUnderACondition')}
      condition={tax.when}
      known={known}
      onChange={(when) => {
        const { when: _, ...plain } = tax
        onChange(when ? { ...plain, when } : plain)
      }}
    />
  </div>
)

/** What holds of a schedule as a whole. */
function Terms({ schedule, onChange }: { schedule: FeeSchedule; onChange: (schedule: FeeSchedule) => void }) {
  const set = (changes: Partial<FeeSchedule>) => onChange({ ...schedule, ...changes })
  const { most, ...plain } = schedule
  return (
    <div className="grid gap-3">
      <TextField
        label={say('composer.title')}
        value={schedule.title}
        maxLength={160}
        onChange={({ target }) => set({ title: target.value })}
      />
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label={say('composer.currency')}
          value={schedule.currency}
          maxLength={3}
          onChange={({ target }) => set({ currency: target.value.toUpperCase().replace(/[^A-Z]/g, '') })}
        />
        <AmountField
          label={say('composer.inAllAtMost')}
          optional
          amount={most}
          currency={schedule.currency}
          onChange={(next) => onChange(next === undefined ? plain : { ...plain, most: next })}
        />
      </div>
      <TextField
        label={say('composer.dueDays')}
        type="number"
        min={0}
        max={365}
        value={schedule.dueDays}
        onChange={({ target }) => set({ dueDays: Math.min(365, Math.max(0, Math.round(Number(target.value)) || 0)) })}
      />
      <Tick label={say('composer.holdsUntilPaid')} checked={schedule.holds} onChange={(holds) => set({ holds })} />
      <Tick
        label={say('composer.taxesIncluded')}
        checked={schedule.taxIncluded}
        onChange={(taxIncluded) => set({ taxIncluded })}
      />
      <SelectField
        label={say('composer.whoPaidMore')}
        value={schedule.surplus}
        options={surplusKinds.map((kind) => ({ value: kind, label: say(`composer.surplus.${kind}`) }))}
        onChange={({ target }) => set({ surplus: target.value as FeeSchedule['surplus'] })}
      />
    </div>
  )
}
