import type { Sequelize } from 'sequelize'
import { defineEvents } from './platform/audit/model'
import { defineSettings } from './platform/database/settings'
import { defineJobs } from './platform/jobs/model'
import { defineMessages } from './platform/mail/model'
import { defineAccounts } from './records/accounts/model'
import { defineApplications } from './records/applications/model'
import { defineOwners } from './records/applications/owners'
import { defineClaims } from './records/claims/model'
import { defineConversations } from './records/conversations/model'
import { defineDecisions } from './records/decisions/model'
import { defineUnfinished } from './records/decisions/unfinished'
import { defineDocuments } from './records/documents/model'
import { defineReadings } from './records/documents/readings'
import { defineDoubles } from './records/duplicates/model'
import { defineVerification } from './records/enquiries/model'
import { defineEquality } from './records/equality/model'
import { defineClosings } from './records/fees/closing'
import { defineEmployers } from './records/fees/employers'
import { defineFees } from './records/fees/model'
import { defineHeard } from './records/heard/model'
import { defineForecasts } from './records/hiring/forecasts'
import { defineHiring } from './records/hiring/model'
import { defineIdentity } from './records/identity/model'
import { defineImports } from './records/imports/model'
import { defineIncomingMails } from './records/mails/model'
import { defineMatters } from './records/matters/model'
import { defineNotices } from './records/messages/notices'
import { definePrepared } from './records/messages/prepared'
import { defineOriginals } from './records/originals/model'
import { defineCandidateKeys } from './records/people/model'
import { definePermissions } from './records/permissions/model'
import { defineRecipients } from './records/recipients/model'
import { defineFlags } from './records/redFlags/model'
import { defineReports } from './records/reports/model'
import { defineRules } from './records/rules/model'
import { defineScoring } from './records/scoring/model'
import { defineSkills } from './records/skills/model'
import { defineSources } from './records/sources/model'
import { defineResearch } from './records/sources/research'
import { definePaper } from './records/tray/model'
import { defineVacancies } from './records/vacancies/model'
import { defineViews } from './records/views/views'
import { defineVouching } from './records/vouching/model'

/** Ties every model to its database. Once a process. */
export function defineModels(sequelize: Sequelize) {
  for (const define of [
    defineAccounts,
    defineApplications,
    defineOwners,
    defineEvents,
    defineClaims,
    defineSettings,
    defineDocuments,
    defineReadings,
    defineDecisions,
    defineUnfinished,
    defineFees,
    defineEmployers,
    defineClosings,
    defineForecasts,
    defineHiring,
    defineJobs,
    defineMessages,
    definePermissions,
    defineReports,
    defineRecipients,
    defineRules,
    defineSkills,
    defineSources,
    defineResearch,
    defineVacancies,
    defineVerification,
    defineIdentity,
    defineVouching,
    defineEquality,
    definePrepared,
    defineNotices,
    defineMatters,
    defineOriginals,
    defineHeard,
    defineIncomingMails,
    defineConversations,
    defineViews,
    definePaper,
    defineImports,
    defineScoring,
    defineCandidateKeys,
    defineDoubles,
    defineFlags,
  ]) {
    define(sequelize)
  }
}
