import { Temporal } from 'temporal-polyfill'
import { goByCatalogue } from '#core/catalogue/catalogue'
import { fieldsOf } from '#core/comparison/fields'
import { readFields } from '#core/reading/readFields'
import type { ClaimKind } from '#core/requirements/claimKind'
import '#core/words/everything'
import { vallorneCatalogue } from '#scenario/catalogue'
import { people } from '#scenario/people/people'
import { credentialPaper, drawnPaper, jobPaper, type Printed, studyPaper } from '#scenario/printed'
import { sources } from '#scenario/sources/sources'
import type { World } from '#scenario/world'
import { readPaper } from '#server/documents/reading/readPaper'
import { degraded } from '../test/degraded'
import type { Result } from './result'

const copies = 30

/** What a machine reads on the demo's papers, and on copies of them that got worse (`copies` for these alone): right, wrong, and not at all. */
export async function readingOfPapers(only?: string): Promise<Result[]> {
  const papers = papersOfDemo()
  const worse = Array.from({ length: copies }, (_, nth) => papers[Math.floor((nth * papers.length) / copies)]!)
  return [
    ...(only === 'copies'
      ? []
      : [
          await measured(`The demo's ${papers.length} papers`, papers, async ({ printed }) => ({
            bytes: await drawnPaper(printed),
            mediaType: mediaTypeOf(printed),
          })),
        ]),
    await measured(`${copies} copies that got worse`, worse, async ({ printed }, nth) => ({
      bytes: await degraded(await drawnPaper(printed), mediaTypeOf(printed), nth),
      mediaType: 'image/jpeg',
    })),
  ]
}

type Drawn = { kind: ClaimKind; printed: Printed }

/** The papers of the demo, undrawn. */
export function papersOfDemo(): Drawn[] {
  goByCatalogue(vallorneCatalogue)
  const world = {
    sourceNames: new Map(sources.map(({ key, name }) => [key, name])),
    loadedAt: new Date(),
    fixed: {},
  } as World
  return people.flatMap((plan): Drawn[] => [
    ...plan.studies.map((study) => ({ kind: 'study' as const, printed: studyPaper(world, plan, study) })),
    ...plan.jobs
      .filter(({ letter }) => letter)
      .map((job) => ({ kind: 'work' as const, printed: jobPaper(world, plan, job) })),
    ...plan.credentials
      .filter(({ copyOf }) => !copyOf)
      .map((credential) => ({
        kind: 'certificate' as const,
        printed: credentialPaper(world, plan, credential),
      })),
  ])
}

export const mediaTypeOf = ({ photographed }: Printed) => (photographed ? 'image/png' : 'application/pdf')

type Copy = (drawn: Drawn, nth: number) => Promise<{ bytes: Buffer; mediaType: string }>

async function measured(what: string, papers: readonly Drawn[], copy: Copy): Promise<Result> {
  const count = { right: 0, wrong: 0, not: 0 }
  const from = performance.now()
  for (const [nth, drawn] of papers.entries()) {
    const { bytes, mediaType } = await copy(drawn, nth)
    const { text: paper } = await readPaper(bytes, mediaType)
    const { says } = drawn.printed
    const values =
      paper === 'no recognition' ? {} : readFields(paper, fieldsOf(drawn.kind, says), says, Temporal.Now.plainDateISO())
    for (const [key, said] of Object.entries(says)) {
      const read = values[key as keyof typeof says]?.value
      count[read === undefined ? 'not' : read === said ? 'right' : 'wrong'] += 1
      if (read !== undefined && read !== said)
        console.log(`${what}: ${key} of paper ${nth + 1} is “${said}”, read as “${read}”`)
    }
  }
  const seconds = (performance.now() - from) / 1000 / papers.length
  const all = count.right + count.wrong + count.not
  const share = (of: number) => `${((of / all) * 100).toFixed(1)} %`
  return {
    what,
    measured: `${all} fields: ${share(count.right)} right, ${share(count.wrong)} wrong, ${share(count.not)} not read; ${seconds.toFixed(1)} s each`,
    wanted: 'wrong under 1 %',
  }
}
