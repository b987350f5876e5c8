import type english from './state.en'
import type { Translated } from './translated'

export default {
  'state.stage.being written': 'wird geschrieben',
  'state.stage.sent': 'abgeschickt',
  'state.stage.shortlisted': 'in engerer Wahl',
  'state.stage.offered': 'mit Angebot',
  'state.stage.cleared': 'frei zum Antritt',
  'state.stage.withdrawn': 'zurückgezogen',
  'state.stage.declined': 'Angebot abgelehnt',
  'state.stage.turned down': 'abgesagt',
  'state.gate.send': 'Abschicken',
  'state.gate.shortlist': 'engere Wahl',
  'state.gate.offer': 'Angebot',
  'state.gate.start': 'Antritt',
  'state.vacancyState.draft': 'Entwurf',
  'state.vacancyState.open': 'offen',
  'state.vacancyState.closed': 'geschlossen',
  'state.vacancyState.filled': 'besetzt',
  'state.outcome.met': 'erfüllt',
  'state.outcome.unmet': 'nicht erfüllt',
  'state.outcome.not needed': 'nicht nötig',
  'state.outcome.undecided': 'offen',
  'state.decision.confirmed': 'bestätigt',
  'state.decision.confirmed with a note': 'mit Notiz bestätigt',
  'state.decision.contradicted': 'widersprochen',
  'state.decision.unconfirmable': 'nicht bestätigbar',
} satisfies Translated<typeof english>
