import { amountInDigits, readAmount } from '#core/money/currency'
import { say } from '#core/words/say'
import { TextField } from '../../ui/Field'

type Props = {
  label: string
  amount: number | undefined
  currency: string
  optional?: boolean
  onChange: (amount: number | undefined) => void
}

/** An amount as people type it; it is taken once the place is left, and what is no amount is not taken. */
export function AmountField({ label, amount, currency, optional, onChange }: Props) {
  const written = amount === undefined ? '' : amountInDigits(amount, currency)
  return (
    <TextField
      // What was typed and was no amount gives way to what stands.
      key={`${written} ${currency}`}
      label={`${label}, ${currency}`}
      inputMode="decimal"
      optional={optional ?? false}
      defaultValue={written}
      onBlur={({ target }) => {
        const read = readAmount(target.value, currency)
        if (read !== undefined) onChange(read)
        else if (optional && target.value.trim() === '') onChange(undefined)
        else {
          target.value = written
          target.setCustomValidity(say('composer.notAnAmount'))
          target.reportValidity()
          target.setCustomValidity('')
        }
      }}
    />
  )
}
