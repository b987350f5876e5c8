import { useState } from 'react'
import { writeWhen } from '#core/dates/write'
import { rolesWords } from '#core/words/roles'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Waiting } from '../../ui/Waiting'
import { writeMoment } from '../../ui/write'
import { useSession } from '../../useSession'
import { Overview, Table } from '../overviews/Overview'
import { ColleagueDialog } from './ColleagueDialog'
import type { Colleague, House } from './house'
import { InviteDialog } from './InviteDialog'
import { Teams } from './Teams'

/** Everybody who works here, and their teams. */
export function Colleagues() {
  const { data, error, refetch } = api.endpoints.listColleagues.useQuery({}, { refetchOnMountOrArgChange: true })
  const { provider } = useSession()
  const [inviting, setInviting] = useState(false)
  const [open, setOpen] = useState<string>()
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const chosen = data.colleagues.find(({ id }) => id === open)
  return (
    <Overview title={say('administration.colleagues')} about={say('administration.aboutColleagues')}>
      {provider && data.rolesFromProvider && (
        <p className="mb-3 text-ink-2">{say('administration.peopleFromProvider', { provider })}</p>
      )}
      <div className="mb-3">
        <Button kind="main" onClick={() => setInviting(true)}>
          {say('administration.inviteSomebody')}
        </Button>
      </div>
      <Table
        rows={data.colleagues}
        keyOf={({ id }) => id}
        empty={say('administration.nobodyYet')}
        columns={[
          {
            name: say('administration.name'),
            of: ({ id, name, mail }) => (
              <>
                <button type="button" className="font-semibold text-confirmed" onClick={() => setOpen(id)}>
                  {name}
                </button>
                <span className="block font-mono text-[0.8333rem] text-ink-2">{mail}</span>
              </>
            ),
          },
          { name: say('administration.roles'), of: ({ roles }) => rolesWords(roles) },
          { name: say('administration.teams'), of: (one) => teamsWords(one, data) },
          { name: say('administration.stands'), of: (one) => stateWords(one, provider) },
          { name: say('administration.files'), right: true, of: ({ files }) => files },
          {
            name: say('administration.lastSignIn'),
            whole: true,
            of: ({ signedInAt, sessions }) => (
              <>
                {signedInAt ? writeMoment(signedInAt) : say('administration.never')}
                {sessions > 0 && (
                  <span className="block text-[0.8333rem] text-ink-2">
                    {say('administration.signedInAtPlaces', { count: sessions })}
                  </span>
                )}
              </>
            ),
          },
        ]}
      />
      <Teams house={data} />
      <InviteDialog open={inviting} onClose={() => setInviting(false)} />
      {chosen && (
        <ColleagueDialog key={chosen.version} person={chosen} house={data} onClose={() => setOpen(undefined)} />
      )}
    </Overview>
  )
}

function teamsWords({ teams, teamsOnly }: Colleague, house: House) {
  const names = house.teams.flatMap(({ id, name }) => (teams.includes(id) ? [name] : [])).join(', ')
  return (
    <>
      {names || '—'}
      {teamsOnly && <span className="block text-[0.8333rem] text-ink-2">{say('administration.seesOnlyTheirs')}</span>}
    </>
  )
}

function stateWords({ state, absence, throughProvider, breakGlass }: Colleague, provider: string | null) {
  const grave = state === 'suspended' || state === 'invitation over'
  return (
    <>
      <span className={grave ? 'text-contradicted' : ''}>{say(`administration.state.${state}`)}</span>
      {provider && (throughProvider || breakGlass) && (
        <span className="block text-[0.8333rem] text-ink-2">
          {throughProvider ? say('administration.comesThrough', { provider }) : say('administration.byPasswordToo')}
        </span>
      )}
      {absence && (
        <span className="block text-[0.8333rem] text-ink-2">
          {say('administration.awayFromThrough', {
            from: writeWhen(absence.from),
            through: writeWhen(absence.through),
          })}
        </span>
      )}
    </>
  )
}
