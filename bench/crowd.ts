import { doubleMetaphone } from 'double-metaphone'
import { type Connection, createConnection } from 'mariadb'
import { QueryTypes } from 'sequelize'
import { isolationCheck } from '#scenario/isolationCheck'
import { vallorne } from '#scenario/organisation'
import { sources } from '#scenario/sources/sources'
import { vacanciesOn } from '#scenario/vacancies/vacancies'
import { clockAhead } from '#server/platform/clock'
import type { Fixed } from '#server/platform/deps'
import { addCheck } from '#server/records/skills/checks'
import { addSources } from '#server/records/sources/sources'
import { addVacancy } from '#server/records/vacancies/vacancies'

const givenNames =
  'Ada Bela Cem Dora Emil Frida Goran Hedda Ines Jonas Kira Lars Mila Nils Olga Pavel Rosa Sana Timo Uma Vera Wanda Xaver Yara Zita'.split(
    ' ',
  )
const familyNames =
  'Adler Bauer Castagna Dreau Ekdahl Fjell Grau Haugland Iversen Jansen Keller Lindqvist Moser Novak Okafor Pietrowski Quint Roth Steinmetz Tanaka Ulmer Vandermeer Wierzborski Yilmaz Zanetti'.split(
    ' ',
  )
export const applicationsEach = 4
export const claimsEach = 20

/** Identifiers by number, so that the same crowd comes out each time. */
export const idOf = (kind: keyof typeof prefixes, number: number) =>
  `${prefixes[kind]}-0000-7000-8000-${number.toString(16).padStart(12, '0')}`
const prefixes = {
  account: '018e0001',
  candidate: '018e0002',
  application: '018e0003',
  claim: '018e0004',
  enquiry: '018e0005',
}
export const sqlId = (kind: keyof typeof prefixes, number: string) =>
  `CONCAT('${prefixes[kind]}-0000-7000-8000-', LPAD(LOWER(HEX(${number})), 12, '0'))`

export const nameOf = (number: number) =>
  `${givenNames[number % givenNames.length]} ${familyNames[Math.floor(number / givenNames.length) % familyNames.length]}`

