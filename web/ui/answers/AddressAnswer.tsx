import type { Parts } from '#core/form/answer'
import { say } from '#core/words/say'
import { api } from '../../api'
import { SelectField, TextField } from '../Field'
import type { AnswerProps } from './answerProps'
import { countries } from './countries'

type Props = Omit<AnswerProps, 'value'> & { value: Parts }

/** An address; a postcode proposes its town and region. */
export function AddressAnswer({ question, value, onChange, error }: Props) {
  const set = (part: string) => (event: { target: { value: string } }) =>
    onChange({ ...value, [part]: event.target.value })
  const postcode = (value.postcode ?? '').trim()
  const { data: places = [] } = api.endpoints.findPlaces.useQuery(
    { query: { country: value.country ?? '', postcode } },
    { skip: postcode.length < 3 || !value.country },
  )
  const proposals = places.filter(({ town, region }) => town !== value.town || region !== value.region)
  return (
    <fieldset>
      <legend className="mb-1.5 font-semibold text-[0.93em]">{question.label}</legend>
      <div className="grid gap-3 sm:grid-cols-2">
        <SelectField
          label={say('form.country')}
          options={countries}
          empty={say('form.choose')}
          value={value.country ?? ''}
          onChange={set('country')}
          autoComplete="country-name"
        />
        <TextField
          label={say('form.postcode')}
          value={value.postcode ?? ''}
          onChange={set('postcode')}
          autoComplete="postal-code"
        />
        {proposals.length > 0 && (
          <p className="flex flex-wrap items-baseline gap-2 text-[0.93em] sm:col-span-2">
            {places.length === 1 ? say('form.thatIs') : say('form.thatIsOneOf')}
            {proposals.map(({ town, region }) => (
              <button
                key={town + region}
                type="button"
                className="rounded-sheet border border-line-strong bg-sheet px-2 py-0.5 font-semibold hover:border-ink-3"
                onClick={() => onChange({ ...value, town, region })}
              >
                {region ? `${town}, ${region}` : town}
              </button>
            ))}
          </p>
        )}
        <TextField
          label={say('form.town')}
          value={value.town ?? ''}
          onChange={set('town')}
          autoComplete="address-level2"
        />
        <TextField
          label={say('form.region')}
          optional
          value={value.region ?? ''}
          onChange={set('region')}
          autoComplete="address-level1"
        />
        {(question.street || value.street) && (
          <div className="sm:col-span-2">
            <TextField
              label={say('form.streetAndNumber')}
              optional={!question.street}
              value={value.street ?? ''}
              onChange={set('street')}
              autoComplete="street-address"
            />
          </div>
        )}
      </div>
      <Help question={question} error={error} />
    </fieldset>
  )
}

export function CountryAndRegion({ question, value, onChange, error }: Props) {
  const set = (part: string) => (event: { target: { value: string } }) =>
    onChange({ ...value, [part]: event.target.value })
  return (
    <fieldset>
      <legend className="mb-1.5 font-semibold text-[0.93em]">{question.label}</legend>
      <div className="grid gap-3 sm:grid-cols-2">
        <SelectField
          label={say('form.country')}
          options={countries}
          empty={say('form.choose')}
          value={value.country ?? ''}
          onChange={set('country')}
        />
        <TextField label={say('form.region')} optional value={value.region ?? ''} onChange={set('region')} />
      </div>
      <Help question={question} error={error} />
    </fieldset>
  )
}

const Help = ({ question, error }: Pick<AnswerProps, 'question' | 'error'>) => (
  <>
    {question.help && <p className="mt-1 text-[0.87em] text-ink-2">{question.help}</p>}
    {error && (
      <p role="alert" className="mt-1 font-semibold text-[0.9em] text-contradicted">
        {error}
      </p>
    )}
  </>
)
