import { say } from '#core/words/say'
import { invalidField } from '../platform/errors/problems'

export const problems = {
  endsBeforeItBegins: () => invalidField('/query/to', say('problem.endsBeforeItBegins')),
}
