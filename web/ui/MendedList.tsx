import type { Mended } from '#contract/identity'
import { mendedFieldWords } from '#core/words/zone'

/** Characters of machine-readable lines that were taken for others: what was read, and as what. */
export const MendedList = ({ mended }: { mended: readonly Mended[] }) => (
  <ul className="my-1">
    {mended.map(({ field, read, as }) => (
      <li key={`${field} ${read}`}>
        {mendedFieldWords(field)}: <span className="font-mono">{read}</span> →{' '}
        <strong className="font-mono">{as}</strong>
      </li>
    ))}
  </ul>
)
