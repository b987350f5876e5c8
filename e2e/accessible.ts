import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

/** No serious finding of axe, in light and dark. */
export async function expectAccessible(page: Page, name: string) {
  for (const colorScheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' })
    const { violations } = await new AxeBuilder({ page })
      .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
      .analyze()
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
