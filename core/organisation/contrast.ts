/** The text on the masthead. */
export const onMast = '#e9f1ee'

/** What text has to reach at the least (WCAG 2.2, 1.4.3, level AA). */
export const leastContrast = 4.5

/** The relative luminance of a colour `#rrggbb`, 0 to 1 (WCAG 2.2, after IEC 61966-2-1). */
function luminance(colour: string): number {
  const [red, green, blue] = [1, 3, 5].map((at) => {
    const part = Number.parseInt(colour.slice(at, at + 2), 16) / 255
    return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4
  })
  return 0.2126 * red! + 0.7152 * green! + 0.0722 * blue!
}

/**
 * How well one colour is read on another, 1 to 21 (WCAG 2.2, contrast ratio).
 *
 * @param one, other colours `#rrggbb`
 */
export function contrastOf(one: string, other: string): number {
  const [darker, lighter] = [luminance(one), luminance(other)].sort((a, b) => a - b)
  return (lighter! + 0.05) / (darker! + 0.05)
}
