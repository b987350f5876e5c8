import type { Rung } from '../requirements/requirement'
import { issuedClaims } from './source'

/** What is looked at of a claim to know whether anybody would be asked about it. */
type Asked = { kind: string; sourceName: string; activity?: string }

/** Whether there is a source that can be asked about a claim: times of travel, care or work for oneself have none. */
export const isAskedAbout = ({ kind, sourceName, activity = 'employment' }: Asked): boolean =>
  issuedClaims.some((one) => one === kind) && sourceName.trim() !== '' && activity === 'employment'

type Judged = { rung: Rung; details: Asked; confirmed?: { stale?: true } | null }

/** Whether somebody would still be asked about a claim: nobody is, once it is confirmed, for as long as that serves. */
export const isStillAskedAbout = ({ rung, details, confirmed }: Judged): boolean =>
  (rung !== 'confirmed' || Boolean(confirmed?.stale)) && isAskedAbout(details)
