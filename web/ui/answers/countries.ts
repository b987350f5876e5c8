import { spokenLocale } from '#core/words/say'

const codes =
  'AD AE AF AG AL AM AO AR AT AU AZ BA BB BD BE BF BG BH BI BJ BN BO BR BS BT BW BY BZ CA CD CF CG CH CI CL CM CN CO CR CU CV CY CZ DE DJ DK DM DO DZ EC EE EG ER ES ET FI FJ FM FR GA GB GD GE GH GM GN GQ GR GT GW GY HN HR HT HU ID IE IL IN IQ IR IS IT JM JO JP KE KG KH KI KM KN KP KR KW KZ LA LB LC LI LK LR LS LT LU LV LY MA MC MD ME MG MH MK ML MM MN MR MT MU MV MW MX MY MZ NA NE NG NI NL NO NP NR NZ OM PA PE PG PH PK PL PS PT PW PY QA RO RS RU RW SA SB SC SD SE SG SI SK SL SM SN SO SR SS ST SV SY SZ TD TG TH TJ TL TM TN TO TR TT TV TW TZ UA UG US UY UZ VA VC VE VN VU WS XK YE ZA ZM ZW'.split(
    ' ',
  )

/** What is kept is the English name, whatever language it is chosen in. */
const names = new Intl.DisplayNames(['en'], { type: 'region' })
const spoken = new Intl.DisplayNames([spokenLocale()], { type: 'region' })
const byLabel = (a: { label: string }, b: { label: string }) => a.label.localeCompare(b.label)
const nameIn = (list: Intl.DisplayNames, code: string) => list.of(code) ?? code

/** Countries with their ISO 3166-1 codes, by name. */
export const countryCodes = codes.map((value) => ({ value, label: nameIn(spoken, value) })).sort(byLabel)

/** Countries by name; people choose by name and never see the code. */
export const countries = codes
  .map((code) => ({ value: nameIn(names, code), label: nameIn(spoken, code) }))
  .sort(byLabel)

/** The name that is kept for a country, and back. */
export const countryNamed = (code: string): string => (codes.includes(code) ? nameIn(names, code) : '')
export const codeOfCountry = (name: string): string => codes.find((code) => nameIn(names, code) === name) ?? ''
