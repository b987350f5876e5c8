import type { Deps } from '#server/platform/deps'
import { claimedStatement } from '#server/records/enquiries/statement'
import { credentialDetails, studyDetails } from './claims'
import type { PersonPlan } from './plan'
import { sources } from './sources/sources'
import { fullName, isoIn, type Registered, type World } from './world'

/** Fills the registers of licensing bodies and universities with what they hold. */
export function registerOf(world: World, plan: PersonPlan) {
  const enter = (sourceKey: string, number: string, entry: Registered) => {
    // The shape of its answers stands before the name of a register.
    const register = sources
      .find(({ key }) => key === sourceKey)
      ?.register?.split(':')
      .at(-1)
    if (!register) return
    // Whoever has two files is registered once.
    world.registers[register] = {
      [number.replace(/[\s.-]/g, '').toUpperCase()]: entry,
      ...world.registers[register],
    }
  }
  const person = { name: fullName(plan), born: plan.born }
  for (const study of plan.studies)
    enter(study.source, study.number, { fields: claimedStatement(studyDetails(world, study), person) })
  for (const credential of plan.credentials) {
    if (credential.registered === 'absent') continue
    const fields = claimedStatement(credentialDetails(world, credential), person)
    enter(credential.source, credential.number, {
      fields:
        credential.registered === 'other name' ? { ...fields, name: 'Tadeusz Wrona', born: '1979-01-02' } : fields,
      ...standings(world)[credential.registered ?? 'same'],
    })
  }
}

/** What a licensing body has done since it gave a licence. */
const standings = (world: World): Partial<Record<string, Partial<Registered>>> => ({
  restricted: {
    standing: 'restricted',
    standingFrom: isoIn(world, -60),
    standingThrough: isoIn(world, 120),
    standingTerms: ['supervised', 'not at night'],
  },
  suspended: { standing: 'suspended', standingFrom: isoIn(world, -20) },
  revoked: { standing: 'revoked', standingFrom: isoIn(world, -30) },
})

/** While loading, registers answer from the world itself; the stand-in may not be up yet. */
export const registersOf = (world: World): Deps['registers'] => ({
  lookUp: async (register, number) => {
    const entry = world.registers[register.split(':').at(-1)!]?.[number.replace(/[\s.-]/g, '').toUpperCase()]
    if (!entry) return { found: false }
    const {
      fields,
      standing: state = 'good',
      standingFrom: from,
      standingThrough: through,
      standingTerms: terms,
    } = entry
    return { found: true, fields, standing: { state, from, through, ...(terms ? { terms } : {}) } }
  },
})
