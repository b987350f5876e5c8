import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import type { readDuplicate } from '#contract/duplicates'
import type { Reply } from '#contract/endpoint'
import { writeWhen } from '#core/dates/write'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { Choice, LongField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { writeDayOf, writeShortDay } from '../../ui/write'
import { useAct } from '../../useAct'
import { AsCsv } from '../AsCsv'
import { HiddenParts } from '../file/HiddenParts'
import { useKeys } from '../useKeys'
import { useToast } from '../useToast'

type Pair = Reply<typeof readDuplicate>

/** Files that may be of one person: the pairs on the left, the chosen two side by side. */
export function Duplicates() {
  const { oneId, otherId } = useParams()
  const navigate = useNavigate()
  const { data, error, refetch } = api.endpoints.listDuplicates.useQuery({}, { refetchOnMountOrArgChange: true })
  const undo = useAct('undoMerge')
  const toast = useToast()
  const pairs = data?.pairs ?? []
  const at = pairs.findIndex((pair) => pair.oneId === oneId && pair.otherId === otherId)
  const go = (by: number) => {
    const next = pairs[Math.min(pairs.length - 1, Math.max(0, at + by))]
    if (next) navigate(`/desk/duplicates/${next.oneId}/${next.otherId}`, { replace: true })
  }
  useKeys({ j: () => go(1), k: () => go(-1) })
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <main
      className="grid h-full min-h-0 lg:grid-cols-[17.2rem_minmax(0,1fr)]"
      aria-label={say('duplicates.possibleDuplicates')}
    >
      <section
        aria-label={say('duplicates.pairs')}
        className={`min-h-0 overflow-auto border-line border-r bg-sheet-2 ${oneId ? 'max-lg:hidden' : ''}`}
      >
        <div className="border-line border-b px-3 py-2">
          <div className="flex items-baseline justify-between text-[0.8333rem]">
            <h1 className="text-[1.2rem]">{say('duplicates.duplicates')}</h1>
            <AsCsv list="duplicates" />
          </div>
          <p className="text-[0.8333rem] text-ink-2">{say('duplicates.filesThatMayBeOf')}</p>
        </div>
        <ol>
          {pairs.map((pair) => (
            <li
              key={pair.oneId + pair.otherId}
              className={`border-line border-b ${pair.oneId === oneId && pair.otherId === otherId ? 'bg-confirmed-wash shadow-[inset_3px_0_0_var(--confirmed)]' : 'hover:bg-sheet'}`}
            >
              <Link to={`/desk/duplicates/${pair.oneId}/${pair.otherId}`} className="block px-3 py-2">
                <span className="block truncate font-semibold text-[0.9333rem]">{pair.names[0]}</span>
                <span className="block truncate">{pair.names[1]}</span>
                <span className="block text-[0.8333rem] text-ink-2">
                  {likelihoodWords[pair.likelihood]}:{' '}
                  {pair.agreeing.map((field) => say(`agreement.field.${field}`)).join(', ')}
                </span>
              </Link>
            </li>
          ))}
          {pairs.length === 0 && <li className="p-3 text-ink-2">{say('duplicates.noTwoFilesLookLike')}</li>}
        </ol>
        {data.merged.length > 0 && (
          <section aria-label={say('duplicates.mergedLately')} className="border-line border-t p-3">
            <h2 className="mb-1 font-semibold text-[0.9rem]">{say('duplicates.mergedLately')}</h2>
            <ProblemNote problem={undo.problem} />
            {data.merged.map(({ id, kept, merged, by, at: when }) => (
              <div key={id} className="mb-1.5">
                {say('duplicates.mergedIntoKept', { merged, kept })}{' '}
                <span className="text-ink-2">
                  {by}, {writeShortDay(when)}
                </span>
                <button
                  type="button"
                  className="block font-semibold text-confirmed"
                  onClick={() =>
                    void undo
                      .act({ params: { id } })
                      .then((done) => done && toast(say('duplicates.theTwoFilesAreApart')))
                  }
                >
                  {say('duplicates.takeApartAgain')}
                </button>
              </div>
            ))}
          </section>
        )}
      </section>
      {oneId && otherId ? (
        <div className="min-h-0 min-w-0 max-lg:overflow-auto lg:contents">
          <Link to="/desk/duplicates" className="block px-5 pt-2 text-confirmed lg:hidden">
            {say('duplicates.backToThePairs')}
          </Link>
          <Compare
            key={oneId + otherId}
            oneId={oneId}
            otherId={otherId}
            onSettled={() => navigate('/desk/duplicates')}
          />
        </div>
      ) : (
        <p className="p-6 text-ink-2 max-lg:hidden">{say('duplicates.chooseAPairOnThe')}</p>
      )}
    </main>
  )
}

