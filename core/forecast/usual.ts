import type { Step } from '../requirements/requirement'

/** Working days that one step usually takes where nobody has measured it: early, likely, late. */
export const usual: Record<Step['what'], readonly [early: number, likely: number, late: number]> = {
  answer: [1, 3, 7],
  explain: [1, 3, 8],
  upload: [1, 4, 10],
  renew: [5, 12, 30],
  look: [0, 1, 3],
  ask: [0, 1, 2],
  reply: [3, 8, 20],
  compare: [0, 1, 2],
  decide: [1, 2, 5],
  'sit check': [1, 4, 9],
  sign: [1, 3, 7],
  'do task': [1, 2, 6],
  'make offer': [1, 3, 6],
  pay: [1, 3, 7],
  'name someone': [1, 2, 5],
  'take portrait': [1, 2, 6],
  certify: [3, 7, 20],
}
