import { seededRandom } from '../random'
import type { Curve } from '../turnaround/kaplanMeier'
import { type Duration, daysUntil } from './duration'

/** So many futures are tried. */
export const runs = 400

export type Draws = (work: string, took: Duration) => Int16Array

/**
 * How long each step takes in each future, by stratified sampling (McKay, Beckman and Conover 1979): once from each of `runs` equal
 * slices of its distribution, in an order that its work alone decides. So one more step changes no other's draw, and the same work
 * drawn from another distribution is drawn at the same places of it (common random numbers).
 */
export function drawsOf(seed: string): Draws {
  const orders = new Map<string, Uint16Array>()
  return (work, took) => {
    const order = orders.get(work) ?? orderOf(`${seed} ${work}`)
    orders.set(work, order)
    const slice = slicesOf(took)
    const drawn = new Int16Array(runs)
    for (let run = 0; run < runs; run += 1) drawn[run] = slice[order[run]!]!
    return drawn
  }
}

/** Of the same distribution the same slices, however many files wait for it. */
const ofCurve = new WeakMap<Curve, Map<number, Int16Array>>()
const ofAssumed = new Map<string, Int16Array>()
/** What has lasted longer than this is rare, and not kept. */
const longestKept = 60

function slicesOf(took: Duration): Int16Array {
  if (took.kind === 'measured') {
    const known = ofCurve.get(took.curve) ?? new Map<number, Int16Array>()
    ofCurve.set(took.curve, known)
    const slices = known.get(took.waited) ?? sliced(took)
    known.set(took.waited, slices)
    return slices
  }
  const key = `${took.early} ${took.likely} ${took.late} ${took.waited}`
  const slices = ofAssumed.get(key) ?? sliced(took)
  if (took.waited <= longestKept) ofAssumed.set(key, slices)
  return slices
}

/** What lies in the middle of each slice of a distribution, from the shortest to the longest. */
function sliced(took: Duration): Int16Array {
  const days = daysUntil(took)
  return Int16Array.from({ length: runs }, (_, nth) => days((nth + 0.5) / runs))
}

/** So many orders are made once; turned by any number of places, they are hundreds of thousands. */
const ordersMade = 1024
let orders: Uint16Array[] | undefined

/** All slices once, in an order that the seed decides; those of two seeds have nothing to do with each other. */
function orderOf(seed: string): Uint16Array {
  orders ??= Array.from({ length: ordersMade }, (_, nth) => shuffledSlices(`order ${nth}`))
  const random = seededRandom(seed)
  const order = orders[Math.floor(random() * ordersMade)]!
  const turn = Math.floor(random() * runs)
  const turned = new Uint16Array(runs)
  turned.set(order.subarray(turn))
  turned.set(order.subarray(0, turn), runs - turn)
  return turned
}

/** Fisher and Yates (1938), from the inside out. */
function shuffledSlices(seed: string): Uint16Array {
  const random = seededRandom(seed)
  const order = new Uint16Array(runs)
  for (let nth = 0; nth < runs; nth += 1) {
    const chosen = Math.floor(random() * (nth + 1))
    order[nth] = order[chosen]!
    order[chosen] = nth
  }
  return order
}
