type Props = { label: string; help?: string; checked: boolean; onChange: (checked: boolean) => void }

/** A box to tick, with what it means beneath. */
export const Tick = ({ label, help, checked, onChange }: Props) => (
  <label className="flex items-start gap-2">
    <input
      type="checkbox"
      className="mt-1 accent-confirmed"
      checked={checked}
      onChange={(event) => onChange(event.target.checked)}
    />
    <span>
      {label}
      {help && <span className="block text-[0.87em] text-ink-2">{help}</span>}
    </span>
  </label>
)
