import type { Role } from '#contract/roles'
import type { Language } from '#core/words/say'

type Colleague = { name: string; mail: string; roles: readonly [Role]; language?: Language }

/** Who works at the desk; one of them in German. */
export const staff: readonly Colleague[] = [
  { name: 'Ines Caldwell', mail: 'ines@vallorne.example', roles: ['coordinator'] },
  { name: 'Bastian Roth', mail: 'bastian@vallorne.example', roles: ['hiring manager'], language: 'de' },
  { name: 'Mirela Tan', mail: 'mirela@vallorne.example', roles: ['assessor'] },
  { name: 'Anselm Okoye', mail: 'anselm@vallorne.example', roles: ['administrator'] },
]

/** The password of everybody in the demo; it is in the README. */
export const demoPassword = 'glacier-lantern-42'
