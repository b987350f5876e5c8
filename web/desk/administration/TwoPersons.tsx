import { useState } from 'react'
import { type Policies, twoPersonPolicies } from '#core/rights/policies'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { CheckList } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { useToast } from '../useToast'

/** What somebody else has to look at before it counts. */
export function TwoPersons() {
  const { data, error, refetch } = api.endpoints.readPolicies.useQuery({}, { refetchOnMountOrArgChange: true })
  if (!data) return <Waiting error={error} onRetry={refetch} />
  return <Choice key={data.version} {...data} />
}

function Choice({ version, policies }: { version: number; policies: Policies }) {
  const [next, setNext] = useState(policies)
  const { act, busy, problem } = useAct('savePolicies')
  const toast = useToast()
  useFreshAfterClash(problem, 'colleagues')
  const save = async () => {
    if (await act({ body: { version, policies: next } })) toast(say('administration.policiesSaved'))
  }
  return (
    <section className="mt-8 grid max-w-[640px] gap-3">
      <CheckList
        label={say('administration.whatTakesTwo')}
        help={say('administration.aboutPolicies')}
        options={twoPersonPolicies.map((policy) => ({ value: policy, label: say(`right.twoPersons.${policy}`) }))}
        value={twoPersonPolicies.filter((policy) => next[policy])}
        onChange={(chosen) =>
          setNext(Object.fromEntries(twoPersonPolicies.map((one) => [one, chosen.includes(one)])) as Policies)
        }
      />
      <ProblemNote problem={problem} />
      <Button
        className="justify-self-start"
        busy={busy}
        disabled={twoPersonPolicies.every((policy) => next[policy] === policies[policy])}
        onClick={() => void save()}
      >
        {say('administration.savePolicies')}
      </Button>
    </section>
  )
}
