import { matchPath } from 'react-router'
import { say } from '#core/words/say'

const titles = new Map<string, () => string>()

/** Says what places are called in the title of the window; of several that fit, the one that was said first. */
export function addTitles(more: Readonly<Record<string, () => string>>) {
  for (const [place, title] of Object.entries(more)) titles.set(place, title)
}

export function titleAt(pathname: string): string {
  const place = [...titles.keys()].find((page) => matchPath(page, pathname))
  return place ? titles.get(place)!() : say('ui.thereIsNothingAtThis')
}
