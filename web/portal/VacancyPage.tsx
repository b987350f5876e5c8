import { Link, useNavigate, useParams } from 'react-router'
import { alsoGoBy } from '#core/catalogue/catalogue'
import { knownFacts } from '#core/conditions/vocabulary'
import { writeWhen } from '#core/dates/write'
import { isDraft, mayGo, type Stage } from '#core/hiring/stages'
import { isWebAddress } from '#core/requirements/citation'
import { type Gate, gates, type Requirement } from '#core/requirements/requirement'
import { paperWords, requirementSentence, requirementWhy } from '#core/words/requirements'
import { requirementTitle } from '#core/words/requirementTitle'
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
import { useCurrency } from '../useCurrency'
import { useSession } from '../useSession'

const gateTitles: Record<Gate, string> = {
  send: say('vacancies.whenYouApply'),
  shortlist: say('vacancies.beforeTheShortlist'),
  offer: say('vacancies.beforeAnOffer'),
  start: say('vacancies.beforeTheFirstDay'),
}

/** One vacancy: what the work is, and everything it asks, made from the rules that will judge the application. */
export function VacancyPage() {
  const currency = useCurrency()
  const { slug = '' } = useParams()
  const { data: vacancy, error, refetch } = api.endpoints.readVacancy.useQuery({ params: { slug } })
  useTitle(vacancy?.title)
  if (!vacancy) return <Waiting error={error} onRetry={refetch} />
  // A phone that comes for one post loads what this one names, and no whole catalogue.
  alsoGoBy(vacancy.named)
  const nameOf = (key: string) => vacancy.names[key] ?? key
  const known = knownFacts(vacancy.form, vacancy.names)
  const papers = [...new Set(vacancy.requirements.flatMap((requirement) => paperWords(requirement) ?? []))]
  return (
    <main className="mx-auto grid max-w-[1120px] gap-8 px-4 py-7 sm:px-7 lg:grid-cols-[1fr_280px]">
      <div className="min-w-0">
        <p className="no-print mb-2">
          <Link to="/" className="text-confirmed">
            {say('vacancies.allVacancies')}
          </Link>
        </p>
        {vacancy.state === 'draft' && (
          <p className="no-print mb-3 rounded-sheet bg-soon-wash px-3 py-2 font-semibold text-soon-ink">
            {say('vacancies.thisIsADraftAs')}
          </p>
        )}
        <h1 className="text-[2.2em]">{vacancy.title}</h1>
        <p className="mt-1 max-w-[62ch] text-[1.07em] text-ink-2">{vacancy.summary}</p>
        <h2 className="mt-7 mb-2 text-[1.4em]">{say('vacancies.whatYouWouldDo')}</h2>
        <RichText content={vacancy.duties} />
        {vacancy.group && vacancy.group.others.length > 0 && (
          <>
            <h2 className="mt-7 mb-1 text-[1.4em]">{say('vacancies.oneApplicationSeveralPosts')}</h2>
            <p className="mb-1 text-ink-2">
              {say('vacancies.thisVacancyBelongsToThe', {
                title: vacancy.group.title,
                rankUpTo: vacancy.group.rankUpTo,
              })}
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
        <h2 className="mt-7 text-[1.4em]">{say('vacancies.whatIsAskedAndWhy')}</h2>
        <p className="mb-3 text-ink-2">{say('vacancies.theseAreTheRulesYour')}</p>
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
                      <dt className="font-semibold">{requirementTitle(requirement)}</dt>
                      <dd>{requirementSentence(requirement, nameOf, known)}</dd>
                      <dd className="text-[0.93em] text-ink-2">{requirementWhy(requirement)}</dd>
                      {requirement.citation && <Cited {...requirement.citation} />}
                    </div>
                  ))}
                </dl>
              </section>
            )
          })}
        </Sheet>
        <h2 className="mt-7 mb-2 text-[1.4em]">{say('vacancies.papersToHaveAtHand')}</h2>
        <ul className="list-disc pl-5">
          {papers.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      </div>
      <aside className="lg:sticky lg:top-6 lg:self-start">
        <Sheet>
          <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
            <Fact name={say('vacancies.place')} value={vacancy.place} />
            <Fact
              name={say('vacancies.pay')}
              value={say('vacancies.toAYear', {
                from: writeMoney(vacancy.payFrom, currency),
                to: writeMoney(vacancy.payTo, currency),
              })}
            />
            <Fact name={say('vacancies.contract')} value={vacancy.contract} />
            <Fact name={say('vacancies.hours')} value={vacancy.hours} />
            {vacancy.requirements.some(({ asks }) => asks.kind === 'fee') && (
              <>
                <dt className="text-ink-2">{say('vacancies.toPay')}</dt>
                <dd>
                  <Link to={`/vacancies/${slug}/fees`} className="font-semibold text-confirmed">
                    {say('vacancies.seeWhatItCosts')}
                  </Link>
                </dd>
              </>
            )}
            <Fact name={say('vacancies.posts')} value={String(vacancy.headcount)} />
            <Fact name={say('vacancies.firstDay')} value={writeWhen(vacancy.targetStart)} />
            <Fact
              name={say('vacancies.closes')}
              value={`${writeMoment(vacancy.closesAt, vacancy.timeZone)} (${vacancy.timeZone.replace('_', ' ')})`}
            />
            {vacancy.decidesOn && (
              <Fact
                name={say('vacancies.decision')}
                value={say('vacancies.youHearBy', { day: writeWhen(vacancy.decidesOn) })}
              />
            )}
          </dl>
          <div className="no-print mt-4">
            <Begin slug={slug} open={vacancy.open} mine={vacancy.mine} />
            {!vacancy.mine && (
              <p className="mt-3 border-line border-t pt-3 text-[0.93em]">
                {say('vacancies.notSure')}{' '}
                <Link to={`/vacancies/${slug}/fit`} className="font-semibold text-confirmed">
                  {say('vacancies.wouldIFit')}
                </Link>{' '}
                {say('vacancies.aFewQuestionsNothingIs')}
              </p>
            )}
          </div>
        </Sheet>
      </aside>
    </main>
  )
}

