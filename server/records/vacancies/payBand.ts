/** Bands of pay by which vacancies are filtered: the middle of the pay, in cents a year, and what the band is called. */
const bands: readonly [below: number, name: string][] = [
  [4_000_000, 'below 40,000'],
  [5_000_000, '40,000 to 50,000'],
  [6_000_000, '50,000 to 60,000'],
  [7_500_000, '60,000 to 75,000'],
  [Number.POSITIVE_INFINITY, 'above 75,000'],
]

export const payBandOf = (payFrom: number, payTo: number): string =>
  bands.find(([below]) => (payFrom + payTo) / 2 < below)![1]
