import type { EnquiryReply } from '#contract/reply'
import { askedFields } from '#core/enquiries/asks'
import { contactFor } from '#core/sources/source'
import { say } from '#core/words/say'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import type { FileToKeep } from '../platform/http/serve'
import { candidateWithMail } from '../records/accounts/candidate'
import { othersBeside } from '../records/accounts/policies'
import { sentApplication } from '../records/applications/find'
import { readBytes, streamBytes } from '../records/documents/bytes'
import { claimById } from '../records/enquiries/load'
import { Enquiry, EnquiryLink, type EnquiryStepRow } from '../records/enquiries/model'
import { stepsOf } from '../records/enquiries/steps'
import { hidesName } from '../records/scoring/find'
import { sourceById } from '../records/sources/sources'
import { beyondOf } from './answer'
import { addressOf, waysOf } from './plan'
import { rowsFor } from './queue'

/** A step as the desk reads it. */
export const stepLine = ({ step, channel, at, by, details }: EnquiryStepRow) => ({
  ...{ step, channel, at: at.toISOString(), by, to: details?.to ?? '' },
  note: [details?.spoke, details?.sure && say(`enquiries.sure.${details.sure}`), details?.note]
    .filter(Boolean)
    .join('; '),
})

/** One enquiry with all that is needed to answer it at the desk. */
export async function readEnquiryAtDesk(deps: Deps, actor: Account, id: string) {
  const enquiry = await Enquiry.findByPk(id)
  if (!enquiry) throw notFound()
  const [claim, source] = [await claimById(enquiry.claimId), await sourceById(enquiry.sourceId)]
  const [[row], steps, person] = await Promise.all([
    rowsFor(deps, [enquiry]),
    stepsOf([id]),
    candidateWithMail(claim.candidateId),
  ])
  const hides = await hidesName(await sentApplication(enquiry.applicationId))
  const { heardBy, ...draft } = enquiry.draft ?? {}
  const { two, others } = await othersBeside(actor, 'telephone-answer', 'proof.settle')
  const forwards = await EnquiryLink.findAll({
    where: { batchId: enquiry.batchId, state: 'to check' },
    order: ['createdAt'],
  })
  const contact = source.known.contacts.find((one) => one.id === enquiry.contactId)
  return {
    row: row!,
    kind: claim.kind,
    version: enquiry.version,
    // Where the name is hidden nothing is read that tells it, and nothing is answered here.
    born: hides ? null : person.born,
    claimed: hides ? {} : enquiry.claimed,
    fields: hides ? [] : [...askedFields(claim.kind, enquiry.claimed)],
    asks: beyondOf(deps, claim, source.country),
    contact: [
      contact?.name,
      enquiry.channel === 'credential'
        ? ''
        : addressOf(source, { channel: enquiry.channel, contactId: enquiry.contactId ?? null }),
    ]
      .filter(Boolean)
      .join(', '),
    phone: contactFor(source.known, claim.kind, 'phone')?.phone ?? '',
    paper: enquiry.paper && !hides ? await paperOf(enquiry.paper) : null,
    answer: hides ? null : (enquiry.reply ?? (heardBy ? (draft as EnquiryReply) : null)),
    second: heardBy ? { by: heardBy.name, mayCheck: heardBy.id !== actor.id || !(two && others) } : null,
    ways: waysOf(source, claim).map((way) => ({ ...way, to: addressOf(source, way) })),
    steps: steps.map(stepLine).map((line) => (hides ? { ...line, note: '' } : line)),
    forwards: forwards.map(({ tokenHash, toMail = '', toName = '', forwarded }) => ({
      ...{ id: tokenHash, toMail, toName, by: forwarded?.by ?? '' },
    })),
  }
}

const paperOf = async ({ fileName, cameAt, sha256 }: NonNullable<Enquiry['paper']>) => ({
  ...{ fileName, cameAt },
  mediaType: (await streamBytes(sha256)).mediaType,
})

/** The paper that came as an answer. */
export async function readEnquiryPaper(id: string): Promise<FileToKeep> {
  const enquiry = await Enquiry.findByPk(id)
  if (!enquiry?.paper || (await hidesName(await sentApplication(enquiry.applicationId)))) throw notFound()
  const { bytes, mediaType } = await readBytes(enquiry.paper.sha256)
  return { fileName: enquiry.paper.fileName, mediaType, body: bytes }
}
