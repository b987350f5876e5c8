import { QueryTypes, type Sequelize } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { charged, paid } from '#core/money/ledger'
import { creditorReference } from '#core/money/reference'

const ascii = 'CHARACTER SET ascii COLLATE ascii_bin'
const id = 'CHAR(36) BINARY NOT NULL'

/** What is charged and paid: schedules with the rules, what was given for a fee alone, charges, payments, and the ledger. */
export const up = [
  'ALTER TABLE rules_versions ADD COLUMN IF NOT EXISTS fees JSON',
  `CREATE TABLE IF NOT EXISTS fee_answers (
    applicationId ${id}, schedule VARCHAR(60) ${ascii} NOT NULL, facts JSON NOT NULL, leftOut JSON NOT NULL,
    waiting INT NOT NULL, version INT NOT NULL, PRIMARY KEY (applicationId, schedule), KEY (waiting))`,
  `CREATE TABLE IF NOT EXISTS fee_charges (
    id ${id} PRIMARY KEY, applicationId ${id}, candidateId ${id}, schedule VARCHAR(60) ${ascii} NOT NULL,
    rulesVersion INT NOT NULL, currency CHAR(3) ${ascii} NOT NULL, quote JSON NOT NULL, total BIGINT NOT NULL,
    tax BIGINT NOT NULL, takenBack BIGINT NOT NULL DEFAULT 0, owed BIGINT NOT NULL, reference VARCHAR(25) ${ascii} NOT NULL,
    dueOn DATE NOT NULL, holds BOOLEAN NOT NULL, state VARCHAR(10) ${ascii} NOT NULL, version INT NOT NULL, createdAt DATETIME(3) NOT NULL,
    settledAt DATETIME(3), remindedAt DATETIME(3),
    UNIQUE KEY (applicationId, schedule), UNIQUE KEY (reference), KEY (candidateId), KEY byState (state, dueOn, id))`,
  `CREATE TABLE IF NOT EXISTS fee_payments (
    id ${id} PRIMARY KEY, chargeId ${id}, means VARCHAR(10) ${ascii} NOT NULL, amount BIGINT NOT NULL,
    surcharge JSON, currency CHAR(3) ${ascii} NOT NULL, state VARCHAR(10) ${ascii} NOT NULL, because VARCHAR(40) ${ascii},
    providerId VARCHAR(100) ${ascii}, givenBack BIGINT NOT NULL DEFAULT 0, note VARCHAR(255), notedBy VARCHAR(255),
    paidOn DATE, transferId CHAR(36) BINARY, startedAt DATETIME(3) NOT NULL, settledAt DATETIME(3),
    KEY (chargeId, startedAt), UNIQUE KEY (providerId))`,
  `CREATE TABLE IF NOT EXISTS fee_refunds (
    id ${id} PRIMARY KEY, paymentId ${id}, chargeId ${id}, amount BIGINT NOT NULL, reason VARCHAR(500) NOT NULL,
    state VARCHAR(10) ${ascii} NOT NULL, askedBy VARCHAR(255) NOT NULL, askedAt DATETIME(3) NOT NULL, doneAt DATETIME(3),
    KEY (chargeId), KEY (paymentId))`,
  `CREATE TABLE IF NOT EXISTS bank_transfers (
    id ${id} PRIMARY KEY, bankKey CHAR(64) ${ascii} NOT NULL, bookedOn DATE NOT NULL, amount BIGINT NOT NULL,
    currency CHAR(3) ${ascii} NOT NULL, payer VARCHAR(255) NOT NULL, reference VARCHAR(100) NOT NULL, text TEXT NOT NULL,
    state VARCHAR(10) ${ascii} NOT NULL, reason TEXT, takenBy VARCHAR(255) NOT NULL, takenAt DATETIME(3) NOT NULL,
    settledBy VARCHAR(255), settledAt DATETIME(3), UNIQUE KEY (bankKey), KEY byState (state, bookedOn, id))`,
  // What the provider has told, each once.
  `CREATE TABLE IF NOT EXISTS payment_notices (
    id VARCHAR(100) ${ascii} NOT NULL PRIMARY KEY, receivedAt DATETIME(3) NOT NULL)`,
  `CREATE TABLE IF NOT EXISTS ledger_entries (
    id ${id} PRIMARY KEY, cause VARCHAR(80) ${ascii} NOT NULL, chargeId ${id}, currency CHAR(3) ${ascii} NOT NULL,
    madeBy VARCHAR(255) NOT NULL, at DATETIME(3) NOT NULL, UNIQUE KEY (cause), KEY (chargeId, at), KEY (at))`,
  `CREATE TABLE IF NOT EXISTS ledger_postings (
    entryId ${id}, nth TINYINT UNSIGNED NOT NULL, account VARCHAR(12) ${ascii} NOT NULL, amount BIGINT NOT NULL,
    PRIMARY KEY (entryId, nth), KEY (account))`,
  // A number is taken in the work that needs it, so that none is left out where that is undone.
  `CREATE TABLE IF NOT EXISTS document_series (series VARCHAR(20) ${ascii} NOT NULL PRIMARY KEY, last INT UNSIGNED NOT NULL)`,
  `CREATE TABLE IF NOT EXISTS fee_documents (
    id ${id} PRIMARY KEY, kind VARCHAR(12) ${ascii} NOT NULL, series VARCHAR(20) ${ascii} NOT NULL, number INT UNSIGNED NOT NULL,
    cause VARCHAR(80) ${ascii} NOT NULL, chargeId ${id}, content JSON NOT NULL, issuedAt DATETIME(3) NOT NULL,
    UNIQUE KEY (series, number), UNIQUE KEY (cause), KEY (chargeId, issuedAt))`,
  `CREATE TABLE IF NOT EXISTS fee_vouchers (
    id ${id} PRIMARY KEY, batch VARCHAR(120) NOT NULL, codeHash VARCHAR(64) ${ascii} NOT NULL, ending CHAR(3) ${ascii} NOT NULL,
    amount BIGINT, basisPoints INT, currency CHAR(3) ${ascii}, \`lines\` JSON, through DATE NOT NULL, madeBy VARCHAR(255) NOT NULL,
    madeAt DATETIME(3) NOT NULL, usedFor CHAR(36) BINARY, usedAt DATETIME(3), withdrawnAt DATETIME(3),
    UNIQUE KEY (codeHash), KEY (madeAt, id))`,
  'CREATE SEQUENCE IF NOT EXISTS numbers_charges START WITH 1',
  'ALTER SEQUENCE numbers_charges INCREMENT BY 0 NOCACHE',
]

