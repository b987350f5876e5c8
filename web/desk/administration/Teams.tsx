import { useState } from 'react'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { CheckList, TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { useToast } from '../useToast'
import type { House } from './house'

type Team = House['teams'][number]

/** People who work together, and the vacancies they work on. */
export function Teams({ house }: { house: House }) {
  const [making, setMaking] = useState<string>()
  const fresh = (): Team => ({ id: making!, name: '', version: 0, vacancies: [] })
  return (
    <section aria-label={say('administration.teams')} className="mt-6 max-w-[860px]">
      <h2 className="text-[1.2rem]">{say('administration.teams')}</h2>
      <p className="mb-3 text-ink-2">{say('administration.aboutTeams')}</p>
      <div className="grid gap-3">
        {house.teams.map((team) => (
          <TeamForm key={`${team.id} ${team.version}`} team={team} house={house} />
        ))}
        {making ? (
          <TeamForm team={fresh()} house={house} onDone={() => setMaking(undefined)} />
        ) : (
          <Button className="justify-self-start" onClick={() => setMaking(crypto.randomUUID())}>
            {say('administration.makeATeam')}
          </Button>
        )}
      </div>
    </section>
  )
}

function TeamForm({ team, house, onDone }: { team: Team; house: House; onDone?: () => void }) {
  const { act, busy, problem } = useAct('saveTeam')
  const remove = useAct('removeTeam')
  const toast = useToast()
  useFreshAfterClash(problem, 'colleagues')
  const [name, setName] = useState(team.name)
  const [vacancies, setVacancies] = useState(team.vacancies)
  const members = house.colleagues.filter(({ teams }) => teams.includes(team.id)).map((one) => one.name)
  const changed = name !== team.name || vacancies.join() !== team.vacancies.join()
  const save = async () => {
    if (!(await act({ params: { id: team.id }, body: { version: team.version, name, vacancies } }))) return
    toast(say('administration.saved', { name }))
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
      <TextField
        label={say('administration.nameOfTheTeam')}
        value={name}
        onChange={(event) => setName(event.target.value)}
        error={faultAt(problem, 'name')}
      />
      <CheckList
        label={say('administration.itsVacancies')}
        options={house.vacancies.map(({ id, title, place }) => ({
          value: id,
          label: place ? `${title}, ${place}` : title,
        }))}
        value={vacancies}
        onChange={setVacancies}
        error={faultAt(problem, 'vacancies')}
      />
      {team.version > 0 && (
        <p className="text-ink-2">
          {members.length > 0
            ? say('administration.itsPeople', { names: members.join(', ') })
            : say('administration.nobodyInIt')}
        </p>
      )}
      <ProblemNote problem={problem?.faults ? remove.problem : (problem ?? remove.problem)} />
      <div className="flex gap-2">
        <Button kind="main" type="submit" busy={busy} disabled={!changed || name.trim() === ''}>
          {say('administration.saveTeam')}
        </Button>
        {team.version > 0 ? (
          <Button
            kind="quiet"
            busy={remove.busy}
            onClick={async () =>
              (await remove.act({ params: { id: team.id } })) && toast(say('administration.teamDissolved', { name }))
            }
          >
            {say('administration.dissolve')}
          </Button>
        ) : (
          <Button kind="quiet" onClick={onDone}>
            {say('administration.cancel')}
          </Button>
        )}
      </div>
    </form>
  )
}
