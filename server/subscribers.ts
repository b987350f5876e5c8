import { copyTitles, refreshChanged } from './hiring/standing'
import { refreshIdentities, refreshKeysOf } from './people/changed'
import type { Subscriber } from './platform/changes'
import { endEnquiries } from './verification/callOff'
import { endVouchings } from './vouching/name'

/** Who follows changes, in order. What an event changes stands in `core/events/events.ts`. */
export const subscribers: readonly Subscriber[] = [
  { on: ['ended'], run: endVouchings },
  { on: ['ended'], run: endEnquiries },
  { on: ['keys'], run: refreshKeysOf },
  { on: ['identity'], run: refreshIdentities },
  { on: ['vacancy title'], run: copyTitles },
  // Last, since it sums up what the others have changed.
  { on: ['file', 'application', 'score sheet'], run: refreshChanged },
]
