import { Op } from 'sequelize'
import { DuplicatePair } from './model'

/** A pair is kept once, whoever is looked at first. */
export const inOrder = (a: string, b: string): [string, string] => (a < b ? [a, b] : [b, a])

/** Those of some candidates who are in a pair that nobody has decided. */
export async function withOpenDuplicates(candidateIds: readonly string[]): Promise<Set<string>> {
  const pairs = await DuplicatePair.findAll({ where: isOpenDuplicate(candidateIds), attributes: ['oneId', 'otherId'] })
  return new Set(pairs.flatMap(({ oneId, otherId }) => [oneId, otherId]))
}

export const isOpenDuplicate = (candidateIds: readonly string[]) => ({
  state: 'open',
  [Op.or]: [{ oneId: [...candidateIds] }, { otherId: [...candidateIds] }],
})
