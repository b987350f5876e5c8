import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { writeWhen } from '#core/dates/write'
import { type StartingPoint, startingPoints } from '#core/rules/startingPoints'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { Choice, SelectField, TextField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { writeMoment } from '../../ui/write'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { Overview, Table } from '../overviews/Overview'

export function VacancyList() {
  const { data, error, refetch } = api.endpoints.deskVacancies.useQuery({})
  const { may } = useSession()
  const mayEdit = may('createVacancy')
  const [making, setMaking] = useState(false)
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const mayRead = may('readDeskVacancy')
  return (
    <Overview
      title={say('composer.vacancies')}
      about={say('composer.whatIsOpenUntilWhen')}
      list={mayEdit ? 'vacancies' : undefined}
    >
      {mayEdit && (
        <p className="mb-3 flex flex-wrap gap-4">
          <Button kind="main" onClick={() => setMaking(true)}>
            {say('composer.setUpAVacancy')}
          </Button>
          <Link to="/desk/vacancies/sections" className="self-center font-semibold text-confirmed">
            {say('composer.theCommonLibraryOfSections')}
          </Link>
          <Link to="/desk/vacancies/groups" className="self-center font-semibold text-confirmed">
            {say('composer.groupsOfVacancies')}
          </Link>
        </p>
      )}
      <Table
        rows={data}
        keyOf={({ id }) => id}
        empty={say('composer.noVacancyHasBeenSet')}
        columns={[
          {
            name: say('composer.post'),
            of: ({ id, slug, title, place, group }) => (
              <>
                <Link
                  to={mayRead ? `/desk/vacancies/${id}/post` : `/vacancies/${slug}`}
                  className="font-semibold text-confirmed"
                >
                  {title}
                </Link>{' '}
                <span className="text-ink-2">{[place, group].filter(Boolean).join(', ')}</span>
              </>
            ),
          },
          {
            name: say('composer.state'),
            of: ({ state, changed }) => {
              const words = say(`state.vacancyState.${state}`)
              return changed ? say('composer.beingEdited', { state: words }) : words
            },
          },
          {
            name: say('composer.closes'),
            whole: true,
            of: ({ closesAt, timeZone }) => writeMoment(closesAt, timeZone),
          },
          { name: say('composer.targetStart'), whole: true, of: ({ targetStart }) => writeWhen(targetStart) },
          { name: say('composer.posts'), right: true, of: ({ headcount }) => headcount },
          ...(['being written', 'sent', 'shortlisted', 'offered', 'cleared'] as const).map((stage) => ({
            name: say(`state.stage.${stage}`).replace(/^./, (letter) => letter.toUpperCase()),
            right: true,
            of: ({ byStage }: (typeof data)[number]) => byStage[stage] ?? 0,
          })),
        ]}
      />
      <New open={making} onClose={() => setMaking(false)} vacancies={data} />
    </Overview>
  )
}

type NewProps = {
  open: boolean
  onClose: () => void
  vacancies: readonly { id: string; title: string; place: string }[]
}

function New({ open, onClose, vacancies }: NewProps) {
  const { act, busy, problem } = useAct('createVacancy')
  const navigate = useNavigate()
  const [title, setTitle] = useState('')
  const [start, setStart] = useState<StartingPoint | 'copy'>('licensed')
  const [copyOf, setCopyOf] = useState('')
  const make = async () => {
    const made = await act({ body: { title: title.trim(), ...(start === 'copy' ? { copyOf } : { start }) } })
    if (made) navigate(`/desk/vacancies/${made.id}/post`)
  }
  const ready = title.trim() !== '' && (start !== 'copy' || copyOf !== '')
  return (
    <Dialog open={open} onClose={onClose} title={say('composer.setUpAVacancy')}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          void make()
        }}
      >
        <TextField
          label={say('composer.title')}
          data-first
          value={title}
          onChange={(event) => setTitle(event.target.value)}
        />
        <Choice
          name="start"
          inline={false}
          label={say('composer.beginWith')}
          options={[
            ...startingPoints.map((value) => ({ value, label: say(`composer.start.${value}`) })),
            ...(vacancies.length > 0 ? [{ value: 'copy', label: say('composer.start.copy') }] : []),
          ]}
          value={start}
          onChange={(value) => setStart(value as typeof start)}
        />
        {start === 'copy' ? (
          <SelectField
            label={say('composer.whichVacancy')}
            value={copyOf}
            empty={say('composer.choose')}
            options={vacancies.map(({ id, title: name, place }) => ({
              value: id,
              label: place ? `${name}, ${place}` : name,
            }))}
            onChange={(event) => setCopyOf(event.target.value)}
          />
        ) : (
          <p className="text-ink-2">{say(`composer.start.${start}.means`)}</p>
        )}
        <p className="text-ink-2">{say('composer.itIsADraftUntil')}</p>
        <ProblemNote problem={problem} />
        <Button kind="main" type="submit" busy={busy} disabled={!ready} className="justify-self-start">
          {say('composer.setItUp')}
        </Button>
      </form>
    </Dialog>
  )
}