/** Makes a crowd straight in the database: people, four applications and twenty claims each, as they stand in queues. */
export async function makeCrowd(fixed: Fixed, people: number) {
  const deps = { ...fixed, organisation: vallorne, clock: clockAhead(0, vallorne.timeZone) }
  const { sequelize } = fixed
  const day = (offset: number) => deps.clock.today().add({ days: offset }).toString()
  const at = (offset: number, hour: number) => new Date(`${day(offset)}T${String(hour).padStart(2, '0')}:00:00Z`)
  await addSources(sources.map(({ key: _, ...source }) => source))
  await addCheck(isolationCheck)
  for (const vacancy of vacanciesOn(at, day, vallorne.timeZone)) await addVacancy(deps, vacancy)
  // A table that is empty is filled with its keys sorted first, where nobody asks for each row whether it may stand there.
  const bulk = await createConnection(fixed.config.databaseUrl)
  await bulk.query('SET SESSION unique_checks = 0, foreign_key_checks = 0, check_constraint_checks = 0')
  const run = (sql: string) => bulk.query(sql)
  const vacancies = await sequelize.query<{ id: string; title: string }>(
    'SELECT id, title FROM vacancies ORDER BY slug',
    {
      type: QueryTypes.SELECT,
    },
  )
  const elt = (index: string, values: readonly string[]) =>
    `ELT(1 + (${index}), ${values.map((value) => sequelize.escape(value)).join(', ')})`
  const given = (n: string) => elt(`(${n}) MOD ${givenNames.length}`, givenNames)
  const family = (n: string) => elt(`FLOOR((${n}) / ${givenNames.length}) MOD ${familyNames.length}`, familyNames)
  const born = (n: string) => `DATE_ADD('1960-01-01', INTERVAL ((${n}) * 37) MOD 16000 DAY)`
  const name = `CONCAT(${given('seq')}, ' ', ${family('seq')})`
  await run(`INSERT INTO accounts (id, mail, name, passwordHash, roles, confirmedAt, createdAt)
    SELECT ${sqlId('account', 'seq')}, CONCAT('person-', seq, '@crowd.test'), ${name}, 'none', '["candidate"]', UTC_TIMESTAMP(3), UTC_TIMESTAMP(3)
    FROM seq_0_to_${people - 1}`)
  await run(`INSERT INTO candidates (id, accountId, name, born, otherNames, createdAt, phone)
    SELECT ${sqlId('candidate', 'seq')}, ${sqlId('account', 'seq')}, ${name}, ${born('seq')}, '[]', UTC_TIMESTAMP(3), CONCAT('+43512', LPAD(seq, 7, '0'))
    FROM seq_0_to_${people - 1}`)
  const applications = people * applicationsEach
  const vacancyOf = elt(
    `(n.seq DIV ${applicationsEach} + n.seq MOD ${applicationsEach} * 2) MOD ${vacancies.length}`,
    vacancies.map(({ id }) => id),
  )
  const titleOf = elt(
    `(n.seq DIV ${applicationsEach} + n.seq MOD ${applicationsEach} * 2) MOD ${vacancies.length}`,
    vacancies.map(({ title }) => title),
  )
  const whose = `n.seq DIV ${applicationsEach}`
  const stage = elt('n.seq MOD 8', [
    'sent',
    'sent',
    'shortlisted',
    'sent',
    'offered',
    'withdrawn',
    'sent',
    'being written',
  ])
  await run(`INSERT INTO applications (id, candidateId, vacancyId, number, reference, stage, answers, version, targetStart, createdAt, savedAt, sentAt)
    SELECT ${sqlId('application', 'n.seq')}, ${sqlId('candidate', whose)}, ${vacancyOf}, n.seq, CONCAT('VM-', LPAD(HEX(n.seq), 8, '0')), ${stage},
      JSON_OBJECT('about.givenNames', ${given(whose)}, 'about.familyName', ${family(whose)}, 'about.born', ${born(whose)}, 'contact.phone', '+43 512 5550100',
        'contact.home', JSON_OBJECT('street', 'Dorfstrasse 4', 'postcode', '6800', 'town', 'Vallorne', 'region', '', 'country', 'Austria'), 'declare.dismissed', 'no', 'declare.withdrawn', 'no',
        'declare.heights', 'yes', 'declare.permit', 'yes'),
      1, DATE_ADD(CURDATE(), INTERVAL 30 + n.seq MOD 60 DAY), UTC_TIMESTAMP(3), UTC_TIMESTAMP(3), DATE_SUB(UTC_TIMESTAMP(3), INTERVAL n.seq MOD 90 DAY)
    FROM seq_0_to_${applications - 1} n`)
  const flag = (every: number) => `(${stage} IN ('sent', 'shortlisted', 'offered') AND n.seq MOD ${every} = 0)`
  await run(`INSERT INTO application_summaries (applicationId, vacancyId, candidate, vacancy, slack, early, likely, late, heldUpBy, marks, reasons,
      today, applications, verification, skills, validity, hiring, computedAt, candidateId, stage, reference, sentAt, eligible, metCount, ofCount, score)
    SELECT ${sqlId('application', 'n.seq')}, ${vacancyOf}, CONCAT(${given(whose)}, ' ', ${family(whose)}), ${titleOf}, CAST(n.seq * 7919 MOD 90 AS SIGNED) - 20,
      CURDATE(), CURDATE(), CURDATE(), '"Degree or diploma"', '["claimed","asked","confirmed"]', '{"today":"Look at the document","applications":"New"}',
      ${flag(5)}, ${stage} = 'sent', ${flag(3)}, ${flag(7)}, ${flag(11)}, ${stage} IN ('shortlisted', 'offered'), UTC_TIMESTAMP(3),
      ${sqlId('candidate', whose)}, ${stage}, CONCAT('VM-', LPAD(HEX(n.seq), 8, '0')), DATE_SUB(UTC_TIMESTAMP(3), INTERVAL n.seq MOD 90 DAY),
      ${elt('n.seq MOD 5', ['yes', 'yes', 'no', 'yes', 'undecided'])}, n.seq MOD 9, 9, CAST(n.seq MOD 101 AS SIGNED) - 1
    FROM seq_0_to_${applications - 1} n WHERE ${stage} <> 'being written'`)
  const owner = `n.seq DIV ${claimsEach}`
  const [source] = await sequelize.query<{ id: string; name: string }>(
    'SELECT id, name FROM sources ORDER BY name LIMIT 1',
    {
      type: QueryTypes.SELECT,
    },
  )
  await run(`INSERT INTO claims (id, candidateId, kind, details, number, rung, sourceId, credentialVersion, version, createdAt, saidAt)
      SELECT ${sqlId('claim', 'n.seq')}, ${sqlId('candidate', owner)}, IF(n.seq MOD 4 = 0, 'study', 'work'),
        IF(n.seq MOD 4 = 0,
          JSON_OBJECT('kind', 'study', 'sourceId', '${source!.id}', 'sourceName', ${sequelize.escape(source!.name)}, 'award', 'MSc', 'subject', 'Engineering', 'level', 7,
            'field', '0713', 'number', CONCAT('TB-', n.seq), 'from', '2010', 'to', '2015'),
          JSON_OBJECT('kind', 'work', 'sourceId', '${source!.id}', 'sourceName', ${sequelize.escape(source!.name)}, 'activity', 'employment', 'position', 'Fitter',
            'from', CONCAT(2000 + n.seq MOD 20, '-01'), 'to', CONCAT(2001 + n.seq MOD 20, '-01'), 'fullTimeShare', 100, 'tags', JSON_ARRAY('mechanical'), 'confirmBy', '', 'mayAsk', 'now')),
        IF(n.seq MOD 4 = 0, CONCAT('TB-', n.seq), NULL), ${elt('n.seq MOD 3', ['claimed', 'evidenced', 'confirmed'])}, '${source!.id}', 1, 0, UTC_TIMESTAMP(3), UTC_TIMESTAMP(3)
      FROM seq_0_to_${people * claimsEach - 1} n`)
  await makeKeys(bulk, people, { given, family, born })
  await bulk.end()
  await sequelize.query('ANALYZE TABLE application_summaries, applications, claims, candidate_keys, candidates', {
    type: QueryTypes.SELECT,
  })
}

