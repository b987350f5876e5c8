import accessDe from './catalogue/access.de'
import accessEn from './catalogue/access.en'
import enquiryDe from './catalogue/enquiry.de'
import enquiryEn from './catalogue/enquiry.en'
import eventDe from './catalogue/event.de'
import eventEn from './catalogue/event.en'
import hiddenDe from './catalogue/hidden.de'
import hiddenEn from './catalogue/hidden.en'
import importsDe from './catalogue/imports.de'
import importsEn from './catalogue/imports.en'
import letterDe from './catalogue/letter.de'
import letterEn from './catalogue/letter.en'
import letterFr from './catalogue/letter.fr'
import letterIt from './catalogue/letter.it'
import listDe from './catalogue/list.de'
import listEn from './catalogue/list.en'
import mailDe from './catalogue/mail.de'
import mailEn from './catalogue/mail.en'
import mailFr from './catalogue/mail.fr'
import mailIt from './catalogue/mail.it'
import messagesDe from './catalogue/messages.de'
import messagesEn from './catalogue/messages.en'
import problemDe from './catalogue/problem.de'
import problemEn from './catalogue/problem.en'
import problemFr from './catalogue/problem.fr'
import problemIt from './catalogue/problem.it'
import queueDe from './catalogue/queue.de'
import queueEn from './catalogue/queue.en'
import shapeFr from './catalogue/shape.fr'
import shapeIt from './catalogue/shape.it'
import trayDe from './catalogue/tray.de'
import trayEn from './catalogue/tray.en'
import vacancyDe from './catalogue/vacancy.de'
import vacancyEn from './catalogue/vacancy.en'
import vouchDe from './catalogue/vouch.de'
import vouchEn from './catalogue/vouch.en'
import administrationDe from './groups/administration.de'
import administrationEn from './groups/administration.en'
import askingDe from './groups/asking.de'
import askingEn from './groups/asking.en'
import checkingDe from './groups/checking.de'
import checkingEn from './groups/checking.en'
import deskDe from './groups/desk.de'
import deskEn from './groups/desk.en'
import portalDe from './groups/portal.de'
import portalEn from './groups/portal.en'
import replyDe from './groups/reply.de'
import replyEn from './groups/reply.en'
import replyFr from './groups/reply.fr'
import replyIt from './groups/reply.it'
import reportDe from './groups/report.de'
import reportEn from './groups/report.en'
import startDe from './groups/start.de'
import startEn from './groups/start.en'
import vacanciesDe from './groups/vacancies.de'
import vacanciesEn from './groups/vacancies.en'
import { learn } from './say'

/** Teaches every text in every language, for the server and for tests; a page loads only what it shows. */
export function learnEverything() {
  learn('en', startEn)
  learn('en', checkingEn)
  learn('en', vacanciesEn)
  learn('en', askingEn)
  learn('en', portalEn)
  learn('en', replyEn)
  learn('en', reportEn)
  learn('en', deskEn)
  learn('en', administrationEn)
  learn('en', accessEn)
  learn('en', enquiryEn)
  learn('en', eventEn)
  learn('en', hiddenEn)
  learn('en', importsEn)
  learn('en', listEn)
  learn('en', letterEn)
  learn('en', mailEn)
  learn('en', messagesEn)
  learn('en', problemEn)
  learn('en', queueEn)
  learn('en', trayEn)
  learn('en', vacancyEn)
  learn('en', vouchEn)
  learn('de', startDe)
  learn('de', checkingDe)
  learn('de', vacanciesDe)
  learn('de', askingDe)
  learn('de', portalDe)
  learn('de', replyDe)
  learn('de', reportDe)
  learn('de', deskDe)
  learn('de', administrationDe)
  learn('de', accessDe)
  learn('de', enquiryDe)
  learn('de', eventDe)
  learn('de', hiddenDe)
  learn('de', importsDe)
  learn('de', listDe)
  learn('de', letterDe)
  learn('de', mailDe)
  learn('de', messagesDe)
  learn('de', problemDe)
  learn('de', queueDe)
  learn('de', trayDe)
  learn('de', vacancyDe)
  learn('de', vouchDe)
  learn('fr', replyFr)
  learn('fr', letterFr)
  learn('fr', problemFr)
  learn('fr', shapeFr)
  learn('fr', mailFr)
  learn('it', replyIt)
  learn('it', letterIt)
  learn('it', problemIt)
  learn('it', shapeIt)
  learn('it', mailIt)
}
