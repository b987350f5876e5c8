import type { Standing } from '#core/validity/validity'
import type { Enquiry } from './model'

/**
 * What a licensing body says of a licence beyond its dates: by the newest answer that says anything of it.
 *
 * @param enquiries about one version of one credential, oldest first
 */
export const standingOf = (enquiries: readonly Enquiry[]): Standing | undefined =>
  sayingSo(enquiries)?.standing ?? undefined

/** The enquiry whose answer says so. */
export const sayingSo = (enquiries: readonly Enquiry[]): Enquiry | undefined =>
  enquiries.filter(({ state, standing }) => state === 'answered' && standing).at(-1)
