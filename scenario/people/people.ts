import type { PersonPlan } from '../plan'
import { dispatchers } from './dispatchers'
import { electricalSupervisors } from './electricalSupervisors'
import { liftAttendants } from './liftAttendants'
import { mechanics } from './mechanics'
import { railwayDrivers } from './railwayDrivers'
import { ropeInspectors } from './ropeInspectors'
import { trackEngineers } from './trackEngineers'

/** The people of the demo, by the vacancy they apply for. */
export const people: PersonPlan[] = [
  ...electricalSupervisors,
  ...railwayDrivers,
  ...ropeInspectors,
  ...dispatchers,
  ...trackEngineers,
  ...mechanics,
  ...liftAttendants,
]
