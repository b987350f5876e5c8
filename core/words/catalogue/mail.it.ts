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
  'mail.enquiry.several.subject': 'Vi preghiamo di confermare le dichiarazioni di {{count}} persone',
  'mail.enquiry.several.text':
    'Queste persone si sono candidate presso {{operator}} e indicano {{source}} come fonte di quanto dichiarano:\n\n{{people}}\n\nVi preghiamo di dirci se è esatto. A ciascuna si risponde separatamente, su una sola pagina e senza conto:\n{{link}}\n\nPer ciascuna è allegata un’autorizzazione firmata alla verifica. Il link è destinato a voi e scade.\n\nVi saremmo grati di una risposta entro il {{answerBy}}.',
  'mail.enquiry.line': '{{candidate}}: {{claim}} ({{reference}})',
  'mail.enquiry.direct.subject': 'Vi preghiamo di inviarci la vostra conferma, {{reference}}: {{claim}}, {{candidate}}',
  'mail.enquiry.direct.text':
    '{{candidate}} si è candidato/a presso {{operator}} e indica {{source}} come fonte di quanto segue: {{claim}}.\n\nVi preghiamo di inviarci la vostra conferma di: {{fields}}. Per posta elettronica a {{contact}}, o in busta chiusa a:\n{{address}}\n\nIndicate il riferimento {{reference}}, perché arrivi al posto giusto. {{candidate}} ha firmato un’autorizzazione alla verifica, allegata.\n\nVi saremmo grati di riceverla entro il {{answerBy}}.',
  'mail.enquiryReminder.several.subject':
    'Promemoria: vi preghiamo di confermare le dichiarazioni di {{count}} persone',
  'mail.enquiryReminder.several.text':
    'Il {{asked}} vi abbiamo chiesto di queste persone. Dalla vostra risposta dipende quando possono iniziare:\n\n{{people}}\n\nBastano pochi minuti:\n{{link}}',
  'mail.enquiry.permission': 'Autorizzazione alla verifica, {{name}}',
  'mail.enquiry.forwarded.subject': '{{by}} vi inoltra una domanda: {{claim}}, {{candidate}}',
  'mail.enquiry.forwarded.text':
    '{{by}} di {{source}} vi ha inoltrato questa domanda di {{operator}}.\n\n{{candidate}} indica {{source}} come fonte di quanto segue: {{claim}}. Vi preghiamo di dirci se è esatto. Bastano circa due minuti, senza conto:\n{{link}}\n\nÈ allegata un’autorizzazione firmata alla verifica. Il link è destinato a voi, vale una sola volta e scade.\n\nVi saremmo grati di una risposta entro il {{answerBy}}.',
} satisfies Partial<Translated<typeof english>>
