import { type EmployerTerms, invoicings } from '#contract/employers'
import { say } from '#core/words/say'
import type { Problem } from '../../api'
import { OwnDetails } from '../../employer/OwnDetails'
import { SelectField, TextField } from '../../ui/Field'
import { languageNames } from '../../ui/languageNames'
import { faultAt } from '../../ui/ProblemNote'
import { AmountField } from '../vacancies/AmountField'

export const noTerms: EmployerTerms = {
  ...{ name: '', currency: 'EUR', limit: null, invoicing: 'each', dueDays: 30, language: 'en' },
  ...{ street: '', postcode: '', town: '', receiptMail: '', findable: true, orderNumberNeeded: false },
}

type Props = { terms: EmployerTerms; onChange: (terms: EmployerTerms) => void; problem: Problem | undefined }

/** What is agreed with an employer, and what it says of itself. */
export function TermsForm({ terms, onChange, problem }: Props) {
  return (
    <>
      <TextField
        label={say('employers.name')}
        value={terms.name}
        maxLength={160}
        onChange={({ target }) => onChange({ ...terms, name: target.value })}
        error={faultAt(problem, 'terms/name')}
        data-first
      />
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label={say('employers.currency')}
          value={terms.currency}
          maxLength={3}
          onChange={({ target }) => onChange({ ...terms, currency: target.value.toUpperCase() })}
          error={faultAt(problem, 'terms/currency')}
        />
        <AmountField
          label={say('employers.limit')}
          amount={terms.limit ?? undefined}
          currency={/^[A-Z]{3}$/.test(terms.currency) ? terms.currency : 'EUR'}
          optional
          onChange={(limit) => onChange({ ...terms, limit: limit || null })}
        />
        <SelectField
          label={say('employers.invoicing')}
          value={terms.invoicing}
          options={invoicings.map((value) => ({ value, label: say(`employers.invoicing.${value}`) }))}
          onChange={({ target }) => onChange({ ...terms, invoicing: target.value as EmployerTerms['invoicing'] })}
        />
        <TextField
          label={say('employers.dueDays')}
          type="number"
          min={0}
          max={120}
          value={terms.dueDays}
          onChange={({ target }) => onChange({ ...terms, dueDays: Number(target.value) })}
          error={faultAt(problem, 'terms/dueDays')}
        />
        <SelectField
          label={say('employers.language')}
          value={terms.language}
          options={(['en', 'de'] as const).map((value) => ({ value, label: languageNames[value] }))}
          onChange={({ target }) => onChange({ ...terms, language: target.value as EmployerTerms['language'] })}
        />
      </div>
      <OwnDetails
        details={terms}
        onChange={(details) => onChange({ ...terms, ...details })}
        problem={problem}
        at="terms"
      />
    </>
  )
}
