import { v7 as uuid } from 'uuid'
import type { EnquiryStep, StepDetails } from '#core/enquiries/enquiry'
import type { Way } from '#core/enquiries/ways'
import { type Enquiry, EnquiryStepRow } from './model'

type Of = Pick<Enquiry, 'id' | 'channel' | 'contactId'>
type Taken = { step: EnquiryStep; at: Date; by: string; details?: StepDetails }

/** A step as it is kept. */
export const stepRow = ({ id, channel, contactId }: Of, { step, at, by, details }: Taken) => ({
  ...{ id: uuid({ msecs: at.getTime() }), enquiryId: id, step, channel, contactId: contactId ?? null },
  ...{ at, by, details: details ?? {} },
})

/** Keeps that something happened to an enquiry. */
export const keepStep = async (enquiry: Of, taken: Taken) => void (await EnquiryStepRow.create(stepRow(enquiry, taken)))

/** What happened to enquiries, oldest first. */
export const stepsOf = async (enquiryIds: readonly string[]): Promise<EnquiryStepRow[]> =>
  enquiryIds.length === 0 ? [] : EnquiryStepRow.findAll({ where: { enquiryId: [...enquiryIds] }, order: ['at', 'id'] })

/** The ways an enquiry has gone already. */
export const triedWays = (steps: readonly Pick<EnquiryStepRow, 'step' | 'channel' | 'contactId'>[]): Way[] =>
  steps.flatMap(({ step, channel, contactId }) =>
    (step === 'asked' || step === 'escalated') && channel !== 'credential'
      ? [{ channel, contactId: contactId ?? null }]
      : [],
  )
