/**
 * What candidates are told of, by kind: where their applications stand, what they have to do, answers and messages of the desk,
 * and what is about none of their applications.
 */
export const noticeKinds = ['progress', 'to do', 'answers', 'general'] as const
export type NoticeKind = (typeof noticeKinds)[number]

/** By mail, or as a text message. */
export const noticeChannels = ['mail', 'text'] as const
export type NoticeChannel = (typeof noticeChannels)[number]

export type ChannelsByKind = Record<NoticeKind, readonly NoticeChannel[]>

/** How somebody is told who has not chosen. */
export const usualChannels: ChannelsByKind = {
  progress: ['mail'],
  'to do': ['mail'],
  answers: ['mail'],
  general: ['mail'],
}

/** What is about one's own application is told by at least one channel; all else can be refused. */
export const mayBeRefused = (kind: NoticeKind): boolean => kind === 'general'

export type ChannelFault = { kind: NoticeKind; code: 'one-is-needed' | 'number-not-confirmed' }

/**
 * What cannot be chosen.
 *
 * @param hasNumber whether there is a number that was confirmed by a code
 */
export function faultsOfChannels(channels: ChannelsByKind, hasNumber: boolean): ChannelFault[] {
  return noticeKinds.flatMap((kind): ChannelFault[] => {
    if (channels[kind].length === 0 && !mayBeRefused(kind)) return [{ kind, code: 'one-is-needed' }]
    return channels[kind].includes('text') && !hasNumber ? [{ kind, code: 'number-not-confirmed' }] : []
  })
}

/**
 * By what somebody is told of something. Without a confirmed number a text message becomes a mail: nothing that is about an
 * application goes by nothing.
 */
export function channelsFor(kind: NoticeKind, channels: ChannelsByKind, hasNumber: boolean): NoticeChannel[] {
  const chosen = channels[kind].filter((channel) => channel === 'mail' || hasNumber)
  if (chosen.length > 0) return chosen
  return channels[kind].length === 0 && mayBeRefused(kind) ? [] : ['mail']
}
