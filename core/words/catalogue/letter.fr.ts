import type english from './letter.en'
import type { Translated } from './translated'

export default {
  'letter.reference': 'Notre référence',
  'letter.date': 'Date',
  'letter.contact': 'Nous écrire',
  'letter.phone': 'Nous appeler',
  'letter.subject': 'Demande de confirmation : {{claim}}, {{candidate}}',
  'letter.subject.several': 'Demande de confirmation des déclarations de {{count}} personnes',
  'letter.subject.reminder': 'Rappel : {{subject}}',
  'letter.dear': 'Bonjour {{source}},',
  'letter.text.work':
    '{{candidate}} a postulé auprès de nous et déclare avoir été employé(e) chez vous : {{claim}}. Merci de nous dire si c’est exact.',
  'letter.text.issued':
    '{{candidate}} a postulé auprès de nous et déclare que vous avez délivré ceci : {{claim}}. Merci de nous dire si c’est exact.',
  'letter.text.several': 'Ces personnes ont postulé auprès de nous et vous citent comme source de leurs déclarations :',
  'letter.text.reminder':
    'Nous vous avons écrit à ce sujet le {{day}} et n’avons pas encore de réponse. La date de début en dépend.',
  'letter.text.how':
    'Merci de remplir et de signer le formulaire joint, de poser dessus la feuille portant le carré et de renvoyer le tout avant le {{answerBy}}. Une lettre de votre part convient aussi ; merci d’y poser également la feuille.',
  'letter.text.permission': 'Une autorisation de vérifier signée est jointe pour chaque personne.',
  'letter.regards': 'Veuillez agréer nos salutations distinguées',
  'letter.enclosures': 'Pièces jointes : formulaire, feuille à poser dessus, autorisation de vérifier',
  'letter.form.title': 'Réponse au sujet de {{candidate}}',
  'letter.form.right': 'Exact',
  'letter.form.notSo': 'Inexact, mais :',
  'letter.form.cannotSay': 'Ne peut le dire',
  'letter.form.unknown': 'Nous ne connaissons ni cette personne ni ce document.',
  'letter.form.standing': 'Aujourd’hui, la licence est',
  'letter.form.hours': 'Employé(e)',
  'letter.form.again': 'L’emploieriez-vous de nouveau ?',
  'letter.form.add': 'À ajouter',
  'letter.form.name': 'Nom',
  'letter.form.office': 'Fonction',
  'letter.form.signed': 'Date, signature et cachet',
  'letter.form.sendTo': 'À envoyer à',
  'letter.sheet.title': 'Merci de poser cette feuille sur votre réponse',
  'letter.sheet.why': 'Le carré nous dit de quoi il s’agit ; la réponse est lue le jour de son arrivée.',
  'letter.form.terms': 'Si restreinte, à quelles conditions',
} satisfies Translated<typeof english>
