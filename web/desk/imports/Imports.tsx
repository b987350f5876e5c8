import { Link, useNavigate, useParams } from 'react-router'
import type { Reply } from '#contract/endpoint'
import type { readImport } from '#contract/imports'
import { type ImportField, importFields } from '#core/imports/fields'
import { say } from '#core/words/say'
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
  mapping: say('importsDesk.notImportedYet'),
  waiting: say('importsDesk.beingImported'),
  done: say('importsDesk.imported'),
  failed: say('importsDesk.brokeOff'),
  undone: say('importsDesk.takenBack'),
}
const fieldWords: Record<ImportField, string> = {
  givenNames: say('importsDesk.givenNames'),
  familyName: say('importsDesk.familyName'),
  fullName: say('importsDesk.wholeName'),
  mail: say('importsDesk.mailAddress'),
  phone: say('importsDesk.phone'),
  born: say('importsDesk.dateOfBirth'),
  'study.award': say('importsDesk.study.award'),
  'study.subject': say('importsDesk.study.subject'),
  'study.level': say('importsDesk.study.level'),
  'study.source': say('importsDesk.study.source'),
  'study.number': say('importsDesk.study.number'),
  'study.from': say('importsDesk.study.from'),
  'study.to': say('importsDesk.study.to'),
  'work.position': say('importsDesk.work.position'),
  'work.source': say('importsDesk.work.source'),
  'work.from': say('importsDesk.work.from'),
  'work.to': say('importsDesk.work.to'),
  'credential.kind': say('importsDesk.licenceOrCertificateKind'),
  'credential.number': say('importsDesk.licenceOrCertificateNumber'),
  'credential.source': say('importsDesk.licenceOrCertificateIssuer'),
  'credential.issued': say('importsDesk.licenceOrCertificateIssued'),
  'credential.through': say('importsDesk.licenceOrCertificateValidThrough'),
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
    <Overview list="imports" title={say('importsDesk.import')} about={say('importsDesk.peopleAndWhatTheyClaim')}>
      <p className="mb-3">
        <FileButton
          kind="main"
          name={say('importsDesk.fileToImport')}
          accept=".csv,.txt,.json"
          busy={busy}
          onFile={(file) => void begin(file)}
        >
          {say('importsDesk.chooseAFile')}
        </FileButton>
      </p>
      <ProblemNote problem={problem} />
      <Table
        rows={data}
        keyOf={(one) => one.id}
        empty={say('importsDesk.nothingHasBeenImportedYet')}
        columns={[
          {
            name: say('importsDesk.file'),
            of: (one) => (
              <Link to={`/desk/imports/${one.id}`} className="font-semibold hover:underline">
                {one.fileName}
              </Link>
            ),
          },
          { name: say('importsDesk.rows'), right: true, of: ({ total }) => total },
          { name: say('importsDesk.state'), of: ({ state }) => stateWords[state] },
          { name: say('importsDesk.by'), of: ({ by }) => by },
          { name: say('importsDesk.when'), whole: true, of: ({ at }) => writeMoment(at).replace(/^\w+,? /, '') },
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
    if (await running.act({ params: { id } })) toast(say('importsDesk.itIsBeingImportedYou'))
  }
  const undo = async () => {
    if (await undoing.act({ params: { id } })) toast(say('importsDesk.takenBackWhole'))
  }
  return (
    <Overview
      title={data.fileName}
      about={`${data.total === 1 ? say('importsDesk.oneRow2') : say('importsDesk.totalRows', { total: data.total })}, ${stateWords[data.state]}.`}
    >
      <div className="grid gap-4">
        <ProblemNote problem={mapping.problem ?? running.problem ?? undoing.problem} />
        {data.note && <p className="text-soon-ink">{data.note}</p>}
        {waiting && (
          <p role="status">
            <progress max={data.total} value={data.done} className="mr-2 align-middle" />
            {say('importsDesk.ofRows', { done: data.done, total: data.total })}
          </p>
        )}
        {open && <Columns data={data} onTake={take} />}
        {open && <Found data={data} />}
        {data.state === 'done' && data.faultyRows > 0 && (
          <p>
            {say('importsDesk.ofRowsAreIn', { done: data.done, total: data.total })} <LeftRows data={data} />
          </p>
        )}
        <div className="flex gap-2">
          {data.state === 'mapping' && (
            <Button kind="main" busy={running.busy} disabled={right === 0} onClick={() => void run()}>
              {right === 1 ? say('importsDesk.importOneRow') : say('importsDesk.importRows', { right })}
            </Button>
          )}
          {(data.state === 'done' || (data.state === 'failed' && data.done > 0)) && (
            <Button kind="grave" busy={undoing.busy} onClick={() => void undo()}>
              {say('importsDesk.takeItBackWhole')}
            </Button>
          )}
          <Link to="/desk/imports" className="self-center font-semibold text-confirmed">
            {say('importsDesk.allImports')}
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
                  empty={say('importsDesk.leftOut')}
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
    <section aria-label={say('importsDesk.whoCameWithIt')}>
      <Table
        rows={brought}
        keyOf={({ candidateId }) => candidateId}
        empty=""
        columns={[
          {
            name: say('importsDesk.who'),
            of: ({ candidateId, name }) => (
              <Link to={`/desk/people/${candidateId}`} className="font-semibold hover:underline">
                {name}
              </Link>
            ),
          },
          { name: say('importsDesk.claims'), right: true, of: ({ claims }) => claims },
        ]}
      />
      {people.made + people.known > brought.length && (
        <p className="py-2 text-ink-2">{say('importsDesk.theFirstAnybodyIsFound', { count: brought.length })}</p>
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
        {faultCount === 0 && <strong className="text-confirmed">{say('importsDesk.nothingIsWrong')} </strong>}
        {say('importsDesk.peopleWouldBeNewAre', { made: people.made, known: people.known, claims: people.claims })}
      </p>
      {faultCount > 0 && <Faults data={data} />}
      {doubtCount > 0 && (
        <section aria-label={say('importsDesk.lookAtThis')}>
          <p className="mb-1">
            <strong className="text-soon-ink">
              {doubtCount === 1 ? say('importsDesk.lookAtOneName') : say('importsDesk.lookAtNames', { doubtCount })}
            </strong>{' '}
            {say('importsDesk.noRuleSaysWhereThe')}
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
    {faultyRows === 1 ? say('importsDesk.theRowThatIsWrong') : say('importsDesk.theRowsThatAreWrong', { faultyRows })}
  </a>
)

function Faults({ data }: { data: Import }) {
  const { faultCount, faults } = data
  return (
    <section aria-label={say('importsDesk.whatIsWrong')}>
      <p className="mb-1">
        <strong className="text-contradicted">
          {faultCount === 1 ? say('importsDesk.oneThingIsWrong') : say('importsDesk.thingsAreWrong', { faultCount })}
        </strong>{' '}
        {say('importsDesk.takeAColumnForAnother')} <LeftRows data={data} />
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
        { name: say('importsDesk.row'), right: true, of: ({ row }) => row },
        { name: say('importsDesk.column'), of: ({ column }) => column },
        { name: say('importsDesk.what'), of: ({ message }) => message },
      ]}
    />
  )
}
