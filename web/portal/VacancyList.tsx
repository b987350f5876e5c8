import { Link, useSearchParams } from 'react-router'
import { say } from '#core/words/say'
import { api } from '../api'
import { TextField } from '../ui/Field'
import { Waiting } from '../ui/Waiting'
import { writeMoment, writeMoney } from '../ui/write'
import { useSession } from '../useSession'

const facetsIn = (currency: string) => [
  { key: 'family' as const, name: say('vacancies.kindOfWork') },
  { key: 'place' as const, name: say('vacancies.place') },
  { key: 'payBand' as const, name: say('vacancies.payAYear', { currency }) },
  { key: 'contract' as const, name: say('vacancies.contract') },
]

const facetKeys = ['family', 'place', 'payBand', 'contract'] as const

/** The public list: open vacancies only, with filters that say how many each would leave. */
export function VacancyList() {
  const { organisation } = useSession()
  const currency = organisation?.currency ?? 'EUR'
  const [search, setSearch] = useSearchParams()
  const query = Object.fromEntries(['text', ...facetKeys].map((key) => [key, search.get(key) ?? undefined]))
  const { data, error, refetch } = api.endpoints.listVacancies.useQuery({ query })
  const choose = (key: string, value: string | undefined) => {
    const next = new URLSearchParams(search)
    if (value) next.set(key, value)
    else next.delete(key)
    setSearch(next, { replace: key === 'text' })
  }
  const narrowed = [...search.keys()].length > 0
  const heading = (
    <div className="lg:col-start-2">
      <h1 className="text-[2.1em]">{organisation?.welcome || say('vacancies.heading')}</h1>
      <p className="text-ink-2">{say('vacancies.everyVacancySaysWhatIt')}</p>
    </div>
  )
  const frame = 'mx-auto grid max-w-[1180px] gap-x-10 gap-y-6 px-4 py-7 sm:px-7 lg:grid-cols-[230px_minmax(0,1fr)]'
  // All of it at once: filters that come by and by would push the list away.
  if (!data)
    return (
      <main className={frame}>
        {heading}
        <Waiting error={error} onRetry={refetch} />
      </main>
    )
  return (
    <main className={frame}>
      {heading}
      <aside
        className="grid content-start gap-5 max-lg:grid-cols-2 max-sm:grid-cols-1"
        aria-label={say('vacancies.narrowTheList')}
      >
        <TextField
          label={say('vacancies.search')}
          type="search"
          value={search.get('text') ?? ''}
          onChange={(event) => choose('text', event.target.value)}
          placeholder={say('vacancies.aPostAPlaceA')}
        />
        {facetsIn(currency).map(({ key, name }) => (
          <fieldset key={key}>
            <legend className="mb-1 font-semibold text-[0.93em]">{name}</legend>
            {(data.facets[key] ?? []).map(({ value, count }) => (
              <label key={value} className="flex items-center gap-2 py-0.5">
                <input
                  type="checkbox"
                  className="accent-confirmed"
                  checked={query[key] === value}
                  onChange={(event) => choose(key, event.target.checked ? value : undefined)}
                />
                <span className="min-w-0 flex-1">{value}</span>
                <span className="font-mono text-[0.87em] text-ink-3">{count}</span>
              </label>
            ))}
          </fieldset>
        ))}
      </aside>
      <section aria-label={say('vacancies.vacancies')} className="min-w-0">
        <p className="mb-2 text-ink-2" aria-live="polite">
          {data.vacancies.length === 1
            ? say('vacancies.oneOpenVacancy')
            : say('vacancies.openVacancies', { count: data.vacancies.length })}
          {narrowed && (
            <button type="button" onClick={() => setSearch({})} className="ml-3 font-semibold text-confirmed">
              {say('vacancies.showAll')}
            </button>
          )}
        </p>
        <ul className="divide-y divide-line rounded-sheet border border-line bg-sheet">
          {data.vacancies.map((vacancy) => (
            <li
              key={vacancy.id}
              className="relative grid gap-x-6 gap-y-1 p-4 hover:bg-sheet-2 sm:grid-cols-[1fr_200px]"
            >
              <div className="min-w-0">
                <h2 className="text-[1.3em]">
                  <Link to={`/vacancies/${vacancy.slug}`} className="after:absolute after:inset-0">
                    {vacancy.title}
                  </Link>
                </h2>
                <p className="text-ink-2">{vacancy.summary}</p>
              </div>
              <dl className="text-[0.92em] sm:text-right">
                <dt className="sr-only">{say('vacancies.placeAndContract')}</dt>
                <dd className="font-semibold">{vacancy.place}</dd>
                <dd>{vacancy.hours}</dd>
                <dt className="sr-only">{say('vacancies.pay')}</dt>
                <dd>
                  {say('vacancies.payFromToPayTo', {
                    payFrom: writeMoney(vacancy.payFrom, currency),
                    payTo: writeMoney(vacancy.payTo, currency),
                  })}
                </dd>
                <dt className="sr-only">{say('vacancies.closes')}</dt>
                <dd className="text-ink-2">
                  {say('vacancies.closesWhen', { when: writeMoment(vacancy.closesAt, vacancy.timeZone) })}
                </dd>
              </dl>
            </li>
          ))}
          {data.vacancies.length === 0 && <li className="p-5">{say('vacancies.nothingOpenFitsThisAt')}</li>}
        </ul>
      </section>
    </main>
  )
}
