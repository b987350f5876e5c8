import { type Catalogue, type CataloguePart, type CredentialKind, catalogueParts } from './catalogue'
import { numberIs, numberRule } from './numberPattern'

export type CatalogueFault =
  | { code: 'key-twice' }
  | { code: 'name-missing' }
  | { code: 'name-twice' }
  | { code: 'left-out'; name: string }
  | { code: 'claim-changed' }
  | { code: 'pattern-unreadable' }
  | { code: 'example-does-not-fit' }
  | { code: 'options-missing' }
  | { code: 'kind-changed' }
  | { code: 'classes-out-of-order' }
  | { code: 'pass-outside-scale' }
  | { code: 'worst-is-best' }
  | { code: 'no-letters' }
  | { code: 'letter-twice' }

export type PlacedFault = CatalogueFault & { pointer: string }

/**
 * What keeps a catalogue from taking the place of another. Nothing named before is left out or becomes something else, since
 * files, rules and imports go by its key: it is retired. Names differ, or nobody could tell what they choose.
 */
export function faultsOfCatalogue(catalogue: Catalogue, before: Catalogue): PlacedFault[] {
  return [
    ...catalogueParts.flatMap((part) => [
      ...faultsOfNames(catalogue[part], `/${part}`),
      ...leftOut(catalogue, before, part),
    ]),
    ...catalogue.credentials.flatMap((kind, nth) =>
      faultsOfKind(
        kind,
        before.credentials.find(({ key }) => key === kind.key),
        `/credentials/${nth}`,
      ),
    ),
    ...catalogue.scales.flatMap(({ scale }, nth) => faultsOfScale(scale, `/scales/${nth}/scale`)),
  ]
}

type Thing = { key: string; name: string; retired?: boolean }

function faultsOfNames(things: readonly Thing[], at: string): PlacedFault[] {
  const same = (one: Thing, other: Thing) => one.name.trim().toLowerCase() === other.name.trim().toLowerCase()
  return things.flatMap((thing, nth): PlacedFault[] => {
    const earlier = things.slice(0, nth)
    if (thing.name.trim() === '') return [{ pointer: `${at}/${nth}/name`, code: 'name-missing' }]
    if (earlier.some(({ key }) => key === thing.key)) return [{ pointer: `${at}/${nth}/key`, code: 'key-twice' }]
    if (!thing.retired && earlier.some((other) => !other.retired && same(other, thing)))
      return [{ pointer: `${at}/${nth}/name`, code: 'name-twice' }]
    return []
  })
}

const leftOut = (catalogue: Catalogue, before: Catalogue, part: CataloguePart): PlacedFault[] =>
  (before[part] as readonly Thing[])
    .filter(({ key }) => !(catalogue[part] as readonly Thing[]).some((thing) => thing.key === key))
    .map(({ name }) => ({ pointer: `/${part}`, code: 'left-out', name }))

function faultsOfKind(kind: CredentialKind, before: CredentialKind | undefined, at: string): PlacedFault[] {
  const { number, fields } = kind
  const faults: PlacedFault[] = []
  if (before && before.claim !== kind.claim) faults.push({ pointer: `${at}/claim`, code: 'claim-changed' })
  if (number && !numberRule(number.pattern))
    faults.push({ pointer: `${at}/number/pattern`, code: 'pattern-unreadable' })
  else if (number && !numberIs(number.pattern, number.example))
    faults.push({ pointer: `${at}/number/example`, code: 'example-does-not-fit' })
  faults.push(
    ...faultsOfNames(
      fields.map((field) => ({ ...field, name: field.label })),
      `${at}/fields`,
    ).map((fault) => ({ ...fault, pointer: fault.pointer.replace(/name$/, 'label') })),
  )
  fields.forEach((field, nth) => {
    const then = before?.fields.find(({ key }) => key === field.key)
    if (then && then.kind !== field.kind) faults.push({ pointer: `${at}/fields/${nth}/kind`, code: 'kind-changed' })
    if (field.kind === 'one of' && (field.options ?? []).length < 2)
      faults.push({ pointer: `${at}/fields/${nth}/options`, code: 'options-missing' })
  })
  for (const { key, label } of before?.fields ?? [])
    if (!fields.some((field) => field.key === key))
      faults.push({ pointer: `${at}/fields`, code: 'left-out', name: label })
  return faults
}

function faultsOfScale(scale: Catalogue['scales'][number]['scale'], at: string): PlacedFault[] {
  const faults: PlacedFault[] = []
  if (scale.kind === 'numbers') {
    const { worst, best, pass } = scale
    if (worst === best) faults.push({ pointer: `${at}/best`, code: 'worst-is-best' })
    else if (pass < Math.min(worst, best) || pass > Math.max(worst, best))
      faults.push({ pointer: `${at}/pass`, code: 'pass-outside-scale' })
  } else {
    const letters = scale.letters.map(({ letter }) => letter.trim().toLowerCase())
    if (letters.length === 0) faults.push({ pointer: `${at}/letters`, code: 'no-letters' })
    letters.forEach((letter, nth) => {
      if (letter === '' || letters.indexOf(letter) < nth)
        faults.push({ pointer: `${at}/letters/${nth}/letter`, code: 'letter-twice' })
    })
  }
  scale.classes.forEach(({ from }, nth) => {
    if (nth > 0 && from >= scale.classes[nth - 1]!.from)
      faults.push({ pointer: `${at}/classes/${nth}/from`, code: 'classes-out-of-order' })
  })
  return faults
}
