import { addressOf } from '../api'
import { queueNames } from './queue/names'

/** Something the finder can do besides finding a person: a place to go to, or a list to keep. */
export type DeskCommand = { name: string; words: string; to: string; file?: boolean; keepersOnly?: boolean }

export const deskCommands: readonly DeskCommand[] = [
  ...Object.entries(queueNames).map(([queue, { name, about }]) => ({
    name: `Go to ${name}`,
    words: about,
    to: `/desk/${queue}`,
  })),
  { name: 'Applications as a table', words: 'filter columns list', to: '/desk/applications/table' },
  { name: 'Who is likely late', words: 'slack danger start', to: '/desk/applications/table?late=yes' },
  { name: 'Not scored yet', words: 'review shortlist score', to: '/desk/applications/table?unscored=yes&stage=sent' },
  { name: 'Possible duplicates', words: 'merge same person twice', to: '/desk/duplicates', keepersOnly: true },
  { name: 'Begin for somebody', words: 'on behalf phone paper form', to: '/desk/behalf', keepersOnly: true },
  { name: 'Paper tray', words: 'scans post cover sheet file', to: '/desk/paper', keepersOnly: true },
  { name: 'Import people', words: 'csv resume list spreadsheet', to: '/desk/imports', keepersOnly: true },
  { name: 'Vacancies', words: 'posts set up rules form', to: '/desk/vacancies' },
  { name: 'Sources', words: 'universities employers boards', to: '/desk/sources', keepersOnly: true },
  { name: 'Prepared words', words: 'sentences messages templates', to: '/desk/words', keepersOnly: true },
  { name: 'Mails not taken', words: 'outbox refused waiting post smtp', to: '/desk/outbox', keepersOnly: true },
  { name: 'Audit trail', words: 'verify record chain history', to: '/desk/trail', keepersOnly: true },
  {
    name: 'Keep all applications as CSV',
    words: 'export download list',
    to: addressOf('exportList', { params: { list: 'applications' } }),
    file: true,
    keepersOnly: true,
  },
  { name: 'Your account', words: 'password codes sign in', to: '/account' },
]

/** The commands in which every word that was typed begins some word. */
export function commandsFor(text: string, isKeeper: boolean): DeskCommand[] {
  const typed = text.toLowerCase().split(/\s+/).filter(Boolean)
  return deskCommands.filter(({ name, words, keepersOnly }) => {
    if (keepersOnly && !isKeeper) return false
    const known = `${name} ${words}`.toLowerCase().split(/[^a-z]+/)
    return typed.every((part) => known.some((word) => word.startsWith(part)))
  })
}
