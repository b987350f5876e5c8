import { hash } from '@node-rs/argon2'
import type { ZxcvbnFactory } from '@zxcvbn-ts/core'
import { say } from '#core/words/say'
import type { Deps } from '../platform/deps'
import { invalidField } from '../platform/errors/problems'

let judge: Promise<ZxcvbnFactory> | undefined

/** The dictionaries are large, and needed only where a password is chosen. */
async function makeJudge(): Promise<ZxcvbnFactory> {
  const [{ ZxcvbnFactory: Judge }, common, english] = await Promise.all([
    import('@zxcvbn-ts/core'),
    import('@zxcvbn-ts/language-common'),
    import('@zxcvbn-ts/language-en'),
  ])
  return new Judge({
    graphs: common.adjacencyGraphs,
    dictionary: { ...common.dictionary, ...english.dictionary },
    translations: english.translations,
  })
}

/** What stands for the hash of an account without a password; nothing opens it. */
export const noPassword = 'none'

/** Words everybody here knows, which make a password easy to guess. */
export const wordsOfHouse = ({ organisation }: Pick<Deps, 'organisation'>) => ['Probatum', organisation.name]

/** Of 0 to 4; 3 stands against ten billion guesses. */
const leastScore = 3

/**
 * The hash of a new password. Throws a problem where it is easily guessed: a common password, or one made of what is known
 * of the person. How it is composed does not matter. Method: zxcvbn (Wheeler 2016).
 */
export async function hashOfNewPassword(
  password: string,
  known: readonly string[],
  pointer = '/body/password',
): Promise<string> {
  const words = known.flatMap((text) => [text, ...text.split(/[\s@.-]+/)]).filter(({ length }) => length > 2)
  const lower = password.toLowerCase()
  if (words.some((word) => word.length > 4 && lower.includes(word.toLowerCase())))
    throw invalidField(pointer, say('problem.thePasswordHoldsYourName'))
  judge ??= makeJudge()
  const { score, feedback } = (await judge).check(password.slice(0, 100), words)
  if (score < leastScore) {
    const why = feedback.warning ? `${feedback.warning} ` : ''
    throw invalidField(pointer, say('problem.thisPasswordIsEasilyGuessed', { why }))
  }
  return hash(password)
}
