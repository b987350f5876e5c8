import { useState } from 'react'
import type { SourceGiven } from '#contract/sources'
import { say, sourceLanguages } from '#core/words/say'
import { LongField, SelectField, TextField } from '../../ui/Field'
import { faultAt } from '../../ui/ProblemNote'
import type { Editing } from './sourceTypes'

/** Faster handling for more money, several people in one letter, what it is written to in, and by what its credentials are known. */
export function HowItAnswers({ given, set, problem }: Editing) {
  const { faster } = given
  return (
    <fieldset className="grid gap-3">
      <legend className="mb-2 text-[1.1em]">{say('sources.part.handling')}</legend>
      <div className="grid gap-3 sm:grid-cols-4">
        <SelectField
          label={say('sources.single.language')}
          empty={say('sources.asWhereItIs')}
          value={given.language ?? ''}
          options={sourceLanguages.map((value) => ({ value, label: say(`sources.language.${value}`) }))}
          onChange={(event) => set({ language: sourceLanguages.find((one) => one === event.target.value) ?? '' })}
        />
        <TextField
          label={say('sources.fasterWithin')}
          type="number"
          min={1}
          max={120}
          optional
          value={faster?.answerWorkingDays ?? ''}
          onChange={(event) =>
            set({
              faster:
                event.target.value === ''
                  ? null
                  : {
                      cost: faster?.cost ?? { amount: 0, currency: given.cost?.currency ?? 'EUR' },
                      answerWorkingDays: Math.round(Number(event.target.value)),
                    },
            })
          }
          error={faultAt(problem, 'faster/answerWorkingDays')}
        />
        {faster && (
          <>
            <TextField
              label={say('sources.fasterCost')}
              type="number"
              min={0}
              step="0.01"
              value={faster.cost.amount / 100}
              onChange={(event) =>
                set({
                  faster: { ...faster, cost: { ...faster.cost, amount: Math.round(Number(event.target.value) * 100) } },
                })
              }
              error={faultAt(problem, 'faster/cost/amount')}
            />
            <TextField
              label={say('sources.currency')}
              value={faster.cost.currency}
              maxLength={3}
              onChange={(event) =>
                set({ faster: { ...faster, cost: { ...faster.cost, currency: event.target.value.toUpperCase() } } })
              }
              error={faultAt(problem, 'faster/cost/currency')}
            />
          </>
        )}
      </div>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          className="accent-confirmed"
          checked={Boolean(given.together)}
          onChange={(event) => set({ together: event.target.checked })}
        />
        {say('sources.wantsTogether')}
      </label>
      <Issuer given={given} set={set} problem={problem} />
    </fieldset>
  )
}

type Issuer = NonNullable<SourceGiven['issuer']>

/** Public keys are pasted as they are published: JWKs, one a line or as a set. */
function Issuer({ given, set, problem }: Editing) {
  const { issuer } = given
  const [keys, setKeys] = useState(() => (issuer ? JSON.stringify(issuer.keys, null, 1) : ''))
  const change = (over: Partial<Issuer>) => {
    const next = { id: '', keys: [], statusLists: [], ...issuer, ...over }
    set({ issuer: next.id === '' && next.keys.length === 0 && next.statusLists.length === 0 ? null : next })
  }
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      <TextField
        label={say('sources.issuerId')}
        optional
        value={issuer?.id ?? ''}
        onChange={(event) => change({ id: event.target.value.trim() })}
        error={faultAt(problem, 'issuer/id')}
      />
      <TextField
        label={say('sources.statusLists')}
        optional
        value={issuer?.statusLists.join(' ') ?? ''}
        onChange={(event) => change({ statusLists: event.target.value.split(/\s+/).filter(Boolean) })}
        error={faultAt(problem, 'issuer/statusLists')}
      />
      <div className="sm:col-span-2">
        <LongField
          label={say('sources.issuerKeys')}
          optional
          limit={8000}
          value={keys}
          onChange={(event) => {
            setKeys(event.target.value)
            change({ keys: keysIn(event.target.value) })
          }}
          error={
            keys.trim() !== '' && (issuer?.keys.length ?? 0) === 0
              ? say('sources.noKeyRead')
              : faultAt(problem, 'issuer/keys')
          }
        />
      </div>
    </div>
  )
}

/** The public keys in a text; private parts are left out, so that nobody can paste one by mistake. */
function keysIn(text: string): Issuer['keys'] {
  try {
    const read: unknown = JSON.parse(text)
    const list = Array.isArray(read) ? read : ((read as { keys?: unknown[] }).keys ?? [read])
    return (list as Record<string, string>[]).flatMap(({ kid = '', kty, crv, x, y }) =>
      kty && crv && x ? [{ kid: kid || crv, kty, crv, x, ...(y ? { y } : {}) } as Issuer['keys'][number]] : [],
    )
  } catch {
    return []
  }
}
