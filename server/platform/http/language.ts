import { AsyncLocalStorage } from 'node:async_hooks'
import type { Context } from 'koa'
import { learnEverything } from '#core/words/everything'
import { type Language, languages, marked, type SpokenLanguage, sourceLanguages, speakBy } from '#core/words/say'

const spoken = new AsyncLocalStorage<SpokenLanguage>()
learnEverything()
speakBy(() => spoken.getStore() ?? 'en')

/** Does something in the language the caller asks for (Accept-Language). */
export const inLanguageOf = <T>(ctx: Context, run: () => T): T =>
  spoken.run(
    ctx.get('accept-language') === marked
      ? marked
      : ((ctx.acceptsLanguages(...sourceLanguages) || 'en') as SpokenLanguage),
    run,
  )

/** Does something in a language, whoever asks. */
export const inLanguage = <T>(language: SpokenLanguage, run: () => T): T => spoken.run(language, run)

/** Does something in English: whatever is kept is kept in the language of the desk. */
export const inEnglish = <T>(run: () => T): T => inLanguage('en', run)

/** The language of the moment, as an account may have it. */
export const languageOfAccount = (): Language =>
  languages.find((language) => language === (spoken.getStore() ?? 'en')) ?? 'en'
