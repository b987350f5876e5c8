import type { FeeSchedule } from '#core/fees/schedule'
import { say } from '#core/words/say'

type Props = {
  schedule: FeeSchedule
  line: string
  leftOut: readonly string[]
  onChange: (leftOut: string[]) => void
  busy?: boolean
}

/** An option that a payer may leave out, and take in again. */
export function LeaveOut({ schedule, line, leftOut, onChange, busy }: Props) {
  const own = schedule.lines.find(({ key }) => key === line)
  if (!own?.optional) return null
  return (
    <label className="mt-0.5 inline-flex items-center gap-1.5 text-[0.93em]">
      <input
        type="checkbox"
        checked={!leftOut.includes(line)}
        disabled={busy}
        onChange={({ target: { checked } }) =>
          onChange(checked ? leftOut.filter((one) => one !== line) : [...leftOut, line])
        }
      />
      {say('fees.iWantThis')}
    </label>
  )
}
