const ascii = 'CHARACTER SET ascii COLLATE ascii_bin'
const id = 'CHAR(36) BINARY NOT NULL'

/** Employers who pay for their people: their accounts, what they are asked, their invoices and what they paid. */
export const up = [
  `ALTER TABLE accounts DROP INDEX IF EXISTS works, DROP COLUMN IF EXISTS works,
    ADD COLUMN works BOOLEAN GENERATED ALWAYS AS (JSON_LENGTH(roles) > 0
      AND NOT JSON_CONTAINS(roles, '"candidate"') AND NOT JSON_CONTAINS(roles, '"employer"')) STORED,
    ADD INDEX works (works, name)`,
  `CREATE TABLE IF NOT EXISTS employers (
    id ${id} PRIMARY KEY, name VARCHAR(160) NOT NULL, code CHAR(10) ${ascii} NOT NULL, street VARCHAR(200) NOT NULL,
    postcode VARCHAR(20) NOT NULL, town VARCHAR(200) NOT NULL, receiptMail VARCHAR(255) NOT NULL, findable BOOLEAN NOT NULL,
    orderNumberNeeded BOOLEAN NOT NULL, currency CHAR(3) ${ascii} NOT NULL, \`limit\` BIGINT, invoicing VARCHAR(10) ${ascii} NOT NULL,
    dueDays INT NOT NULL, language CHAR(2) ${ascii} NOT NULL, owes BIGINT NOT NULL DEFAULT 0, closedAt DATETIME(3), version INT NOT NULL, createdAt DATETIME(3) NOT NULL,
    UNIQUE KEY (code), KEY (name))`,
  `CREATE TABLE IF NOT EXISTS employer_people (
    accountId ${id} PRIMARY KEY, employerId ${id}, invitedAt DATETIME(3) NOT NULL, KEY (employerId))`,
  // Only one request for a charge is under way: its key is the charge while it is, and nothing afterwards.
  `CREATE TABLE IF NOT EXISTS payer_requests (
    id ${id} PRIMARY KEY, chargeId ${id}, employerId ${id}, activeKey CHAR(36) BINARY, \`lines\` JSON, amount BIGINT NOT NULL,
    tax BIGINT NOT NULL, orderNumber VARCHAR(40) NOT NULL, state VARCHAR(10) ${ascii} NOT NULL, askedAt DATETIME(3) NOT NULL,
    lapsesOn DATE NOT NULL, remindedAt DATETIME(3), decidedAt DATETIME(3), decidedBy VARCHAR(255), reason TEXT,
    invoiceId CHAR(36) BINARY, UNIQUE KEY (activeKey), KEY (chargeId), KEY (employerId, state, askedAt), KEY (invoiceId),
    KEY byState (state, lapsesOn))`,
  `CREATE TABLE IF NOT EXISTS employer_invoices (
    id ${id} PRIMARY KEY, employerId ${id}, month CHAR(7) ${ascii}, currency CHAR(3) ${ascii} NOT NULL,
    reference VARCHAR(25) ${ascii} NOT NULL, total BIGINT NOT NULL, tax BIGINT NOT NULL, takenBack BIGINT NOT NULL DEFAULT 0,
    owed BIGINT NOT NULL, dueOn DATE NOT NULL, state VARCHAR(10) ${ascii} NOT NULL, createdAt DATETIME(3) NOT NULL,
    settledAt DATETIME(3), remindedAt DATETIME(3), UNIQUE KEY (reference), UNIQUE KEY (employerId, month, currency),
    KEY byState (state, dueOn, id))`,
  `CREATE TABLE IF NOT EXISTS employer_payments (
    id ${id} PRIMARY KEY, invoiceId ${id}, means VARCHAR(10) ${ascii} NOT NULL, amount BIGINT NOT NULL, note VARCHAR(255),
    notedBy VARCHAR(255), paidOn DATE NOT NULL, transferId CHAR(36) BINARY, at DATETIME(3) NOT NULL, KEY (invoiceId))`,
  `ALTER TABLE ledger_entries MODIFY COLUMN chargeId CHAR(36) BINARY,
    ADD COLUMN IF NOT EXISTS employerId CHAR(36) BINARY, ADD INDEX IF NOT EXISTS byEmployer (employerId)`,
  `ALTER TABLE fee_documents MODIFY COLUMN chargeId CHAR(36) BINARY,
    ADD COLUMN IF NOT EXISTS invoiceId CHAR(36) BINARY, ADD COLUMN IF NOT EXISTS mailedSha256 CHAR(64) ${ascii},
    ADD INDEX IF NOT EXISTS byInvoice (invoiceId), ADD INDEX IF NOT EXISTS mailed (mailedSha256)`,
]
