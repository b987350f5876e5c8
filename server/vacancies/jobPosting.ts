import { readFile } from 'node:fs/promises'
import { resolve } from 'node:path'
import { getSchema } from '@tiptap/core'
import { renderToHTMLString } from '@tiptap/static-renderer/pm/html-string'
import { richTextParts } from '#contract/richText'
import { dayAt } from '#core/dates/zoned'
import type { Deps } from '../deps'
import type { Vacancy } from './model'
import { isOpen, vacancyBySlug } from './vacancies'

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

/** A vacancy as schema.org `JobPosting` data (https://schema.org/JobPosting). */
export function jobPosting(vacancy: Vacancy, operator: string, publicUrl: string) {
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
    identifier: { '@type': 'PropertyValue', name: operator, value: vacancy.id },
    hiringOrganization: { '@type': 'Organization', name: operator },
    jobLocation: { '@type': 'Place', address: { '@type': 'PostalAddress', addressLocality: vacancy.place } },
    baseSalary: {
      '@type': 'MonetaryAmount',
      currency: 'EUR',
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

/** The page of an open vacancy with its data for search engines in the head; the plain page for all others. */
export async function vacancyPage(deps: Deps, slug: string): Promise<string> {
  const page = await readFile(resolve(deps.config.webFolder, 'index.html'), 'utf8')
  const vacancy = await vacancyBySlug(slug).catch(() => undefined)
  if (!vacancy || !isOpen(vacancy, deps.clock.now())) return page
  const data = JSON.stringify(jobPosting(vacancy, deps.config.operator, deps.config.publicUrl)).replace(/</g, '\\u003c')
  return page.replace('</head>', `<script type="application/ld+json">${data}</script></head>`)
}
