import type { Reply } from '#contract/endpoint'
import type { Contract } from '#contract/index'
import type { Catalogue, CataloguePart } from '#core/catalogue/catalogue'
import { say } from '#core/words/say'
import type { Problem } from '../../api'
import { takeCatalogue } from '../../catalogue'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { useToast } from '../useToast'

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
 * Saves one thing of the catalogue: in its place, or as the last where it is new.
 *
 * @returns how to save it, and what is wrong with it by the name of the field
 */
export function useSavedThing<Part extends CataloguePart>({ part, edited, onClose }: DialogProps<Part>) {
  const { act, busy, problem } = useAct('saveCatalogue')
  const toast = useToast()
  useFreshAfterClash(problem, 'catalogue')
  const things = edited.catalogue[part] as readonly ThingOf<Part>[]
  const save = async (thing: ThingOf<Part>) => {
    const known = things.some(({ key }) => key === thing.key)
    const next = known ? things.map((other) => (other.key === thing.key ? thing : other)) : [...things, thing]
    const catalogue = { ...edited.catalogue, [part]: next }
    if (!(await act({ body: { version: edited.version, catalogue } }))) return
    await takeCatalogue()
    toast(say('catalogue.saved', { name: thing.name }))
    onClose()
  }
  return { save, busy, problem: unplaced(problem), fault: (key: string) => placed(problem, part, things, key) }
}

/** A problem that is of no field. */
const unplaced = (problem: Problem | undefined) =>
  problem?.faults?.some(({ pointer }) => /^\/body\/catalogue\/[a-z]+\/\d+\//.test(pointer)) ? undefined : problem

/** What is wrong with the fields of the thing with a key, by where in it they are. */
function placed(problem: Problem | undefined, part: CataloguePart, things: readonly { key: string }[], key: string) {
  const at = things.findIndex((thing) => thing.key === key)
  const start = `/body/catalogue/${part}/${at < 0 ? things.length : at}/`
  return (field: string) => problem?.faults?.find(({ pointer }) => pointer === start + field)?.message
}
