import { Message } from '../../platform/mail/model'

/** Those of some applications about which a mail was refused and not sent again since. */
export async function refusedAmong(applicationIds: readonly string[]): Promise<Set<string>> {
  const where = { applicationId: [...applicationIds], state: 'refused' as const }
  return new Set((await Message.findAll({ where, attributes: ['applicationId'] })).map((one) => one.applicationId!))
}
