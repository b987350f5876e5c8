import type { Proof } from '#contract/verification'
import { zoneAgainstWords } from '#core/words/zone'
import { MendedList } from '../../ui/MendedList'

type Zone = NonNullable<Proof['zone']>

/** How the claim stands against its machine-readable lines; what has to be compared with the paper stands out. */
export function ZoneNote({ zone }: { zone: Zone }) {
  const inOrder = zone.readable && zone.wrong.length + zone.mended.length + zone.differs.length === 0
  return (
    <div className={`px-3.5 py-2 ${inOrder ? 'text-ink-2' : 'bg-soon-wash text-soon-ink'}`}>
      <p>{zoneAgainstWords(zone)}</p>
      {zone.mended.length > 0 && <MendedList mended={zone.mended} />}
    </div>
  )
}
