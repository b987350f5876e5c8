import { useState } from 'react'
import type { Reply } from '#contract/endpoint'
import type { Contract } from '#contract/index'
import type { Catalogue, CataloguePart, Named } from '#core/catalogue/catalogue'
import { say } from '#core/words/say'
import type { Problem } from '../../api'
import { takeCatalogue } from '../../catalogue'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { useToast } from '../useToast'
import { freshKey } from '../vacancies/freshKey'

/** The catalogue as it is being edited, with the version that is changed. */
export type Edited = Reply<Contract['readCatalogue']>
export type ThingOf<Part extends CataloguePart> = Catalogue[Part][number]

/** What a dialog about one thing is given; `thing` is absent where one is added. */
export type DialogProps<Part extends CataloguePart> = {
  part: Part
  edited: Edited
  thing: ThingOf<Part> | undefined
  onClose: () => void
}

/**
 * One thing of the catalogue while it is edited; saved in its place, or as the last where it is new.
 *
 * @param blank what a new one begins with; its key is made from its name unless it is chosen
 * @returns what is given so far, how to change it, what is wrong with it by the name of the field, and what its form is given
 */
export function useThing<Part extends CataloguePart>(props: DialogProps<Part>, blank: ThingOf<Part>) {
  const { part, edited, thing, onClose } = props
  const { act, busy, problem } = useAct('saveCatalogue')
  const toast = useToast()
  useFreshAfterClash(problem, 'catalogue')
  const [given, setGiven] = useState<ThingOf<Part>>(thing ?? blank)
  const set = (change: Partial<ThingOf<Part>>) => setGiven((before) => ({ ...before, ...change }))
  const things = edited.catalogue[part] as readonly ThingOf<Part>[]
  const save = async () => {
    const taken = new Set(things.map(({ key }) => key))
    // What is named in one language only is called so in all.
    const name = given.name.trim() || Object.values(given.translations ?? {}).find((own) => own?.name)?.name || ''
    const saved = { ...given, name, key: given.key || freshKey(name, taken).slice(0, 40) }
    const next = thing ? things.map((other) => (other.key === saved.key ? saved : other)) : [...things, saved]
    if (!(await act({ body: { version: edited.version, catalogue: { ...edited.catalogue, [part]: next } } }))) return
    await takeCatalogue()
    toast(say('catalogue.saved', { name: saved.name }))
    onClose()
  }
  const error = placed(problem, part, things, thing?.key)
  const form = {
    ...{ of: given as Named, set: set as (change: Partial<Named>) => void, error },
    title: thing?.name ?? say(`catalogue.add.${part as CataloguePart}`),
    ...(thing ? { offered: !given.retired } : {}),
    onOffer: (offered: boolean) => set({ retired: offered ? undefined : true } as Partial<ThingOf<Part>>),
    ...{ problem: unplaced(problem), busy, onClose },
    onSave: () => void save(),
  }
  return { given, set, error, form }
}

/** A problem that is of no field. */
const unplaced = (problem: Problem | undefined) =>
  problem?.faults?.some(({ pointer }) => /^\/body\/catalogue\/[a-z]+\/\d+\//.test(pointer)) ? undefined : problem

/** What is wrong with the fields of the thing with a key, or of a new one, by where in it they are. */
function placed(problem: Problem | undefined, part: CataloguePart, things: readonly { key: string }[], key?: string) {
  const at = things.findIndex((thing) => thing.key === key)
  const start = `/body/catalogue/${part}/${at < 0 ? things.length : at}/`
  return (field: string) => problem?.faults?.find(({ pointer }) => pointer === start + field)?.message
}
