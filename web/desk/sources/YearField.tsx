import { TextField } from '../../ui/Field'

type Props = {
  label: string
  value: number | null
  onChange: (year: number | null) => void
  error?: string
  hidden?: boolean
  disabled?: boolean
}

/** A year; left empty where it is not known or has not come. */
export const YearField = ({ value, onChange, label, hidden, ...rest }: Props) => (
  <TextField
    {...rest}
    label={label}
    hidden={hidden}
    placeholder={hidden ? label : undefined}
    inputMode="numeric"
    maxLength={4}
    value={value ?? ''}
    onChange={(event) => {
      const digits = event.target.value.replace(/\D/g, '')
      onChange(digits === '' ? null : Number(digits))
    }}
  />
)
