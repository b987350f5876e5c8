import { useState } from 'react'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { CheckList, TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { Overview } from '../overviews/Overview'
import { useToast } from '../useToast'

type VacancyGroup = { id?: string; version: number; title: string; rankUpTo: number; vacancies: { id: string }[] }
const fresh: VacancyGroup = { version: 0, title: '', rankUpTo: 3, vacancies: [] }

/** Groups of vacancies: one application counts for all of a group, and ranks its posts. */
export function VacancyGroups() {
  const { data, error, refetch } = api.endpoints.listVacancyGroups.useQuery({}, { refetchOnMountOrArgChange: true })
  const { data: vacancies } = api.endpoints.deskVacancies.useQuery({})
  const [making, setMaking] = useState(false)
  if (!data || !vacancies) return <Waiting error={error} onRetry={refetch} />
  const taken = (own?: string) =>
    new Set(data.flatMap(({ id, vacancies: posts }) => (id === own ? [] : posts.map((post) => post.id))))
  const free = (own?: string) =>
    vacancies
      .filter(({ id }) => !taken(own).has(id))
      .map(({ id, title, place }) => ({ value: id, label: place ? `${title}, ${place}` : title }))
  return (
    <Overview title={say('composer.groupsOfVacancies')} about={say('composer.whoeverAppliesForOnePost')}>
      <div className="grid max-w-[860px] gap-4">
        {data.map((group) => (
          <VacancyGroupForm key={`${group.id} ${group.version}`} group={group} options={free(group.id)} />
        ))}
        {data.length === 0 && <p className="text-ink-2">{say('composer.thereIsNoGroupYet')}</p>}
        {making ? (
          <VacancyGroupForm group={fresh} options={free()} onDone={() => setMaking(false)} />
        ) : (
          <Button className="justify-self-start" onClick={() => setMaking(true)}>
            {say('composer.makeAGroup')}
          </Button>
        )}
      </div>
    </Overview>
  )
}

type FormProps = { group: VacancyGroup; options: { value: string; label: string }[]; onDone?: () => void }

function VacancyGroupForm({ group, options, onDone }: FormProps) {
  const { act, busy, problem } = useAct('saveVacancyGroup')
  const toast = useToast()
  const [title, setTitle] = useState(group.title)
  const [rankUpTo, setRankUpTo] = useState(group.rankUpTo)
  const [chosen, setChosen] = useState(group.vacancies.map(({ id }) => id))
  const save = async () => {
    const done = await act({ body: { id: group.id, version: group.version, title, rankUpTo, vacancies: chosen } })
    if (!done) return
    toast(say('composer.isSaved', { title }))
    onDone?.()
  }
  return (
    <form
      className="grid gap-3 rounded-sheet border border-line p-3"
      onSubmit={(event) => {
        event.preventDefault()
        void save()
      }}
    >
      <div className="grid grid-cols-[2fr_1fr] gap-3">
        <TextField
          label={say('composer.nameOfTheGroup')}
          value={title}
          onChange={(event) => setTitle(event.target.value)}
          error={faultAt(problem, 'title')}
        />
        <TextField
          label={say('composer.postsACandidateMayRank')}
          type="number"
          min={1}
          max={20}
          value={rankUpTo}
          onChange={(event) => setRankUpTo(Math.max(1, Math.round(Number(event.target.value))))}
        />
      </div>
      <CheckList
        label={say('composer.itsPosts')}
        options={options}
        value={chosen}
        onChange={setChosen}
        error={faultAt(problem, 'vacancies')}
      />
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <Button kind="main" type="submit" busy={busy} disabled={title.trim() === ''} className="justify-self-start">
        {say('composer.saveTheGroup')}
      </Button>
    </form>
  )
}
