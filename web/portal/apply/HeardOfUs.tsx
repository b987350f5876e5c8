import { useState } from 'react'
import type { Heard } from '#contract/heard'
import { type HeardSource, heardSources } from '#core/hiring/heard'
import { say } from '#core/words/say'
import { api } from '../../api'
import { SelectField, TextField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'

/** Where one heard of us: optional, asked once, and kept as soon as it is said. */
export function HeardOfUs({ id }: { id: string }) {
  const { data } = api.endpoints.readHeard.useQuery({ params: { id } })
  return data ? <Asked key={data.source} id={id} heard={data} /> : null
}

function Asked({ id, heard }: { id: string; heard: Heard }) {
  const [by, setBy] = useState(heard.recommendedBy)
  const { act, busy, problem } = useAct('saveHeard')
  const save = (source: HeardSource | null, recommendedBy: string) =>
    void act({ params: { id }, body: { source, recommendedBy: source === 'somebody' ? recommendedBy : '' } })
  return (
    <div className="grid gap-3">
      <SelectField
        label={say('apply.whereHeard')}
        help={say('apply.whereHeardMeans')}
        optional
        empty={say('apply.notSaid')}
        disabled={busy}
        value={heard.source ?? ''}
        options={heardSources.map((value) => ({ value, label: say(`role.heard.${value}`) }))}
        onChange={(event) => save((event.target.value || null) as HeardSource | null, by)}
      />
      {heard.source === 'somebody' && (
        <TextField
          label={say('apply.whoRecommended')}
          optional
          maxLength={200}
          value={by}
          onChange={(event) => setBy(event.target.value)}
          onBlur={() => by !== heard.recommendedBy && save(heard.source, by)}
        />
      )}
      <ProblemNote problem={problem} />
    </div>
  )
}
