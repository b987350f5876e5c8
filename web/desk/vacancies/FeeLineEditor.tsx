import type { KnownFact } from '#core/conditions/vocabulary'
import type { FeeExemption, FeeLine, FeeSchedule } from '#core/fees/schedule'
import { say } from '#core/words/say'
import { LongField, SelectField, TextField } from '../../ui/Field'
import { Tick } from '../../ui/Tick'
import { ConditionEditor } from './ConditionEditor'
import { FeeAmountEditor, PerCent } from './FeeAmountEditor'

type Props = {
  line: FeeLine
  schedule: FeeSchedule
  known: readonly KnownFact[]
  onChange: (line: FeeLine) => void
}

/** One line of a schedule: what it is called and for, what it comes to, when it is charged, who is exempt. */
export function FeeLineEditor({ line, schedule, known, onChange }: Props) {
  const set = (changes: Partial<FeeLine>) => onChange(without({ ...line, ...changes }))
  const { exempt = [] } = line
  return (
    <div className="grid gap-3">
      <TextField
        label={say('composer.title')}
        value={line.title}
        maxLength={160}
        onChange={({ target }) => set({ title: target.value })}
      />
      <LongField
        label={say('composer.whatItIsFor')}
        rows={2}
        limit={400}
        value={line.why}
        onChange={({ target }) => set({ why: target.value })}
      />
      <FeeAmountEditor
        amount={line.amount}
        line={line}
        schedule={schedule}
        known={known}
        onChange={(amount) => set({ amount })}
      />
      <Tick
        label={say('composer.mayBeLeftOut')}
        checked={Boolean(line.optional)}
        onChange={(optional) => set({ optional: optional || undefined })}
      />
      {schedule.taxes.length > 0 && (
        <SelectField
          label={say('composer.tax')}
          value={line.tax ?? ''}
          empty={say('composer.noTax')}
          options={schedule.taxes.map(({ key, title }) => ({ value: key, label: title }))}
          onChange={({ target }) => set({ tax: target.value || undefined })}
        />
      )}
      <ConditionEditor
        label={say('composer.onlyUnderACondition')}
        condition={line.when}
        known={known}
        onChange={(when) => set({ when })}
      />
      {exempt.map((one, nth) => (
        <Exemption
          key={nth}
          exemption={one}
          known={known}
          onChange={(next) =>
            set({
              exempt: next
                ? exempt.map((other, at) => (at === nth ? next : other))
                : exempt.filter((_, at) => at !== nth),
            })
          }
        />
      ))}
      <button
        type="button"
        className="justify-self-start font-semibold text-confirmed"
        onClick={() =>
          set({
            exempt: [...exempt, { when: { all: [] }, because: say('composer.itIsKnownAlready'), basisPoints: 10_000 }],
          })
        }
      >
        {say('composer.addAnExemption')}
      </button>
    </div>
  )
}

type ExemptionProps = {
  exemption: FeeExemption
  known: readonly KnownFact[]
  onChange: (exemption: FeeExemption | undefined) => void
}

/** Under what condition a line costs less, by how much, and why. */
function Exemption({ exemption, known, onChange }: ExemptionProps) {
  return (
    <div className="grid gap-2 border-line border-l-2 pl-3">
      <ConditionEditor
        label={say('composer.whoIsExempt')}
        condition={exemption.when}
        known={known.filter(({ of }) => !('means' in of))}
        onChange={(when) => onChange(when && { ...exemption, when })}
      />
      <div className="grid grid-cols-[1fr_6rem] gap-3">
        <TextField
          label={say('composer.whyThatExempts')}
          value={exemption.because}
          maxLength={160}
          onChange={({ target }) => onChange({ ...exemption, because: target.value })}
        />
        <PerCent
          label={say('composer.perCentLess')}
          basisPoints={exemption.basisPoints}
          onChange={(basisPoints) => onChange({ ...exemption, basisPoints })}
        />
      </div>
      <button
        type="button"
        className="justify-self-start font-semibold text-confirmed"
        onClick={() => onChange(undefined)}
      >
        {say('composer.removeExemption')}
      </button>
    </div>
  )
}

/** What is not said is not there: neither an empty list nor an undefined value. */
function without({ exempt, ...line }: FeeLine): FeeLine {
  const said = Object.fromEntries(Object.entries(line).filter(([, value]) => value !== undefined)) as FeeLine
  return exempt && exempt.length > 0 ? { ...said, exempt } : said
}
