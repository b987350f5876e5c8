import { type ColumnDef, createColumnHelper } from '@tanstack/react-table'
import { Link } from 'react-router'
import type { TableRow } from '#contract/lists'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { writeShortDay, writeSlack } from '../../ui/write'

const column = createColumnHelper<TableRow>()
const eligibleWords = { yes: say('names.answer.yes'), no: say('names.answer.no'), undecided: say('table.notToBeSaid') }
const tones = { yes: '', no: 'text-contradicted', undecided: 'text-soon-ink' }

/** Every column there is, in their order; which of them are shown is in the address. */
export const columns = [
  column.accessor('name', {
    header: say('table.name'),
    enableHiding: false,
    cell: ({ row: { original } }) => (
      <Link to={`/desk/applications/${original.id}`} className="font-semibold hover:underline">
        {original.name}
      </Link>
    ),
  }),
  column.accessor('reference', {
    header: say('table.reference'),
    cell: ({ getValue }) => <span className="font-mono text-[0.8333rem]">{getValue()}</span>,
  }),
  column.accessor('vacancy', { header: say('table.vacancy') }),
  column.accessor('stage', {
    header: say('table.stage'),
    cell: ({ getValue }) => say(`state.stage.${getValue()}`),
  }),
  column.accessor('sentAt', {
    header: say('table.sent'),
    cell: ({ getValue }) => <span className="whitespace-nowrap">{getValue() ? writeShortDay(getValue()!) : ''}</span>,
  }),
  column.accessor('met', {
    header: say('table.settled'),
    meta: { right: true },
    cell: ({ getValue }) => say('file.doneOf', getValue()),
  }),
  column.accessor('eligible', {
    header: say('table.eligible'),
    cell: ({ getValue }) => <span className={tones[getValue()]}>{eligibleWords[getValue()]}</span>,
  }),
  column.accessor('blanks', {
    header: say('table.blanks'),
    meta: { right: true },
    cell: ({ getValue }) => getValue() || '',
  }),
  column.accessor('changes', {
    header: say('table.changed'),
    meta: { right: true },
    cell: ({ getValue }) => getValue() || '',
  }),
  column.accessor('reviews', {
    header: say('table.scoresIn'),
    meta: { right: true },
    cell: ({ getValue }) => getValue() || '',
  }),
  column.accessor('score', {
    header: say('table.score'),
    meta: { right: true },
    cell: ({ getValue }) => (getValue() === null ? '' : `${getValue()} %`),
  }),
  column.accessor('slack', {
    header: say('table.slack'),
    meta: { right: true },
    cell: ({ getValue }) => (
      <span className={getValue() < 0 ? 'font-semibold text-contradicted' : ''}>{writeSlack(getValue())}</span>
    ),
  }),
  column.accessor('likely', {
    header: say('table.likelyReady'),
    cell: ({ getValue }) => <span className="whitespace-nowrap">{writeWhen(getValue())}</span>,
  }),
  column.accessor('heldUpBy', {
    header: say('table.heldUpBy'),
    cell: ({ getValue }) => getValue() ?? say('file.nothing'),
  }),
] as ColumnDef<TableRow>[]

export const columnKeys = columns.map((one) => String((one as { accessorKey: string }).accessorKey))
export const shownAtFirst = [
  'name',
  'reference',
  'vacancy',
  'sentAt',
  'met',
  'eligible',
  'blanks',
  'changes',
  'score',
  'slack',
]
