import { useEffect, useRef, useState } from 'react'
import type { Draft } from '#contract/applications'
import type { Claim, ClaimDetails } from '#contract/claims'
import { catalogue, credentialKind, offered } from '#core/catalogue/catalogue'
import { lastDayBy } from '#core/catalogue/lastDay'
import { bySeries } from '#core/catalogue/series'
import { writeWhen } from '#core/dates/write'
import { credentialName } from '#core/words/names'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { choicesOf } from '../../ui/choices'
import { DateField } from '../../ui/DateField'
import { SelectField, TextField } from '../../ui/Field'
import { Sheet } from '../../ui/Sheet'
import { RenewalForm } from '../status/RenewalForm'
import { ClaimActions, isOpenedAgain } from './ClaimActions'
import { ClaimForm } from './ClaimForm'
import { ClaimPapers } from './ClaimPapers'
import { CredentialFields, CredentialFieldsLine } from './CredentialFields'
import { Languages } from './Languages'
import { days, SeriesSteps } from './SeriesSteps'
import { SourcePicker } from './SourcePicker'
import { useClaimEditor } from './useClaimEditor'
import { useNumberHint } from './useNumberHint'

const issuers = 'licensing body,certifier,insurer'

type Credential = Extract<ClaimDetails, { credential: string }>

/** Licences and certificates: those the post asks for come first, by name. */
export function CredentialsSection({ draft }: { draft: Draft }) {
  const held = draft.claims.filter(({ details }) => 'credential' in details)
  const wanted = [
    ...new Set(
      draft.requirements
        .flatMap(({ asks, alternatives }) => [asks, ...(alternatives ?? [])])
        .flatMap((ask) => (ask.kind === 'credential' ? [ask.credential] : [])),
    ),
  ]
  const missing = wanted.filter(
    (key) => !held.some(({ details }) => 'credential' in details && details.credential === key),
  )
  const [editing, setEditing] = useState<string | undefined>()
  const [renewing, setRenewing] = useState<string | undefined>()
  const [kind, setKind] = useState(missing[0] ?? wanted[0] ?? anyKind())
  const add = (key: string) => {
    setKind(key)
    setEditing('new')
  }
  return (
    <div className="grid gap-3">
      {held.map((claim) =>
        editing === claim.id ? (
          <CredentialEditor
            key={claim.id}
            draftId={draft.id}
            claim={claim}
            kind={kind}
            wanted={wanted}
            onDone={() => setEditing(undefined)}
            onHeld={() => {}}
          />
        ) : (
          <CredentialLine
            key={claim.id}
            claim={claim}
            draft={draft}
            renewing={renewing === claim.id}
            reopened={isOpenedAgain(draft, 'credentials')}
            onChange={() => setEditing(claim.id)}
          />
        ),
      )}
      {editing === 'new' ? (
        <CredentialEditor
          key={`new-${kind}`}
          draftId={draft.id}
          kind={kind}
          wanted={wanted}
          onDone={() => setEditing(undefined)}
          onHeld={(id, what) => {
            setEditing(
              what === 'open' && held.some((claim) => claim.id === id && claim.rung === 'claimed') ? id : undefined,
            )
            setRenewing(what === 'renew' ? id : undefined)
          }}
        />
      ) : (
        <Sheet>
          {missing.length > 0 && <p className="mb-2">{say('apply.thisPostAsksForThese')}</p>}
          <div className="flex flex-wrap gap-2">
            {missing.map((key) => (
              <Button key={key} onClick={() => add(key)}>
                {say('apply.addKind', { kind: credentialName(key) })}
              </Button>
            ))}
            <Button kind="quiet" onClick={() => add(anyKind())}>
              {say('apply.addAnotherKind')}
            </Button>
          </div>
        </Sheet>
      )}
      <Languages draft={draft} />
    </div>
  )
}

const anyKind = () => offered(catalogue().credentials)[0]?.key ?? ''

/** The last day the rule of a kind gives; empty where it gives none. */
function lastDayOf(credential: string, issued: string): string {
  const rule = credentialKind(credential)?.validity
  if (credentialKind(credential)?.series) return 'unknown'
  if (rule?.kind === 'no end') return 'does not expire'
  return (rule && lastDayBy(rule, issued)?.toString()) ?? ''
}

type FaceProps = {
  claim: Claim
  draft: Draft
  renewing: boolean
  reopened: boolean
  onChange: () => void
}

function CredentialLine({ claim, draft, renewing, reopened, onChange }: FaceProps) {
  const face = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (renewing) face.current?.scrollIntoView({ block: 'center' })
  }, [renewing])
  if (!('credential' in claim.details)) return null
  const { sourceName, number, through, region } = claim.details
  const until =
    through === 'does not expire'
      ? say('apply.doesNotExpire')
      : through === 'unknown'
        ? say('apply.validityNotKnown')
        : say('apply.validThrough', { day: writeWhen(through) })
  return (
    <Sheet>
      <div className="flex flex-wrap items-start justify-between gap-2">
        <div>
          <h2 className="font-sans font-semibold">{claim.label}</h2>
          <p className="text-ink-2">
            {sourceName}, <span className="font-mono">{number}</span>, {region && `${region}, `}
            {until}
          </p>
          <CredentialFieldsLine details={claim.details} />
        </div>
        <ClaimActions claim={claim} onChange={onChange} reopened={reopened} />
      </div>
      <div ref={face} className="mt-3 grid gap-4">
        <ClaimPapers claim={claim} draft={draft} />
        {renewing && <RenewalForm claim={claim} />}
      </div>
    </Sheet>
  )
}

