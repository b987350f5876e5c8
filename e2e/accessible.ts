import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

const standards = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']

/** No serious finding of axe. In the dark only the contrast is another one. */
export async function expectAccessible(page: Page, name: string) {
  for (const colorScheme of ['light', 'dark'] as const) {
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