const headings = {
  certain: say('duplicates.asGoodAsCertainlyOne'),
  likely: say('duplicates.likelyOnePerson'),
  possible: say('duplicates.possiblyOnePerson'),
  unlike: say('duplicates.hardlyOnePerson'),
}
const likelihoodWords = {
  certain: say('duplicates.asGoodAsCertain'),
  likely: say('duplicates.likely'),
  possible: say('duplicates.possible'),
  unlike: say('duplicates.unlike'),
}

function Compare({ oneId, otherId, onSettled }: { oneId: string; otherId: string; onSettled: () => void }) {
  const {
    data: pair,
    error,
    refetch,
  } = api.endpoints.readDuplicate.useQuery({ params: { oneId, otherId } }, { refetchOnMountOrArgChange: true })
  const [merging, setMerging] = useState(false)
  const apart = useAct('setApart')
  const toast = useToast()
  const setApart = async () => {
    if (!(await apart.act({ params: { oneId, otherId } }))) return
    toast(say('duplicates.twoPeopleTheyWillNot'))
    onSettled()
  }
  // Nothing is decided about files that are not there to be seen yet.
  useKeys(pair ? { m: () => setMerging(true), x: () => void setApart() } : {})
  if (!pair) return <Waiting error={error} onRetry={refetch} />
  return (
    <section aria-label={say('duplicates.sideBySide')} className="flex min-h-0 flex-col bg-sheet">
      <div className="min-h-0 flex-1 overflow-auto px-5 py-3">
        <h2 className="text-[1.3333rem]">{headings[pair.likelihood]}</h2>
        <table className="mt-2 w-full max-w-[980px] table-fixed text-left">
          <thead>
            <tr className="border-line-strong border-b">
              <th scope="col" className="w-[130px] py-1" />
              {pair.sides.map((side) => (
                <th key={side.candidateId} scope="col" className="py-1 pr-4 text-[1rem]">
                  {side.name}
                  <span className="block font-normal text-[0.8333rem] text-ink-2">
                    {say('duplicates.hereSince', { since: writeDayOf(side.since) })}
                  </span>
                  <div className="font-normal">
                    <HiddenParts applicationId={side.applications[0]?.id ?? ''} hidden={side.hidden} />
                  </div>
                </th>
              ))}
              <th scope="col" className="w-[230px] py-1 text-[0.8333rem] text-ink-2">
                {say('duplicates.compared')}
              </th>
            </tr>
          </thead>
          <tbody>
            <Row
              name={say('duplicates.name')}
              pair={pair}
              field="name"
              of={(side) => [side.name, ...side.otherNames].join(say('duplicates.before'))}
            />
            <Row
              name={say('duplicates.born')}
              pair={pair}
              field="birth date"
              of={({ born, hidden }) =>
                born ? writeWhen(born) : covers(hidden, 'birth date') ? say('file.covered') : say('duplicates.notGiven')
              }
            />
            <Row
              name={say('duplicates.phone')}
              pair={pair}
              field="phone"
              of={({ phone }) => phone ?? say('duplicates.notGiven')}
              mono
            />
            <Row
              name={say('duplicates.mail')}
              pair={pair}
              field="mail"
              of={({ mails, hidden }) => (covers(hidden, 'name') ? say('file.covered') : mails.join(', '))}
            />
            <Row
              name={say('duplicates.papers')}
              pair={pair}
              field="paper number"
              of={({ claims }) =>
                claims.map(({ label, number }) => `${label}${number ? ` ${number}` : ''}`).join('\n') ||
                say('file.none')
              }
            />
            <Row
              name={say('duplicates.identityPaper')}
              pair={pair}
              field="identity number"
              of={() => say('duplicates.hiddenHere')}
            />
            <tr className="border-line border-b align-baseline">
              <th scope="row" className="py-2 font-normal text-ink-2">
                {say('duplicates.applications')}
              </th>
              {pair.sides.map((side) => (
                <td key={side.candidateId} className="py-2 pr-4">
                  {side.applications.map(({ id, reference, title, stage }) => (
                    <Link key={id} to={`/desk/applications/${id}`} className="block hover:underline">
                      {title} <span className="font-mono text-ink-2 text-[0.8333rem]">{reference}</span>,{' '}
                      {say(`state.stage.${stage}`)}
                    </Link>
                  ))}
                </td>
              ))}
              <td />
            </tr>
          </tbody>
        </table>
      </div>
      <div className="border-line border-t bg-sheet p-3">
        <ProblemNote problem={apart.problem} />
        <div className="flex gap-2">
          <Button kind="main" letter="M" onClick={() => setMerging(true)}>
            {say('duplicates.onePersonMergeTheFiles')}
          </Button>
          <Button letter="X" busy={apart.busy} onClick={() => void setApart()}>
            {say('duplicates.twoPeople')}
          </Button>
        </div>
      </div>
      {merging && <Merge pair={pair} onClose={() => setMerging(false)} onMerged={onSettled} />}
    </section>
  )
}

