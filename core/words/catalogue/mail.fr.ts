import type english from './mail.en'
import type { Translated } from './translated'

/** What sources read of these; the rest is never said to them. */
export default {
  'mail.hello': 'Bonjour {{name}},',
  'mail.enquiryReminder.subject': 'Rappel : merci de confirmer {{claim}}, {{candidate}}',
  'mail.enquiryReminder.text':
    'Le {{asked}}, nous vous avons interrogé au sujet de {{candidate}}. Votre réponse décide de la date de début. Cela prend environ deux minutes :\n{{link}}',
  'mail.enquiry.work.subject': 'Merci de confirmer : {{claim}}, {{candidate}}',
  'mail.enquiry.issued.subject': 'Merci de confirmer : {{claim}}, {{candidate}}',
  'mail.enquiry.work.text':
    '{{candidate}} a postulé auprès de {{operator}} et déclare avoir été employé(e) par {{source}} : {{claim}}.\n\nMerci de nous dire si c’est exact. Cela prend environ deux minutes, sans compte :\n{{link}}\n\nNous demandons : {{fields}}. {{candidate}} a signé une autorisation de vérifier, jointe à ce message. Le lien vous est destiné, ne sert qu’une fois et expire.\n\nNous vous serions reconnaissants d’une réponse avant le {{answerBy}}.',
  'mail.enquiry.issued.text':
    '{{candidate}} a postulé auprès de {{operator}} et déclare que {{source}} a délivré ceci : {{claim}}.\n\nMerci de nous dire si c’est exact. Cela prend environ deux minutes, sans compte :\n{{link}}\n\nNous demandons : {{fields}}. {{candidate}} a signé une autorisation de vérifier, jointe à ce message. Le lien vous est destiné, ne sert qu’une fois et expire.\n\nNous vous serions reconnaissants d’une réponse avant le {{answerBy}}.',
  'mail.vouch.subject': '{{candidate}} vous demande de vous porter garant',
  'mail.vouch.text':
    '{{candidate}} postule chez nous comme {{vacancy}} et vous a nommé ({{relation}}).\n\nMerci de nous dire en quelques minutes ce que vous avez vu de son travail :\n{{link}}\n\nAucun compte n’est nécessaire. Celles et ceux qui décident liront votre réponse, {{candidate}} non.',
} satisfies Partial<Translated<typeof english>>
