import type { SourceLanguage } from '../words/say'
import type { SourceFacts } from './source'

const ofCountry: Partial<Record<string, SourceLanguage>> = {
  ...{ AT: 'de', DE: 'de', LI: 'de', CH: 'de' },
  ...{ FR: 'fr', MC: 'fr', LU: 'fr' },
  ...{ IT: 'it', SM: 'it', VA: 'it' },
}

/** Parts of a country that speak otherwise than most of it (ISO 3166-2, without the country). */
const ofRegion: Partial<Record<string, SourceLanguage>> = {
  ...{ 'CH-GE': 'fr', 'CH-VD': 'fr', 'CH-NE': 'fr', 'CH-JU': 'fr', 'CH-FR': 'fr', 'CH-VS': 'fr', 'CH-TI': 'it' },
  ...{ 'BE-WAL': 'fr', 'BE-BRU': 'fr', 'IT-BZ': 'de', 'IT-23': 'fr' },
}

/** What a source is written to in: what the directory says, else what is spoken where it is; English where we do not write that. */
export const languageOfSource = ({
  country,
  region,
  language,
}: Pick<SourceFacts, 'country' | 'region' | 'language'>): SourceLanguage =>
  language || ofRegion[`${country}-${region}`] || ofCountry[country] || 'en'
