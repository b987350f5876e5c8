import * as accounts from './accounts'
import * as applications from './applications'
import * as audit from './audit'
import * as behalf from './behalf'
import * as catalogue from './catalogue'
import * as claims from './claims'
import * as closings from './closings'
import * as colleagues from './colleagues'
import * as conversations from './conversations'
import * as coverSheets from './coverSheets'
import * as credentials from './credentials'
import * as demo from './demo'
import * as desk from './desk'
import * as documents from './documents'
import * as dryRuns from './dryRuns'
import * as duplicates from './duplicates'
import * as employers from './employers'
import type { Endpoint } from './endpoint'
import * as enquiries from './enquiries'
import * as equality from './equality'
import * as fees from './fees'
import * as firstSteps from './firstSteps'
import * as handling from './handling'
import * as heard from './heard'
import * as identity from './identity'
import * as imports from './imports'
import * as incomingMails from './incomingMails'
import * as letters from './letters'
import * as lists from './lists'
import * as matters from './matters'
import * as messages from './messages'
import * as notices from './notices'
import * as operation from './operation'
import * as organisation from './organisation'
import * as originals from './originals'
import * as places from './places'
import * as privacy from './privacy'
import * as programmes from './programmes'
import * as recipients from './recipients'
import * as redFlags from './redFlags'
import * as reply from './reply'
import * as reports from './reports'
import * as reviews from './reviews'
import * as rules from './rules'
import * as scoring from './scoring'
import * as sharedSections from './sharedSections'
import * as skills from './skills'
import * as sources from './sources'
import * as sourceTexts from './sourceTexts'
import * as statistics from './statistics'
import * as status from './status'
import * as transfers from './transfers'
import * as tray from './tray'
import * as turnaround from './turnaround'
import * as unfinished from './unfinished'
import * as vacancies from './vacancies'
import * as vacancyGroups from './vacancyGroups'
import * as vacancySetUp from './vacancySetUp'
import * as verification from './verification'
import * as vouchers from './vouchers'
import * as vouching from './vouching'

const everything = {
  ...accounts,
  ...catalogue,
  ...vacancies,
  ...rules,
  ...dryRuns,
  ...sharedSections,
  ...vacancyGroups,
  ...vacancySetUp,
  ...organisation,
  ...operation,
  ...colleagues,
  ...firstSteps,
  ...places,
  ...fees,
  ...transfers,
  ...vouchers,
  ...closings,
  ...claims,
  ...applications,
  ...statistics,
  ...status,
  ...behalf,
  ...sources,
  ...sourceTexts,
  ...skills,
  ...reviews,
  ...unfinished,
  ...verification,
  ...enquiries,
  ...credentials,
  ...letters,
  ...reply,
  ...handling,
  ...heard,
  ...identity,
  ...vouching,
  ...equality,
  ...desk,
  ...documents,
  ...audit,
  ...privacy,
  ...matters,
  ...messages,
  ...notices,
  ...coverSheets,
  ...programmes,
  ...originals,
  ...conversations,
  ...incomingMails,
  ...lists,
  ...tray,
  ...imports,
  ...scoring,
  ...duplicates,
  ...employers,
  ...redFlags,
  ...recipients,
  ...reports,
  ...turnaround,
  ...demo,
}

type Everything = typeof everything
type EndpointNames = { [K in keyof Everything]: Everything[K] extends Endpoint ? K : never }[keyof Everything]

export type Contract = Pick<Everything, EndpointNames>

const isEndpoint = (value: unknown): value is Endpoint =>
  typeof value === 'object' && value !== null && 'method' in value && 'path' in value

/** Every endpoint by its name. */
export const contract = Object.fromEntries(
  Object.entries(everything).filter(([, value]) => isEndpoint(value)),
) as unknown as Contract
