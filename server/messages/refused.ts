import { Message } from './model'

/** Whether a mail about an application was refused and not sent again since. */
export const hasRefused = async (applicationId: string): Promise<boolean> =>
  (await Message.count({ where: { applicationId, state: 'refused' } })) > 0
