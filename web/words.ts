import { learn, marked, type SourceLanguage, speakBy } from '#core/words/say'
import { languageHere } from './language'

type Load = () => Promise<{ default: Record<string, string> }>

/** The texts of each part of the application: fetched when it is first gone to, in the reader's language only. */
const groups: Record<
  'start' | 'checking' | 'vacancies' | 'asking' | 'portal' | 'desk' | 'administration' | 'reply' | 'report',
  Record<'en' | 'de', Load> & Partial<Record<SourceLanguage, Load>>
> = {
  start: { en: () => import('#core/words/groups/start.en'), de: () => import('#core/words/groups/start.de') },
  checking: { en: () => import('#core/words/groups/checking.en'), de: () => import('#core/words/groups/checking.de') },
  vacancies: {
    en: () => import('#core/words/groups/vacancies.en'),
    de: () => import('#core/words/groups/vacancies.de'),
  },
  asking: { en: () => import('#core/words/groups/asking.en'), de: () => import('#core/words/groups/asking.de') },
  portal: { en: () => import('#core/words/groups/portal.en'), de: () => import('#core/words/groups/portal.de') },
  desk: { en: () => import('#core/words/groups/desk.en'), de: () => import('#core/words/groups/desk.de') },
  administration: {
    en: () => import('#core/words/groups/administration.en'),
    de: () => import('#core/words/groups/administration.de'),
  },
  report: { en: () => import('#core/words/groups/report.en'), de: () => import('#core/words/groups/report.de') },
  reply: {
    en: () => import('#core/words/groups/reply.en'),
    de: () => import('#core/words/groups/reply.de'),
    fr: () => import('#core/words/groups/reply.fr'),
    it: () => import('#core/words/groups/reply.it'),
  },
}
export type Group = keyof typeof groups

const learnt = new Map<Group, Promise<void>>()

/** Fetches the texts of some parts, once. */
export async function loadWords(...wanted: readonly Group[]): Promise<void> {
  await Promise.all(
    wanted.map((group) => {
      const known = learnt.get(group)
      if (known) return known
      const here = languageHere()
      // What is not said in a source's language is said in English.
      const language = here !== marked && groups[group][here] ? here : 'en'
      const coming = groups[group][language]!().then(({ default: texts }) => learn(language, texts))
      learnt.set(group, coming)
      return coming
    }),
  )
}

/** Has everything said in the language of this page, once the texts of its beginning are there. */
export async function prepareWords() {
  speakBy(languageHere)
  document.documentElement.lang = languageHere() === marked ? 'en' : languageHere()
  await loadWords('start')
}
