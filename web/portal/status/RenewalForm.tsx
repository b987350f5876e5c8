import type { Claim, renewCredential } from '#contract/claims'
import type { Input } from '#contract/endpoint'
import { credentialKind } from '#core/catalogue/catalogue'
import { bySeries } from '#core/catalogue/series'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { CredentialFields } from '../apply/CredentialFields'
import { days, SeriesSteps } from '../apply/SeriesSteps'
import { useKept } from '../useKept'

type RenewalBody = Input<typeof renewCredential>['body']

/** The renewal of a licence or certificate; what was there before stays as its history. */
export function RenewalForm({ claim }: { claim: Claim }) {
  const { details } = claim
  const [given, setGiven, forget] = useKept(`probatum-renewal-${claim.id}-${claim.credentialVersion}`, {
    number: '',
    issued: '',
    through: '',
    fields: 'fields' in details ? (details.fields ?? {}) : {},
    steps: 'steps' in details ? (details.steps ?? []) : [],
  })
  const renewal = useAct('renewCredential')
  useFreshAfterClash(renewal.problem, 'status')
  if (!('credential' in details)) return null
  const { series, fields: asked = [] } = credentialKind(details.credential) ?? {}
  const renew = async () => {
    const { fields, steps, ...plain } = given
    const renewed = await renewal.act({
      params: { id: claim.id },
      body: {
        version: claim.version,
        ...plain,
        ...(asked.length > 0 ? { fields } : {}),
        ...(series ? { number: plain.number || details.number, steps, ...bySeries(series, days(steps)) } : {}),
      } as RenewalBody,
    })
    if (renewed) forget()
  }
  const set = (field: 'number' | 'issued' | 'through') => (value: string) =>
    setGiven((before) => ({ ...before, [field]: value }))
  return (
    <form
      className="grid gap-3 sm:grid-cols-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void renew()
      }}
    >
      <p className="sm:col-span-3">
        {say('status.youGaveNumberValidThrough', { number: details.number, day: writeWhen(details.through) })}
      </p>
      <TextField
        label={say('status.numberOnTheRenewal')}
        value={given.number}
        onChange={(event) => set('number')(event.target.value)}
        error={faultAt(renewal.problem, 'number')}
      />
      {series ? (
        <SeriesSteps
          series={series}
          value={given.steps}
          onChange={(steps) => setGiven((before) => ({ ...before, steps }))}
          fault={(field) => faultAt(renewal.problem, `details/${field}`)}
        />
      ) : (
        <>
          <DateField
            label={say('status.issued')}
            value={given.issued}
            onChange={set('issued')}
            error={faultAt(renewal.problem, 'issued')}
          />
          <DateField
            label={say('status.validThrough')}
            value={given.through}
            onChange={set('through')}
            error={faultAt(renewal.problem, 'through')}
          />
        </>
      )}
      <CredentialFields
        credential={details.credential}
        value={given.fields}
        onChange={(fields) => setGiven((before) => ({ ...before, fields }))}
        fault={(field) => faultAt(renewal.problem, `details/fields/${field}`)}
      />
      <div className="sm:col-span-3">
        <ProblemNote problem={renewal.problem?.faults ? undefined : renewal.problem} />
        <Button
          kind="main"
          type="submit"
          busy={renewal.busy}
          disabled={series ? given.steps.length === 0 : !given.number || !given.issued || !given.through}
        >
          {say('status.saveTheRenewal')}
        </Button>
      </div>
    </form>
  )
}