type EditorProps = {
  draftId: string
  claim?: Claim
  kind: string
  wanted: readonly string[]
  onDone: () => void
  /** The same one stands in the file already. */
  onHeld: (id: string, what: 'open' | 'renew') => void
}

function CredentialEditor({ draftId, claim, kind, wanted, onDone, onHeld }: EditorProps) {
  const blank: Credential = {
    kind: credentialKind(kind)?.claim ?? 'certificate',
    sourceId: null,
    sourceName: '',
    credential: kind,
    number: '',
    issued: '',
    through: lastDayOf(kind, ''),
  }
  const initial = claim && 'credential' in claim.details ? claim.details : blank
  const editor = useClaimEditor<Credential>(`${draftId}-paper-${kind}`, initial, claim, onDone)
  const { details, setDetails, set, problem, fault } = editor
  const about = credentialKind(details.credential)
  const numberHint = useNumberHint(details, details.kind, details.number, issuers)
  const twin = problem?.code === 'already-given' ? String(problem.claimId) : undefined
  // What was typed is the one that is there; the next that is added begins empty.
  const leadTo = (id: string, what: 'open' | 'renew') => {
    editor.giveUp()
    onHeld(id, what)
  }
  const options = choicesOf(catalogue().credentials, details.credential, ...wanted).sort(
    (a, b) => Number(wanted.includes(b.value)) - Number(wanted.includes(a.value)),
  )
  // What was there by the rule gives way to what the rule says now; what was typed stays.
  const issue = (issued: string) =>
    setDetails((before) => {
      const byRule = lastDayOf(details.credential, before.issued)
      const taken = before.through === '' || before.through === byRule
      return { ...before, issued, ...(taken ? { through: lastDayOf(details.credential, issued) } : {}) }
    })
  return (
    <Sheet>
      <ClaimForm
        editor={editor}
        saving={claim ? say('apply.save') : say('apply.addToMyPapers')}
        beside={
          twin && (
            <div className="mt-2 flex gap-3">
              <Button onClick={() => leadTo(twin, 'open')}>{say('apply.openIt')}</Button>
              <Button onClick={() => leadTo(twin, 'renew')}>{say('apply.giveItsRenewal')}</Button>
            </div>
          )
        }
      >
        <SelectField
          label={say('apply.kind')}
          options={options}
          value={details.credential}
          disabled={claim !== undefined}
          onChange={(event) =>
            setDetails((before) => ({
              ...before,
              credential: event.target.value,
              kind: credentialKind(event.target.value)?.claim ?? 'certificate',
              ...{ fields: undefined, steps: undefined },
              ...(before.through === '' || before.through === lastDayOf(before.credential, before.issued)
                ? { through: lastDayOf(event.target.value, before.issued) }
                : {}),
            }))
          }
        />
        <SourcePicker
          label={say('apply.whoIssuedIt')}
          kinds={issuers}
          claim={details.kind}
          value={details}
          onChange={(source) => setDetails((before) => ({ ...before, ...source }))}
          error={fault('sourceName')}
        />
        <TextField
          label={say('apply.number')}
          optional={about?.series !== undefined}
          value={details.number}
          onChange={(event) => set('number', event.target.value)}
          help={
            numberHint ??
            (about?.number
              ? say('apply.asPrintedSuchAs', { example: about.number.example })
              : say('apply.asPrintedWithLettersAnd'))
          }
          error={fault('number')}
        />
        {about?.regions && (
          <SelectField
            label={say('apply.whereItHolds')}
            empty={say('apply.choose')}
            options={about.regions.map((region) => ({ value: region, label: region }))}
            value={details.region ?? ''}
            onChange={(event) => set('region', event.target.value)}
            error={fault('region')}
          />
        )}
        {about?.series ? (
          <SeriesSteps
            series={about.series}
            value={details.steps ?? []}
            onChange={(steps) =>
              setDetails((before) => ({ ...before, steps, ...bySeries(about.series!, days(steps)) }))
            }
            fault={fault}
          />
        ) : (
          <>
            <DateField
              label={say('apply.issued')}
              optional
              value={details.issued}
              onChange={issue}
              error={fault('issued')}
            />
            <DateField
              label={say('apply.validThrough2')}
              value={details.through}
              onChange={(value) => set('through', value)}
              error={fault('through')}
              help={
                about?.validity.kind === 'no end'
                  ? say('apply.thisKindUsuallyDoesNot')
                  : about?.validity.kind === 'months'
                    ? say('apply.thisKindLastsMonths', { count: about.validity.months })
                    : about && say('apply.aRenewalUsuallyTakesDays', { count: about.leadDays })
              }
              blanks={[
                { value: 'does not expire', label: say('apply.itDoesNotExpire') },
                { value: 'unknown', label: say('apply.iDontKnow') },
              ]}
            />
          </>
        )}
        <CredentialFields
          credential={details.credential}
          value={details.fields ?? {}}
          onChange={(fields) => set('fields', fields)}
          fault={(field) => fault(`fields/${field}`)}
        />
      </ClaimForm>
    </Sheet>
  )
}
