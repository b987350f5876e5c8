import type { Deps } from '../../platform/deps'
import type { Letterhead } from '../../platform/pdf/letterhead'
import { keptLogo } from './shown'

/** Who a PDF is from: the organisation by name and, where it has one, by its logo. */
export async function letterheadOf({ organisation }: Pick<Deps, 'organisation'>): Promise<Letterhead> {
  const logo = await keptLogo()
  return { name: organisation.name, ...(logo ? { logo: Buffer.from(logo.png, 'base64') } : {}) }
}

/** Where papers are sent or brought. */
export const addressOfHouse = ({ name, contact }: Deps['organisation']): string =>
  [name, contact].filter(Boolean).join('\n')

/** Where letters are sent, in lines. */
export const postalAddress = ({ name, street, postcode, town }: Deps['organisation']): string[] =>
  [name, street, `${postcode} ${town}`.trim()].filter(Boolean)
