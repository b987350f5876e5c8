import { Link, useNavigate, useParams } from 'react-router'
import { knownFacts } from '#core/conditions/vocabulary'
import { writeWhen } from '#core/dates/write'
import { type Gate, gates } from '#core/requirements/requirement'
import { paperWords, requirementSentence } from '#core/words/requirements'
import { retell } from '#core/words/retell'
import { say } from '#core/words/say'
import { api } from '../api'
import { Button } from '../ui/Button'
import { ProblemNote } from '../ui/ProblemNote'
import { RichText } from '../ui/RichText'
import { Sheet } from '../ui/Sheet'
import { useTitle } from '../ui/useTitle'
import { Waiting } from '../ui/Waiting'
import { writeMoment, writeMoney } from '../ui/write'
import { useAct } from '../useAct'
import { useSession } from '../useSession'

const gateTitles: Record<Gate, string> = {
  send: say('When you apply'),
  shortlist: say('Before the shortlist'),
  offer: say('Before an offer'),
  start: say('Before the first day'),
}

/** One vacancy: what the work is, and everything it asks, made from the rules that will judge the application. */
export function VacancyPage() {
  const { slug = '' } = useParams()
  const { data: vacancy, error, refetch } = api.endpoints.readVacancy.useQuery({ params: { slug } })
  useTitle(vacancy?.title)
  if (!vacancy) return <Waiting error={error} onRetry={refetch} />
  const nameOf = (key: string) => say(vacancy.names[key] ?? key)
  const known = knownFacts(vacancy.form, vacancy.names)
  const papers = [...new Set(vacancy.requirements.flatMap((requirement) => paperWords(requirement) ?? []))]
  return (
    <main className="mx-auto grid max-w-[1120px] gap-8 px-4 py-7 sm:px-7 lg:grid-cols-[1fr_280px]">
      <div className="min-w-0">
        <p className="no-print mb-2">
          <Link to="/" className="text-confirmed">
            {say('All vacancies')}
          </Link>
        </p>
        {vacancy.state === 'draft' && (
          <p className="no-print mb-3 rounded-sheet bg-soon-wash px-3 py-2 font-semibold text-soon-ink">
            {say('This is a draft, as a candidate will see it. Nobody else can open this page yet.')}
          </p>
        )}
        <h1 className="text-[2.2em]">{vacancy.title}</h1>
        <p className="mt-1 max-w-[62ch] text-[1.07em] text-ink-2">{vacancy.summary}</p>
        <h2 className="mt-7 mb-2 text-[1.4em]">{say('What you would do')}</h2>
        <RichText content={vacancy.duties} />
        {vacancy.group && vacancy.group.others.length > 0 && (
          <>
            <h2 className="mt-7 mb-1 text-[1.4em]">{say('One application, several posts')}</h2>
            <p className="mb-1 text-ink-2">
              {say(
                'This vacancy belongs to the {{title}}. When you apply you put up to {{rankUpTo}} of its posts in your order. The others are:',
                { title: vacancy.group.title, rankUpTo: vacancy.group.rankUpTo },
              )}
            </p>
            <ul className="list-disc pl-5">
              {vacancy.group.others.map(({ slug: other, title, place }) => (
                <li key={other}>
                  <Link to={`/vacancies/${other}`} className="font-semibold text-confirmed">
                    {title}
                  </Link>
                  , {place}
                </li>
              ))}
            </ul>
          </>
        )}
        <h2 className="mt-7 text-[1.4em]">{say('What is asked, and why')}</h2>
        <p className="mb-3 text-ink-2">
          {say('These are the rules your application is judged by, no more and no fewer.')}
        </p>
        <Sheet className="!p-0">
          {gates.map((gate) => {
            const asked = vacancy.requirements.filter((requirement) => requirement.gate === gate)
            if (asked.length === 0) return null
            return (
              <section key={gate} className="border-line border-b last:border-b-0">
                <h3 className="bg-sheet-2 px-4 py-2 font-semibold">{gateTitles[gate]}</h3>
                <dl className="divide-y divide-line">
                  {asked.map((requirement) => (
                    <div key={requirement.key} className="px-4 py-2.5">
                      <dt className="font-semibold">{retell(requirement.title)}</dt>
                      <dd>{requirementSentence(requirement, nameOf, known)}</dd>
                      <dd className="text-[0.93em] text-ink-2">{say(requirement.why)}</dd>
                    </div>
                  ))}
                </dl>
              </section>
            )
          })}
        </Sheet>
        <h2 className="mt-7 mb-2 text-[1.4em]">{say('Papers to have at hand')}</h2>
        <ul className="list-disc pl-5">
          {papers.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      </div>
      <aside className="lg:sticky lg:top-6 lg:self-start">
        <Sheet>
          <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
            <Fact name={say('Place')} value={vacancy.place} />
            <Fact
              name={say('Pay')}
              value={say('{{from}} to {{to}} a year', {
                from: writeMoney(vacancy.payFrom),
                to: writeMoney(vacancy.payTo),
              })}
            />
            <Fact name={say('Contract')} value={say(vacancy.contract)} />
            <Fact name={say('Hours')} value={vacancy.hours} />
            <Fact name={say('Posts')} value={String(vacancy.headcount)} />
            <Fact name={say('First day')} value={writeWhen(vacancy.targetStart)} />
            <Fact
              name={say('Closes')}
              value={`${writeMoment(vacancy.closesAt, vacancy.timeZone)} (${vacancy.timeZone.replace('_', ' ')})`}
            />
          </dl>
          <div className="no-print mt-4">
            <Begin slug={slug} open={vacancy.open} mine={vacancy.mine} />
            {!vacancy.mine && (
              <p className="mt-3 border-line border-t pt-3 text-[0.93em]">
                {say('Not sure?')}{' '}
                <Link to={`/vacancies/${slug}/fit`} className="font-semibold text-confirmed">
                  {say('Would I fit?')}
                </Link>{' '}
                {say('A few questions, nothing is kept.')}
              </p>
            )}
          </div>
        </Sheet>
      </aside>
    </main>
  )
}

const Fact = ({ name, value }: { name: string; value: string }) => (
  <>
    <dt className="text-ink-2">{name}</dt>
    <dd className="font-semibold">{value}</dd>
  </>
)

function Begin({ slug, open, mine }: { slug: string; open: boolean; mine: { id: string; stage: string } | null }) {
  const { account, staff } = useSession()
  if (mine) {
    const writing = mine.stage === 'being written'
    const again = mine.stage === 'withdrawn' && open
    return (
      <>
        <Link
          to={writing ? `/apply/${mine.id}` : `/applications/${mine.id}`}
          className={`block px-3 py-2 text-center font-semibold ${again ? 'text-confirmed' : 'rounded-sheet bg-confirmed text-on-confirmed'}`}
        >
          {writing ? say('Go on with your application') : say('See where it stands')}
        </Link>
        {again && <ApplyButton slug={slug} label={say('Apply again')} />}
      </>
    )
  }
  if (!open) return <p className="font-semibold text-soon-ink">{say('This vacancy is closed.')}</p>
  if (staff)
    return (
      <p className="text-ink-2">{say('You are signed in at the desk. Candidates apply from their own account.')}</p>
    )
  if (!account) {
    return (
      <>
        <Link
          to={`/sign-up?next=${encodeURIComponent(`/vacancies/${slug}`)}`}
          className="block rounded-sheet bg-confirmed px-3 py-2 text-center font-semibold text-on-confirmed"
        >
          {say('Make an account to apply')}
        </Link>
        <p className="mt-2 text-center text-[0.93em]">
          {say('You have one?')}{' '}
          <Link
            to={`/sign-in?next=${encodeURIComponent(`/vacancies/${slug}`)}`}
            className="font-semibold text-confirmed"
          >
            {say('Sign in')}
          </Link>
        </p>
      </>
    )
  }
  return <ApplyButton slug={slug} label={say('Apply')} />
}

function ApplyButton({ slug, label }: { slug: string; label: string }) {
  const navigate = useNavigate()
  const { act, busy, problem } = useAct('beginApplication')
  const begin = async () => {
    const begun = await act({ params: { slug } })
    if (begun) navigate(`/apply/${begun.id}`)
  }
  return (
    <>
      <Button kind="main" className="w-full" busy={busy} onClick={begin}>
        {label}
      </Button>
      <p className="mt-2 text-[0.93em] text-ink-2">
        {say('It saves by itself. You can leave and come back until it closes.')}
      </p>
      <ProblemNote problem={problem} />
    </>
  )
}
