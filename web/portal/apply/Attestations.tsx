import { useState } from 'react'
import type { Claim, DetailsOf } from '#contract/claims'
import { writeWhen } from '#core/dates/write'
import { attestationForms } from '#core/documents/attestation'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { Choice, TextField } from '../../ui/Field'
import { Documents } from '../documents/Documents'
import { ClaimActions } from './ClaimActions'
import { ClaimForm } from './ClaimForm'
import { SourcePicker } from './SourcePicker'
import { useClaimEditor } from './useClaimEditor'

type Attestation = DetailsOf<'attestation'>

/** Who vouches for the paper of a claim: a copy certified, a translation sworn, a paper notarised. */
export function Attestations({ claim, all, asked }: { claim: Claim; all: readonly Claim[]; asked: boolean }) {
  const [editing, setEditing] = useState<string>()
  const given = all.filter(({ details }) => details.kind === 'attestation' && details.of === claim.id)
  const done = () => setEditing(undefined)
  if (given.length === 0 && !asked) return null
  return (
    <section aria-label={say('apply.whoVouchesForThePaper')} className="mt-2 grid gap-2 border-line border-t pt-2">
      {given.map((one) =>
        editing === one.id ? (
          <AttestationEditor key={one.id} of={claim} claim={one} onDone={done} />
        ) : (
          <div key={one.id}>
            <div className="flex flex-wrap items-start justify-between gap-2">
              <p>
                <span className="font-semibold">{one.label}</span>
                <span className="block text-ink-2">{lineOf(one.details as Attestation)}</span>
              </p>
              <ClaimActions claim={one} onChange={() => setEditing(one.id)} />
            </div>
            <Documents claim={one} />
          </div>
        ),
      )}
      {editing === 'new' ? (
        <AttestationEditor of={claim} onDone={done} />
      ) : (
        <p>
          <Button kind={given.length === 0 ? 'plain' : 'quiet'} onClick={() => setEditing('new')}>
            {say('apply.sayWhoVouchesForIt')}
          </Button>
        </p>
      )}
    </section>
  )
}

const lineOf = ({ sourceName, capacity, on, number }: Attestation) =>
  [sourceName, capacity, on && writeWhen(on), number].filter(Boolean).join(', ')

function AttestationEditor({ of, claim, onDone }: { of: Claim; claim?: Claim; onDone: () => void }) {
  const blank: Attestation = {
    kind: 'attestation',
    ...{ sourceId: null, sourceName: '', capacity: '', on: '', number: '' },
    form: 'certified copy',
    of: of.id,
    title: of.label,
  }
  const initial = claim?.details.kind === 'attestation' ? claim.details : blank
  const editor = useClaimEditor<Attestation>(`${of.id}-attestation`, initial, claim, onDone)
  const { details, setDetails, set, fault } = editor
  return (
    <ClaimForm editor={editor} saving={say('apply.save')}>
      <div className="sm:col-span-2">
        <Choice
          label={say('apply.howItIsVouchedFor')}
          name={`attestation ${of.id}`}
          value={details.form}
          options={attestationForms.map((value) => ({ value, label: say(`names.attestation.${value}`) }))}
          onChange={(form) => set('form', form as Attestation['form'])}
        />
      </div>
      <SourcePicker
        label={say('apply.whoVouchesForIt')}
        kinds="certifier,licensing body,university,school"
        claim="attestation"
        value={details}
        onChange={(source) => setDetails((before) => ({ ...before, ...source }))}
        error={fault('sourceName')}
      />
      <TextField
        label={say('apply.asWhom')}
        help={say('apply.asWhomMeans')}
        value={details.capacity}
        onChange={(event) => set('capacity', event.target.value)}
        error={fault('capacity')}
      />
      <DateField
        label={say('apply.vouchedOn')}
        value={details.on}
        onChange={(on) => set('on', on)}
        error={fault('on')}
      />
      <TextField
        label={say('apply.vouchedNumber')}
        optional
        value={details.number}
        onChange={(event) => set('number', event.target.value)}
        error={fault('number')}
      />
    </ClaimForm>
  )
}
