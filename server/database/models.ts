import type { Sequelize } from 'sequelize'
import { defineAccounts } from '../accounts/model'
import { defineApplications } from '../applications/model'
import { defineEvents } from '../audit/model'
import { defineClaims } from '../claims/model'
import { defineSettings } from '../demo/settings'
import { defineViews } from '../desk/views'
import { defineDocuments } from '../documents/model'
import { defineDoubles } from '../doubles/model'
import { defineEquality } from '../equality/model'
import { defineHiring } from '../hiring/model'
import { defineIdentity } from '../identity/model'
import { defineImports } from '../imports/model'
import { defineJobs } from '../jobs/model'
import { defineMessages } from '../messages/model'
import { definePrepared } from '../messages/prepared'
import { definePaper } from '../paper/model'
import { defineCandidateKeys } from '../people/model'
import { definePermissions } from '../permissions/model'
import { defineRules } from '../rules/model'
import { defineScoring } from '../scoring/model'
import { defineSkills } from '../skills/model'
import { defineSources } from '../sources/model'
import { defineVacancies } from '../vacancies/model'
import { defineVerification } from '../verification/model'
import { defineVouching } from '../vouching/model'

/** Ties every model to its database. Once a process. */
export function defineModels(sequelize: Sequelize) {
  for (const define of [
    defineAccounts,
    defineApplications,
    defineEvents,
    defineClaims,
    defineSettings,
    defineDocuments,
    defineHiring,
    defineJobs,
    defineMessages,
    definePermissions,
    defineRules,
    defineSkills,
    defineSources,
    defineVacancies,
    defineVerification,
    defineIdentity,
    defineVouching,
    defineEquality,
    definePrepared,
    defineViews,
    definePaper,
    defineImports,
    defineScoring,
    defineCandidateKeys,
    defineDoubles,
  ]) {
    define(sequelize)
  }
}
