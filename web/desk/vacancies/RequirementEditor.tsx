import type { KnownFact } from '#core/conditions/vocabulary'
import { type AttestationForm, attestationForms } from '#core/documents/attestation'
import { isWebAddress } from '#core/requirements/citation'
import {
  canBeCertified,
  canBeInterim,
  canLast,
  gatesFor,
  isProven,
  rungsFor,
  withinReach,
} from '#core/requirements/reach'
import type { Gate, Requirement } from '#core/requirements/requirement'
import { staffRoles } from '#core/rights/rights'
import type { Rules } from '#core/rules/rules'
import { roleWords } from '#core/words/roles'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { CheckList, LongField, SelectField, TextField } from '../../ui/Field'
import { AskEditor, newAsk } from './AskEditor'
import { ConditionEditor } from './ConditionEditor'
import { gateWords } from './gateWords'

type Props = {
  requirement: Requirement
  rules: Rules
  known: readonly KnownFact[]
  checks: Readonly<Record<string, string>>
  onChange: (next: Requirement) => void
}

const rungWords = {
  claimed: say('composer.saidByTheCandidate'),
  evidenced: say('composer.shownByADocumentSomebody'),
  confirmed: say('composer.confirmedByWhoeverIssuedIt'),
} as const

/** One requirement, composed by choosing: what, by when, how well proven, under which condition, what does instead. */
export function RequirementEditor({ requirement, rules, known, checks, onChange }: Props) {
  // What the asks cannot reach is never kept behind the screen.
  const set = (change: Partial<Requirement>) => onChange(withinReach({ ...requirement, ...change }))
  const { asks, alternatives = [], exempt } = requirement
  const cite = (change: Partial<NonNullable<Requirement['citation']>>) => {
    const { text = '', link } = { ...requirement.citation, ...change }
    set({ citation: text === '' ? undefined : { text, ...(link ? { link } : {}) } })
  }
  const all = [asks, ...alternatives]
  const rungs = rungsFor(all, requirement.gate)
  const isProvable = all.some(({ kind }) => isProven(kind))
  return (
    <div className="grid gap-3">
      <TextField
        label={say('composer.whatItIsCalledIn')}
        value={requirement.title}
        onChange={(event) => set({ title: event.target.value })}
      />
      <AskEditor
        label={say('composer.whatIsAsked')}
        ask={asks}
        rules={rules}
        checks={checks}
        onChange={(next) => set({ asks: next })}
      />
      {alternatives.map((ask, index) => (
        <div key={index} className="border-line-strong border-l-2 pl-3">
          <AskEditor
            label={say('composer.orInstead')}
            ask={ask}
            rules={rules}
            checks={checks}
            onChange={(next) => set({ alternatives: alternatives.map((other, at) => (at === index ? next : other)) })}
          />
          <Button
            kind="quiet"
            className="!px-0"
            onClick={() => set({ alternatives: alternatives.filter((_other, at) => at !== index) })}
          >
            {say('composer.takeThisWayOut')}
          </Button>
        </div>
      ))}
      <button
        type="button"
        className="justify-self-start font-semibold text-confirmed"
        onClick={() => set({ alternatives: [...alternatives, newAsk('credential', { rules, checks })] })}
      >
        {say('composer.somethingElseDoesAsWell')}
      </button>
      <div className="grid grid-cols-2 gap-3">
        <SelectField
          label={say('composer.byWhichGate')}
          value={requirement.gate}
          options={gatesFor(all).map((value) => ({ value, label: gateWords[value] }))}
          onChange={(event) => set({ gate: event.target.value as Gate })}
        />
        {rungs.length > 1 && (
          <SelectField
            label={say('composer.howWellProven')}
            value={requirement.rung}
            options={rungs.map((value) => ({ value, label: rungWords[value] }))}
            onChange={(event) => set({ rung: event.target.value as Requirement['rung'] })}
          />
        )}
      </div>
      {isProvable && requirement.rung === 'claimed' && (
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="accent-confirmed"
            checked={requirement.paper ?? false}
            onChange={(event) => set({ paper: event.target.checked || undefined })}
          />
          {say('composer.withThePaperAttached')}
        </label>
      )}
      {canBeInterim(all) && (requirement.paper || requirement.rung !== 'claimed') && (
        <TextField
          label={say('composer.interimDays')}
          help={say('composer.interimDaysMeans')}
          type="number"
          min={1}
          max={730}
          value={requirement.interim?.days ?? ''}
          onChange={(event) =>
            set({
              interim:
                event.target.value === ''
                  ? undefined
                  : { days: Math.min(730, Math.max(1, Math.round(Number(event.target.value)))) },
            })
          }
        />
      )}
      {canBeCertified(all) && (
        <CheckList
          label={say('composer.certified')}
          help={say('composer.certifiedMeans')}
          options={attestationForms.map((value) => ({ value, label: say(`names.attestation.${value}`) }))}
          value={[...(requirement.certified?.forms ?? [])]}
          onChange={(forms) =>
            set({
              certified:
                forms.length === 0 ? undefined : { ...requirement.certified, forms: forms as AttestationForm[] },
            })
          }
        />
      )}
      {requirement.certified && (
        <TextField
          label={say('composer.certifiedBy')}
          optional
          maxLength={120}
          value={requirement.certified.by ?? ''}
          onChange={({ target: { value } }) =>
            set({ certified: { forms: requirement.certified!.forms, ...(value ? { by: value } : {}) } })
          }
        />
      )}
      {canLast(all) && (
        <TextField
          label={say('composer.validThroughTheStartAnd')}
          help={say('composer.emptyMeansThatItsDates')}
          type="number"
          min={0}
          value={requirement.validStartPlusDays ?? ''}
          onChange={(event) =>
            set({
              validStartPlusDays:
                event.target.value === '' ? undefined : Math.max(0, Math.round(Number(event.target.value))),
            })
          }
        />
      )}
      <ConditionEditor
        label={say('composer.onlyUnderACondition')}
        condition={requirement.when}
        known={known}
        onChange={(when) => set({ when })}
      />
      <ConditionEditor
        label={say('composer.exemptByRule')}
        condition={exempt?.when}
        known={known}
        onChange={(when) =>
          set({ exempt: when && { when, because: exempt?.because ?? say('composer.itIsKnownAlready') } })
        }
      />
      {exempt && (
        <TextField
          label={say('composer.whyThatExempts')}
          value={exempt.because}
          onChange={(event) => set({ exempt: { ...exempt, because: event.target.value } })}
        />
      )}
      <LongField
        label={say('composer.whyThisPostAsksFor')}
        rows={2}
        value={requirement.why}
        onChange={(event) => set({ why: event.target.value })}
      />
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label={say('composer.ruleBehind')}
          help={say('composer.ruleBehindMeans')}
          optional
          maxLength={200}
          value={requirement.citation?.text ?? ''}
          onChange={(event) => cite({ text: event.target.value })}
        />
        {requirement.citation && (
          <TextField
            label={say('composer.ruleLink')}
            optional
            type="url"
            maxLength={500}
            value={requirement.citation.link ?? ''}
            error={isWebAddress(requirement.citation.link) ? undefined : say('composer.ruleLinkBegins')}
            onChange={(event) => cite({ link: event.target.value || undefined })}
          />
        )}
      </div>
      <CheckList
        label={say('composer.whoMayWaiveIt')}
        help={say('composer.nobodyChosenMeansNobodyMay')}
        options={staffRoles.map((value) => ({ value, label: roleWords(value) }))}
        value={requirement.waivableBy}
        onChange={(waivableBy) => set({ waivableBy })}
      />
    </div>
  )
}
