import { X } from 'lucide-react'
import type { KnownFact } from '#core/conditions/vocabulary'
import { type FeeAmount, type FeeLine, type FeeSchedule, feeAmountKinds } from '#core/fees/schedule'
import { factLabel, factOptionLabel } from '#core/words/facts'
import { say } from '#core/words/say'
import { DateField } from '../../ui/DateField'
import { CheckList, SelectField, TextField } from '../../ui/Field'
import { AmountField } from './AmountField'

type Kind = FeeAmount['kind']
type Of<K extends Kind> = Extract<FeeAmount, { kind: K }>
type Props<K extends Kind> = {
  amount: Of<K>
  line: FeeLine
  schedule: FeeSchedule
  known: readonly KnownFact[]
  onChange: (amount: FeeAmount) => void
}

const counted = (known: readonly KnownFact[]) => known.filter(({ kind }) => kind === 'number')
const chosen = (known: readonly KnownFact[]) =>
  known.filter(({ kind, of }) => ['choice', 'yes or no', 'text'].includes(kind) && !('means' in of))

/** How each kind of amount begins. */
const beginnings: { [K in Kind]: (known: readonly KnownFact[]) => Of<K> } = {
  fixed: () => ({ kind: 'fixed', amount: 4500 }),
  'by number': (known) => ({ kind: 'by number', fact: counted(known)[0]?.name ?? '', first: 2000, further: 500 }),
  'by choice': (known) => ({ kind: 'by choice', fact: chosen(known)[0]?.name ?? '', amounts: {}, otherwise: 0 }),
  'by day': () => ({ kind: 'by day', steps: [{ through: '', amount: 4000 }], after: 5000 }),
  share: () => ({ kind: 'share', of: [], basisPoints: 200 }),
}

/** What a line comes to: by which kind, and its amounts. */
export function FeeAmountEditor(props: Omit<Props<Kind>, 'amount'> & { amount: FeeAmount }) {
  const { amount, known, onChange } = props
  return (
    <div className="grid gap-3">
      <SelectField
        label={say('composer.itComesTo')}
        value={amount.kind}
        options={feeAmountKinds.map((kind) => ({ value: kind, label: say(`composer.amountKind.${kind}`) }))}
        onChange={({ target }) => onChange(beginnings[target.value as Kind](known))}
      />
      {amount.kind === 'fixed' && <Fixed {...props} amount={amount} />}
      {amount.kind === 'by number' && <ByNumber {...props} amount={amount} />}
      {amount.kind === 'by choice' && <ByChoice {...props} amount={amount} />}
      {amount.kind === 'by day' && <ByDay {...props} amount={amount} />}
      {amount.kind === 'share' && <Share {...props} amount={amount} />}
    </div>
  )
}

const Fixed = ({ amount, schedule: { currency }, onChange }: Props<'fixed'>) => (
  <AmountField
    label={say('composer.amount')}
    amount={amount.amount}
    currency={currency}
    onChange={(next) => onChange({ ...amount, amount: next ?? 0 })}
  />
)

const facts = (known: readonly KnownFact[]) => known.map((fact) => ({ value: fact.name, label: factLabel(fact) }))

function ByNumber({ amount, schedule: { currency }, known, onChange }: Props<'by number'>) {
  const { most, ...plain } = amount
  return (
    <>
      <SelectField
        label={say('composer.whatIsCounted')}
        value={amount.fact}
        empty={say('composer.choose')}
        options={facts(counted(known))}
        onChange={({ target }) => onChange({ ...amount, fact: target.value })}
      />
      <div className="grid grid-cols-3 gap-3">
        <AmountField
          label={say('composer.theFirst')}
          amount={amount.first}
          currency={currency}
          onChange={(first) => onChange({ ...amount, first: first ?? 0 })}
        />
        <AmountField
          label={say('composer.eachFurther')}
          amount={amount.further}
          currency={currency}
          onChange={(further) => onChange({ ...amount, further: further ?? 0 })}
        />
        <AmountField
          label={say('composer.atMost')}
          optional
          amount={most}
          currency={currency}
          onChange={(next) => onChange(next === undefined ? plain : { ...plain, most: next })}
        />
      </div>
    </>
  )
}

