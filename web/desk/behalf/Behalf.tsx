import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { Link, useNavigate, useSearchParams } from 'react-router'
import type { listBehalf } from '#contract/behalf'
import { type beginFor, waysToTell } from '#contract/behalf'
import type { Input, Reply } from '#contract/endpoint'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { SelectField, TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { Overview, Table } from '../overviews/Overview'
import { useToast } from '../useToast'

type Line = Reply<typeof listBehalf>[number]

/** Applications of people who wrote on paper or rang: begun here, taken over and sent by themselves. */
export function Behalf() {
  const { data, error, refetch } = api.endpoints.listBehalf.useQuery({}, { refetchOnMountOrArgChange: true })
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return (
    <Overview list="behalf" title={say('behalf.onBehalf')} about={say('behalf.forSomebodyWhoWroteOn')}>
      <Begin />
      <h2 className="mt-5 mb-1 text-[1.1333rem]">{say('behalf.notSentYet')}</h2>
      <Table
        rows={data}
        keyOf={({ id }) => id}
        empty={say('behalf.nothingThatWasBegunFor')}
        columns={[
          {
            name: say('behalf.who'),
            of: (line) => (
              <>
                {line.theirs ? (
                  <strong>{line.name}</strong>
                ) : (
                  <Link to={`/desk/behalf/${line.id}`} className="font-semibold hover:underline">
                    {line.name}
                  </Link>
                )}
                <span className="block font-mono text-[0.8rem] text-ink-2">{line.mail}</span>
              </>
            ),
          },
          {
            name: say('behalf.vacancy'),
            of: ({ title, closesAt, timeZone }) => (
              <>
                {title}
                <span className="block text-[0.8rem] text-ink-2">
                  {say('behalf.closesClosesAt', { closesAt: writeMoment(closesAt, timeZone) })}
                </span>
              </>
            ),
          },
          {
            name: say('behalf.came'),
            of: ({ how, by, at }) => say('behalf.howAtBy', { how: say(`behalf.how.${how}`), at: writeMoment(at), by }),
          },
          { name: say('behalf.stands'), of: standing },
          { name: '', of: (line) => <Acts line={line} /> },
        ]}
      />
    </Overview>
  )
}

function standing({ theirs, askedAt, confirmedAt }: Line) {
  if (confirmedAt) return say('behalf.takenOverOnNotSent', { confirmedAt: writeMoment(confirmedAt) })
  if (theirs) return say('behalf.theyWriteItThemselvesNot')
  return askedAt ? say('behalf.linkSentOnNotOpened', { askedAt: writeMoment(askedAt) }) : say('behalf.beingWrittenHere')
}

function Acts({ line }: { line: Line }) {
  const asking = useAct('askToTakeOver')
  const dropping = useAct('setAsideBehalf')
  const toast = useToast()
  const [sure, setSure] = useState(false)
  if (line.theirs) return null
  const ask = async () => {
    if (await asking.act({ params: { id: line.id } })) toast(say('behalf.aLinkIsOnIts', { mail: line.mail }))
  }
  const drop = async () => {
    if (await dropping.act({ params: { id: line.id } })) toast(say('behalf.whatWasWrittenDownFor', { name: line.name }))
  }
  if (sure)
    return (
      <span className="flex items-center justify-end gap-2 whitespace-nowrap">
        {say('behalf.forgetAllOfIt')}
        <Button kind="grave" busy={dropping.busy} onClick={() => void drop()}>
          {say('behalf.forgetIt')}
        </Button>
        <Button onClick={() => setSure(false)}>{say('behalf.keepIt')}</Button>
        <ProblemNote problem={dropping.problem} />
      </span>
    )
  return (
    <span className="flex justify-end gap-2 whitespace-nowrap">
      <Button busy={asking.busy} onClick={() => void ask()}>
        {line.askedAt ? say('behalf.sendAgain') : say('behalf.sendTheLink')}
      </Button>
      <Button onClick={() => setSure(true)}>{say('behalf.setAside')}</Button>
      <ProblemNote problem={asking.problem} />
    </span>
  )
}

function Begin() {
  const { data: vacancies } = api.endpoints.listVacancies.useQuery({})
  const [known] = useSearchParams()
  const { act, busy, problem } = useAct('beginFor')
  const { register, handleSubmit, reset } = useForm<Input<typeof beginFor>['body']>({
    defaultValues: {
      slug: '',
      givenNames: known.get('givenNames') ?? '',
      familyName: known.get('familyName') ?? '',
      mail: known.get('mail') ?? '',
      language: 'en',
      how: 'on paper',
    },
  })
  const navigate = useNavigate()
  const toast = useToast()
  const begin = handleSubmit(async (body) => {
    const begun = await act({ body })
    if (!begun) return
    if (!begun.theirs) return navigate(`/desk/behalf/${begun.id}`)
    reset()
    toast(say('behalf.hasAnAccountAndWas', { givenNames: body.givenNames }))
  })
  return (
    <form
      onSubmit={begin}
      noValidate
      aria-label={say('behalf.beginForSomebody')}
      className="grid max-w-[1000px] gap-3 sm:grid-cols-3"
    >
      <TextField
        label={say('behalf.givenNames')}
        autoComplete="off"
        error={faultAt(problem, 'givenNames')}
        {...register('givenNames')}
      />
      <TextField
        label={say('behalf.familyName')}
        autoComplete="off"
        error={faultAt(problem, 'familyName')}
        {...register('familyName')}
      />
      <TextField
        label={say('behalf.mailAddress')}
        type="email"
        autoComplete="off"
        error={faultAt(problem, 'mail')}
        {...register('mail')}
      />
      <SelectField
        label={say('behalf.vacancy')}
        empty={say('behalf.chooseAnOpenVacancy')}
        options={(vacancies?.vacancies ?? []).map(({ slug, title, place }) => ({
          value: slug,
          label: place ? `${title}, ${place}` : title,
        }))}
        error={faultAt(problem, 'slug')}
        {...register('slug')}
      />
      <SelectField
        label={say('behalf.itCame')}
        options={waysToTell.map((way) => ({ value: way, label: say(`behalf.how.${way}`) }))}
        {...register('how')}
      />
      <SelectField
        label={say('behalf.writeToThemIn')}
        options={[
          { value: 'en', label: say('behalf.english') },
          { value: 'de', label: say('behalf.german') },
        ]}
        {...register('language')}
      />
      <div className="grid justify-items-start gap-3 sm:col-span-3">
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <Button kind="main" type="submit" busy={busy}>
          {say('behalf.begin')}
        </Button>
      </div>
    </form>
  )
}
