import type { ChosenRecipient, DeliveryLine, PermissionLine, Recipients } from '#contract/recipients'

/** What was sent to a recipient, as lists show it. */
export const aDelivery = (over: Partial<DeliveryLine> = {}): DeliveryLine => ({
  ...{
    id: '0190a3f0-0000-7000-8000-000000000021',
    reportId: '0190a3f0-0000-7000-8000-000000000022',
    reference: 'RP-7K3Q-R9',
    way: 'link',
    state: 'open',
    because: '',
  },
  ...{ sentAt: '2026-11-29T08:00:00Z', sentBy: 'Rita Report', claims: ['A degree'], openings: 0 },
  ...{ linkEndsAt: '2026-12-29T23:00:00Z', endsAt: '2027-11-29T08:00:00Z', lastOpenedAt: null, savedAt: null },
  ...over,
})

/** A permission for a recipient. */
export const aPermission = (over: Partial<PermissionLine> = {}): PermissionLine => ({
  id: '0190a3f0-0000-7000-8000-000000000020',
  recipient: { name: 'Rail Inspectorate', mail: 'records@inspectorate.example', language: 'en' },
  ...{
    purpose: 'Entry in the register',
    claims: ['A degree'],
    state: 'holds',
    given: 'portal',
    fullName: 'Rita Report',
  },
  ...{ signedOn: '2026-11-29', through: '2027-02-27', inApplication: false, hasPaper: true, deliveries: [aDelivery()] },
  ...over,
})

/** All that a file has of recipients: one claim that is confirmed, one that is only said. */
export const someRecipients = (...permissions: PermissionLine[]): Recipients => ({
  ...{ today: '2026-11-30', permissions, chosen: [] },
  claims: [
    { id: '0190a3f0-0000-7000-8000-000000000031', title: 'A degree', rung: 'confirmed' },
    { id: '0190a3f0-0000-7000-8000-000000000032', title: 'A job', rung: 'claimed' },
  ],
})

/** A body that was chosen in an application and may be told. */
export const aBody = (over: Partial<ChosenRecipient> = {}): ChosenRecipient => ({
  ...{ key: 'one', name: 'A body', about: '', gate: 'shortlist', chosen: true, state: 'being proven', because: '' },
  ...{ deciding: [], left: [], permission: null, sent: null },
  ...over,
})