function ByChoice({ amount, schedule: { currency }, known, onChange }: Props<'by choice'>) {
  const fact = known.find(({ name }) => name === amount.fact)
  const options = fact?.options ?? Object.keys(amount.amounts)
  return (
    <>
      <SelectField
        label={say('composer.byWhat')}
        value={amount.fact}
        empty={say('composer.choose')}
        options={facts(chosen(known))}
        onChange={({ target }) => onChange({ ...amount, fact: target.value, amounts: {} })}
      />
      <div className="grid grid-cols-2 gap-3">
        {options.map((option) => (
          <AmountField
            key={option}
            label={factOptionLabel(fact, option)}
            optional
            amount={amount.amounts[option]}
            currency={currency}
            onChange={(next) => {
              const { [option]: _, ...others } = amount.amounts
              onChange({ ...amount, amounts: next === undefined ? others : { ...others, [option]: next } })
            }}
          />
        ))}
        <AmountField
          label={say('composer.otherwise')}
          amount={amount.otherwise ?? 0}
          currency={currency}
          onChange={(otherwise) => onChange({ ...amount, otherwise: otherwise ?? 0 })}
        />
      </div>
      {fact && !fact.options && (
        <TextField
          label={say('composer.anAmountFor')}
          help={say('composer.anAmountForMeans')}
          maxLength={60}
          onBlur={({ target }) => {
            const option = target.value.trim()
            if (option) onChange({ ...amount, amounts: { ...amount.amounts, [option]: amount.otherwise ?? 0 } })
            target.value = ''
          }}
        />
      )}
    </>
  )
}

function ByDay({ amount, schedule: { currency }, onChange }: Props<'by day'>) {
  const put = (steps: Of<'by day'>['steps']) => onChange({ ...amount, steps })
  return (
    <>
      {amount.steps.map((step, nth) => (
        <div key={nth} className="grid grid-cols-[1fr_1fr_auto] items-end gap-3">
          <DateField
            label={say('composer.sentThrough')}
            value={step.through}
            onChange={(through) => put(amount.steps.map((one, at) => (at === nth ? { ...one, through } : one)))}
          />
          <AmountField
            label={say('composer.amount')}
            amount={step.amount}
            currency={currency}
            onChange={(next) => put(amount.steps.map((one, at) => (at === nth ? { ...one, amount: next ?? 0 } : one)))}
          />
          {amount.steps.length > 1 && (
            <button
              type="button"
              aria-label={say('composer.removeDay')}
              className="mb-2"
              onClick={() => put(amount.steps.filter((_, at) => at !== nth))}
            >
              <X size={16} aria-hidden />
            </button>
          )}
        </div>
      ))}
      <button
        type="button"
        className="justify-self-start font-semibold text-confirmed"
        onClick={() => put([...amount.steps, { through: '', amount: amount.after }])}
      >
        {say('composer.addADay')}
      </button>
      <AmountField
        label={say('composer.afterwards')}
        amount={amount.after}
        currency={currency}
        onChange={(after) => onChange({ ...amount, after: after ?? 0 })}
      />
    </>
  )
}

function Share({ amount, line, schedule: { lines, currency }, onChange }: Props<'share'>) {
  const { least, most, ...plain } = amount
  const others = lines.filter(({ key, amount: one }) => key !== line.key && one.kind !== 'share')
  const bounds = { ...(least === undefined ? {} : { least }), ...(most === undefined ? {} : { most }) }
  return (
    <>
      <PerCent
        label={say('composer.perCent')}
        basisPoints={amount.basisPoints}
        onChange={(basisPoints) => onChange({ ...amount, basisPoints })}
      />
      <CheckList
        label={say('composer.ofWhichLines')}
        help={say('composer.ofWhichLinesMeans')}
        options={others.map(({ key, title }) => ({ value: key, label: title }))}
        value={[...amount.of]}
        onChange={(of) => onChange({ ...amount, of })}
      />
      <div className="grid grid-cols-2 gap-3">
        <AmountField
          label={say('composer.atLeast')}
          optional
          amount={least}
          currency={currency}
          onChange={(next) => {
            const { least: _, ...rest } = bounds
            onChange({ ...plain, ...rest, ...(next === undefined ? {} : { least: next }) })
          }}
        />
        <AmountField
          label={say('composer.atMost')}
          optional
          amount={most}
          currency={currency}
          onChange={(next) => {
            const { most: _, ...rest } = bounds
            onChange({ ...plain, ...rest, ...(next === undefined ? {} : { most: next }) })
          }}
        />
      </div>
    </>
  )
}

type PerCentProps = { label: string; basisPoints: number; onChange: (basisPoints: number) => void }

/** A share in per cent, kept in hundredths of one. */
export const PerCent = ({ label, basisPoints, onChange }: PerCentProps) => (
  <TextField
    key={basisPoints}
    label={label}
    inputMode="decimal"
    defaultValue={String(basisPoints / 100)}
    onBlur={({ target }) => {
      const typed = Math.round(Number(target.value.replace(',', '.')) * 100)
      if (typed >= 1 && typed <= 10_000) onChange(typed)
      else target.value = String(basisPoints / 100)
    }}
  />
)
