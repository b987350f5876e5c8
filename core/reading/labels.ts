import type { FieldKey } from '../comparison/compareClaim'

/** What stands in front of a value on papers in English, German, French and Italian. Compared without accents. */
const labels = {
  born: [
    'date of birth',
    'born on',
    'born',
    'geboren am',
    'geboren',
    'geb',
    'geburtsdatum',
    'ne le',
    'nee le',
    'ne\\(e\\) le',
    'date de naissance',
    'nato il',
    'nata il',
    'nato/a il',
    'data di nascita',
  ],
  issued: [
    'date of issue',
    'issued on',
    'issued',
    'ausgestellt am',
    'ausstellungsdatum',
    'ausgestellt',
    'delivre le',
    'delivree le',
    'date de delivrance',
    'emis le',
    'rilasciato il',
    'rilasciata il',
    'data di rilascio',
    'certified on',
    'beglaubigt am',
    'legalise le',
  ],
  through: [
    'valid through',
    'valid until',
    'valid to',
    'expires on',
    'expires',
    'expiry date',
    'date of expiry',
    'gultig bis',
    'ablaufdatum',
    'valable jusqu.?au',
    'date d.expiration',
    'valide jusqu.?au',
    'valido fino al',
    'valida fino al',
    'scade il',
    'data di scadenza',
    'scadenza',
  ],
  awarded: [
    'date of award',
    'awarded on',
    'conferred on',
    'verliehen am',
    'prufungsdatum',
    'delivre le',
    'decerne le',
    'conferito il',
    'conseguito il',
    'graduated on',
    'completed on',
  ],
  from: [
    'from',
    'since',
    'first day',
    'vom',
    'von',
    'ab',
    'seit',
    'eintritt',
    'erster tag',
    'du',
    'depuis le',
    'depuis',
    'entree',
    'dal',
    'dall.?',
    'inizio',
  ],
  to: [
    'to',
    'until',
    'through',
    'last day',
    'bis zum',
    'bis',
    'austritt',
    'letzter tag',
    'au',
    'jusqu.?au',
    'sortie',
    'al',
    'fino al',
    'fine',
  ],
} satisfies Partial<Record<FieldKey, readonly string[]>>

export type LabelledDate = keyof typeof labels

/** A text without accents and in small letters, character for character. */
export const unaccented = (text: string): string =>
  [...text]
    .map((letter) => letter.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase().slice(0, letter.length) || letter)
    .join('')

const patterns = Object.fromEntries(
  Object.entries(labels).map(([key, words]) => [
    key,
    new RegExp(`(?<!\\p{L})(?:${words.join('|')})(?:\\s+\\p{L}{1,3})?[\\s.:,]*$`, 'u'),
  ]),
) as Record<LabelledDate, RegExp>

/** Whether what stands before a value says that it is this one. */
export const isLabelOf = (key: LabelledDate, before: string): boolean => patterns[key].test(unaccented(before))

/** What stands before somebody's name. */
export const beforeName =
  /(?:certif(?:y|ies|ied) that|confirms? that|conferred (?:up)?on|(?:issued|awarded|granted) to|bescheinig\w+,? dass|bestatig\w+,? dass|(?:verliehen|ausgestellt) (?:an|fur)|(?<!\p{L})(?:herrn?|frau|monsieur|madame|mme|mr|mrs|ms)\.?|decern\w+ a|delivree? a|certifi\w+ que|attest\w+ que|rilasciat[oa] a|conferit[oa] a|certifica che|attesta che|(?<!\p{L})(?:full name|name of holder|holder|inhaber(?:in)?|titulaire|titolare|name|nom et prenom|nom|cognome e nome|nome)\s*:?)\s*$/u

/** What stands before the number of a paper. */
export const beforeNumber =
  /(?:(?<!\p{L})n\s?[°º*]|(?<!\p{L})n[or]\.|(?<!\p{L})n[or](?=\s*:?\s*$)|(?<!\p{L})(?:number|nummer|numero)|\p{L}*(?:nummer|nr\.?))\s*[.:]?\s*$/u

/** What stands before what somebody did. */
export const beforePosition =
  /(?<!\p{L})(?:worked (?:for us )?as(?: an?)?|employed as(?: an?)?|as(?: an?)?|position|job title|function|als|funktion|stelle|en qualite de|en tant que|comme|poste|fonction|in qualita di|come|posizione|mansione)\s*:?\s*/u
