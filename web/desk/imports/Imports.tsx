import { Link, useNavigate, useParams } from 'react-router'
import type { Reply } from '#contract/endpoint'
import type { readImport } from '#contract/imports'
import { type ImportField, importFields } from '#core/importing/fields'
import { addressOf, api } from '../../api'
import { Button } from '../../ui/Button'
import { SelectField } from '../../ui/Field'
import { FileButton } from '../../ui/FileButton'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { Overview, Table } from '../overviews/Overview'
import { useToast } from '../useToast'

type Import = Reply<typeof readImport>

const stateWords = {
  mapping: 'not imported yet',
  waiting: 'being imported',
  done: 'imported',
  failed: 'broke off',
  undone: 'taken back',
}
const fieldWords: Record<ImportField, string> = {
  givenNames: 'given names',
  familyName: 'family name',
  fullName: 'whole name',
  mail: 'mail address',
  phone: 'phone',
  born: 'date of birth',
  'study.award': 'study: award',
  'study.subject': 'study: subject',
  'study.level': 'study: level, 0 to 8',
  'study.source': 'study: institution',
  'study.number': 'study: number',
  'study.from': 'study: from',
  'study.to': 'study: to',
  'work.position': 'work: position',
  'work.source': 'work: employer',
  'work.from': 'work: from',
  'work.to': 'work: to',
  'credential.kind': 'licence or certificate: kind',
  'credential.number': 'licence or certificate: number',
  'credential.source': 'licence or certificate: issuer',
  'credential.issued': 'licence or certificate: issued',
  'credential.through': 'licence or certificate: valid through',
}

/** Lists of people that come as a file: one chosen, or all of them. */
export function Imports() {
  const { id } = useParams()
  return id ? <OneImport id={id} /> : <AllImports />
}

function AllImports() {
  const navigate = useNavigate()
  const { data, error, refetch } = api.endpoints.listImports.useQuery({}, { refetchOnMountOrArgChange: true })
  const { act, busy, problem } = useAct('beginImport')
  const begin = async (file: File) => {
    const begun = await act({ query: { fileName: file.name }, body: file as never })
    if (begun) navigate(`/desk/imports/${begun.id}`)
  }
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <Overview
      list="imports"
      title="Import"
      about="People and what they claim, from a CSV of any spreadsheet or from JSON Resume. It is tried first; rows that are right go in, and the others come back as a file to put right."
    >
      <p className="mb-3">
        <FileButton
          kind="main"
          name="File to import"
          accept=".csv,.txt,.json"
          busy={busy}
          onFile={(file) => void begin(file)}
        >
          Choose a file
        </FileButton>
      </p>
      <ProblemNote problem={problem} />
      <Table
        rows={data}
        keyOf={(one) => one.id}
        empty="Nothing has been imported yet."
        columns={[
          {
            name: 'File',
            of: (one) => (
              <Link to={`/desk/imports/${one.id}`} className="font-semibold hover:underline">
                {one.fileName}
              </Link>
            ),
          },
          { name: 'Rows', right: true, of: ({ total }) => total },
          { name: 'State', of: ({ state }) => stateWords[state] },
          { name: 'By', of: ({ by }) => by },
          { name: 'When', whole: true, of: ({ at }) => writeMoment(at).replace(/^\w+,? /, '') },
        ]}
      />
    </Overview>
  )
}

function OneImport({ id }: { id: string }) {
  const { data, error, refetch } = api.endpoints.readImport.useQuery(
    { params: { id } },
    { refetchOnMountOrArgChange: true },
  )
  const waiting = data?.state === 'waiting'
  api.endpoints.readImport.useQuery({ params: { id } }, { pollingInterval: waiting ? 1000 : 0, skip: !waiting })
  const mapping = useAct('mapImport')
  const running = useAct('runImport')
  const undoing = useAct('undoImport')
  const toast = useToast()
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const open = data.state === 'mapping' || data.state === 'failed'
  const right = data.total - data.faultyRows
  const take = (column: string, field: string) => {
    const kept = Object.entries(data.mapping).filter(([other, own]) => other !== column && own !== field)
    void mapping.act({
      params: { id },
      body: { mapping: Object.fromEntries([...kept, ...(field ? [[column, field as ImportField]] : [])]) },
    })
  }
  const run = async () => {
    if (await running.act({ params: { id } })) toast('It is being imported. You can go on with something else.')
  }
  const undo = async () => {
    if (await undoing.act({ params: { id } })) toast('Taken back whole.')
  }
  return (
    <Overview
      title={data.fileName}
      about={`${data.total === 1 ? 'One row' : `${data.total} rows`}, ${stateWords[data.state]}.`}
    >
      <div className="grid gap-4">
        <ProblemNote problem={mapping.problem ?? running.problem ?? undoing.problem} />
        {data.note && <p className="text-soon-ink">{data.note}</p>}
        {waiting && (
          <p role="status">
            <progress max={data.total} value={data.done} className="mr-2 align-middle" />
            {data.done} of {data.total} rows
          </p>
        )}
        {open && <Columns data={data} onTake={take} />}
        {open && <Found data={data} />}
        {data.state === 'done' && data.faultyRows > 0 && (
          <p>
            {data.done} of {data.total} rows are in. <LeftRows data={data} />
          </p>
        )}
        <div className="flex gap-2">
          {data.state === 'mapping' && (
            <Button kind="main" busy={running.busy} disabled={right === 0} onClick={() => void run()}>
              {right === 1 ? 'Import one row' : `Import ${right} rows`}
            </Button>
          )}
          {(data.state === 'done' || (data.state === 'failed' && data.done > 0)) && (
            <Button kind="grave" busy={undoing.busy} onClick={() => void undo()}>
              Take it back whole
            </Button>
          )}
          <Link to="/desk/imports" className="self-center font-semibold text-confirmed">
            All imports
          </Link>
        </div>
        {data.brought.length > 0 && <Brought data={data} />}
      </div>
    </Overview>
  )
}

