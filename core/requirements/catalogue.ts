import type { Translations } from '../words/translations'

/** What a kind of licence or certificate is called and needs. */
export type CredentialKind = {
  key: string
  name: string
  claim: 'licence' | 'certificate'
  expires: boolean
  /** Days a renewal usually takes; within them before its last day it counts as expiring. */
  leadDays: number
  papers: string
  translations?: Translations<'name' | 'papers'>
  /** How the known issuer numbers it, as a regular expression over the whole number, with an example. */
  number?: { pattern: string; example: string }
  /** It is given for one of these regions. */
  regions?: readonly string[]
  /** It is a card or a licence whose back says something too. */
  bothSides?: boolean
}

export const credentialKinds: readonly CredentialKind[] = [
  {
    key: 'hv-switching',
    name: 'High-voltage switching authority',
    claim: 'licence',
    expires: true,
    leadDays: 60,
    papers: 'both sides of the card',
    translations: { de: { name: 'Schaltberechtigung für Hochspannung', papers: 'beide Seiten der Karte' } },
    bothSides: true,
    number: { pattern: 'GSB-[1-4]-\\d{5}', example: 'GSB-2-57733' },
  },
  {
    key: 'work-at-height',
    name: 'Work at height certificate',
    claim: 'certificate',
    expires: true,
    leadDays: 45,
    papers: 'the certificate',
    translations: { de: { name: 'Zeugnis für Arbeiten in der Höhe', papers: 'das Zeugnis' } },
    number: { pattern: 'HW-\\d{2}-\\d{4}', example: 'HW-24-0590' },
  },
  {
    key: 'first-aid',
    name: 'First aid at work',
    claim: 'certificate',
    expires: true,
    leadDays: 30,
    papers: 'the certificate',
    translations: { de: { name: 'Erste Hilfe am Arbeitsplatz', papers: 'das Zeugnis' } },
    number: { pattern: 'FH-\\d{5}', example: 'FH-90112' },
  },
  {
    key: 'medical',
    name: 'Medical fitness for mountain operations',
    claim: 'certificate',
    expires: true,
    leadDays: 30,
    papers: 'the fitness statement, without findings',
    translations: {
      de: { name: 'Gesundheitliche Eignung für den Bergbetrieb', papers: 'die Eignungsbestätigung, ohne Befunde' },
    },
    number: { pattern: 'VOH-\\d{4}', example: 'VOH-5521' },
  },
  {
    key: 'rope-access',
    name: 'Rope access card',
    claim: 'certificate',
    expires: true,
    leadDays: 60,
    papers: 'both sides of the card',
    translations: { de: { name: 'Karte für Seilzugang', papers: 'beide Seiten der Karte' } },
    bothSides: true,
    number: { pattern: 'RG-[1-3]-\\d{5}', example: 'RG-3-21560' },
  },
  {
    key: 'train-driving',
    name: 'Rack-railway driving licence',
    claim: 'licence',
    expires: true,
    leadDays: 90,
    papers: 'both sides of the licence',
    translations: { de: { name: 'Führerschein für Zahnradbahnen', papers: 'beide Seiten des Führerscheins' } },
    bothSides: true,
    number: { pattern: 'MRA-D-\\d{5}', example: 'MRA-D-20019' },
  },
  {
    key: 'welding',
    name: 'Welding qualification',
    claim: 'certificate',
    expires: true,
    leadDays: 60,
    papers: 'the certificate',
    translations: { de: { name: 'Schweißprüfung', papers: 'das Zeugnis' } },
    number: { pattern: 'HW-W-\\d{3}', example: 'HW-W-140' },
  },
  {
    key: 'dispatcher',
    name: 'Control-room dispatcher licence',
    claim: 'licence',
    expires: true,
    leadDays: 60,
    papers: 'both sides of the licence',
    translations: { de: { name: 'Lizenz für die Leitstelle', papers: 'beide Seiten des Führerscheins' } },
    bothSides: true,
    number: { pattern: 'MRA-C-\\d{5}', example: 'MRA-C-10877' },
  },
  {
    key: 'blasting',
    name: 'Avalanche blasting permit',
    claim: 'licence',
    expires: true,
    leadDays: 90,
    papers: 'the permit',
    translations: { de: { name: 'Sprengbefugnis für Lawinen', papers: 'die Befugnis' } },
    regions: ['Vallorne', 'Hochsattel', 'Lower Arve valley'],
  },
  {
    key: 'signalling',
    name: 'Signalling works authority',
    claim: 'licence',
    expires: true,
    leadDays: 60,
    papers: 'the authority card',
    translations: { de: { name: 'Berechtigung für Arbeiten an Signalen', papers: 'die Berechtigungskarte' } },
    number: { pattern: 'MRA-S-\\d{5}', example: 'MRA-S-28817' },
  },
]

/** Levels of the International Standard Classification of Education, ISCED 2011. */
export const studyLevels = [3, 4, 5, 6, 7, 8] as const

/** The narrow fields of ISCED-F 2013 that the posts ask for. */
export const studyFields = ['0311', '0413', '0532', '0613', '0713', '0714', '0715', '0716', '0732', '1041'] as const

/** Whether a number is one the known issuer of a kind could have given; a kind that says nothing takes any. */
export function numberFits(kind: string, number: string): boolean {
  const { pattern } = credentialKind(kind)?.number ?? {}
  return pattern === undefined || new RegExp(`^(${pattern})$`, 'i').test(number.trim())
}

export const credentialKind = (key: string) => credentialKinds.find((kind) => kind.key === key)
