import { useState } from 'react'
import type { StaffRole } from '#core/rights/rights'
import { say } from '#core/words/say'
import { AbsenceForm } from '../../ui/AbsenceForm'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { CheckList, SelectField, TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { useSession } from '../../useSession'
import { useToast } from '../useToast'
import type { Colleague, House } from './house'
import { roleOptions } from './InviteDialog'

type Props = { person: Colleague; house: House; onClose: () => void }

/** What somebody is called, does and sees; and what can be done about their coming in. */
export function ColleagueDialog({ person, house, onClose }: Props) {
  const { act, busy, problem } = useAct('changeColleague')
  const absence = useAct('setAbsence')
  const { provider } = useSession()
  const toast = useToast()
  useFreshAfterClash(problem ?? absence.problem, 'colleagues')
  const [given, setGiven] = useState({
    name: person.name,
    roles: person.roles,
    teams: person.teams,
    teamsOnly: person.teamsOnly,
  })
  const { id, version } = person
  const changes = {
    ...(given.name === person.name ? {} : { name: given.name }),
    ...(given.roles.join() === person.roles.join() ? {} : { roles: given.roles }),
    ...(given.teams.join() === person.teams.join() ? {} : { teams: given.teams }),
    ...(given.teamsOnly === person.teamsOnly ? {} : { teamsOnly: given.teamsOnly }),
  }
  const save = async () => {
    if (!(await act({ params: { id }, body: { version, ...changes } }))) return
    toast(say('administration.saved', { name: given.name }))
    onClose()
  }
  const others = house.colleagues.filter((one) => one.id !== id && one.state === 'active')
  return (
    <Dialog open onClose={onClose} title={person.name} description={person.mail} wide>
      <div className="grid gap-5">
        <form
          className="grid gap-3"
          onSubmit={(event) => {
            event.preventDefault()
            void save()
          }}
        >
          <TextField
            label={say('administration.name')}
            value={given.name}
            onChange={(event) => setGiven({ ...given, name: event.target.value })}
            error={faultAt(problem, 'name')}
          />
          <CheckList
            label={say('administration.roles')}
            options={roleOptions}
            value={given.roles}
            onChange={(roles) => setGiven({ ...given, roles: roles as StaffRole[] })}
            error={faultAt(problem, 'roles')}
          />
          {person.throughProvider && provider && house.rolesFromProvider && (
            <p className="text-[0.87em] text-ink-2">{say('administration.rolesFromProvider', { provider })}</p>
          )}
          {house.teams.length > 0 && (
            <CheckList
              label={say('administration.teams')}
              options={house.teams.map(({ id: value, name: label }) => ({ value, label }))}
              value={given.teams}
              onChange={(teams) => setGiven({ ...given, teams })}
              error={faultAt(problem, 'teams')}
            />
          )}
          <label className="flex items-start gap-2">
            <input
              type="checkbox"
              className="mt-1 accent-confirmed"
              checked={given.teamsOnly}
              onChange={(event) => setGiven({ ...given, teamsOnly: event.target.checked })}
            />
            <span>
              {say('administration.seesOnlyTeams')}
              <span className="block text-[0.87em] text-ink-2">{say('administration.seesOnlyTeamsMeans')}</span>
            </span>
          </label>
          <ProblemNote problem={problem?.faults ? undefined : problem} />
          <Button
            kind="main"
            type="submit"
            busy={busy}
            disabled={Object.keys(changes).length === 0 || given.roles.length === 0}
            className="justify-self-start"
          >
            {say('administration.saveChanges')}
          </Button>
        </form>
        <section className="border-line border-t pt-4">
          <h3 className="mb-2 font-semibold">{say('administration.absence')}</h3>
          <AbsenceForm
            absence={person.absence}
            standIns={others}
            busy={absence.busy}
            problem={absence.problem}
            onSave={async (next) => {
              const saved = await absence.act({ params: { id }, body: { version, absence: next } })
              if (saved) toast(say('administration.saved', { name: person.name }))
            }}
          />
        </section>
        <Door person={person} others={others} onClose={onClose} />
      </div>
    </Dialog>
  )
}

/** Whether somebody comes in: the invitation, signing out, suspending. */
function Door({ person, others, onClose }: { person: Colleague; others: readonly Colleague[]; onClose: () => void }) {
  const { account, provider } = useSession()
  const glass = useAct('setBreakGlass')
  const again = useAct('inviteAgain')
  const remove = useAct('removeInvitation')
  const signOut = useAct('signOutColleague')
  const suspend = useAct('suspendColleague')
  const restore = useAct('restoreColleague')
  const toast = useToast()
  const [filesTo, setFilesTo] = useState('')
  const { id, version, name, state, files } = person
  const params = { id }
  const done = (text: string) => {
    toast(text)
    onClose()
  }
  const problem = [again, remove, signOut, suspend, restore, glass].find((one) => one.problem)?.problem
  useFreshAfterClash(problem, 'colleagues')
  const waiting = state === 'invited' || state === 'invitation over'
  return (
    <section className="grid gap-3 border-line border-t pt-4">
      <h3 className="font-semibold">{say('administration.comingIn')}</h3>
      <p className="text-ink-2">{say(`administration.stateMeans.${state}`)}</p>
      {state === 'active' && files > 0 && account?.id !== id && (
        <SelectField
          label={say('administration.filesGoTo', { count: files })}
          empty={say('administration.stayTheirs')}
          options={others.map((one) => ({ value: one.id, label: one.name }))}
          value={filesTo}
          onChange={(event) => setFilesTo(event.target.value)}
        />
      )}
      {provider && state !== 'suspended' && (
        <label className="flex items-start gap-2">
          <input
            type="checkbox"
            className="mt-1 accent-confirmed"
            checked={person.breakGlass}
            disabled={glass.busy}
            onChange={(event) => void glass.act({ params, body: { version, breakGlass: event.target.checked } })}
          />
          <span>
            {say('administration.breakGlass', { provider })}
            <span className="block text-[0.87em] text-ink-2">{say('administration.breakGlassHelp')}</span>
          </span>
        </label>
      )}
      <div className="flex flex-wrap gap-2">
        {waiting && (
          <>
            <Button
              busy={again.busy}
              onClick={async () =>
                (await again.act({ params })) && done(say('administration.invitationSent', { mail: person.mail }))
              }
            >
              {say('administration.inviteAgain')}
            </Button>
            <Button
              kind="grave"
              busy={remove.busy}
              onClick={async () => (await remove.act({ params })) && done(say('administration.invitationTakenBack'))}
            >
              {say('administration.takeInvitationBack')}
            </Button>
          </>
        )}
        {state === 'active' && (
          <>
            <Button
              busy={signOut.busy}
              onClick={async () => {
                const ended = await signOut.act({ params })
                if (ended) done(say('administration.signedOut', { name, count: ended.ended }))
              }}
            >
              {say('administration.signOutEverywhere')}
            </Button>
            {account?.id !== id && (
              <Button
                kind="grave"
                busy={suspend.busy}
                onClick={async () =>
                  (await suspend.act({ params, body: { version, ...(filesTo ? { filesTo } : {}) } })) &&
                  done(say('administration.suspended', { name }))
                }
              >
                {say('administration.suspend')}
              </Button>
            )}
          </>
        )}
        {state === 'suspended' && (
          <Button
            busy={restore.busy}
            onClick={async () =>
              (await restore.act({ params, body: { version } })) && done(say('administration.restored', { name }))
            }
          >
            {say('administration.letInAgain')}
          </Button>
        )}
      </div>
      <ProblemNote problem={problem} />
    </section>
  )
}