const covers = (hidden: Pair['sides'][number]['hidden'], kind: string) => hidden.some(({ subject }) => subject === kind)

type RowProps = {
  name: string
  pair: Pair
  field: string
  of: (side: Pair['sides'][number]) => string
  mono?: boolean
}

function Row({ name, pair, field, of, mono }: RowProps) {
  const agreement = pair.agreements.find((one) => one.field === field)
  const tone = !agreement
    ? 'text-ink-3'
    : agreement.verdict === 'different'
      ? 'text-contradicted'
      : agreement.verdict === 'close'
        ? 'text-soon-ink'
        : 'text-confirmed'
  return (
    <tr className="border-line border-b align-baseline">
      <th scope="row" className="py-2 font-normal text-ink-2">
        {name}
      </th>
      {pair.sides.map((side) => (
        <td key={side.candidateId} className={`whitespace-pre-line break-words py-2 pr-4 ${mono ? 'font-mono' : ''}`}>
          {of(side)}
        </td>
      ))}
      <td className={`py-2 ${tone}`}>
        {agreement?.words ?? (field === 'mail' ? say('duplicates.anotherAddress') : say('duplicates.nothingToCompare'))}
      </td>
    </tr>
  )
}

function Merge({ pair, onClose, onMerged }: { pair: Pair; onClose: () => void; onMerged: () => void }) {
  const [kept, setKept] = useState(pair.sides[0].candidateId)
  const [reason, setReason] = useState(
    say('duplicates.agreeValue', {
      value: pair.agreements
        .filter(({ verdict }) => verdict === 'same' || verdict === 'equivalent')
        .map(({ field }) => say(`agreement.field.${field}`))
        .join(', '),
    }),
  )
  const { act, busy, problem } = useAct('mergeFiles')
  const toast = useToast()
  const merge = async () => {
    const other = pair.sides.find(({ candidateId }) => candidateId !== kept)!
    const done = await act({ params: { keptId: kept }, body: { mergedId: other.candidateId, reason } })
    if (!done) return
    toast(say('duplicates.mergedEverythingOfIsIn', { name: other.name }), { mergeId: done.id })
    onMerged()
  }
  return (
    <Dialog
      open
      onClose={onClose}
      title={say('duplicates.mergeTwoFiles')}
      description={say('duplicates.applicationsClaimsPapersAndMails')}
    >
      <div className="grid gap-3">
        <Choice
          label={say('duplicates.whichFileStays')}
          name={say('duplicates.kept')}
          inline={false}
          value={kept}
          onChange={setKept}
          options={pair.sides.map(({ candidateId, name, since, mails }) => ({
            value: candidateId,
            label: say('duplicates.nameSinceSinceMails', { name, since: writeDayOf(since), mails: mails[0] ?? '' }),
          }))}
        />
        <LongField
          label={say('duplicates.why')}
          value={reason}
          limit={500}
          onChange={(event) => setReason(event.target.value)}
        />
        <ProblemNote problem={problem} />
        <div className="flex gap-2">
          <Button kind="main" data-first busy={busy} disabled={!isReason(reason)} onClick={() => void merge()}>
            {say('duplicates.merge')}
          </Button>
          <Button kind="quiet" onClick={onClose}>
            {say('duplicates.cancel')}
          </Button>
        </div>
      </div>
    </Dialog>
  )
}
