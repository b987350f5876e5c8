import { coded } from '#core/words/say'
import type { StoredText } from '#core/words/stored'

const most = 500

/** Why a message was refused, in the words of who refused it. */
export const saidByServer = (said: string): StoredText => coded('messages.because.said', { said: said.slice(0, most) })

/** It was not taken yet, and is tried again. */
export const notTakenYet = (said: string): StoredText =>
  coded('messages.because.notTakenYet', { said: said.slice(0, most) })

/** It was tried for as long as one tries. */
export const notHandedOver = (said: string): StoredText =>
  coded('messages.because.notHandedOver', { said: said.slice(0, most) })
