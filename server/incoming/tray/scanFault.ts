import { type Coded, coded } from '#core/words/say'

/** Why a scan cannot be read. */
export class ScanFault extends Error {
  constructor(readonly words: Coded) {
    super(words.code)
  }
}

/** What is told of a scan that was not read, whatever went wrong. */
export const faultOf = (error: unknown): Coded =>
  error instanceof ScanFault ? error.words : coded('tray.fault.unreadable')
