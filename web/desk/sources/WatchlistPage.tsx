import { useState } from 'react'
import { Link } from 'react-router'
import type { Watchlist } from '#contract/sources'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { LongField, TextField } from '../../ui/Field'
import { FileButton } from '../../ui/FileButton'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { Overview } from '../overviews/Overview'
import { useToast } from '../useToast'
import { Rows } from './Rows'

/** Known sellers of degrees, and the domains at which anybody gets an address. */
export function WatchlistPage() {
  const { data, error, refetch } = api.endpoints.readWatchlist.useQuery({}, { refetchOnMountOrArgChange: true })
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <Overview title={say('sources.watchlist')} about={say('sources.watchlistMeans')}>
      <p className="mb-3">
        <Link to="/desk/sources" className="font-semibold text-confirmed">
          {say('sources.back')}
        </Link>
      </p>
      <Lists key={data.version} version={data.version} watchlist={data.watchlist} />
    </Overview>
  )
}

const lines = (text: string) =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)
const domains = (text: string) => [...new Set(lines(text.toLowerCase()))]

function Lists({ version, watchlist }: { version: number; watchlist: Watchlist }) {
  const { act, busy, problem } = useAct('saveWatchlist')
  const bring = useAct('importSellers')
  useFreshAfterClash(problem, 'desk')
  const toast = useToast()
  const [sellers, setSellers] = useState(watchlist.sellers)
  const [free, setFree] = useState(watchlist.freeMail.join('\n'))
  const save = async () => {
    if (await act({ body: { version, watchlist: { sellers, freeMail: domains(free) } } }))
      toast(say('sources.watchlistSaved'))
  }
  const bringIn = async (file: File) => {
    const done = await bring.act({ body: file })
    if (done) toast(say('sources.sellersAdded', { count: done.added }))
  }
  return (
    <form
      className="grid max-w-[56rem] gap-5"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void save()
      }}
    >
      <Rows
        label={say('sources.sellers')}
        about={say('sources.sellersMean')}
        rows={sellers}
        keyOf={({ id }) => id}
        onChange={setSellers}
        blank={() => ({ id: crypto.randomUUID(), names: [], domains: [], note: '' })}
        add={say('sources.addSeller')}
        remove={say('sources.takeOut')}
      >
        {(row, put) => (
          <div className="grid gap-2 sm:grid-cols-3">
            <LongField
              label={say('sources.sellerNames')}
              rows={2}
              defaultValue={row.names.join('\n')}
              onBlur={(event) => put({ names: lines(event.target.value) })}
            />
            <LongField
              label={say('sources.sellerDomains')}
              rows={2}
              defaultValue={row.domains.join('\n')}
              onBlur={(event) => put({ domains: domains(event.target.value) })}
            />
            <TextField
              label={say('sources.note')}
              value={row.note}
              onChange={(event) => put({ note: event.target.value })}
            />
          </div>
        )}
      </Rows>
      <LongField
        label={say('sources.freeMail')}
        help={say('sources.freeMailMeans')}
        rows={5}
        value={free}
        onChange={(event) => setFree(event.target.value)}
      />
      <ProblemNote problem={problem ?? bring.problem} />
      {problem?.faults?.[0] && <p className="text-contradicted">{problem.faults[0].message}</p>}
      <div className="flex flex-wrap gap-3">
        <Button kind="main" type="submit" busy={busy}>
          {say('sources.saveWatchlist')}
        </Button>
        <FileButton
          name={say('sources.sellersFile')}
          accept=".csv,text/csv"
          busy={bring.busy}
          onFile={(file) => void bringIn(file)}
        >
          {say('sources.importSellers')}
        </FileButton>
      </div>
    </form>
  )
}
