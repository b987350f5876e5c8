import { Enquiry } from '../enquiries/model'
import { ApplicationSummary } from './model'

/** Days between the likely and the target start; what nobody has computed yet comes last. */
export const unknownSlack = 9999

export const slackOf = async (applicationId: string): Promise<number> =>
  (await ApplicationSummary.findByPk(applicationId, { attributes: ['slack'] }))?.slack ?? unknownSlack

/** What the queue of enquiries is sorted by follows the summaries of those they are about. */
export async function copySlack(summaries: readonly Pick<ApplicationSummary, 'applicationId' | 'slack'>[]) {
  const ids = summaries.map(({ applicationId }) => applicationId)
  const live = await Enquiry.findAll({
    where: { applicationId: ids, turn: ['desk', 'source', 'candidate'] },
    attributes: ['id', 'applicationId', 'slack'],
    raw: true,
  })
  const known = new Map(summaries.map(({ applicationId, slack }) => [applicationId, slack]))
  for (const { id, applicationId, slack } of live)
    if (slack !== known.get(applicationId))
      await Enquiry.update({ slack: known.get(applicationId)! }, { where: { id } })
}
