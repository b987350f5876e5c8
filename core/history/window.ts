import type { Temporal } from 'temporal-polyfill'

/**
 * The days of the `years` before and up to `upTo`: five years up to 24 Nov 2026 begin on 25 Nov 2021.
 * From 29 February the window begins on 1 March of a common year.
 */
export function yearsUpTo(upTo: Temporal.PlainDate, years: number) {
  return { from: upTo.subtract({ years }).add({ days: 1 }), through: upTo }
}
