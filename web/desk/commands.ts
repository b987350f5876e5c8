import type { Contract } from '#contract/index'
import { say } from '#core/words/say'
import { addressOf } from '../api'
import { queueNames } from './queue/names'

/** Something the finder can do besides finding a person: a place to go to, or a list to keep. */
export type DeskCommand = { name: string; words: string; to: string; file?: boolean; needs?: keyof Contract }

export const deskCommands: readonly DeskCommand[] = [
  ...Object.entries(queueNames).map(([queue, { name, about }]) => ({
    name: say('desk.goTo', { name }),
    words: about,
    to: `/desk/${queue}`,
  })),
  { name: say('desk.applicationsAsATable'), words: say('desk.filterColumnsList'), to: '/desk/applications/table' },
  { name: say('desk.whoIsLikelyLate'), words: say('desk.slackDangerStart'), to: '/desk/applications/table?late=yes' },
  {
    name: say('desk.notScoredYet'),
    words: say('desk.reviewShortlistScore'),
    to: '/desk/applications/table?unscored=yes&stage=sent',
  },
  { name: say('desk.fees'), words: say('desk.feesWords'), to: '/desk/fees', needs: 'listCharges' },
  { name: say('desk.redFlags'), words: say('desk.redFlagsWords'), to: '/desk/red-flags', needs: 'listRedFlags' },
  {
    name: say('statistics.title'),
    words: say('statistics.words'),
    to: '/desk/statistics',
    needs: 'readStatistics',
  },
  {
    name: say('desk.possibleDuplicates'),
    words: say('desk.mergeSamePersonTwice'),
    to: '/desk/duplicates',
    needs: 'listDuplicates',
  },
  {
    name: say('desk.beginForSomebody'),
    words: say('desk.onBehalfPhonePaperForm'),
    to: '/desk/behalf',
    needs: 'beginFor',
  },
  { name: say('desk.paperTray'), words: say('desk.scansPostCoverSheetFile'), to: '/desk/paper', needs: 'readTray' },
  {
    name: say('desk.importPeople'),
    words: say('desk.csvResumeListSpreadsheet'),
    to: '/desk/imports',
    needs: 'listImports',
  },
  { name: say('desk.vacancies'), words: say('desk.postsSetUpRulesForm'), to: '/desk/vacancies' },
  {
    name: say('desk.sources'),
    words: say('desk.universitiesEmployersBoards'),
    to: '/desk/sources',
    needs: 'sourceDirectory',
  },
  {
    name: say('desk.preparedWords'),
    words: say('desk.sentencesMessagesTemplates'),
    to: '/desk/words',
    needs: 'listTemplates',
  },
  {
    name: say('desk.mailIn'),
    words: say('desk.incomingMailAnswersPost'),
    to: '/desk/mail-in',
    needs: 'listIncomingMails',
  },
  {
    name: say('desk.mailsNotTaken'),
    words: say('desk.outboxRefusedWaitingPostSmtp'),
    to: '/desk/outbox',
    needs: 'readOutbox',
  },
  { name: say('desk.safe'), words: say('desk.safeOriginals'), to: '/desk/safe', needs: 'readSafe' },
  { name: say('desk.auditTrail'), words: say('desk.verifyRecordChainHistory'), to: '/desk/trail', needs: 'readTrail' },
  {
    name: say('desk.keepAllApplicationsAsCsv'),
    words: say('desk.exportDownloadList'),
    to: addressOf('exportList', { params: { list: 'applications' } }),
    file: true,
    needs: 'exportList',
  },
  {
    name: say('desk.firstSteps'),
    words: say('desk.firstStepsWords'),
    to: '/desk/first-steps',
    needs: 'readFirstSteps',
  },
  { name: say('desk.catalogue'), words: say('desk.catalogueWords'), to: '/desk/catalogue', needs: 'saveCatalogue' },
  {
    name: say('desk.organisation'),
    words: say('desk.organisationWords'),
    to: '/desk/organisation',
    needs: 'readOrganisation',
  },
  { name: say('desk.peopleHere'), words: say('desk.peopleHereWords'), to: '/desk/colleagues', needs: 'listColleagues' },
  { name: say('desk.rights'), words: say('desk.rightsWords'), to: '/desk/rights', needs: 'readRights' },
  { name: say('desk.howItRuns'), words: say('desk.howItRunsWords'), to: '/desk/operation', needs: 'readOperation' },
  { name: say('desk.yourAccount'), words: say('desk.passwordCodesSignIn'), to: '/account' },
]

/** The commands somebody may use in which every word that was typed begins some word. */
export function commandsFor(text: string, may: (name: keyof Contract) => boolean): DeskCommand[] {
  const typed = text.toLowerCase().split(/\s+/).filter(Boolean)
  return deskCommands.filter(({ name, words, needs }) => {
    if (needs && !may(needs)) return false
    const known = `${name} ${words}`.toLowerCase().split(/[^a-z]+/)
    return typed.every((part) => known.some((word) => word.startsWith(part)))
  })
}
