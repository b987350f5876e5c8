import { say } from '#core/words/say'
import { addressOf } from '../api'
import { queueNames } from './queue/names'

/** Something the finder can do besides finding a person: a place to go to, or a list to keep. */
export type DeskCommand = { name: string; words: string; to: string; file?: boolean; keepersOnly?: boolean }

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
  {
    name: say('desk.possibleDuplicates'),
    words: say('desk.mergeSamePersonTwice'),
    to: '/desk/duplicates',
    keepersOnly: true,
  },
  {
    name: say('desk.beginForSomebody'),
    words: say('desk.onBehalfPhonePaperForm'),
    to: '/desk/behalf',
    keepersOnly: true,
  },
  { name: say('desk.paperTray'), words: say('desk.scansPostCoverSheetFile'), to: '/desk/paper', keepersOnly: true },
  {
    name: say('desk.importPeople'),
    words: say('desk.csvResumeListSpreadsheet'),
    to: '/desk/imports',
    keepersOnly: true,
  },
  { name: say('desk.vacancies'), words: say('desk.postsSetUpRulesForm'), to: '/desk/vacancies' },
  { name: say('desk.sources'), words: say('desk.universitiesEmployersBoards'), to: '/desk/sources', keepersOnly: true },
  {
    name: say('desk.preparedWords'),
    words: say('desk.sentencesMessagesTemplates'),
    to: '/desk/words',
    keepersOnly: true,
  },
  {
    name: say('desk.mailIn'),
    words: say('desk.incomingMailAnswersPost'),
    to: '/desk/mail-in',
    keepersOnly: true,
  },
  {
    name: say('desk.mailsNotTaken'),
    words: say('desk.outboxRefusedWaitingPostSmtp'),
    to: '/desk/outbox',
    keepersOnly: true,
  },
  { name: say('desk.auditTrail'), words: say('desk.verifyRecordChainHistory'), to: '/desk/trail', keepersOnly: true },
  {
    name: say('desk.keepAllApplicationsAsCsv'),
    words: say('desk.exportDownloadList'),
    to: addressOf('exportList', { params: { list: 'applications' } }),
    file: true,
    keepersOnly: true,
  },
  { name: say('desk.yourAccount'), words: say('desk.passwordCodesSignIn'), to: '/account' },
]

/** The commands in which every word that was typed begins some word. */
export function commandsFor(text: string, isKeeper: boolean): DeskCommand[] {
  const typed = text.toLowerCase().split(/\s+/).filter(Boolean)
  return deskCommands.filter(({ name, words, keepersOnly }) => {
    if (keepersOnly && !isKeeper) return false
    const known = `${name} ${words}`.toLowerCase().split(/[^a-z]+/)
    return typed.every((part) => known.some((word) => word.startsWith(part)))
  })
}
