import type { Deps } from '../platform/deps'
import type { Application } from '../records/applications/model'

/** Everything that hangs on an application, and goes with it; skeletons of what was decided stay without words. */
const statements = [
  // How long sources took stays known of them, without whom they were asked about.
  `INSERT IGNORE INTO enquiry_waits (id, sourceId, vacancyId, channel, askedAt, calledAt, endedAt, answered, answerBy)
     SELECT e.id, e.sourceId, a.vacancyId, e.channel, e.askedAt,
            (SELECT MIN(t.at) FROM enquiry_steps t WHERE t.enquiryId = e.id AND t.channel = 'telephone'),
            COALESCE(e.answeredAt, (SELECT MAX(t.at) FROM enquiry_steps t
              WHERE t.enquiryId = e.id AND t.step IN ('declined', 'silent', 'withdrawn')), NOW(3)),
            e.state = 'answered', e.answerBy
     FROM enquiries e JOIN applications a ON a.id = e.applicationId
     WHERE e.applicationId IN (:applications) AND e.state <> 'prepared'`,
  // Links stay, as hashes that lead to nothing: who opens one is told kindly that no answer is needed any more.
  'DELETE FROM enquiries WHERE applicationId IN (:applications)',
  'DELETE FROM vouchings WHERE applicationId IN (:applications)',
  'DELETE FROM snapshots WHERE applicationId IN (:applications)',
  'DELETE FROM permissions WHERE applicationId IN (:applications)',
  'DELETE FROM recipient_permissions WHERE applicationId IN (:applications)',
  'DELETE e FROM conversation_entries e JOIN conversations c ON c.id = e.conversationId WHERE c.applicationId IN (:applications)',
  'DELETE FROM conversations WHERE applicationId IN (:applications)',
  'DELETE v FROM matter_votes v JOIN declared_matters m ON m.id = v.matterId WHERE m.applicationId IN (:applications)',
  'DELETE FROM declared_matters WHERE applicationId IN (:applications)',
  // What still lies in the safe stays on its list, without whose it was, until it is given back.
  "DELETE FROM originals WHERE applicationId IN (:applications) AND state <> 'here'",
  "UPDATE originals SET receivedFrom = '', fileName = '', pagesCompared = '[]' WHERE applicationId IN (:applications)",
  'DELETE FROM reopenings WHERE applicationId IN (:applications)',
  'DELETE FROM dry_run_rows WHERE applicationId IN (:applications)',
  'DELETE FROM application_summaries WHERE applicationId IN (:applications)',
  'DELETE FROM forecasts WHERE applicationId IN (:applications)',
  'DELETE FROM cover_sheets WHERE applicationId IN (:applications)',
  'DELETE a FROM sitting_answers a JOIN sittings s ON s.id = a.sittingId WHERE s.applicationId IN (:applications)',
  "UPDATE waivers SET reason = 'erased' WHERE applicationId IN (:applications)",
  "UPDATE scores SET note = '' WHERE applicationId IN (:applications)",
  "UPDATE gate_passages SET readiness = '[]' WHERE applicationId IN (:applications)",
  // What was charged and paid stays, as bookkeeping has to be kept; what was given for it alone goes.
  'DELETE FROM fee_answers WHERE applicationId IN (:applications)',
  `UPDATE applications SET answers = '{}', answeredAt = '{}', takenOver = '[]', lastSection = NULL, onBehalf = NULL
    WHERE id IN (:applications)`,
]

/** Empties applications: that they were, and when, stays. */
export async function emptyApplications({ sequelize }: Pick<Deps, 'sequelize'>, applications: readonly string[]) {
  if (applications.length === 0) return
  for (const statement of statements)
    await sequelize.query(statement, { replacements: { applications: [...applications] } })
}

/** Takes an application that was never sent out of a file. */
export async function eraseDraft(deps: Pick<Deps, 'sequelize'>, application: Application) {
  await emptyApplications(deps, [application.id])
  await application.destroy()
}
