import type { StaffRole } from '#core/rights/rights'
import type { Language } from '#core/words/say'

type Colleague = { name: string; mail: string; roles: readonly [StaffRole, ...StaffRole[]]; language?: Language }

/** Who works at the desk; one of them in German. */
export const staff: readonly Colleague[] = [
  { name: 'Ines Caldwell', mail: 'ines@vallorne.example', roles: ['coordinator'] },
  { name: 'Bastian Roth', mail: 'bastian@vallorne.example', roles: ['hiring manager'], language: 'de' },
  { name: 'Mirela Tan', mail: 'mirela@vallorne.example', roles: ['assessor'] },
  { name: 'Anselm Okoye', mail: 'anselm@vallorne.example', roles: ['administrator'] },
  { name: 'Tomas Velde', mail: 'tomas@vallorne.example', roles: ['coordinator', 'money'] },
  { name: 'Ottilie Brandt', mail: 'ottilie@vallorne.example', roles: ['money'] },
  { name: 'Caspar Lindqvist', mail: 'caspar@vallorne.example', roles: ['auditor'] },
  { name: 'Dr. Yara Benali', mail: 'yara@vallorne.example', roles: ['medical'] },
]

/**
 * Whom the identity provider of the demo knows: two who have not been here yet, and somebody without a role. All others sign in by password, so that the demo can be tried without it.
 */
export const knownToProvider = [
  { sub: 'v-1001', name: 'Rosalie Imhof', mail: 'rosalie@vallorne.example', roles: ['auditor'] },
  { sub: 'v-1002', name: 'Emil Straub', mail: 'emil@vallorne.example', roles: ['coordinator', 'money'] },
  { sub: 'v-1003', name: 'Nino Castell', mail: 'nino@vallorne.example', roles: [] },
]

/** The password of everybody in the demo; it is in the README. */
export const demoPassword = 'glacier-lantern-42'