type Ask = { kind: string; amount?: number; currency?: string; schedule?: string }
type Requirement = { key: string; title: string; asks: Ask; alternatives?: Ask[] }
type Rules = { requirements: Requirement[]; fees?: unknown[] }

/** A fee that was one amount becomes a schedule with one line; what was noted as received stays received. */
export async function fromAmounts(sequelize: Sequelize) {
  const select = <Row extends object>(sql: string) => sequelize.query<Row>(sql, { type: QueryTypes.SELECT })
  const parsed = <T>(json: T | string): T => (typeof json === 'string' ? (JSON.parse(json) as T) : json)
  type Version = { vacancyId: string; version: number; requirements: Requirement[] | string }
  for (const row of await select<Version>(
    `SELECT vacancyId, version, requirements FROM rules_versions WHERE fees IS NULL`,
  )) {
    const { requirements, fees } = withSchedules<Rules>({ requirements: parsed(row.requirements) })
    if (!fees) continue
    await sequelize.query(
      'UPDATE rules_versions SET requirements = :requirements, fees = :fees WHERE vacancyId = :vacancyId AND version = :version',
      { replacements: { ...row, requirements: JSON.stringify(requirements), fees: JSON.stringify(fees) } },
    )
  }
  for (const row of await select<{ vacancyId: string; rules: Rules | string }>(
    'SELECT vacancyId, rules FROM rules_drafts',
  )) {
    const before = parsed(row.rules)
    const after = withSchedules(before)
    if (after.fees === before.fees) continue
    await sequelize.query('UPDATE rules_drafts SET rules = :rules WHERE vacancyId = :vacancyId', {
      replacements: { vacancyId: row.vacancyId, rules: JSON.stringify(after) },
    })
  }
  const [there] = await select<{ name: string }>("SHOW TABLES LIKE 'fees_received'")
  if (there) await chargeSent(sequelize)
}

