import { AsyncLocalStorage } from 'node:async_hooks'
import type { Context } from 'koa'
import { learnGerman } from '#core/words/german'
import { type Language, languages, speakBy } from '#core/words/say'

const spoken = new AsyncLocalStorage<Language>()
learnGerman()
speakBy(() => spoken.getStore() ?? 'en')

/** Does something in the language the caller asks for (Accept-Language). */
export const inLanguageOf = <T>(ctx: Context, run: () => T): T =>
  spoken.run((ctx.acceptsLanguages(...languages) || 'en') as Language, run)

/** Does something in a language, whoever asks. */
export const inLanguage = <T>(language: Language, run: () => T): T => spoken.run(language, run)

/** Does something in English: whatever is kept is kept in the language of the desk. */
export const inEnglish = <T>(run: () => T): T => inLanguage('en', run)
