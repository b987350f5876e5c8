import type english from './letter.en'
import type { Translated } from './translated'

export default {
  'letter.reference': 'Nostro riferimento',
  'letter.date': 'Data',
  'letter.contact': 'Scriverci',
  'letter.phone': 'Chiamarci',
  'letter.subject': 'Richiesta di conferma: {{claim}}, {{candidate}}',
  'letter.subject.several': 'Richiesta di conferma delle dichiarazioni di {{count}} persone',
  'letter.subject.reminder': 'Promemoria: {{subject}}',
  'letter.dear': 'Buongiorno {{source}},',
  'letter.text.work':
    '{{candidate}} si è candidato/a presso di noi e dichiara di aver lavorato da voi: {{claim}}. Vi preghiamo di dirci se è esatto.',
  'letter.text.issued':
    '{{candidate}} si è candidato/a presso di noi e dichiara che avete rilasciato quanto segue: {{claim}}. Vi preghiamo di dirci se è esatto.',
  'letter.text.several':
    'Queste persone si sono candidate presso di noi e vi indicano come fonte di quanto dichiarano:',
  'letter.text.reminder':
    'Vi abbiamo scritto il {{day}} e non abbiamo ancora una risposta. Ne dipende la data di inizio.',
  'letter.text.how':
    'Vi preghiamo di compilare e firmare il modulo allegato, di posarvi sopra il foglio con il quadrato e di rispedire tutto entro il {{answerBy}}. Va bene anche una vostra lettera; posate il foglio anche su di essa.',
  'letter.text.permission': 'Per ogni persona è allegata un’autorizzazione firmata alla verifica.',
  'letter.regards': 'Cordiali saluti',
  'letter.enclosures': 'Allegati: modulo, foglio da posare sopra, autorizzazione alla verifica',
  'letter.form.title': 'Risposta su {{candidate}}',
  'letter.form.right': 'Esatto',
  'letter.form.notSo': 'Non esatto, ma:',
  'letter.form.cannotSay': 'Non si può dire',
  'letter.form.unknown': 'Non conosciamo questa persona o questo documento.',
  'letter.form.standing': 'Oggi la licenza è',
  'letter.form.hours': 'Impiego',
  'letter.form.again': 'La riassumereste?',
  'letter.form.add': 'Da aggiungere',
  'letter.form.name': 'Nome',
  'letter.form.office': 'Ufficio',
  'letter.form.signed': 'Data, firma e timbro',
  'letter.form.sendTo': 'Da spedire a',
  'letter.sheet.title': 'Posate questo foglio sopra la vostra risposta',
  'letter.sheet.why': 'Il quadrato ci dice a che cosa appartiene; così viene letta il giorno in cui arriva.',
  'letter.form.terms': 'Se limitata, a quali condizioni',
} satisfies Translated<typeof english>