type Sent = { id: string; candidateId: string; fees: Schedule[] | string; rulesVersion: number; sentAt: string | Date }
type Schedule = { key: string; currency: string; lines: { key: string; amount: { amount: number } }[] }
type Received = { applicationId: string; requirement: string; receivedOn: string; note: string; recordedBy: string }

/** Who has sent already owes what the fee was, or has paid it, as was noted. */
async function chargeSent(sequelize: Sequelize) {
  const select = <Row extends object>(sql: string) => sequelize.query<Row>(sql, { type: QueryTypes.SELECT })
  const insert = (table: string, values: Record<string, unknown>) =>
    sequelize.query(
      `INSERT IGNORE INTO ${table} (${Object.keys(values).join(', ')}) VALUES (${Object.keys(values)
        .map((name) => `:${name}`)
        .join(', ')})`,
      { replacements: values },
    )
  const received = await select<Received>('SELECT * FROM fees_received')
  const sent = await select<Sent>(
    `SELECT a.id, a.candidateId, a.rulesVersion, a.sentAt, r.fees FROM applications a
       JOIN rules_versions r ON r.vacancyId = a.vacancyId AND r.version = a.rulesVersion
     WHERE a.sentAt IS NOT NULL AND r.fees IS NOT NULL`,
  )
  for (const { id, candidateId, rulesVersion, sentAt, fees } of sent)
    for (const { key, currency, lines } of typeof fees === 'string' ? (JSON.parse(fees) as Schedule[]) : fees) {
      const [row] = await sequelize.query<{ next: number | bigint }>('SELECT NEXT VALUE FOR numbers_charges AS next', {
        type: QueryTypes.SELECT,
      })
      const note = received.find((one) => one.applicationId === id && one.requirement === key)
      const { amount } = lines[0]!.amount
      const range = { least: amount, most: amount }
      const line = { key: 'fee', state: 'charged', ...range, full: range, because: { code: 'fixed' }, deciding: [] }
      const quote = { currency, lines: [line], cap: { least: 0, most: 0 }, taxes: [], total: range, deciding: [] }
      const chargeId = uuid()
      await insert('fee_charges', {
        ...{
          id: chargeId,
          applicationId: id,
          candidateId,
          schedule: key,
          rulesVersion,
          currency,
          total: amount,
          tax: 0,
        },
        ...{ quote: JSON.stringify(quote), owed: note ? 0 : amount, reference: creditorReference(`C${row!.next}`) },
        ...{
          dueOn: new Date(sentAt),
          holds: false,
          state: note ? 'settled' : 'open',
          version: 0,
          createdAt: new Date(sentAt),
        },
        settledAt: note ? new Date(note.receivedOn) : null,
      })
      const entries = [
        { cause: `charge ${chargeId}`, postings: charged({ total: amount, tax: 0 }) },
        ...(note ? [{ cause: `noted ${chargeId}`, postings: paid('by hand', amount) }] : []),
      ]
      for (const { cause, postings } of entries) {
        const entryId = uuid()
        const madeBy = note?.recordedBy ?? 'Probatum'
        await insert('ledger_entries', { id: entryId, cause, chargeId, currency, madeBy, at: new Date(sentAt) })
        for (const [nth, posting] of postings.entries()) await insert('ledger_postings', { entryId, nth, ...posting })
      }
    }
  await sequelize.query('DROP TABLE fees_received')
}

function withSchedules<R extends Rules>(rules: R): R {
  const made: unknown[] = []
  const turned = (key: string, title: string) => (ask: Ask) => {
    if (ask.kind !== 'fee' || ask.schedule !== undefined) return ask
    const line = { key: 'fee', title, why: '', amount: { kind: 'fixed', amount: ask.amount } }
    made.push({
      ...{ key, title, currency: ask.currency, facts: [], lines: [line], taxes: [], taxIncluded: true },
      ...{ dueDays: 14, holds: false, surplus: 'given back' },
    })
    return { kind: 'fee', schedule: key }
  }
  const requirements = rules.requirements.map((requirement) => {
    const { key, title, asks, alternatives } = requirement
    const turn = turned(key, title)
    return { ...requirement, asks: turn(asks), ...(alternatives ? { alternatives: alternatives.map(turn) } : {}) }
  })
  return made.length === 0 ? rules : { ...rules, requirements, fees: [...(rules.fees ?? []), ...made] }
}
