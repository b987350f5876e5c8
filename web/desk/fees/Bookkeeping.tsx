import { useState } from 'react'
import { Temporal } from 'temporal-polyfill'
import { type BookkeepingField, type BookkeepingMapping, bookkeepingFields } from '#core/money/bookkeeping'
import { accounts } from '#core/money/ledger'
import { accountWords } from '#core/words/ledger'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { SelectField, TextField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'

/** Every posting of some days as a file, and how that is written. */
export function Bookkeeping({ today }: { today: string }) {
  // The month before is what is most often wanted.
  const [from, setFrom] = useState(() =>
    Temporal.PlainDate.from(today).with({ day: 1 }).subtract({ months: 1 }).toString(),
  )
  const [through, setThrough] = useState(today)
  const { data } = api.endpoints.readBookkeeping.useQuery({}, { refetchOnMountOrArgChange: true })
  const { may } = useSession()
  const isDay = (text: string) => /^\d{4}-\d{2}-\d{2}$/.test(text)
  return (
    <section aria-label={say('closings.forBookkeeping')} className="grid content-start gap-3">
      <h2 className="text-[1.2rem]">{say('closings.forBookkeeping')}</h2>
      <div className="grid grid-cols-2 gap-3">
        <DateField label={say('closings.from')} value={from} onChange={setFrom} />
        <DateField label={say('closings.through')} value={through} onChange={setThrough} />
      </div>
      {isDay(from) && isDay(through) && from <= through && (
        <p>
          <a
            href={`/api/desk/postings/postings.csv?from=${from}&through=${through}`}
            className="font-semibold text-confirmed"
          >
            {say('closings.download')}
          </a>
        </p>
      )}
      {data && may('saveBookkeeping') && (
        <details>
          <summary className="cursor-pointer font-semibold text-confirmed">{say('closings.mapping')}</summary>
          <Mapping key={data.version} mapping={data.mapping} version={data.version} />
        </details>
      )}
    </section>
  )
}

function Mapping({ mapping: before, version }: { mapping: BookkeepingMapping; version: number }) {
  const { act, busy, problem } = useAct('saveBookkeeping')
  const [mapping, setMapping] = useState(before)
  const [saved, setSaved] = useState(false)
  const change = (more: Partial<BookkeepingMapping>) => {
    setSaved(false)
    setMapping({ ...mapping, ...more })
  }
  const { columns, accounts: codes, separator, decimal, day } = mapping
  const setColumn = (nth: number, more: Partial<BookkeepingMapping['columns'][number]>) =>
    change({ columns: columns.map((column, own) => (own === nth ? { ...column, ...more } : column)) })
  const save = async () => {
    if (await act({ body: { mapping, version } })) setSaved(true)
  }
  return (
    <div className="mt-2 grid gap-3">
      <fieldset>
        <legend className="mb-1 font-semibold">{say('closings.columns')}</legend>
        <ol className="grid gap-2">
          {columns.map((column, nth) => (
            <li key={nth} className="grid grid-cols-[1fr_1fr_auto] items-end gap-2">
              <TextField
                label={say('closings.heading')}
                value={column.heading}
                maxLength={60}
                onChange={({ target }) => setColumn(nth, { heading: target.value })}
              />
              <SelectField
                label={say('closings.holds')}
                value={column.field}
                options={bookkeepingFields.map((value) => ({ value, label: say(`closings.field.${value}`) }))}
                onChange={({ target }) => setColumn(nth, { field: target.value as BookkeepingField })}
              />
              <Button
                kind="quiet"
                aria-label={say('closings.removeNamed', { heading: column.heading })}
                disabled={columns.length === 1}
                onClick={() => change({ columns: columns.filter((_, own) => own !== nth) })}
              >
                {say('closings.removeColumn')}
              </Button>
            </li>
          ))}
        </ol>
        {columns.length < 20 && (
          <Button kind="quiet" onClick={() => change({ columns: [...columns, { heading: '', field: 'cause' }] })}>
            {say('closings.addColumn')}
          </Button>
        )}
      </fieldset>
      <fieldset className="grid grid-cols-2 gap-2">
        <legend className="mb-1 font-semibold">{say('closings.accounts')}</legend>
        {accounts.map((account) => (
          <TextField
            key={account}
            label={accountWords(account)}
            value={codes[account]}
            maxLength={20}
            onChange={({ target }) => change({ accounts: { ...codes, [account]: target.value } })}
          />
        ))}
      </fieldset>
      <div className="grid grid-cols-3 gap-2">
        <SelectField
          label={say('closings.separator')}
          value={separator}
          options={([',', ';'] as const).map((value) => ({ value, label: say(`closings.separator.${value}`) }))}
          onChange={({ target }) => change({ separator: target.value as BookkeepingMapping['separator'] })}
        />
        <SelectField
          label={say('closings.decimal')}
          value={decimal}
          options={(['.', ','] as const).map((value) => ({ value, label: say(`closings.decimal.${value}`) }))}
          onChange={({ target }) => change({ decimal: target.value as BookkeepingMapping['decimal'] })}
        />
        <SelectField
          label={say('closings.dayFormat')}
          value={day}
          options={(['YYYY-MM-DD', 'DD.MM.YYYY'] as const).map((value) => ({ value, label: value }))}
          onChange={({ target }) => change({ day: target.value as BookkeepingMapping['day'] })}
        />
      </div>
      <ProblemNote problem={problem} />
      <div className="flex items-center gap-3">
        <Button kind="main" busy={busy} onClick={() => void save()}>
          {say('closings.save')}
        </Button>
        {saved && <span role="status">{say('closings.saved')}</span>}
      </div>
    </div>
  )
}
