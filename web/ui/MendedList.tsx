import type { Mended } from '#contract/identity'
import { mendedFieldWords } from '#core/words/zone'

/** Characters of machine-readable lines that were taken for others: what was read, and as what. */
export const MendedList = ({ mended }: { mended: readonly Mended[] }) => (
  <ul className="my-1">
    {mended.map(({ field, read, as }) => (
      <li key={`${field} ${read}`}>
        {mendedFieldWords(field)}
        {read !== '' && (
          <>
            : <Characters text={read} other={as} /> → <Characters text={as} other={read} />
          </>
        )}
      </li>
    ))}
  </ul>
)

/** What differs stands out: O and 0 look alike, which is why one was taken for the other. */
const Characters = ({ text, other }: { text: string; other: string }) => (
  <span className="font-mono">
    {[...text].map((character, place) =>
      character === other[place] ? (
        character
      ) : (
        <strong key={place} className="underline decoration-2 underline-offset-2">
          {character}
        </strong>
      ),
    )}
  </span>
)