/** Which column holds what, with the first rows beneath. */
function Columns({ data, onTake }: { data: Import; onTake: (column: string, field: string) => void }) {
  return (
    <div className="overflow-x-auto">
      <table className="text-left">
        <thead>
          <tr>
            {data.columns.map((column) => (
              <th key={column} scope="col" className="min-w-[150px] pr-3 pb-1 align-bottom font-normal">
                <SelectField
                  label={column}
                  value={data.mapping[column] ?? ''}
                  empty="left out"
                  options={importFields.map((field) => ({ value: field, label: fieldWords[field] }))}
                  onChange={(event) => onTake(column, event.target.value)}
                />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {data.sample.map((row, nth) => (
            <tr key={nth} className="border-line border-b">
              {row.map((cell, at) => (
                <td
                  key={data.columns[at]}
                  className={`max-w-[220px] truncate py-1 pr-3 ${data.mapping[data.columns[at]!] ? '' : 'text-ink-3'}`}
                >
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

/** Who came with it, each with a page of their own until they have applied. */
function Brought({ data: { brought, people } }: { data: Import }) {
  return (
    <section aria-label="Who came with it">
      <Table
        rows={brought}
        keyOf={({ candidateId }) => candidateId}
        empty=""
        columns={[
          {
            name: 'Who',
            of: ({ candidateId, name }) => (
              <Link to={`/desk/people/${candidateId}`} className="font-semibold hover:underline">
                {name}
              </Link>
            ),
          },
          { name: 'Claims', right: true, of: ({ claims }) => claims },
        ]}
      />
      {people.made + people.known > brought.length && (
        <p className="py-2 text-ink-2">The first {brought.length}; anybody is found by name with Ctrl K.</p>
      )}
    </section>
  )
}

/** What trying it found. */
function Found({ data }: { data: Import }) {
  const { faultCount, people, doubtCount, doubts } = data
  return (
    <>
      <p>
        {faultCount === 0 && <strong className="text-confirmed">Nothing is wrong. </strong>}
        {people.made} people would be new, {people.known} are known by their mail address, and {people.claims} claims
        would be added.
      </p>
      {faultCount > 0 && <Faults data={data} />}
      {doubtCount > 0 && (
        <section aria-label="Look at this">
          <p className="mb-1">
            <strong className="text-soon-ink">
              {doubtCount === 1 ? 'Look at one name.' : `Look at ${doubtCount} names.`}
            </strong>{' '}
            No rule says where the family name begins. Give it a column of its own where this is wrong.
          </p>
          <RowTable rows={doubts} />
        </section>
      )}
    </>
  )
}

/** The rows that stay out, as a file. */
const LeftRows = ({ data: { id, faultyRows } }: { data: Import }) => (
  <a href={addressOf('readLeftRows', { params: { id } })} download className="font-semibold text-confirmed">
    {faultyRows === 1 ? 'The row that is wrong, to put right' : `The ${faultyRows} rows that are wrong, to put right`}
  </a>
)

function Faults({ data }: { data: Import }) {
  const { faultCount, faults } = data
  return (
    <section aria-label="What is wrong">
      <p className="mb-1">
        <strong className="text-contradicted">
          {faultCount === 1 ? 'One thing is wrong.' : `${faultCount} things are wrong.`}
        </strong>{' '}
        Take a column for another here, or import the rows that are right and put the others right in a file of their
        own: <LeftRows data={data} />
      </p>
      <RowTable rows={faults} />
    </section>
  )
}

function RowTable({ rows }: { rows: Import['faults'] }) {
  return (
    <Table
      rows={rows}
      keyOf={({ row, column, message }) => `${row} ${column} ${message}`}
      empty=""
      columns={[
        { name: 'Row', right: true, of: ({ row }) => row },
        { name: 'Column', of: ({ column }) => column },
        { name: 'What', of: ({ message }) => message },
      ]}
    />
  )
}
