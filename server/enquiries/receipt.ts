import { writeWhen } from '#core/dates/write'
import { writeMomentAt } from '#core/dates/zoned'
import { askedFields } from '#core/enquiries/asks'
import { say } from '#core/words/say'
import type { Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import type { FileToKeep } from '../platform/http/serve'
import { sheetPdf } from '../platform/pdf/sheetPdf'
import { claimById } from '../records/enquiries/load'
import { letterheadOf } from '../records/organisation/letterhead'
import { sourceById } from '../records/sources/sources'
import { behindLink } from './behindLink'

const dayMs = 86_400_000

/**
 * What a source has told us, as a PDF for its own files: for a day, for whoever has both the link and the number of the receipt.
 *
 * @throws Problem 404 later, and for any other number
 */
export async function readReceipt(deps: Deps, token: string, receipt: string): Promise<FileToKeep> {
  const { questions } = await behindLink(token)
  const question = questions.find((one) => one.receipt === receipt)
  const { answeredAt } = question ?? {}
  if (!question || !answeredAt || deps.clock.now().getTime() - answeredAt.getTime() > dayMs) throw notFound()
  const [claim, source] = [await claimById(question.claimId), await sourceById(question.sourceId)]
  const { reply, declined, claimed, reference, respondent } = question
  const said = (key: string) => {
    const field = reply?.fields[key]
    if (!field) return ''
    return field.says === 'differs' ? `${say('reply.says.differs')}: ${field.value}` : say(`reply.says.${field.says}`)
  }
  const fields = askedFields(claim.kind, claimed)
  const body = await sheetPdf(
    {
      from: await letterheadOf(deps),
      title: say('reply.receiptTitle', { receipt }),
      paragraphs: [say('reply.receiptMeans', { operator: deps.organisation.name })],
      facts: [
        [say('reply.receiptQuestion'), reference ?? ''],
        [say('reply.receiptFrom'), [respondent, source.name].filter(Boolean).join(', ')],
        [say('reply.receiptWhen'), writeMomentAt(answeredAt, deps.organisation.timeZone)],
        ...(declined ? [[say('reply.receiptDeclined'), say(`reply.declined.${declined.reason}`)] as const] : []),
        ...(reply && !reply.known ? [[say('reply.receiptAnswer'), say('reply.unknownToUs')] as const] : []),
        ...(reply?.known
          ? fields.map(({ key, kind }) => {
              const value = kind === 'date' ? writeWhen(claimed[key] ?? '') : (claimed[key] ?? '')
              return [say(`field.${key}`), `${value}: ${said(key)}`] as const
            })
          : []),
      ],
    },
    deps.clock.now(),
  )
  return { fileName: `${receipt}.pdf`, mediaType: 'application/pdf', body }
}
