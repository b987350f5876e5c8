import { Temporal } from 'temporal-polyfill'
import type { Recipients } from '#contract/recipients'
import { permissionDays } from '#core/recipients/delivery'
import { type Language, languages, say } from '#core/words/say'
import type { Problem } from '../api'
import { DateField } from '../ui/DateField'
import { CheckList, SelectField, TextField } from '../ui/Field'
import { languageNames } from '../ui/languageNames'
import { faultAt } from '../ui/ProblemNote'

export type Wish = {
  recipient: { name: string; mail: string; language: Language }
  purpose: string
  claims: string[]
  through: string
}

/** What is confirmed is chosen to begin with. */
export const freshWish = ({ today, claims }: Pick<Recipients, 'today' | 'claims'>, language: Language): Wish => ({
  recipient: { name: '', mail: '', language },
  purpose: '',
  claims: claims.filter(({ rung }) => rung === 'confirmed').map(({ id }) => id),
  through: Temporal.PlainDate.from(today).add({ days: permissionDays.usual }).toString(),
})

export const isWhole = ({ recipient: { name, mail }, purpose, claims, through }: Wish): boolean =>
  name.trim().length > 1 && mail.includes('@') && purpose.trim().length > 2 && claims.length > 0 && through !== ''

type Props = {
  wish: Wish
  onChange: (wish: Wish) => void
  recipients: Pick<Recipients, 'today' | 'claims'>
  throughLabel: string
  problem: Problem | undefined
}

/** Who a recipient is, what for, and of what they may be told until when. */
export function WhomAndWhat({ wish, onChange, recipients, throughLabel, problem }: Props) {
  const { recipient, purpose, claims, through } = wish
  const setRecipient = (more: Partial<Wish['recipient']>) => onChange({ ...wish, recipient: { ...recipient, ...more } })
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField
          label={say('recipients.name')}
          maxLength={120}
          value={recipient.name}
          onChange={(event) => setRecipient({ name: event.target.value })}
          error={faultAt(problem, 'recipient/name')}
        />
        <TextField
          label={say('recipients.mail')}
          help={say('recipients.mailMeans')}
          type="email"
          value={recipient.mail}
          onChange={(event) => setRecipient({ mail: event.target.value })}
          error={faultAt(problem, 'recipient/mail')}
        />
        <TextField
          label={say('recipients.purpose')}
          help={say('recipients.purposeMeans')}
          maxLength={200}
          value={purpose}
          onChange={(event) => onChange({ ...wish, purpose: event.target.value })}
          error={faultAt(problem, 'purpose')}
        />
        <SelectField
          label={say('recipients.language')}
          options={languages.map((value) => ({ value, label: languageNames[value] }))}
          value={recipient.language}
          onChange={(event) => setRecipient({ language: event.target.value as Language })}
        />
      </div>
      <CheckList
        label={say('recipients.what')}
        help={say('recipients.whatMeans')}
        options={recipients.claims.map(({ id, title, rung }) => ({
          value: id,
          label: say('recipients.claimAt', { title, rung: say(`recipients.rung.${rung}`) }),
        }))}
        value={claims}
        onChange={(chosen) => onChange({ ...wish, claims: chosen })}
        error={faultAt(problem, 'claims')}
      />
      <div className="max-w-[260px]">
        <DateField
          label={throughLabel}
          value={through}
          onChange={(day) => onChange({ ...wish, through: day })}
          error={faultAt(problem, 'through')}
        />
      </div>
    </>
  )
}
