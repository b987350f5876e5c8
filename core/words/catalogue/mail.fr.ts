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
  'mail.enquiry.several.subject': 'Merci de confirmer les déclarations de {{count}} personnes',
  'mail.enquiry.several.text':
    'Ces personnes ont postulé auprès de {{operator}} et citent {{source}} comme source de leurs déclarations :\n\n{{people}}\n\nMerci de nous dire si c’est exact. Chacune reçoit sa propre réponse, sur une seule page et sans compte :\n{{link}}\n\nUne autorisation de vérifier signée est jointe pour chacune. Le lien vous est destiné et expire.\n\nNous vous serions reconnaissants d’une réponse avant le {{answerBy}}.',
  'mail.enquiry.line': '{{candidate}} : {{claim}} ({{reference}})',
  'mail.enquiry.direct.subject': 'Merci de nous envoyer votre confirmation, {{reference}} : {{claim}}, {{candidate}}',
  'mail.enquiry.direct.text':
    '{{candidate}} a postulé auprès de {{operator}} et déclare que {{source}} est la source de ceci : {{claim}}.\n\nMerci de nous envoyer votre propre confirmation de : {{fields}}. Par courriel à {{contact}}, ou sous pli fermé à :\n{{address}}\n\nMerci d’y porter la référence {{reference}}, afin qu’elle trouve son chemin. {{candidate}} a signé une autorisation de vérifier, jointe à ce message.\n\nNous vous serions reconnaissants de la recevoir avant le {{answerBy}}.',
  'mail.enquiryReminder.several.subject': 'Rappel : merci de confirmer les déclarations de {{count}} personnes',
  'mail.enquiryReminder.several.text':
    'Le {{asked}}, nous vous avons interrogé au sujet de ces personnes. Votre réponse décide de leur date de début :\n\n{{people}}\n\nCela prend quelques minutes :\n{{link}}',
  'mail.enquiry.permission': 'Autorisation de vérifier, {{name}}',
  'mail.enquiry.forwarded.subject': '{{by}} vous transmet une question : {{claim}}, {{candidate}}',
  'mail.enquiry.forwarded.text':
    '{{by}} de {{source}} vous a transmis cette question de {{operator}}.\n\n{{candidate}} cite {{source}} comme source de ceci : {{claim}}. Merci de nous dire si c’est exact. Cela prend environ deux minutes, sans compte :\n{{link}}\n\nUne autorisation de vérifier signée est jointe. Le lien vous est destiné, ne sert qu’une fois et expire.\n\nNous vous serions reconnaissants d’une réponse avant le {{answerBy}}.',
} satisfies Partial<Translated<typeof english>>
