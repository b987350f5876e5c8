import type { Endpoint, Input } from '#contract/endpoint'
import { Message } from '../platform/mail/model'
import type { Subject } from '../records/applications/sight'
import { Claim } from '../records/claims/model'
import { Conversation } from '../records/conversations/model'
import { ClaimReview } from '../records/decisions/model'
import { Document } from '../records/documents/model'
import { Enquiry, Finding } from '../records/enquiries/model'
import { PayerRequest } from '../records/fees/employers'
import { FeeCharge } from '../records/fees/model'
import { Original } from '../records/originals/model'
import { Flag } from '../records/redFlags/model'
import { Report } from '../records/reports/model'
import { DryRun } from '../records/rules/model'

type Found = Promise<Subject | undefined>

const ofApplication = async (id: string | null | undefined): Found => (id ? { of: 'application', id } : undefined)
const ofCandidate = async (id: string | undefined): Found => (id ? { of: 'candidate', id } : undefined)
const ofVacancy = async (id: string | undefined): Found => (id ? { of: 'vacancy', id } : undefined)
const ofClaim = async (id: string | undefined): Found =>
  ofCandidate(id === undefined ? undefined : (await Claim.findByPk(id))?.candidateId)

const ofCharge = async (id: string | undefined): Found =>
  ofApplication(id === undefined ? undefined : (await FeeCharge.findByPk(id))?.applicationId)

/**
 * Whose file, or which vacancy, the first parameter of an address leads to, by how the address begins. Addresses that are
 * not here concern no one file: they are lists that are narrowed themselves, settings, or what is done over all files by
 * those who hold a right for that.
 */
export const subjectsByAddress: readonly (readonly [string, (id: string) => Found])[] = [
  ['/api/desk/applications/:id', ofApplication],
  ['/api/desk/vacancies/:id', ofVacancy],
  ['/api/desk/people/:candidateId', ofCandidate],
  ['/api/desk/claims/:id', ofClaim],
  ['/api/desk/enquiries/:id', async (id) => ofApplication((await Enquiry.findByPk(id))?.applicationId)],
  ['/api/desk/charges/:id', (id) => ofCharge(id)],
  ['/api/desk/payer-requests/:id', async (id) => ofCharge((await PayerRequest.findByPk(id))?.chargeId)],
  ['/api/desk/red-flags/:id', async (id) => ofCandidate((await Flag.findByPk(id))?.candidateId)],
  ['/api/desk/reports/:id', async (id) => ofCandidate((await Report.findByPk(id))?.candidateId)],
  ['/api/desk/reviews/:id', async (id) => ofClaim((await ClaimReview.findByPk(id))?.claimId)],
  ['/api/desk/findings/:id', async (id) => ofClaim((await Finding.findByPk(id))?.claimId)],
  ['/api/desk/documents/:id', async (id) => ofCandidate((await Document.findByPk(id))?.candidateId)],
  ['/api/documents/:id', async (id) => ofCandidate((await Document.findByPk(id))?.candidateId)],
  ['/api/desk/conversations/:id', async (id) => ofApplication((await Conversation.findByPk(id))?.applicationId)],
  ['/api/desk/originals/:id', async (id) => ofApplication((await Original.findByPk(id))?.applicationId)],
  ['/api/desk/messages/:id', async (id) => ofApplication((await Message.findByPk(id))?.applicationId)],
  ['/api/desk/outbox/:id', async (id) => ofApplication((await Message.findByPk(id))?.applicationId)],
  ['/api/desk/dry-runs/:id', async (id) => ofVacancy((await DryRun.findByPk(id))?.vacancyId)],
]

/** Everything a request is about: what its address names, and the applications its body names. */
export async function subjectsOf(
  { path }: Pick<Endpoint, 'path'>,
  { params, body }: Input<Endpoint>,
): Promise<Subject[]> {
  const [, find] = subjectsByAddress.find(([begin]) => path === begin || path.startsWith(`${begin}/`)) ?? []
  const id = Object.values((params ?? {}) as Record<string, string>)[0]
  const named = find && id ? await find(id) : undefined
  const { applications, items } = (body ?? {}) as { applications?: unknown; items?: unknown }
  const ofItems = Array.isArray(items) ? items.map((one: { applicationId?: unknown }) => one?.applicationId) : []
  const listed = [...(Array.isArray(applications) ? applications : []), ...ofItems].filter(
    (one): one is string => typeof one === 'string',
  )
  return [...(named ? [named] : []), ...listed.map((one): Subject => ({ of: 'application', id: one }))]
}
