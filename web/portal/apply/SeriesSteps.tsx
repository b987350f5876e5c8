import { bySeries, type Series } from '#core/catalogue/series'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'

type Props = {
  series: Series
  value: readonly string[]
  onChange: (days: string[]) => void
  fault: (field: string) => string | undefined
}

/** Of what was typed what is a day, in order. */
export const days = (typed: readonly string[]) => typed.filter((day) => /^\d{4}-\d{2}-\d{2}$/.test(day)).sort()

/** The days on which the steps of a series were given, and when the next is due by them. */
export function SeriesSteps({ series, value, onChange, fault }: Props) {
  const shown = value.length === 0 ? [''] : value
  const given = days(value)
  const { through } = bySeries(series, given)
  return (
    <fieldset className="grid gap-3 sm:col-span-2 sm:grid-cols-2">
      <legend className="mb-1.5 text-ink-2">
        {say('apply.seriesHas', { count: series.steps })}{' '}
        {series.repeatMonths && say('apply.seriesRepeats', { count: series.repeatMonths })}
      </legend>
      {shown.map((day, nth) => (
        <div key={nth} className="flex items-end gap-2">
          <div className="grow">
            <DateField
              label={say('apply.stepGivenOn', { number: nth + 1 })}
              value={day}
              onChange={(next) => onChange(shown.map((one, at) => (at === nth ? next : one)))}
              error={fault(`steps/${nth}`) ?? (nth === 0 ? fault('steps') : undefined)}
            />
          </div>
          {shown.length > 1 && (
            <Button kind="quiet" onClick={() => onChange(shown.filter((_day, at) => at !== nth))}>
              {say('apply.takeStepOut', { number: nth + 1 })}
            </Button>
          )}
        </div>
      ))}
      <div className="flex flex-wrap items-center gap-3 sm:col-span-2">
        <Button onClick={() => onChange([...shown, ''])}>{say('apply.addAStep')}</Button>
        {given.length > 0 && /^\d/.test(through) && (
          <p className="text-ink-2">{say('apply.nextStepDue', { day: writeWhen(through) })}</p>
        )}
      </div>
    </fieldset>
  )
}
