import { createConnection } from 'mariadb'
import { addSources } from '#server/records/sources/sources'
import { applicationsEach, claimsEach, sqlId } from './crowd'

const perClaim = 10
const countries = ['AT', 'DE', 'CH', 'FR', 'IT', 'NO', 'PL', 'ES', 'SI', 'DK']

/** Sources, and for each claim of a crowd so many enquiries at them, of which the last is open and due. */
export async function makeEnquiries(url: string, { people, sourceCount }: { people: number; sourceCount: number }) {
  for (let at = 0; at < sourceCount; at += 1000)
    await addSources(
      Array.from({ length: 1000 }, (_, nth) => ({
        ...{ name: `Source ${at + nth}`, kind: 'employer' as const, town: 'Somewhere', country: countries[nth % 10]! },
        contacts: [{ mail: `office@s${at + nth}.example` }],
      })),
    )
  const bulk = await createConnection(url)
  await bulk.query('SET SESSION unique_checks = 0, foreign_key_checks = 0, check_constraint_checks = 0')
  const claims = people * claimsEach
  await bulk.query("UPDATE claims SET rung = 'asked', version = 1")
  await bulk.query(
    'CREATE TABLE bench_sources AS SELECT ROW_NUMBER() OVER (ORDER BY id) - 1 AS n, id, country, JSON_VALUE(known, "$.contacts[0].id") AS contactId FROM sources WHERE name LIKE "Source %"',
  )
  await bulk.query('ALTER TABLE bench_sources ADD PRIMARY KEY (n)')
  // The first of each claim goes on and is due; the others have ended long ago.
  const live = 'e.seq MOD 10 = 0'
  const claim = `FLOOR(e.seq / ${perClaim})`
  await bulk.query(`INSERT INTO enquiries (id, batchId, claimId, credentialVersion, applicationId, sourceId, round, channel, state, claimed, askedAt, askedBy,
      answerBy, expiresAt, answeredAt, reference, contactId, activeKey, turn, slack, country, dueOn)
    SELECT ${sqlId('enquiry', 'e.seq')}, ${sqlId('enquiry', 'e.seq')}, ${sqlId('claim', claim)}, 1,
      ${sqlId('application', `FLOOR(${claim} / ${claimsEach}) * ${applicationsEach}`)}, s.id, 1, 'link', IF(${live}, 'open', 'answered'), '{"name":"A B"}',
      DATE_SUB(UTC_TIMESTAMP(3), INTERVAL 20 + e.seq MOD 300 DAY), 'Ines', DATE_SUB(CURDATE(), INTERVAL 3 DAY), DATE_ADD(UTC_TIMESTAMP(3), INTERVAL 60 DAY),
      IF(${live}, NULL, UTC_TIMESTAMP(3)), CONCAT('EQ-', e.seq), s.contactId, IF(${live}, ${sqlId('claim', claim)}, NULL), IF(${live}, 'source', NULL),
      CAST(e.seq * 7919 MOD 90 AS SIGNED) - 20, s.country, IF(${live}, CURDATE(), NULL)
    FROM seq_0_to_${claims * perClaim - 1} e JOIN bench_sources s ON s.n = e.seq * 31 MOD ${sourceCount}`)
  await bulk.query('ANALYZE TABLE enquiries, claims, sources')
  await bulk.end()
}
