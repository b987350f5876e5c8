import { rmSync } from 'node:fs'
import { resolve } from 'node:path'
import { pino } from 'pino'
import type { SourceKind } from '#core/sources/source'
import { initialsOf } from '#core/sources/spelling'
import { readConfig } from '#server/platform/config'
import { Source } from '#server/records/sources/model'
import { searchSources } from '#server/records/sources/search'
import { addSources, findSources, type NewSource } from '#server/records/sources/sources'
import { prepare } from '#server/start'
import { startOwnDatabase } from '../scripts/ownDatabase'
import { percentile, type Result } from './result'

const port = 4516
const stretch = 1000
const wantedMs = 50

const places =
  'Arv Bel Cor Dun Eis Fal Gra Hol Irn Jor Kar Lum Mor Nor Ost Pel Quar Ros Stein Tann Ulm Val Wes Yver Zar'.split(' ')
const endings = 'berg dorf feld gard heim ingen lach mont nau ova polis ring stad thal vik'.split(' ')
const kinds: [SourceKind, string[]][] = [
  ['university', ['University of X', 'Universität X', 'Université de X', 'Technische Hochschule X', 'Università di X']],
  ['school', ['Berufsschule X', 'X Technical College', 'Lycée professionnel de X', 'Szkoła Techniczna X']],
  ['employer', ['X Seilbahnen', 'X Linie', 'Remontées de X', 'X Elektro', 'Bau X & Sohn', 'X Rope Services']],
  ['licensing body', ['X Safety Board', 'Aufsicht X', 'Office de X']],
  ['certifier', ['X Training', 'Akademie X', 'Prüfstelle X']],
]
const countries = ['AT', 'DE', 'CH', 'FR', 'IT', 'NO', 'PL', 'ES', 'SI', 'DK']

/** The town of a number: some thousands of them, of two or three parts. */
const townOf = (n: number) =>
  [
    places[n % 25]!,
    endings[Math.floor(n / 25) % 15]!,
    Math.floor(n / 375) % 14 === 0 ? '' : ` ${places[Math.floor(n / 375) % 14]!}${endings[n % 15]!}`,
  ].join('')

function sourceOf(n: number): NewSource {
  const [kind, forms] = kinds[n % kinds.length]!
  const town = townOf(n)
  const name = (at: number) => forms[(Math.floor(n / kinds.length) + at) % forms.length]!.replace('X', town)
  return {
    ...{ name: name(0), kind, town, country: countries[n % 10]! },
    names: [
      { name: name(1), use: 'other' },
      { name: initialsOf(name(0))[0]?.toUpperCase() ?? 'X', use: 'short' },
    ],
    contacts: [{ mail: `office@s${n}.example` }],
  }
}

/** What people type: beginnings, whole names, other spellings, a slip, initials, common words only. */
function typedFor(n: number): string {
  const { name, names } = sourceOf((n * 7919) % 50_000)
  const slip = (text: string) => text.slice(0, text.length >> 1) + text.slice((text.length >> 1) + 1)
  const ways = [
    name,
    name.slice(0, 3 + (n % 12)),
    slip(name),
    names![0]!.name,
    name.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase(),
    slip(names![0]!.name).toLowerCase(),
    name.split(' ').reverse().join(' '),
    name.split(' ')[0]!,
    townOf((n * 7919) % 50_000),
    'un',
  ]
  return ways[n % ways.length]!
}

/** The directory of sources with fifty thousand of them: how long a search takes, as a candidate types and at the desk. */
export async function searchInMany(count = 50_000): Promise<Result[]> {
  const folder = resolve('.check/bench-sources')
  rmSync(folder, { recursive: true, force: true })
  const database = await startOwnDatabase(folder, port, { memory: '2G' })
  const settings = readConfig({ SECOND_FACTOR: '', DATA_FOLDER: '.check/own' })
  const fixed = await prepare({ ...settings, databaseUrl: database.url }, pino({ level: 'silent' }))
  const from = performance.now()
  for (let at = 0; at < count; at += stretch)
    await addSources(Array.from({ length: Math.min(stretch, count - at) }, (_, nth) => sourceOf(at + nth)))
  const entered = (performance.now() - from) / 1000
  const measure = async (
    what: string,
    search: (text: string, n: number) => Promise<readonly unknown[]>,
  ): Promise<Result> => {
    const times: number[] = []
    let empty = 0
    for (let n = 0; n < 1000; n += 1) {
      const text = typedFor(n)
      const began = performance.now()
      const found = await search(text, n)
      times.push(performance.now() - began)
      if (found.length === 0) empty += 1
    }
    return {
      what,
      measured: `p50 ${percentile(times, 0.5).toFixed(1)} ms, p95 ${percentile(times, 0.95).toFixed(1)} ms, ${empty} of 1000 without a hit`,
      wanted: `p95 under ${wantedMs} ms`,
    }
  }
  // How well, beside how fast: the source that was meant is among the first eight.
  let found = 0
  const meant = 300
  for (let n = 0; n < meant; n += 1) {
    const source = sourceOf((n * 7919) % 50_000)
    const text = source.name.slice(0, 4) + source.name.slice(5)
    const hits = await searchSources(text, {}, 8)
    if (hits.some(({ source: hit }) => hit.name === source.name)) found += 1
  }
  const results: Result[] = [
    { what: `Sources entered (${await Source.count()})`, measured: `${entered.toFixed(0)} s`, wanted: '' },
    await measure('Search at the desk', (text) => searchSources(text, {}, 40)),
    await measure('Search as a candidate types', (text, n) =>
      findSources({
        text,
        kind: n % 2 === 0 ? 'university,school' : undefined,
        country: n % 3 === 0 ? 'AT' : undefined,
      }),
    ),
    { what: 'A name with a letter left out', measured: `${found} of ${meant} among the first eight`, wanted: '' },
  ]
  await fixed.sequelize.close()
  await database.stop()
  return results
}
