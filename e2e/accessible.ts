import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

const standards = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']

/**
 * No serious finding of axe.
 *
 * @param dark also in the dark, where only the contrast is another one; the colours come from one place, so a page of each
 *   kind is enough
 */
export async function expectAccessible(page: Page, name: string, { dark = false } = {}) {
  for (const colorScheme of dark ? (['light', 'dark'] as const) : (['light'] as const)) {
    await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' })
    // In the page itself: there are no frames of others here for which it would need a page of its own.
    const axe = new AxeBuilder({ page }).setLegacyMode()
    const { violations } = await (colorScheme === 'light'
      ? axe.withTags(standards)
      : axe.withRules(['color-contrast'])
    ).analyze()
    const grave = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')
    expect(
      grave.map(
        ({ id, nodes }) =>
          `${name}, ${colorScheme}: ${id} at ${nodes
            .slice(0, 3)
            .map(({ target, failureSummary }) => `${target} ${failureSummary?.split('\n')[1] ?? ''}`)
            .join(' | ')}`,
      ),
    ).toEqual([])
  }
}
