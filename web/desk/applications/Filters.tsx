import { Popover } from 'radix-ui'
import { sentStages, type TableFilter } from '#contract/lists'
import { say } from '#core/words/say'
import { api } from '../../api'
import { DateField } from '../../ui/DateField'
import { CheckList, SelectField, TextField } from '../../ui/Field'
import { columnKeys, columns } from './columns'

const flags = [
  { name: 'late', label: say('table.likelyLate') },
  { name: 'blanks', label: say('table.leftSomethingBlank') },
  { name: 'changed', label: say('table.changedSince') },
  { name: 'duplicates', label: say('table.possibleDuplicates') },
  { name: 'unscored', label: say('table.notScoredYet') },
] as const

/** What narrows and orders the table, kept in the address. */
export function Filters({
  filter,
  onChange,
}: {
  filter: TableFilter
  onChange: (over: Record<string, string>) => void
}) {
  const { data: vacancies = [] } = api.endpoints.deskVacancies.useQuery({})
  const any = { value: '', label: say('file.any') }
  return (
    <div className="mt-2 grid grid-cols-2 items-end gap-3 lg:grid-cols-[repeat(4,minmax(0,1fr))_auto_auto]">
      <TextField
        label={say('table.nameOrReference')}
        type="search"
        value={filter.text ?? ''}
        onChange={(event) => onChange({ text: event.target.value })}
      />
      <SelectField
        label={say('table.vacancy')}
        value={filter.vacancy ?? ''}
        options={[
          any,
          ...vacancies.map(({ id, title, place }) => ({ value: id, label: place ? `${title}, ${place}` : title })),
        ]}
        onChange={(event) => onChange({ vacancy: event.target.value })}
      />
      <SelectField
        label={say('table.stage')}
        value={filter.stage ?? ''}
        options={[any, ...sentStages.map((stage) => ({ value: stage, label: say(`state.stage.${stage}`) }))]}
        onChange={(event) => onChange({ stage: event.target.value })}
      />
      <SelectField
        label={say('table.eligible')}
        value={filter.eligible ?? ''}
        options={[
          any,
          { value: 'yes', label: say('names.answer.yes') },
          { value: 'no', label: say('names.answer.no') },
          { value: 'undecided', label: say('table.notToBeSaidYet') },
        ]}
        onChange={(event) => onChange({ eligible: event.target.value })}
      />
      <div className="w-[130px]">
        <DateField
          label={say('table.sentFrom')}
          value={filter.sentFrom ?? ''}
          onChange={(day) => onChange({ sentFrom: /^\d{4}-\d{2}-\d{2}$/.test(day) ? day : '' })}
        />
      </div>
      <div className="w-[140px]">
        <SelectField
          label={say('table.inOrderOf')}
          value={filter.order ?? 'slack'}
          options={[
            { value: 'slack', label: say('table.slackLeastFirst') },
            { value: 'sent', label: say('table.sentNewestFirst') },
            { value: 'score', label: say('table.scoreBestFirst') },
            { value: 'name', label: say('table.nameInOrder') },
          ]}
          onChange={(event) => onChange({ order: event.target.value })}
        />
      </div>
      <div className="col-span-full">
        <CheckList
          label={say('table.onlyThoseWho')}
          hidden
          options={flags.map(({ name, label }) => ({ value: name, label }))}
          value={flags.flatMap(({ name }) => (filter[name] ? [name] : []))}
          onChange={(on) =>
            onChange(Object.fromEntries(flags.map(({ name }) => [name, on.includes(name) ? 'yes' : ''])))
          }
        />
      </div>
    </div>
  )
}

/** Which columns are shown; the name always is. */
export function Columns({ shown, onChange }: { shown: readonly string[]; onChange: (keys: string[]) => void }) {
  return (
    <Popover.Root>
      <Popover.Trigger>{say('table.columns')}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          align="end"
          className="z-50 w-[300px] rounded-sheet border border-line-strong bg-sheet p-3 text-[0.9rem] shadow-[0_8px_24px_rgb(0_0_0/0.2)]"
        >
          <CheckList
            label={say('table.columns')}
            value={[...shown]}
            onChange={(keys) => onChange(['name', ...keys.filter((key) => key !== 'name')])}
            options={columns.slice(1).map((one, nth) => ({ value: columnKeys[nth + 1]!, label: String(one.header) }))}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
