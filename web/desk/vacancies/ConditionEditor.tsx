import { X } from 'lucide-react'
import type { Comparison, Condition } from '#core/conditions/condition'
import { type KnownFact, type Operator, operatorOf, operatorsOf } from '#core/conditions/vocabulary'
import { conditionWords, operatorWords } from '#core/words/conditions'
import { factLabel, factOptionLabel } from '#core/words/facts'
import { say } from '#core/words/say'
import { DateField } from '../../ui/DateField'
import { SelectField, TextField } from '../../ui/Field'

type Props = {
  label: string
  condition: Condition | undefined
  known: readonly KnownFact[]
  onChange: (condition: Condition | undefined) => void
}

/** A condition built by choosing, with the sentence it makes. */
export function ConditionEditor({ label, condition, known, onChange }: Props) {
  return (
    <fieldset className="min-w-0">
      <legend className="mb-1 font-semibold text-[0.93em]">{label}</legend>
      {condition === undefined ? (
        <button
          type="button"
          className="font-semibold text-confirmed"
          onClick={() => onChange({ all: [newComparison(known)] })}
        >
          {say('composer.addACondition')}
        </button>
      ) : (
        <>
          <p className="mb-1.5 text-ink-2">{say('composer.onlyIf', { condition: conditionWords(condition, known) })}</p>
          <Part condition={grouped(condition)} known={known} onChange={onChange} depth={0} />
        </>
      )}
    </fieldset>
  )
}

type Group = Exclude<Condition, Comparison>
const isGroup = (condition: Condition): condition is Group => !('fact' in condition)
const grouped = (condition: Condition): Group => (isGroup(condition) ? condition : { all: [condition] })
const joints = [
  { value: 'all', label: say('composer.allOfTheseHold') },
  { value: 'any', label: say('composer.anyOfTheseHolds') },
  { value: 'none', label: say('composer.noneOfTheseHolds') },
] as const
type Joint = (typeof joints)[number]['value']
const jointOf = (group: Group): Joint => ('all' in group ? 'all' : 'any' in group ? 'any' : 'none')
const partsOf = (group: Group) => ('all' in group ? group.all : 'any' in group ? group.any : group.none)
const groupOf = (joint: Joint, parts: readonly Condition[]) => ({ [joint]: parts }) as Group

type PartProps = {
  condition: Group
  known: readonly KnownFact[]
  onChange: (condition: Condition | undefined) => void
  depth: number
}

function Part({ condition, known, onChange, depth }: PartProps) {
  const joint = jointOf(condition)
  const parts = partsOf(condition)
  const put = (next: readonly Condition[]) => onChange(next.length === 0 ? undefined : groupOf(joint, next))
  const replace = (index: number, part: Condition | undefined) =>
    put(
      part === undefined
        ? parts.filter((_other, at) => at !== index)
        : parts.map((other, at) => (at === index ? part : other)),
    )
  return (
    <div className={`grid gap-1.5 ${depth > 0 ? 'border-line-strong border-l-2 pl-2.5' : ''}`}>
      <SelectField
        label={say('composer.howThePartsAreJoined')}
        hidden
        value={joint}
        options={joints}
        onChange={(event) => onChange(groupOf(event.target.value as Joint, parts))}
      />
      {parts.map((part, index) =>
        isGroup(part) ? (
          <Part
            key={index}
            condition={part}
            known={known}
            depth={depth + 1}
            onChange={(next) => replace(index, next)}
          />
        ) : (
          <ComparisonRow key={index} comparison={part} known={known} onChange={(next) => replace(index, next)} />
        ),
      )}
      <p className="flex flex-wrap gap-3 text-[0.93em]">
        <button
          type="button"
          className="font-semibold text-confirmed"
          onClick={() => put([...parts, newComparison(known)])}
        >
          {say('composer.andAnother')}
        </button>
        {depth < 3 && (
          <button
            type="button"
            className="font-semibold text-confirmed"
            onClick={() => put([...parts, groupOf(joint === 'all' ? 'any' : 'all', [newComparison(known)])])}
          >
            {say('composer.aGroup')}
          </button>
        )}
        <button type="button" className="text-ink-2 underline" onClick={() => onChange(undefined)}>
          {depth === 0 ? say('composer.noCondition') : say('composer.takeTheGroupOut')}
        </button>
      </p>
    </div>
  )
}

