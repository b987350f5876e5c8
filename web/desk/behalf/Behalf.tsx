import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { Link, useNavigate, useSearchParams } from 'react-router'
import type { listBehalf } from '#contract/behalf'
import { type beginFor, waysToTell } from '#contract/behalf'
import type { Input, Reply } from '#contract/endpoint'
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
    <Overview
      list="behalf"
      title="On behalf"
      about="For somebody who wrote on paper or rang: write down what they told you, then mail them a link. They read it through, sign it and send it; nobody else can."
    >
      <Begin />
      <h2 className="mt-5 mb-1 text-[1.1333rem]">Not sent yet</h2>
      <Table
        rows={data}
        keyOf={({ id }) => id}
        empty="Nothing that was begun for somebody is waiting."
        columns={[
          {
            name: 'Who',
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
            name: 'Vacancy',
            of: ({ title, closesAt, timeZone }) => (
              <>
                {title}
                <span className="block text-[0.8rem] text-ink-2">closes {writeMoment(closesAt, timeZone)}</span>
              </>
            ),
          },
          { name: 'Came', of: ({ how, by, at }) => `${how}, ${writeMoment(at)}, to ${by}` },
          { name: 'Stands', of: standing },
          { name: '', of: (line) => <Acts line={line} /> },
        ]}
      />
    </Overview>
  )
}

function standing({ theirs, askedAt, confirmedAt }: Line) {
  if (confirmedAt) return `Taken over on ${writeMoment(confirmedAt)}; not sent yet`
  if (theirs) return 'They write it themselves; not sent yet'
  return askedAt ? `Link sent on ${writeMoment(askedAt)}; not opened yet` : 'Being written here'
}

function Acts({ line }: { line: Line }) {
  const asking = useAct('askToTakeOver')
  const dropping = useAct('setAsideBehalf')
  const toast = useToast()
  const [sure, setSure] = useState(false)
  if (line.theirs) return null
  const ask = async () => {
    if (await asking.act({ params: { id: line.id } })) toast(`A link is on its way to ${line.mail}.`)
  }
  const drop = async () => {
    if (await dropping.act({ params: { id: line.id } })) toast(`What was written down for ${line.name} is forgotten.`)
  }
  if (sure)
    return (
      <span className="flex items-center justify-end gap-2 whitespace-nowrap">
        Forget all of it?
        <Button kind="grave" busy={dropping.busy} onClick={() => void drop()}>
          Forget it
        </Button>
        <Button onClick={() => setSure(false)}>Keep it</Button>
        <ProblemNote problem={dropping.problem} />
      </span>
    )
  return (
    <span className="flex justify-end gap-2 whitespace-nowrap">
      <Button busy={asking.busy} onClick={() => void ask()}>
        {line.askedAt ? 'Send again' : 'Send the link'}
      </Button>
      <Button onClick={() => setSure(true)}>Set aside</Button>
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
    toast(`${body.givenNames} has an account, and was mailed the way to the application that was begun.`)
  })
  return (
    <form
      onSubmit={begin}
      noValidate
      aria-label="Begin for somebody"
      className="grid max-w-[1000px] gap-3 sm:grid-cols-3"
    >
      <TextField
        label="Given names"
        autoComplete="off"
        error={faultAt(problem, 'givenNames')}
        {...register('givenNames')}
      />
      <TextField
        label="Family name"
        autoComplete="off"
        error={faultAt(problem, 'familyName')}
        {...register('familyName')}
      />
      <TextField
        label="Mail address"
        type="email"
        autoComplete="off"
        error={faultAt(problem, 'mail')}
        {...register('mail')}
      />
      <SelectField
        label="Vacancy"
        empty="Choose an open vacancy"
        options={(vacancies?.vacancies ?? []).map(({ slug, title, place }) => ({
          value: slug,
          label: place ? `${title}, ${place}` : title,
        }))}
        error={faultAt(problem, 'slug')}
        {...register('slug')}
      />
      <SelectField
        label="It came"
        options={waysToTell.map((way) => ({ value: way, label: way }))}
        {...register('how')}
      />
      <SelectField
        label="Write to them in"
        options={[
          { value: 'en', label: 'English' },
          { value: 'de', label: 'German' },
        ]}
        {...register('language')}
      />
      <div className="grid justify-items-start gap-3 sm:col-span-3">
        <ProblemNote problem={problem?.faults ? undefined : problem} />
        <Button kind="main" type="submit" busy={busy}>
          Begin
        </Button>
      </div>
    </form>
  )
}
