import { Op } from 'sequelize'
import type { Deps } from '../deps'
import { erasureCodes } from './chain'
import { Event } from './model'

/** Takes the words and their salt out of a chain's links before its record of erasure. The hashes stay, and hold. */
export async function eraseWords(deps: Deps, chain: string) {
  await Event.update(
    {
      who: 'Erased',
      what: 'Erased',
      forCandidate: null,
      about: null,
      details: {},
      salt: '',
      erasedAt: deps.clock.now(),
    },
    { where: { chain, code: { [Op.notIn]: [...erasureCodes] }, erasedAt: null } },
  )
}
