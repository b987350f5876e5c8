/** Kinds of credentials were in code until here. A house that has vacancies keeps those it has gone by. */
const kind = (
  key: string,
  name: string,
  german: string,
  claim: 'licence' | 'certificate',
  leadDays: number,
  papers: string,
  germanPapers: string,
  more: object = {},
) => ({
  ...{ key, name, claim, leadDays, papers, translations: { de: { name: german, papers: germanPapers } } },
  ...{ validity: { kind: 'printed' }, bothSides: false, sensitivity: 'usual', fields: [], ...more },
})

const credentials = [
  kind(
    'hv-switching',
    'High-voltage switching authority',
    'Schaltberechtigung für Hochspannung',
    'licence',
    60,
    'both sides of the card',
    'beide Seiten der Karte',
    { number: { pattern: 'GSB-[1-4]-#####', example: 'GSB-2-57733' }, bothSides: true },
  ),
  kind(
    'work-at-height',
    'Work at height certificate',
    'Zeugnis für Arbeiten in der Höhe',
    'certificate',
    45,
    'the certificate',
    'das Zeugnis',
    { number: { pattern: 'HW-##-####', example: 'HW-24-0590' } },
  ),
  kind(
    'first-aid',
    'First aid at work',
    'Erste Hilfe am Arbeitsplatz',
    'certificate',
    30,
    'the certificate',
    'das Zeugnis',
    { number: { pattern: 'FH-#####', example: 'FH-90112' } },
  ),
  kind(
    'medical',
    'Medical fitness for mountain operations',
    'Gesundheitliche Eignung für den Bergbetrieb',
    'certificate',
    30,
    'the fitness statement, without findings',
    'die Eignungsbestätigung, ohne Befunde',
    { number: { pattern: 'VOH-####', example: 'VOH-5521' }, sensitivity: 'health' },
  ),
  kind(
    'rope-access',
    'Rope access card',
    'Karte für Seilzugang',
    'certificate',
    60,
    'both sides of the card',
    'beide Seiten der Karte',
    { number: { pattern: 'RG-[1-3]-#####', example: 'RG-3-21560' }, bothSides: true },
  ),
  kind(
    'train-driving',
    'Rack-railway driving licence',
    'Führerschein für Zahnradbahnen',
    'licence',
    90,
    'both sides of the licence',
    'beide Seiten des Führerscheins',
    { number: { pattern: 'MRA-D-#####', example: 'MRA-D-20019' }, bothSides: true },
  ),
  kind('welding', 'Welding qualification', 'Schweißprüfung', 'certificate', 60, 'the certificate', 'das Zeugnis', {
    number: { pattern: 'HW-W-###', example: 'HW-W-140' },
  }),
  kind(
    'dispatcher',
    'Control-room dispatcher licence',
    'Lizenz für die Leitstelle',
    'licence',
    60,
    'both sides of the licence',
    'beide Seiten des Führerscheins',
    { number: { pattern: 'MRA-C-#####', example: 'MRA-C-10877' }, bothSides: true },
  ),
  kind(
    'blasting',
    'Avalanche blasting permit',
    'Sprengbefugnis für Lawinen',
    'licence',
    90,
    'the permit',
    'die Befugnis',
    { regions: ['Vallorne', 'Hochsattel', 'Lower Arve valley'] },
  ),
  kind(
    'signalling',
    'Signalling works authority',
    'Berechtigung für Arbeiten an Signalen',
    'licence',
    60,
    'the authority card',
    'die Berechtigungskarte',
    { number: { pattern: 'MRA-S-#####', example: 'MRA-S-28817' } },
  ),
]

const value = JSON.stringify({ credentials }).replace(/'/g, "''")

export const up = [
  `INSERT INTO setting_versions (name, version, value, changedBy, changedById, changedAt)
    SELECT 'catalogue', 1, '${value}', 'Probatum', NULL, UTC_TIMESTAMP(3) FROM DUAL
    WHERE EXISTS (SELECT 1 FROM vacancies) AND NOT EXISTS (SELECT 1 FROM setting_versions WHERE name = 'catalogue')`,
]