/** The rule behind a requirement, to be read where it is written. */
const Cited = ({ text, link }: NonNullable<Requirement['citation']>) => (
  <dd className="text-[0.93em] text-ink-2">
    {link && isWebAddress(link) ? (
      <a href={link} target="_blank" rel="noreferrer" className="text-confirmed underline">
        {text}
      </a>
    ) : (
      text
    )}
  </dd>
)

const Fact = ({ name, value }: { name: string; value: string }) => (
  <>
    <dt className="text-ink-2">{name}</dt>
    <dd className="font-semibold">{value}</dd>
  </>
)

function Begin({ slug, open, mine }: { slug: string; open: boolean; mine: { id: string; stage: Stage } | null }) {
  const { account, staff } = useSession()
  if (mine) {
    const writing = isDraft(mine)
    const again = mayGo('begin again', mine) && open
    return (
      <>
        <Link
          to={writing ? `/apply/${mine.id}` : `/applications/${mine.id}`}
          className={`block px-3 py-2 text-center font-semibold ${again ? 'text-confirmed' : 'rounded-sheet bg-confirmed text-on-confirmed'}`}
        >
          {writing ? say('vacancies.goOnWithYourApplication') : say('vacancies.seeWhereItStands')}
        </Link>
        {again && <ApplyButton slug={slug} label={say('vacancies.applyAgain')} />}
      </>
    )
  }
  if (!open) return <p className="font-semibold text-soon-ink">{say('vacancies.thisVacancyIsClosed')}</p>
  if (staff) return <p className="text-ink-2">{say('vacancies.youAreSignedInAt')}</p>
  if (!account) {
    return (
      <>
        <Link
          to={`/sign-up?next=${encodeURIComponent(`/vacancies/${slug}`)}`}
          className="block rounded-sheet bg-confirmed px-3 py-2 text-center font-semibold text-on-confirmed"
        >
          {say('vacancies.makeAnAccountToApply')}
        </Link>
        <p className="mt-2 text-center">
          <Link to={`/vacancies/${slug}/begin`} className="font-semibold text-confirmed">
            {say('vacancies.beginWithout')}
          </Link>
        </p>
        <p className="mt-2 text-center text-[0.93em]">
          {say('vacancies.youHaveOne')}{' '}
          <Link
            to={`/sign-in?next=${encodeURIComponent(`/vacancies/${slug}`)}`}
            className="font-semibold text-confirmed"
          >
            {say('vacancies.signIn')}
          </Link>
        </p>
      </>
    )
  }
  return <ApplyButton slug={slug} label={say('vacancies.apply')} />
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
      <p className="mt-2 text-[0.93em] text-ink-2">{say('vacancies.itSavesByItselfYou')}</p>
      <ProblemNote problem={problem} />
    </>
  )
}