export function newComparison(known: readonly KnownFact[]): Comparison {
  const first = known.find(({ kind }) => kind === 'yes or no') ?? known[0]
  return first ? comparisonOf(first, operatorsOf[first.kind][0]!) : { fact: '', is: 'yes' }
}

const isDay = (iso: string) => /^\d{4}-\d{2}-\d{2}$/.test(iso)
const today = () => new Date().toISOString().slice(0, 10)

/** A comparison of a fact to begin with. */
function comparisonOf(
  { name, options, offered = options }: Pick<KnownFact, 'name' | 'options' | 'offered'>,
  operator: Operator,
  value?: string,
): Comparison {
  const first = value ?? offered?.[0] ?? options?.[0] ?? ''
  switch (operator) {
    case 'oneOf':
      return { fact: name, oneOf: [first] }
    case 'atLeast':
      return { fact: name, atLeast: Number(first) || 0 }
    case 'atMost':
      return { fact: name, atMost: Number(first) || 0 }
    case 'holds':
      return { fact: name, holds: first }
    case 'onOrBefore':
      return { fact: name, onOrBefore: first || today() }
    case 'onOrAfter':
      return { fact: name, onOrAfter: first || today() }
    case 'is':
      return { fact: name, is: first }
  }
}

function writtenValue(comparison: Comparison): string {
  const [, value] = Object.entries(comparison).find(([name]) => name !== 'fact')!
  return Array.isArray(value) ? value.join(', ') : String(value)
}

/** What a fact can be compared with: what is offered, and what was chosen before. */
const choicesOf = (fact: KnownFact, chosen: string) =>
  (fact.options ?? [])
    .filter((option) => option === chosen || (fact.offered?.includes(option) ?? true))
    .map((option) => ({ value: option, label: factOptionLabel(fact, option) }))

type RowProps = {
  comparison: Comparison
  known: readonly KnownFact[]
  onChange: (next: Comparison | undefined) => void
}

function ComparisonRow({ comparison, known, onChange }: RowProps) {
  const fact = known.find(({ name }) => name === comparison.fact)
  const operator = operatorOf(comparison)
  const put = (value: string) =>
    onChange(
      operator === 'oneOf'
        ? {
            fact: comparison.fact,
            oneOf: value
              .split(',')
              .map((item) => item.trim())
              .filter(Boolean),
          }
        : operator === 'is' && fact?.kind === 'number'
          ? { fact: comparison.fact, is: Number(value) }
          : comparisonOf(fact ?? { name: comparison.fact }, operator, value),
    )
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)_auto] items-center gap-1 [&>:first-child]:col-span-3">
      <SelectField
        label={say('composer.whatIsLookedAt')}
        hidden
        value={comparison.fact}
        options={[
          ...(fact ? [] : [{ value: comparison.fact, label: say('composer.notAskedHere', { fact: comparison.fact }) }]),
          ...known.map((each) => ({ value: each.name, label: factLabel(each) })),
        ]}
        onChange={(event) => {
          const next = known.find(({ name }) => name === event.target.value)!
          onChange(comparisonOf(next, operatorsOf[next.kind][0]!))
        }}
      />
      <SelectField
        label={say('composer.howItIsCompared')}
        hidden
        value={operator}
        options={(fact ? operatorsOf[fact.kind] : [operator]).map((value) => ({ value, label: operatorWords(value) }))}
        onChange={(event) =>
          fact && onChange(comparisonOf(fact, event.target.value as Operator, writtenValue(comparison)))
        }
      />
      {fact?.options && operator !== 'oneOf' ? (
        <SelectField
          label={say('composer.withWhat')}
          hidden
          value={writtenValue(comparison)}
          options={choicesOf(fact, writtenValue(comparison))}
          onChange={(event) => put(event.target.value)}
        />
      ) : fact?.kind === 'date' ? (
        <DateField
          label={say('composer.withWhat')}
          hidden
          value={writtenValue(comparison)}
          // What is not a whole day yet is still being typed.
          onChange={(iso) => isDay(iso) && put(iso)}
        />
      ) : (
        <TextField
          label={say('composer.withWhat')}
          hidden
          type={fact?.kind === 'number' ? 'number' : 'text'}
          value={writtenValue(comparison)}
          onChange={(event) => put(event.target.value)}
        />
      )}
      <button
        type="button"
        aria-label={say('composer.takeThisPartOut')}
        className="rounded-sheet p-1 text-ink-3 hover:text-ink"
        onClick={() => onChange(undefined)}
      >
        <X size={15} />
      </button>
    </div>
  )
}
