import type { deskPages } from '#contract/pages'
import { say } from '#core/words/say'
import { addTitles } from '../titles'

/** What each place of the desk is called, fetched with its first page. */
const deskTitles: Record<(typeof deskPages)[number], () => string> = {
  '/desk': () => say('desk.today'),
  '/desk/vacancies': () => say('desk.vacancies'),
  '/desk/vacancies/sections': () => say('desk.title.sharedSections'),
  '/desk/vacancies/groups': () => say('composer.groupsOfVacancies'),
  '/desk/vacancies/:id/:part?': () => say('ui.vacancy'),
  '/desk/sources': () => say('desk.sources'),
  '/desk/sources/:id': () => say('desk.sources'),
  '/desk/sources/watchlist': () => say('desk.sources'),
  '/desk/sources/programmes': () => say('desk.sources'),
  '/desk/sources/programmes/:id': () => say('desk.sources'),
  '/desk/verification/table': () => say('enquiries.asATable'),
  '/desk/enquiries/:id': () => say('enquiries.title'),
  '/desk/letters': () => say('enquiries.lettersTitle'),
  '/desk/applications/table': () => say('desk.applicationsAsATable'),
  '/desk/red-flags': () => say('desk.redFlags'),
  '/desk/duplicates/:oneId?/:otherId?': () => say('desk.duplicates'),
  '/desk/paper/:id?': () => say('desk.paperTray'),
  '/desk/behalf': () => say('desk.onBehalf'),
  '/desk/behalf/:id/:section?': () => say('desk.title.writingOnBehalf'),
  '/desk/imports/:id?': () => say('desk.import'),
  '/desk/people/:candidateId': () => say('desk.title.importedPerson'),
  '/desk/words': () => say('desk.preparedWords'),
  '/desk/people/:candidateId/access-log': () => say('desk.title.whoSawWhat'),
  '/desk/mail-in': () => say('overviews.mailIn'),
  '/desk/outbox': () => say('desk.mailsNotTaken'),
  '/desk/safe': () => say('desk.safe'),
  '/desk/trail': () => say('desk.auditTrail'),
  '/desk/statistics/:section?': () => say('statistics.title'),
  '/desk/catalogue/:part?': () => say('desk.catalogue'),
  '/desk/first-steps': () => say('desk.firstSteps'),
  '/desk/organisation': () => say('desk.organisation'),
  '/desk/colleagues': () => say('desk.peopleHere'),
  '/desk/rights': () => say('desk.rights'),
  '/desk/operation': () => say('desk.howItRuns'),
  '/desk/:queue/:id?/:chosen?': () => say('desk.title.desk'),
}
addTitles(deskTitles)
