import type { Ask } from '#core/requirements/requirement'
import { say } from '#core/words/say'
import { api } from '../../api'
import { CheckList } from '../../ui/Field'
import { Tick } from '../../ui/Tick'

type Declaration = Extract<Ask, { kind: 'declaration' }>

/** Who decides where something else is declared: whoever may, or some by name, one of them or all together. */
export function Deciders({ ask, onChange }: { ask: Declaration; onChange: (ask: Declaration) => void }) {
  const { data = [] } = api.endpoints.listMatterDeciders.useQuery({})
  const { deciders = [], together = false, ...plain } = ask
  const set = (named: readonly string[], all: boolean) =>
    onChange({
      ...plain,
      ...(named.length > 0 ? { deciders: named } : {}),
      ...(all && named.length > 1 ? { together: true } : {}),
    })
  // Who was named and may not any more still stands there, so that it can be seen and taken out.
  const gone = deciders.filter((mail) => data.every((one) => one.mail !== mail))
  return (
    <div className="grid gap-2">
      <CheckList
        label={say('composer.whoDecidesAnother')}
        help={say('composer.whoDecidesAnotherMeans')}
        options={[
          ...data.map(({ mail, name }) => ({ value: mail, label: name })),
          ...gone.map((mail) => ({ value: mail, label: say('composer.mayNotAnyMore', { mail }) })),
        ]}
        value={[...deciders]}
        onChange={(named) => set(named, together)}
      />
      {deciders.length > 1 && (
        <Tick
          label={say('composer.allTogether')}
          help={say('composer.allTogetherMeans')}
          checked={together}
          onChange={(all) => set(deciders, all)}
        />
      )}
    </div>
  )
}
