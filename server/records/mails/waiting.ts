import { IncomingMail } from './model'

/** Those of some applications about which somebody has written and nobody here has settled it. */
export async function writtenToUsAmong(applicationIds: readonly string[]): Promise<Set<string>> {
  const where = { applicationId: [...applicationIds], state: 'waiting' as const }
  const waiting = await IncomingMail.findAll({ where, attributes: ['applicationId'] })
  return new Set(waiting.map((one) => one.applicationId!))
}
