import type { RestrictionTerm } from '#core/validity/validity'
import { clockAt } from '#server/platform/clock'
import type { Account, Deps, Fixed } from '#server/platform/deps'
import { vallorne } from './organisation'
import type { JobPlan, PersonPlan } from './plan'

/** The year the absolute dates in `people` are written for; loaded in another year, they move with it. */
const writtenFor = 2026

/** What a register holds of somebody; without a word on it the standing is good. */
export type Registered = {
  fields: Record<string, string>
  standing?: 'restricted' | 'suspended' | 'revoked'
  standingTerms?: RestrictionTerm[]
  standingFrom?: string
  standingThrough?: string
}

export type World = {
  fixed: Fixed
  loadedAt: Date
  sourceIds: Map<string, string>
  sourceNames: Map<string, string>
  registers: Record<string, Record<string, Registered>>
  registersFile: string
  desk: Record<string, Account>
}

/** What use cases need at a day before or after loading, at the hour of loading; `minute` keeps acts of a day in order. */
export function depsAt({ fixed, loadedAt }: Pick<World, 'fixed' | 'loadedAt'>, day: number, minute = 0): Deps {
  const moment = new Date(loadedAt.getTime() + day * 86_400_000 - 6 * 3_600_000 + minute * 60_000)
  return { ...fixed, organisation: vallorne, clock: clockAt(moment, vallorne.timeZone) }
}

/** Moves an absolute date by the years between writing and loading. */
export function shifted({ loadedAt }: Pick<World, 'loadedAt'>, text: string): string {
  if (text === 'present') return text
  return `${Number(text.slice(0, 4)) + loadedAt.getUTCFullYear() - writtenFor}${text.slice(4)}`
}

export const isoIn = (world: World, days: number) => depsAt(world, days).clock.today().toString()

export const nameOfSource = ({ sourceNames }: World, { source, name }: JobPlan) =>
  source ? sourceNames.get(source)! : (name ?? '')

export const fullName = (plan: PersonPlan) => `${plan.given} ${plan.family}`
