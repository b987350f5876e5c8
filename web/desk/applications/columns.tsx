import { type ColumnDef, createColumnHelper } from '@tanstack/react-table'
import { Link } from 'react-router'
import type { TableRow } from '#contract/lists'
import { writeWhen } from '#core/dates/write'
import { writeShortDay, writeSlack } from '../../ui/write'

const column = createColumnHelper<TableRow>()
const eligibleWords = { yes: 'yes', no: 'no', undecided: 'not to be said' }
const tones = { yes: '', no: 'text-contradicted', undecided: 'text-soon-ink' }

/** Every column there is, in their order; which of them are shown is in the address. */
export const columns = [
  column.accessor('name', {
    header: 'Name',
    enableHiding: false,
    cell: ({ row: { original } }) => (
      <Link to={`/desk/applications/${original.id}`} className="font-semibold hover:underline">
        {original.name}
      </Link>
    ),
  }),
  column.accessor('reference', {
    header: 'Reference',
    cell: ({ getValue }) => <span className="font-mono text-[0.8333rem]">{getValue()}</span>,
  }),
  column.accessor('vacancy', { header: 'Vacancy' }),
  column.accessor('stage', { header: 'Stage' }),
  column.accessor('sentAt', {
    header: 'Sent',
    cell: ({ getValue }) => <span className="whitespace-nowrap">{getValue() ? writeShortDay(getValue()!) : ''}</span>,
  }),
  column.accessor('met', {
    header: 'Settled',
    meta: { right: true },
    cell: ({ getValue }) => `${getValue().done} of ${getValue().of}`,
  }),
  column.accessor('eligible', {
    header: 'Eligible',
    cell: ({ getValue }) => <span className={tones[getValue()]}>{eligibleWords[getValue()]}</span>,
  }),
  column.accessor('blanks', { header: 'Blanks', meta: { right: true }, cell: ({ getValue }) => getValue() || '' }),
  column.accessor('changes', { header: 'Changed', meta: { right: true }, cell: ({ getValue }) => getValue() || '' }),
  column.accessor('reviews', { header: 'Scores in', meta: { right: true }, cell: ({ getValue }) => getValue() || '' }),
  column.accessor('score', {
    header: 'Score',
    meta: { right: true },
    cell: ({ getValue }) => (getValue() === null ? '' : `${getValue()} %`),
  }),
  column.accessor('slack', {
    header: 'Slack',
    meta: { right: true },
    cell: ({ getValue }) => (
      <span className={getValue() < 0 ? 'font-semibold text-contradicted' : ''}>{writeSlack(getValue())}</span>
    ),
  }),
  column.accessor('likely', {
    header: 'Likely ready',
    cell: ({ getValue }) => <span className="whitespace-nowrap">{writeWhen(getValue())}</span>,
  }),
  column.accessor('heldUpBy', { header: 'Held up by', cell: ({ getValue }) => getValue() ?? 'nothing' }),
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
