import { ChevronLeft, ChevronRight } from 'lucide-react'
import { Popover } from 'radix-ui'
import type { RefObject } from 'react'
import { DayPicker } from 'react-day-picker'
import { say, spokenLocale } from '#core/words/say'

type Props = {
  value: string
  /** What it hangs below. */
  at: RefObject<HTMLButtonElement | null>
  onChoose: (iso: string) => void
  onClose: () => void
}

const written = (options: Intl.DateTimeFormatOptions) => (day: Date) =>
  new Intl.DateTimeFormat(spokenLocale(), options).format(day)
const monthAndYear = written({ month: 'long', year: 'numeric' })
const weekday = written({ weekday: 'short' })
const wholeDay = written({ weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' })

/** Days are days here and have no time zone; the calendar thinks in local ones. */
const localOf = (iso: string) => (/^\d{4}-\d{2}-\d{2}$/.test(iso) ? new Date(`${iso}T00:00:00`) : undefined)
const isoOf = (day: Date) =>
  `${String(day.getFullYear()).padStart(4, '0')}-${String(day.getMonth() + 1).padStart(2, '0')}-${String(day.getDate()).padStart(2, '0')}`

const turn = 'rounded-sheet p-1 text-ink-2 hover:bg-sheet-2 hover:text-ink disabled:text-ink-3'

/** A month of days to choose one from, below the field it is for. */
export function Calendar({ value, at, onChoose, onClose }: Props) {
  return (
    <Popover.Root open onOpenChange={(open) => !open && onClose()}>
      <Popover.Anchor virtualRef={at as RefObject<HTMLButtonElement>} />
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={4}
          aria-label={say('ui.calendar')}
          onCloseAutoFocus={() => at.current?.focus()}
          className="z-50 rounded-sheet border border-line-strong bg-sheet p-3 text-[0.9333rem] shadow-[0_8px_24px_rgb(0_0_0/0.2)]"
        >
          <Days
            value={value}
            onChoose={(iso) => {
              onChoose(iso)
              onClose()
            }}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

/** The days of a month, with the year to be changed where it lies far back. */
function Days({ value, onChoose }: Pick<Props, 'value' | 'onChoose'>) {
  const chosen = localOf(value)
  return (
    <DayPicker
      mode="single"
      autoFocus
      required
      selected={chosen}
      onSelect={(day) => onChoose(isoOf(day))}
      defaultMonth={chosen}
      weekStartsOn={1}
      captionLayout="dropdown-years"
      startMonth={new Date(1940, 0)}
      endMonth={new Date(new Date().getFullYear() + 15, 11)}
      formatters={{
        formatCaption: monthAndYear,
        formatMonthDropdown: written({ month: 'long' }),
        formatWeekdayName: weekday,
      }}
      labels={{
        labelDayButton: wholeDay,
        labelGridcell: wholeDay,
        labelWeekday: written({ weekday: 'long' }),
        labelGrid: monthAndYear,
        labelNext: () => say('ui.nextMonth'),
        labelPrevious: () => say('ui.previousMonth'),
        labelYearDropdown: () => say('ui.year'),
      }}
      components={{
        Chevron: ({ orientation }) => (orientation === 'left' ? <ChevronLeft size={16} /> : <ChevronRight size={16} />),
      }}
      classNames={{
        months: 'relative',
        nav: 'absolute top-0 right-0 flex gap-1',
        button_previous: turn,
        button_next: turn,
        month_caption: 'mb-2 font-semibold',
        dropdowns: 'flex items-center gap-1',
        dropdown_root: 'relative',
        dropdown: 'rounded-sheet border border-line bg-sheet px-1 py-0.5',
        caption_label: 'hidden',
        weekday: 'w-8 pb-1 text-center font-normal text-[0.8rem] text-ink-3',
        day: 'p-0 text-center font-mono text-[0.8667rem]',
        day_button: 'h-8 w-8 rounded-sheet hover:bg-sheet-2',
        outside: 'text-ink-3',
        today: '[&>button]:underline [&>button]:underline-offset-4',
        selected: '[&>button]:bg-confirmed [&>button]:font-semibold [&>button]:text-on-confirmed',
      }}
    />
  )
}
