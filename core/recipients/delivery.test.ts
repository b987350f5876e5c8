import { canBeTakenBack, deliveryState, permissionState } from './delivery'

const now = '2026-11-30T12:00:00.000Z'
const sent = { linkEndsAt: '2026-12-30T00:00:00.000Z', endsAt: '2027-11-30T00:00:00.000Z' } as const
const stands = (more: object) => deliveryState({ ...sent, revokedAt: null, takenBackAt: null, ...more }, now)

test('what was sent is open until its link or its time ends, and the gravest is said first', () => {
  expect(stands({})).toBe('open')
  expect(stands({ linkEndsAt: now })).toBe('link ended')
  expect(stands({ linkEndsAt: null })).toBe('open')
  expect(stands({ linkEndsAt: now, endsAt: now })).toBe('ended')
  expect(stands({ endsAt: now, revokedAt: now })).toBe('revoked')
  expect(stands({ endsAt: now, revokedAt: now, takenBackAt: now })).toBe('taken back')
})

test('a link that has ended can be taken back still, since its report may have been kept; nothing twice', () => {
  expect((['open', 'link ended', 'ended', 'revoked', 'taken back'] as const).filter(canBeTakenBack)).toEqual([
    'open',
    'link ended',
  ])
})

test('a permission holds on its last day, and not before what was signed is here', () => {
  const given = { through: '2026-11-30', withdrawnAt: null, signed: true }
  expect(permissionState(given, '2026-11-30')).toBe('holds')
  expect(permissionState(given, '2026-12-01')).toBe('ended')
  expect(permissionState({ ...given, signed: false }, '2026-11-30')).toBe('paper to come')
  expect(permissionState({ ...given, withdrawnAt: now }, '2026-12-01')).toBe('withdrawn')
})
