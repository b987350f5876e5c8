import { useState } from 'react'
import { Temporal } from 'temporal-polyfill'
import { say } from '#core/words/say'
import { DateField } from './DateField'
import { TextField } from './Field'

type Props = { label: string; value: string; timeZone: string; onChange: (iso: string) => void; error?: string }

/** A moment as the clock on the wall of a time zone shows it: a day and a time, both typed as people write them. */
export function MomentField({ label, value, timeZone, onChange, error }: Props) {
  const local = Temporal.Instant.from(value).toZonedDateTimeISO(timeZone).toPlainDateTime()
  const [day, setDay] = useState(local.toPlainDate().toString())
  const [time, setTime] = useState(local.toPlainTime().toString({ smallestUnit: 'minute' }))
  const put = (nextDay: string, nextTime: string) => {
    if (!/^\d{4}-\d{2}-\d{2}$/.test(nextDay) || !/^([01]?\d|2[0-3]):[0-5]\d$/.test(nextTime)) return
    const moment = Temporal.PlainDate.from(nextDay)
      .toZonedDateTime({ timeZone, plainTime: Temporal.PlainTime.from(nextTime.padStart(5, '0')) })
      .toInstant()
    onChange(moment.toString({ fractionalSecondDigits: 3 }))
  }
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_68px] gap-1.5">
      <DateField
        label={label}
        value={day}
        error={error}
        onChange={(next) => {
          setDay(next)
          put(next, time)
        }}
      />
      <TextField
        label={say('ui.at')}
        aria-label={say('ui.atHoursAndMinutes', { label })}
        value={time}
        onChange={(event) => {
          setTime(event.target.value)
          put(day, event.target.value)
        }}
      />
    </div>
  )
}
