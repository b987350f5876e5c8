import type { SourceGiven } from '#contract/sources'
import { catalogue } from '#core/catalogue/catalogue'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { SelectField, TextField } from '../../ui/Field'
import { faultAt } from '../../ui/ProblemNote'
import { Rows } from './Rows'
import type { Editing } from './sourceTypes'
import { YearField } from './YearField'

type Programme = SourceGiven['programmes'][number]
const blank = (): Programme => ({
  ...{ title: '', award: '', level: 6, field: '', language: '', from: null, to: null, accreditations: [] },
})

/** What can be studied there, and in which years it was accredited: what an award is confirmed by. */
export function ProgrammeRows({ given, set, problem }: Editing) {
  if (given.kind !== 'university' && given.kind !== 'school') return null
  const { levels, fields } = catalogue()
  const fault = (nth: number, field: string) => faultAt(problem, `programmes/${nth}/${field}`)
  return (
    <Rows
      heading
      label={say('sources.part.programmes')}
      about={say('sources.programmesMean')}
      rows={given.programmes}
      onChange={(programmes) => set({ programmes })}
      blank={blank}
      add={say('sources.addProgramme')}
      remove={say('sources.takeOut')}
    >
      {(row, put, nth) => (
        <>
          <div className="grid gap-2 sm:grid-cols-[minmax(0,2fr)_minmax(0,1.3fr)_5rem_5rem_5rem]">
            <TextField
              label={say('sources.programmeTitle')}
              value={row.title}
              onChange={(event) => put({ title: event.target.value })}
              error={fault(nth, 'title')}
            />
            <TextField
              label={say('sources.award')}
              value={row.award}
              onChange={(event) => put({ award: event.target.value })}
              error={fault(nth, 'award')}
            />
            <TextField
              label={say('sources.language')}
              value={row.language}
              maxLength={2}
              onChange={(event) => put({ language: event.target.value.toLowerCase() })}
              error={fault(nth, 'language')}
            />
            <YearField
              label={say('sources.from')}
              value={row.from ?? null}
              onChange={(from) => put({ from })}
              error={fault(nth, 'from')}
            />
            <YearField
              label={say('sources.to')}
              value={row.to ?? null}
              onChange={(to) => put({ to })}
              error={fault(nth, 'to')}
            />
          </div>
          <div className="grid gap-2 sm:grid-cols-2">
            <SelectField
              label={say('sources.level')}
              options={levels.map((level) => ({ value: level.key, label: translated(level).name }))}
              value={String(row.level)}
              onChange={(event) => put({ level: Number(event.target.value) })}
            />
            <SelectField
              label={say('sources.field')}
              empty={say('sources.chooseAField')}
              options={fields.map((field) => ({ value: field.key, label: translated(field).name }))}
              value={row.field}
              onChange={(event) => put({ field: event.target.value })}
              error={fault(nth, 'field')}
            />
          </div>
          <Rows
            label={say('sources.accreditations')}
            rows={row.accreditations ?? []}
            onChange={(accreditations) => put({ accreditations })}
            blank={() => ({ by: '', basis: 'accredited' as const, from: 2000, to: null })}
            add={say('sources.addAccreditation')}
            remove={say('sources.takeOut')}
          >
            {(one, change, at) => (
              <div className="grid gap-2 sm:grid-cols-[minmax(0,2fr)_1fr_5rem_5rem]">
                <TextField
                  label={say('sources.accreditedBy')}
                  hidden
                  placeholder={say('sources.accreditedBy')}
                  value={one.by}
                  onChange={(event) => change({ by: event.target.value })}
                />
                <SelectField
                  label={say('sources.basis')}
                  hidden
                  options={(['accredited', 'assessed'] as const).map((value) => ({
                    value,
                    label: say(`sources.basis.${value}`),
                  }))}
                  value={one.basis}
                  onChange={(event) => change({ basis: event.target.value as 'accredited' | 'assessed' })}
                />
                <YearField
                  label={say('sources.from')}
                  hidden
                  value={one.from}
                  onChange={(from) => change({ from: from ?? 0 })}
                  error={fault(nth, `accreditations/${at}/from`)}
                />
                <YearField
                  label={say('sources.to')}
                  hidden
                  value={one.to}
                  onChange={(to) => change({ to })}
                  error={fault(nth, `accreditations/${at}/to`)}
                />
              </div>
            )}
          </Rows>
        </>
      )}
    </Rows>
  )
}
