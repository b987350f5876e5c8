import { useState } from 'react'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { TextField } from '../../ui/Field'
import { FileButton } from '../../ui/FileButton'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { Table } from '../overviews/Overview'
import { useToast } from '../useToast'

/** What an institution has told us of its awards: what candidates state and agrees with it is confirmed at once. */
export function AwardRecords({ sourceId }: { sourceId: string }) {
  const [text, setText] = useState('')
  const { currentData, data, error, refetch } = api.endpoints.readAwards.useQuery(
    { params: { id: sourceId }, query: { text: text || undefined } },
    { refetchOnMountOrArgChange: true },
  )
  const bring = useAct('importAwards')
  const removing = useAct('removeAward')
  const [faulty, setFaulty] = useState<{ row: number; message: string }[]>([])
  const toast = useToast()
  const shown = currentData ?? data
  const take = async (file: File) => {
    const done = await bring.act({ params: { id: sourceId }, body: file })
    if (!done) return
    setFaulty(done.faulty)
    toast(say('sources.awardsTaken', { count: done.kept, confirmed: done.confirmed }))
  }
  return (
    <section className="mt-5 grid gap-2" aria-label={say('sources.awards')}>
      <h2 className="text-[1.2rem]">{say('sources.awards')}</h2>
      <p className="text-ink-2">{say('sources.awardsMean')}</p>
      <div className="flex flex-wrap items-end gap-3">
        <FileButton
          name={say('sources.awardsFile')}
          accept=".csv,text/csv"
          busy={bring.busy}
          onFile={(file) => void take(file)}
        >
          {say('sources.takeInAwards')}
        </FileButton>
        {shown && shown.count > 0 && (
          <TextField
            label={say('sources.findAward')}
            type="search"
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
        )}
      </div>
      <ProblemNote problem={bring.problem ?? removing.problem} />
      {faulty.length > 0 && (
        <ul className="text-soon-ink">
          {faulty.slice(0, 20).map(({ row, message }) => (
            <li key={row}>{say('sources.rowSays', { row, message })}</li>
          ))}
        </ul>
      )}
      {!shown ? (
        <Waiting error={error} onRetry={refetch} />
      ) : (
        shown.count > 0 && (
          <>
            <p className="text-[0.8667rem] text-ink-2">{say('sources.awardsCount', { count: shown.count })}</p>
            <Table
              rows={shown.rows.slice(0, 12)}
              keyOf={({ id }) => id}
              empty={say('sources.nothingFound')}
              columns={[
                { name: say('sources.awardNumber'), of: ({ number }) => <span className="font-mono">{number}</span> },
                { name: say('sources.name'), of: ({ name }) => name },
                { name: say('sources.award'), of: ({ award, subject }) => [award, subject].filter(Boolean).join(', ') },
                {
                  name: say('sources.awarded'),
                  of: ({ awarded }) => (awarded ? writeWhen(awarded) : '—'),
                  whole: true,
                },
                {
                  name: '',
                  of: ({ id, number }) => (
                    <Button
                      kind="quiet"
                      aria-label={say('sources.takeOutOf', { number })}
                      busy={removing.busy}
                      onClick={() => void removing.act({ params: { id: sourceId, award: id } })}
                    >
                      {say('sources.takeOut')}
                    </Button>
                  ),
                },
              ]}
            />
          </>
        )
      )}
    </section>
  )
}
