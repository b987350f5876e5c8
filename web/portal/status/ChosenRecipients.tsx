import { useState } from 'react'
import { Link } from 'react-router'
import type { ChosenRecipient } from '#contract/recipients'
import { say } from '#core/words/say'
import { api } from '../../api'
import { recipientState } from '../../recipients/recipientState'
import { Button } from '../../ui/Button'
import { SignForRecipients } from '../SignForRecipients'

/** The bodies chosen in an application and where each stands, and how another one is added. */
export function ChosenRecipients({ id, canAdd }: { id: string; canAdd: boolean }) {
  const { data } = api.endpoints.listChosenRecipients.useQuery({ params: { id } })
  const [adding, setAdding] = useState(false)
  if (!data || data.recipients.length === 0) return null
  const chosen = data.recipients.filter((one) => one.chosen)
  const others = data.recipients.filter((one) => !one.chosen)
  return (
    <section className="mt-7" aria-label={say('recipients.chosen')}>
      <h2 className="mb-2 text-[1.4em]">{say('recipients.chosen')}</h2>
      {chosen.length === 0 && <p className="mb-2 text-ink-2">{say('recipients.noneChosen')}</p>}
      {chosen.length > 0 && (
        <ul className="mb-3 divide-y divide-line rounded-sheet border border-line bg-sheet">
          {chosen.map((recipient) => (
            <li key={recipient.key} className="px-4 py-2.5">
              <p className="flex flex-wrap justify-between gap-x-4">
                <span className="font-semibold">{recipient.name}</span>
                <span className="text-ink-2">{recipientState(recipient)}</span>
              </p>
              {recipient.left.length > 0 && (
                <p className="text-ink-2">
                  {say('recipients.stillNeeds', { what: recipient.left.map(({ title }) => title).join(', ') })}
                </p>
              )}
            </li>
          ))}
        </ul>
      )}
      <p className="flex flex-wrap items-center gap-x-4 gap-y-2">
        {canAdd && others.length > 0 && !adding && (
          <Button onClick={() => setAdding(true)}>{say('recipients.addAnother')}</Button>
        )}
        {chosen.some(({ permission }) => permission) && (
          <Link to="/record" className="font-semibold text-confirmed">
            {say('recipients.seeWhatEachReceived')}
          </Link>
        )}
      </p>
      {adding && <Add id={id} others={others} onDone={() => setAdding(false)} />}
    </section>
  )
}

function Add({ id, others, onDone }: { id: string; others: readonly ChosenRecipient[]; onDone: () => void }) {
  const [keys, setKeys] = useState<readonly string[]>([])
  return (
    <div className="mt-3 grid gap-3 rounded-sheet border border-line-strong bg-sheet px-4 py-3">
      <fieldset>
        <legend className="mb-1.5 font-semibold text-[0.93em]">{say('recipients.addAnother')}</legend>
        <div className="grid gap-2">
          {others.map(({ key, name, about, state, because, deciding }) => (
            <label key={key} className="flex items-start gap-2.5">
              <input
                type="checkbox"
                className="mt-1 accent-confirmed"
                disabled={state === 'closed'}
                checked={keys.includes(key)}
                onChange={(event) =>
                  setKeys(event.target.checked ? [...keys, key] : keys.filter((other) => other !== key))
                }
              />
              <span>
                <span className="font-semibold">{name}</span> <span className="text-ink-2">{about}</span>
                {state === 'closed' && (
                  <span className="block font-semibold text-contradicted">
                    {say('recipients.notOpen', { because })}
                  </span>
                )}
                {state === 'undecided' && (
                  <span className="block text-ink-2">
                    {say('recipients.dependsOn', { questions: deciding.join(', ') })}
                  </span>
                )}
              </span>
            </label>
          ))}
        </div>
      </fieldset>
      {keys.length > 0 && (
        <SignForRecipients
          id={id}
          choose={others.filter(({ key }) => keys.includes(key)).map(({ key, name }) => ({ key, name }))}
          onDone={onDone}
        />
      )}
      <p>
        <Button kind="quiet" onClick={onDone}>
          {say('recipients.cancel')}
        </Button>
      </p>
    </div>
  )
}
