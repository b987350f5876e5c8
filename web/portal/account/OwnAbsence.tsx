import { say } from '#core/words/say'
import { api } from '../../api'
import { AbsenceForm } from '../../ui/AbsenceForm'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { useSession } from '../../useSession'
import { Part } from './Part'

/** When somebody who works here is away themselves, and who sees to their files meanwhile. */
export function OwnAbsence() {
  const { account } = useSession()
  const { data } = api.endpoints.readOwnAbsence.useQuery({})
  const { data: names } = api.endpoints.listNames.useQuery({})
  const { act, busy, problem } = useAct('setOwnAbsence')
  useFreshAfterClash(problem, 'colleagues')
  if (!data || !names) return null
  return (
    <Part title={say('account.whenYouAreAway')}>
      <p className="mb-3 text-ink-2">{say('account.whenYouAreAwayMeans')}</p>
      <AbsenceForm
        key={data.version}
        absence={data.absence}
        standIns={names.colleagues.filter(({ id }) => id !== account?.id)}
        busy={busy}
        problem={problem}
        onSave={(absence) => void act({ body: { version: data.version, absence } })}
      />
    </Part>
  )
}
