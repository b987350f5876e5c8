import { textIn } from '#core/organisation/organisation'
import { spokenLanguage } from '#core/words/say'
import { readSetting } from '../../platform/database/settings'
import type { Deps } from '../../platform/deps'

/** A logo as it is kept: a PNG drawn by us, small enough to lie with the settings. */
export type KeptLogo = { sha256: string; width: number; height: number; png: string }

export const keptLogo = (): Promise<KeptLogo | undefined> => readSetting<KeptLogo>('logo')

/** Where a logo is fetched; another logo has another address, so that none is kept for long. */
export const shownLogo = (logo: KeptLogo | undefined) =>
  logo
    ? { address: `/api/organisation/logo.png?of=${logo.sha256.slice(0, 16)}`, width: logo.width, height: logo.height }
    : null

/** The organisation as everybody sees it, in the reader's language. */
export async function shownOrganisation({ organisation }: Pick<Deps, 'organisation'>) {
  const { name, contact, accent, currency, languages, welcome } = organisation
  return {
    name,
    contact,
    accent,
    currency,
    languages: [...languages],
    welcome: textIn(welcome, spokenLanguage(), languages),
    logo: shownLogo(await keptLogo()),
  }
}
