import type english from './mail.en'
import type { Translated } from './translated'

/** What sources read of these; the rest is never said to them. */
export default {
  'mail.hello': 'Buongiorno {{name}},',
  'mail.enquiryReminder.subject': 'Promemoria: confermare {{claim}}, {{candidate}}',
  'mail.enquiryReminder.text':
    'Il {{asked}} Le abbiamo posto una domanda su {{candidate}}. La Sua risposta decide quando può iniziare. Bastano circa due minuti:\n{{link}}',
  'mail.enquiry.work.subject': 'Confermare per favore: {{claim}}, {{candidate}}',
  'mail.enquiry.issued.subject': 'Confermare per favore: {{claim}}, {{candidate}}',
  'mail.enquiry.work.text':
    '{{candidate}} si è candidato/a presso {{operator}} e dichiara di essere stato/a impiegato/a da {{source}}: {{claim}}.\n\nCi dica per favore se è corretto. Bastano circa due minuti, senza account:\n{{link}}\n\nChiediamo: {{fields}}. {{candidate}} ha firmato un’autorizzazione alla verifica, allegata a questo messaggio. Il link è destinato a Lei, vale una volta e scade.\n\nSaremmo grati di una risposta entro il {{answerBy}}.',
  'mail.enquiry.issued.text':
    '{{candidate}} si è candidato/a presso {{operator}} e dichiara che {{source}} ha rilasciato questo: {{claim}}.\n\nCi dica per favore se è corretto. Bastano circa due minuti, senza account:\n{{link}}\n\nChiediamo: {{fields}}. {{candidate}} ha firmato un’autorizzazione alla verifica, allegata a questo messaggio. Il link è destinato a Lei, vale una volta e scade.\n\nSaremmo grati di una risposta entro il {{answerBy}}.',
  'mail.vouch.subject': '{{candidate}} Le chiede di garantire',
  'mail.vouch.text':
    '{{candidate}} si candida da noi come {{vacancy}} e ha indicato Lei ({{relation}}).\n\nCi dica per favore in pochi minuti che cosa ha visto del suo lavoro:\n{{link}}\n\nNon serve alcun account. La Sua risposta la legge chi decide, non {{candidate}}.',
} satisfies Partial<Translated<typeof english>>
