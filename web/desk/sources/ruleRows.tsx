import { conditionKinds, issuedClaims } from '#core/sources/source'
import { say } from '#core/words/say'
import { DateField } from '../../ui/DateField'
import { CheckList, SelectField, TextField } from '../../ui/Field'
import { languageOptions } from '../../ui/languageOptions'
import { faultAt } from '../../ui/ProblemNote'
import { OwnForm } from './OwnForm'
import { Rows } from './Rows'
import type { Editing } from './sourceTypes'

const numbered = ['study', 'licence', 'certificate'] as const

/** What it asks for before it answers. */
export const ConditionRows = ({ given, set, problem }: Editing) => (
  <Rows
    heading
    label={say('sources.part.conditions')}
    about={say('sources.conditionsMean')}
    rows={given.conditions}
    keyOf={({ id }) => id}
    onChange={(conditions) => set({ conditions })}
    blank={() => ({ id: crypto.randomUUID(), kind: 'own form' as const, claims: [], reason: '' })}
    add={say('sources.addCondition')}
    remove={say('sources.takeOut')}
  >
    {(row, put, nth) => (
      <>
        <div className="grid gap-2 sm:grid-cols-[1fr_minmax(0,2fr)]">
          <SelectField
            label={say('sources.conditionKind')}
            options={conditionKinds.map((value) => ({ value, label: say(`sources.condition.${value}`) }))}
            value={row.kind}
            onChange={(event) => put({ kind: event.target.value as (typeof conditionKinds)[number] })}
          />
          <TextField
            label={say('sources.conditionReason')}
            value={row.reason}
            onChange={(event) => put({ reason: event.target.value })}
            error={faultAt(problem, `conditions/${nth}/reason`)}
          />
        </div>
        {row.kind === 'language' && (
          <SelectField
            label={say('sources.language')}
            empty={say('sources.choose')}
            options={languageOptions()}
            value={row.language ?? ''}
            onChange={(event) => put({ language: event.target.value })}
            error={faultAt(problem, `conditions/${nth}/language`)}
          />
        )}
        {row.kind === 'own form' && (
          <OwnForm
            form={row.form}
            onChange={(form) => put({ form })}
            fault={faultAt(problem, `conditions/${nth}/form`)}
          />
        )}
        <CheckList
          label={say('sources.conditionClaims')}
          help={row.claims.length === 0 ? say('sources.forEveryClaim') : undefined}
          options={issuedClaims.map((value) => ({ value, label: say(`sources.claim.${value}`) }))}
          value={row.claims}
          onChange={(chosen) => put({ claims: issuedClaims.filter((one) => chosen.includes(one)) })}
        />
      </>
    )}
  </Rows>
)

/** What its numbers look like. */
export const NumberRows = ({ given, set, problem }: Editing) => (
  <Rows
    heading
    label={say('sources.part.numbers')}
    about={say('sources.numbersMean')}
    rows={given.numberFormats}
    onChange={(numberFormats) => set({ numberFormats })}
    blank={() => ({ claim: 'study' as const, pattern: '', example: '' })}
    add={say('sources.addNumber')}
    remove={say('sources.takeOut')}
  >
    {(row, put, nth) => (
      <div className="grid gap-2 sm:grid-cols-3">
        <SelectField
          label={say('sources.numberOf')}
          options={numbered.map((value) => ({ value, label: say(`sources.claim.${value}`) }))}
          value={row.claim}
          onChange={(event) => put({ claim: event.target.value as (typeof numbered)[number] })}
        />
        <TextField
          label={say('sources.pattern')}
          value={row.pattern}
          onChange={(event) => put({ pattern: event.target.value })}
          error={faultAt(problem, `numberFormats/${nth}/pattern`)}
        />
        <TextField
          label={say('sources.example')}
          value={row.example}
          onChange={(event) => put({ example: event.target.value })}
          error={faultAt(problem, `numberFormats/${nth}/example`)}
        />
      </div>
    )}
  </Rows>
)

/** When it is closed beside the holidays of its country. */
export const ClosureRows = ({ given, set, problem }: Editing) => (
  <Rows
    heading
    label={say('sources.part.closures')}
    about={say('sources.closuresMean')}
    rows={given.closures}
    onChange={(closures) => set({ closures })}
    blank={() => ({ from: '', to: '', why: '' })}
    add={say('sources.addClosure')}
    remove={say('sources.takeOut')}
  >
    {(row, put, nth) => (
      <div className="grid gap-2 sm:grid-cols-3">
        <DateField
          label={say('sources.from')}
          value={row.from}
          onChange={(from) => put({ from })}
          error={faultAt(problem, `closures/${nth}/from`)}
        />
        <DateField
          label={say('sources.to')}
          value={row.to}
          onChange={(to) => put({ to })}
          error={faultAt(problem, `closures/${nth}/to`)}
        />
        <TextField
          label={say('sources.why')}
          value={row.why}
          onChange={(event) => put({ why: event.target.value })}
          error={faultAt(problem, `closures/${nth}/why`)}
        />
      </div>
    )}
  </Rows>
)
