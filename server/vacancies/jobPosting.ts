import { getSchema } from '@tiptap/core'
import { renderToHTMLString } from '@tiptap/static-renderer/pm/html-string'
import { richTextParts } from '#contract/richText'
import { dayAt } from '#core/dates/zoned'
import type { Organisation } from '#core/organisation/organisation'
import type { Vacancy } from '../records/vacancies/model'

const schema = getSchema(richTextParts)

/** Whether a rich text is made of the parts that are agreed on. */
export function isRichText(content: unknown): boolean {
  try {
    schema.nodeFromJSON(content).check()
    return true
  } catch {
    return false
  }
}

type Us = Pick<Organisation, 'name' | 'street' | 'postcode' | 'town' | 'region' | 'country' | 'currency'> & {
  publicUrl: string
  /** Where the logo is fetched. */
  logo?: string
}

/** A vacancy as schema.org `JobPosting` data (https://schema.org/JobPosting). */
export function jobPosting(vacancy: Vacancy, { name, publicUrl, logo, ...where }: Us) {
  const address = (streetAddress?: string) => ({
    '@type': 'PostalAddress',
    ...(streetAddress ? { streetAddress } : {}),
    postalCode: where.postcode,
    addressLocality: where.town,
    ...(where.region ? { addressRegion: where.region } : {}),
    addressCountry: where.country,
  })
  const escaped = vacancy.summary.replace(/&/g, '&amp;').replace(/</g, '&lt;')
  const duties = renderToHTMLString({ content: vacancy.duties, extensions: richTextParts })
  return {
    '@context': 'https://schema.org',
    '@type': 'JobPosting',
    title: vacancy.title,
    description: `<p>${escaped}</p>${duties}`,
    datePosted: dayAt(vacancy.opensAt, vacancy.timeZone).toString(),
    validThrough: vacancy.closesAt.toISOString(),
    jobStartDate: vacancy.targetStart,
    totalJobOpenings: vacancy.headcount,
    employmentType: employmentType(vacancy),
    workHours: vacancy.hours,
    occupationalCategory: vacancy.family,
    directApply: true,
    url: `${publicUrl}/vacancies/${vacancy.slug}`,
    identifier: { '@type': 'PropertyValue', name, value: vacancy.id },
    hiringOrganization: { '@type': 'Organization', name, ...(logo ? { logo } : {}), address: address() },
    jobLocation: { '@type': 'Place', address: address(vacancy.place) },
    baseSalary: {
      '@type': 'MonetaryAmount',
      currency: where.currency,
      value: {
        '@type': 'QuantitativeValue',
        minValue: vacancy.payFrom / 100,
        maxValue: vacancy.payTo / 100,
        unitText: 'YEAR',
      },
    },
  }
}

function employmentType({ contract, hours }: Vacancy): string {
  if (/fixed|temporary|season/i.test(contract)) return 'TEMPORARY'
  return /part/i.test(hours) ? 'PART_TIME' : 'FULL_TIME'
}
