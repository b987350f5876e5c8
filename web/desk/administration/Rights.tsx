import { useState } from 'react'
import { lockedRights, type Right, type RightsTable, rights, type StaffRole, staffRoles } from '#core/rights/rights'
import { roleWords } from '#core/words/roles'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { Overview } from '../overviews/Overview'
import { useToast } from '../useToast'
import { TwoPersons } from './TwoPersons'

/** Which lines of the table stand under which heading: those from this right on. */
const headings: Partial<Record<Right, string>> = {
  'files.read': say('administration.filesAndProof'),
  'people.write-for': say('administration.peopleAndMessages'),
  'vacancies.read': say('administration.vacanciesAndSources'),
  'trail.read': say('administration.whatIsHidden'),
  'money.see': say('administration.money'),
  'organisation.keep': say('administration.administrationItself'),
}

/** One table: what each role may see and do. */
export function Rights() {
  const { data, error, refetch } = api.endpoints.readRights.useQuery({}, { refetchOnMountOrArgChange: true })
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <Overview title={say('administration.rights')} about={say('administration.aboutRights')}>
      <Table key={data.version} {...data} />
      <TwoPersons />
    </Overview>
  )
}

type Props = {
  version: number
  table: RightsTable
  changedBy: string | null
  changedAt: string | null
  people: Record<string, number>
}

function Table({ version, table, changedBy, changedAt, people }: Props) {
  const [next, setNext] = useState(table)
  const { act, busy, problem } = useAct('saveRights')
  const toast = useToast()
  useFreshAfterClash(problem, 'colleagues')
  const changed = rights.filter((right) => next[right].join() !== table[right].join())
  const turn = (right: Right, role: StaffRole) =>
    setNext((before) => ({
      ...before,
      [right]: staffRoles.filter((one) => (one === role ? !before[right].includes(one) : before[right].includes(one))),
    }))
  const save = async () => {
    if (await act({ body: { version, table: next } })) toast(say('administration.rightsSaved'))
  }
  return (
    <>
      <div className="overflow-x-auto">
        <table className="text-left text-[0.9rem]">
          <thead className="sticky top-0 bg-sheet">
            <tr className="border-line-strong border-b align-bottom">
              <th scope="col" className="py-1 pr-4 font-semibold text-[0.8333rem] text-ink-2">
                {say('administration.mayDo')}
              </th>
              {staffRoles.map((role) => (
                <th key={role} scope="col" className="px-1.5 py-1 text-center font-semibold text-[0.8333rem]">
                  {roleWords(role)}
                  <span className="block font-normal text-ink-2">
                    {say('administration.countPeople', { count: people[role] ?? 0 })}
                  </span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rights.map((right) => (
              <Line key={right} right={right} holders={next[right]} before={table[right]} onTurn={turn} />
            ))}
          </tbody>
        </table>
      </div>
      <div className="sticky -bottom-3 mt-3 grid gap-2 border-line border-t bg-sheet py-3">
        <ProblemNote problem={problem} />
        {problem?.faults?.map(({ pointer, message }) => (
          <p key={pointer} role="alert" className="font-semibold text-contradicted">
            {message}
          </p>
        ))}
        <div className="flex flex-wrap items-center gap-3">
          <Button kind="main" busy={busy} disabled={changed.length === 0} onClick={() => void save()}>
            {say('administration.saveRights')}
          </Button>
          {changed.length > 0 ? (
            <>
              <span>{say('administration.countLinesChanged', { count: changed.length })}</span>
              <Button kind="quiet" onClick={() => setNext(table)}>
                {say('administration.discardChanges')}
              </Button>
            </>
          ) : (
            <span className="text-ink-2">
              {changedBy && changedAt
                ? say('administration.lastChanged', { by: changedBy, at: writeMoment(changedAt) })
                : say('administration.asWeCome')}
            </span>
          )}
        </div>
      </div>
    </>
  )
}

type LineProps = {
  right: Right
  holders: readonly StaffRole[]
  before: readonly StaffRole[]
  onTurn: (right: Right, role: StaffRole) => void
}

function Line({ right, holders, before, onTurn }: LineProps) {
  const heading = headings[right]
  const name = say(`right.${right}`)
  return (
    <>
      {heading && (
        <tr>
          <th scope="colgroup" colSpan={staffRoles.length + 1} className="pt-3 pb-1 font-semibold text-ink-2">
            {heading}
          </th>
        </tr>
      )}
      <tr className="border-line border-b hover:bg-sheet-2">
        <th scope="row" className="py-1 pr-4 font-normal">
          {name}
        </th>
        {staffRoles.map((role) => {
          const changed = holders.includes(role) !== before.includes(role)
          return (
            <td key={role} className={`text-center ${changed ? 'bg-soon-wash' : ''}`}>
              <input
                type="checkbox"
                className="size-4 accent-confirmed"
                aria-label={say('administration.roleAndRight', { role: roleWords(role), right: name })}
                checked={holders.includes(role)}
                disabled={lockedRights[right] === role}
                onChange={() => onTurn(right, role)}
              />
            </td>
          )
        })}
      </tr>
    </>
  )
}
