import { useState } from 'react'
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
  const [refused, setRefused] = useState(false)
  const written = amount === undefined ? '' : amountInDigits(amount, currency)
  return (
    <TextField
      // What was typed and was no amount gives way to what stands.
      key={`${written} ${currency}`}
      label={`${label}, ${currency}`}
      inputMode="decimal"
      optional={optional ?? false}
      defaultValue={written}
      {...(refused ? { error: say('composer.notAnAmount') } : {})}
      onBlur={({ target }) => {
        const read = readAmount(target.value, currency)
        const isNone = optional === true && target.value.trim() === ''
        setRefused(read === undefined && !isNone)
        if (read !== undefined || isNone) onChange(read)
        else target.value = written
      }}
    />
  )
}
