import { Link, useSearchParams } from 'react-router'
import type { Reply } from '#contract/endpoint'
import type { Contract } from '#contract/index'
import { writeWhen } from '#core/dates/write'
import { researchStates } from '#core/sources/research'
import { studyLevelName } from '#core/words/names'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Waiting } from '../../ui/Waiting'
import { Overview, Table } from '../overviews/Overview'

type Row = Reply<Contract['listResearch']>['rows'][number]

/** Programmes nobody knew when somebody named them: looked into once, read by a second person, known from then on. */
export function Programmes() {
  const [search, setSearch] = useSearchParams()
  const state = researchStates.find((one) => one === search.get('state')) ?? 'open'
  const { currentData, data, error, refetch } = api.endpoints.listResearch.useQuery(
    { query: { state } },
    { refetchOnMountOrArgChange: true },
  )
  const shown = currentData ?? data
  return (
    <Overview title={say('sources.programmes')} about={say('sources.newProgrammesMean')}>
      <p className="mb-3">
        <Link to="/desk/sources" className="font-semibold text-confirmed">
          {say('sources.back')}
        </Link>
      </p>
      <nav aria-label={say('sources.states')} className="mb-3 flex flex-wrap gap-x-5 gap-y-1 border-line border-b">
        {researchStates.map((one) => (
          <button
            key={one}
            type="button"
            aria-current={state === one ? 'page' : undefined}
            onClick={() => setSearch({ state: one })}
            className={`-mb-px border-b-2 pb-1.5 ${state === one ? 'border-confirmed font-semibold' : 'border-transparent text-ink-2 hover:text-ink'}`}
          >
            {say(`sources.research.${one}`)}
            {shown && <span className="ml-1.5 font-mono text-[0.8333rem]">{shown.counts[one]}</span>}
          </button>
        ))}
      </nav>
      {!shown ? (
        <Waiting error={error} onRetry={refetch} />
      ) : (
        <Table
          rows={shown.rows}
          keyOf={({ id }) => id}
          empty={say('sources.noResearch')}
          columns={[
            {
              name: say('sources.programme'),
              of: ({ id, programme }) => (
                <>
                  <Link to={`/desk/sources/programmes/${id}`} className="font-semibold text-confirmed">
                    {programme.title}
                  </Link>
                  <span className="block text-[0.8333rem] text-ink-2">
                    {programme.award}, {studyLevelName(programme.level)}
                  </span>
                </>
              ),
            },
            {
              name: say('sources.source'),
              of: ({ source }) => (
                <Link to={`/desk/sources/${source.id}`} className="text-confirmed">
                  {source.name}
                </Link>
              ),
            },
            {
              name: say('sources.owner'),
              of: ({ owner }) => owner ?? <span className="text-soon-ink">{say('sources.nobodyYet')}</span>,
            },
            { name: say('sources.askedBy'), right: true, of: ({ files }) => files.length },
            {
              name: say('sources.neededBy'),
              whole: true,
              of: ({ neededBy }) => (neededBy ? writeWhen(neededBy) : '—'),
            },
            ...(state === 'done'
              ? [
                  {
                    name: say('sources.standing'),
                    of: ({ recognised }: Row) => say(recognised ? 'sources.recognised' : 'sources.notRecognised'),
                  },
                ]
              : []),
          ]}
        />
      )}
    </Overview>
  )
}
