import { Op } from 'sequelize'
import { erasureCodes } from '../platform/audit/chain'
import { Event } from '../platform/audit/model'
import type { Deps } from '../platform/deps'

/** Takes the words and their salt out of a chain's links before its record of erasure. The hashes stay, and hold. */
export async function eraseWords(deps: Deps, chain: string) {
  await Event.update(
    {
      who: 'Erased',
      what: '',
      forCandidate: null,
      words: null,
      wordValues: null,
      shownToCandidate: false,
      about: null,
      details: {},
      salt: '',
      erasedAt: deps.clock.now(),
    },
    { where: { chain, code: { [Op.notIn]: [...erasureCodes] }, erasedAt: null } },
  )
}