type Columns = Record<'given' | 'family' | 'born', (n: string) => string>

async function makeKeys(bulk: Connection, people: number, { given, family, born }: Columns) {
  const sound = (index: string, names: readonly string[]) =>
    `ELT(1 + (${index}), ${names.map((name) => bulk.escape(doubleMetaphone(name.toLowerCase())[0])).join(', ')})`
  const keys: [string, string][] = [
    ['n', `LOWER(${given('seq')})`],
    ['n', `LOWER(${family('seq')})`],
    ['s', sound(`seq MOD ${givenNames.length}`, givenNames)],
    ['s', sound(`FLOOR(seq / ${givenNames.length}) MOD ${familyNames.length}`, familyNames)],
    ['b', born('seq')],
    ['p', `LPAD(seq, 9, '0')`],
    ['m', `CONCAT('person-', seq, '@crowd.test')`],
    ['c', `CONCAT('TB', seq * ${claimsEach})`],
  ]
  // At once, since the table is empty only once; a given name may sound like the family's.
  const each = keys.map(
    ([kind, value]) =>
      `SELECT ${sqlId('candidate', 'seq')} AS candidateId, '${kind}' AS kind, ${value} AS value FROM seq_0_to_${people - 1}`,
  )
  await bulk.query(`INSERT INTO candidate_keys (candidateId, kind, value) ${each.join(' UNION ')}`)
}
