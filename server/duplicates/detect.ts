import { QueryTypes } from 'sequelize'
import { compareFiles } from '#core/comparison/samePerson'
import { changed } from '../platform/changes'
import type { Deps } from '../platform/deps'
import { DuplicatePair } from '../records/duplicates/model'
import { inOrder } from '../records/duplicates/open'
import { knownPeople } from '../records/people/known'

const mostCompared = 25

/**
 * Looks for files that may be of the same person: those that share a number, a phone, or a birth date together with the
 * sound of a name, are compared field by field. A pair set apart stays so unless more agrees than did.
 */
export async function detectDuplicates(deps: Deps, candidateId: string) {
  const rows = await deps.sequelize.query<{ candidateId: string }>(
    `SELECT o.candidateId FROM candidate_keys k JOIN candidate_keys o ON o.kind = k.kind AND o.value = k.value AND o.candidateId <> k.candidateId
       WHERE k.candidateId = :candidateId AND k.kind IN ('i', 'c', 'p')
     UNION SELECT o.candidateId FROM candidate_keys k JOIN candidate_keys o ON o.kind = k.kind AND o.value = k.value AND o.candidateId <> k.candidateId
       WHERE k.candidateId = :candidateId AND k.kind = 'b' AND EXISTS (SELECT 1 FROM candidate_keys s JOIN candidate_keys t
         ON t.kind = s.kind AND t.value = s.value AND t.candidateId = o.candidateId WHERE s.candidateId = k.candidateId AND s.kind = 's')
     LIMIT ${mostCompared}`,
    { replacements: { candidateId }, type: QueryTypes.SELECT },
  )
  const others = rows.map((row) => row.candidateId)
  if (others.length === 0) return
  const known = await knownPeople([candidateId, ...others])
  for (const other of others) {
    const likeness = compareFiles(known.get(candidateId)!, known.get(other)!)
    const [oneId, otherId] = inOrder(candidateId, other)
    const before = await DuplicatePair.findOne({ where: { oneId, otherId } })
    if (likeness.likelihood === 'unlike') {
      if (before?.state === 'open') await before.destroy()
      continue
    }
    if (before?.state === 'merged' || (before?.state === 'apart' && likeness.weight <= before.weight)) continue
    await DuplicatePair.upsert({ oneId, otherId, ...likeness, state: 'open', decidedBy: null, decidedAt: null })
    if (before?.state !== 'open')
      await changed(deps, { code: 'double-found', actor: { kind: 'system' }, candidateId: other })
  }
}
