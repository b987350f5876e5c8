import { isValidBIC, isValidIBAN } from 'ibantools'
import { Temporal } from 'temporal-polyfill'
import type { Fault } from '#contract/faults'
import { contrastOf, leastContrast, onMast } from '#core/organisation/contrast'
import type { Organisation } from '#core/organisation/organisation'
import { say, spokenLanguage } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { readVersioned, writeVersioned } from '../platform/database/settings'
import type { Account as Actor, Deps } from '../platform/deps'
import { invalid } from '../platform/errors/problems'
import { holidaysLibrary, publicHolidays } from '../readiness/workCalendar'
import { anyReferenceGiven } from '../records/applications/find'
import { keptLogo, shownLogo } from '../records/organisation/shown'

/** The organisation as it is described at the desk. */
export async function readOrganisation({ clock, organisation }: Deps) {
  const { version } = await readVersioned('organisation')
  const today = clock.today()
  const { country, region } = organisation
  const holidays = publicHolidays(country, region, spokenLanguage(), [today.year, today.year + 1])
  return {
    organisation,
    version,
    logo: shownLogo(await keptLogo()),
    referencesGiven: await anyReferenceGiven(),
    countries: countriesWithRegions(),
    holidays: holidays.filter(({ day }) => day >= today.toString() && day < today.add({ years: 1 }).toString()),
  }
}

/** The countries whose holidays are known, with their regions (date-holidays, CC BY-SA 3.0). */
function countriesWithRegions() {
  const known = new (holidaysLibrary())()
  return Object.keys(known.getCountries()).map((code) => ({
    code,
    regions: Object.entries(known.getStates(code) ?? {}).map(([region, name]) => ({
      code: region,
      name: String(name),
    })),
  }))
}

type Given = { version: number; organisation: Organisation }

/** Describes the organisation anew. What cannot hold is said of each field. */
export async function saveOrganisation(deps: Deps, actor: Actor, { version, organisation: given }: Given) {
  const organisation = trimmed(given)
  const faults = faultsOf(organisation, given)
  if (organisation.referencePrefix !== deps.organisation.referencePrefix && (await anyReferenceGiven()))
    faults.push(at('referencePrefix', say('problem.referencesWereGiven')))
  if (faults.length > 0) throw invalid(faults)
  const next = await writeVersioned('organisation', version, organisation, {
    id: actor.id,
    name: actor.name,
    at: deps.clock.now(),
  })
  const before = deps.organisation
  const changed = (Object.keys(organisation) as (keyof Organisation)[]).filter(
    (field) => JSON.stringify(organisation[field]) !== JSON.stringify(before[field]),
  )
  await recordEvent(deps, actor, {
    code: 'organisation-changed',
    values: { fields: { list: changed.map((field) => ({ code: `organisation.field.${field}` as const })) } },
    details: Object.fromEntries(changed.map((field) => [field, { before: before[field], after: organisation[field] }])),
  })
  return { version: next }
}

const at = (field: string, message: string): Fault => ({ pointer: `/body/organisation/${field}`, message })

/** Without blanks around what was typed, and lists without what is empty. */
function trimmed(given: Organisation): Organisation {
  const { name, street, postcode, town, phone, families, places, bank } = given
  const list = (texts: readonly string[]) => [...new Set(texts.map((text) => text.trim()).filter(Boolean))]
  return {
    ...given,
    name: name.trim(),
    street: street.trim(),
    postcode: postcode.trim(),
    town: town.trim(),
    phone: phone.trim(),
    bank: {
      holder: bank.holder.trim(),
      iban: bank.iban.replace(/\s/g, '').toUpperCase(),
      bic: bank.bic.replace(/\s/g, '').toUpperCase(),
    },
    families: list(families),
    places: list(places),
  }
}

function faultsOf(organisation: Organisation, given: Organisation): Fault[] {
  const { name, timeZone, currency, accent, closedDays, country, region, bank } = organisation
  const contrast = contrastOf(accent, onMast)
  const regions = new (holidaysLibrary())().getStates(country)
  return [
    ...(name === '' ? [at('name', say('problem.giveTheOrganisationAName'))] : []),
    ...(timeZone === 'UTC' || Intl.supportedValuesOf('timeZone').includes(timeZone)
      ? []
      : [at('timeZone', say('problem.thereIsNoSuchTime'))]),
    ...(Intl.supportedValuesOf('currency').includes(currency) ? [] : [at('currency', say('problem.noSuchCurrency'))]),
    ...(contrast >= leastContrast
      ? []
      : [at('accent', say('problem.accentHardToRead', { contrast: contrast.toFixed(1), least: leastContrast }))]),
    ...(region === '' || (regions && region in regions) ? [] : [at('region', say('problem.noSuchRegion'))]),
    ...closedDays.flatMap(({ day }, nth) =>
      isDay(day) ? [] : [at(`closedDays/${nth}/day`, say('problem.noSuchDay', { day }))],
    ),
    ...(bank.iban === '' || isValidIBAN(bank.iban) ? [] : [at('bank/iban', say('problem.notAnIban'))]),
    ...(bank.bic === '' || isValidBIC(bank.bic) ? [] : [at('bank/bic', say('problem.notABic'))]),
    ...(bank.iban !== '' && bank.holder === '' ? [at('bank/holder', say('problem.accountHolder'))] : []),
    ...(given.languages.length > 0 ? [] : [at('languages', say('problem.oneLanguageAtLeast'))]),
  ]
}

/** A day of a year, or of every year; 29 February is one of every year that has it. */
function isDay(text: string): boolean {
  try {
    Temporal.PlainDate.from(text.length === 5 ? `2024-${text}` : text, { overflow: 'reject' })
    return true
  } catch {
    return false
  }
}
