import { purposes } from '#core/sources/source'
import { say } from '#core/words/say'
import { CheckList, LongField, TextField } from '../../ui/Field'
import { faultAt } from '../../ui/ProblemNote'
import { Rows } from './Rows'
import type { Editing } from './sourceTypes'

/** Who is asked there, by what they are asked about. */
export const ContactRows = ({ given, set, problem }: Editing) => (
  <Rows
    heading
    label={say('sources.part.contacts')}
    about={say('sources.contactsMean')}
    rows={given.contacts}
    keyOf={({ id }) => id}
    onChange={(contacts) => set({ contacts })}
    blank={() => ({ id: crypto.randomUUID(), purposes: [], name: '', mail: '', phone: '', address: '' })}
    add={say('sources.addContact')}
    remove={say('sources.takeOut')}
  >
    {(row, put, nth) => (
      <>
        <div className="grid gap-2 sm:grid-cols-3">
          <TextField
            label={say('sources.office')}
            value={row.name}
            onChange={(event) => put({ name: event.target.value })}
            error={faultAt(problem, `contacts/${nth}/name`)}
          />
          <TextField
            label={say('sources.mail')}
            type="email"
            value={row.mail}
            onChange={(event) => put({ mail: event.target.value })}
            error={faultAt(problem, `contacts/${nth}/mail`)}
          />
          <TextField
            label={say('sources.phone')}
            type="tel"
            value={row.phone}
            onChange={(event) => put({ phone: event.target.value })}
            error={faultAt(problem, `contacts/${nth}/phone`)}
          />
        </div>
        <CheckList
          label={say('sources.purposes')}
          hidden
          options={purposes.map((value) => ({ value, label: say(`sources.purpose.${value}`) }))}
          value={row.purposes}
          onChange={(chosen) => put({ purposes: purposes.filter((one) => chosen.includes(one)) })}
        />
        <LongField
          label={say('sources.address')}
          rows={2}
          optional
          value={row.address}
          onChange={(event) => put({ address: event.target.value })}
        />
      </>
    )}
  </Rows>
)
