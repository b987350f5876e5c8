import { tellOwners } from './accounts/tell'
import { refreshIdentities, refreshKeysOf } from './duplicates/onPersonChanged'
import { endEnquiries } from './enquiries/callOff'
import { releaseLater } from './enquiries/release'
import { moveOnUndelivered } from './enquiries/undelivered'
import { chargeSent } from './fees/charge'
import { callOffFees, waiveWithRequirement } from './fees/decide'
import { tellDeciders } from './matters/tellDeciders'
import { tellCandidates } from './messages/tellCandidate'
import type { Subscriber } from './platform/changes'
import { copyTitles, refreshChanged } from './readiness/summaries'
import { lookThroughLater } from './redFlags/refresh'
import { revokeOvertaken } from './reports/revoke'
import { proposeSources } from './sources/propose'
import { researchProgrammes } from './sources/research'
import { lookUpLater } from './verification/lookUpKnown'
import { endVouchings } from './vouching/name'

/** Who follows changes, in order. What an event changes stands in `core/events/events.ts`. */
export const subscribers: readonly Subscriber[] = [
  { on: ['ended'], run: endVouchings },
  { on: ['ended'], run: endEnquiries },
  { on: ['ended'], run: callOffFees },
  { on: ['keys'], run: refreshKeysOf },
  { on: ['identity'], run: refreshIdentities },
  { on: ['vacancy title'], run: copyTitles },
  { on: ['told'], run: tellCandidates },
  { on: ['charges'], run: chargeSent },
  { on: ['fee waived'], run: waiveWithRequirement },
  { on: ['sources'], run: proposeSources },
  { on: ['sources'], run: researchProgrammes },
  { on: ['awards'], run: lookUpLater },
  { on: ['undelivered'], run: moveOnUndelivered },
  { on: ['file', 'application'], run: releaseLater },
  { on: ['file', 'identity'], run: lookThroughLater },
  { on: ['file'], run: revokeOvertaken },
  { on: ['deciders'], run: tellDeciders },
  { on: ['owner told'], run: tellOwners },
  // Last, since it sums up what the others have changed.
  { on: ['file', 'application', 'score sheet', 'who waits'], run: refreshChanged },
]
