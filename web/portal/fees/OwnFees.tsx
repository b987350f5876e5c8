import { useRef, useState } from 'react'
import type { Draft } from '#contract/applications'
import type { OwnFee } from '#contract/fees'
import { domainsOf } from '#core/conditions/vocabulary'
import { claims, factsOfFee, knownFeeFacts } from '#core/fees/facts'
import { quote } from '#core/fees/quote'
import { meansFact } from '#core/fees/schedule'
import { rangeWords, scheduleTerms } from '#core/words/fees'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { api } from '../../api'
import { FeeFactField } from '../../fees/FeeFactField'
import { LeaveOut } from '../../fees/LeaveOut'
import { QuoteTable } from '../../fees/QuoteTable'
import { useChangedLines } from '../../fees/useChangedLines'
import { FileButton } from '../../ui/FileButton'
import { ProblemNote } from '../../ui/ProblemNote'
import { Sheet } from '../../ui/Sheet'
import { useAct } from '../../useAct'
import { useInTurn } from '../../useInTurn'
import type { Autosave } from '../apply/useAutosave'

/** What a fee comes to with what has been typed so far, before it is saved. */
function useQuote(fee: OwnFee, draft: Draft, autosave: Autosave) {
  const { schedule, given, leftOut } = fee
  const known = knownFeeFacts(schedule, draft.form)
  const quoted = quote(schedule, {
    facts: { ...draft.fileFacts, ...autosave.facts, ...factsOfFee(schedule, given), [meansFact]: 'none' },
    ...{ domains: domainsOf(known), on: draft.today, leftOut },
  })
  return { known, quoted, changed: useChangedLines(quoted) }
}

/** What it costs, beside the form: it changes with the answers, and says which line did. */
export function FeesBeside({ draft, autosave }: { draft: Draft; autosave: Autosave }) {
  const { data } = api.endpoints.listOwnFees.useQuery({ params: { id: draft.id } })
  if (!data || data.fees.length === 0) return null
  return (
    <section className="mt-5" aria-label={say('fees.whatItCosts')}>
      <h2 className="mb-1 text-[1.25em]">{say('fees.whatItCosts')}</h2>
      {data.fees.map((fee) => (
        <Beside key={fee.schedule.key} fee={fee} draft={draft} autosave={autosave} />
      ))}
    </section>
  )
}

function Beside({ fee, draft, autosave }: { fee: OwnFee; draft: Draft; autosave: Autosave }) {
  const { quoted, changed } = useQuote(fee, draft, autosave)
  const { currency } = fee.schedule
  return (
    <div aria-live="polite" className="text-[0.93em]">
      <p className="flex justify-between gap-3">
        <span>{translated(fee.schedule).title}</span>
        <span className="whitespace-nowrap font-mono font-semibold">
          {quoted.total.most === 0 ? say('fees.nothing') : rangeWords(quoted.total, currency)}
        </span>
      </p>
      {quoted.lines
        .filter(({ key }) => changed.has(key))
        .map((line) => (
          <p key={line.key} className="flex justify-between gap-3 bg-asked-wash px-1 text-asked">
            <span>
              {translated(fee.schedule.lines.find(({ key }) => key === line.key)!).title}, {say('fees.changedNow')}
            </span>
            <span className="whitespace-nowrap font-mono">{rangeWords(line, currency)}</span>
          </p>
        ))}
    </div>
  )
}

/** What it costs, line by line, with what is asked for it alone: before sending. */
export function FeesToSend({ draft, autosave }: { draft: Draft; autosave: Autosave }) {
  const { data, refetch } = api.endpoints.listOwnFees.useQuery({ params: { id: draft.id } })
  if (!data) return null
  return data.fees.map((fee) => (
    <ToSend key={fee.schedule.key} fee={fee} draft={draft} autosave={autosave} onRefused={() => void refetch()} />
  ))
}

/** Keeps what is given for a fee as fast as it is typed: what comes while a reply is awaited goes with the next. */
function useFeeAnswers({ schedule, leftOut, version }: OwnFee, id: string, onRefused: () => void) {
  const { act, problem } = useAct('saveFeeAnswers')
  const inTurn = useInTurn()
  const unsaved = useRef<{ facts?: Record<string, string>; leftOut?: string[] }>({})
  const saved = useRef(version)
  const [typed, setTyped] = useState<string[]>()
  const keep = (more: typeof unsaved.current) => {
    unsaved.current = { ...unsaved.current, ...more }
    void inTurn(async () => {
      const body = unsaved.current
      unsaved.current = {}
      const params = { id, schedule: schedule.key }
      const reply = await act({ params, body: { version: Math.max(version, saved.current), ...body } })
      if (reply) saved.current = reply.version
      else {
        // What was not taken goes with what is typed next, on what is kept by then.
        onRefused()
        unsaved.current = { ...body, ...unsaved.current, facts: { ...body.facts, ...unsaved.current.facts } }
      }
    })
  }
  return {
    problem,
    leftOut: typed ?? leftOut,
    giveFact: (key: string, value: string) => keep({ facts: { ...unsaved.current.facts, [key]: value } }),
    leaveOut: (next: string[]) => {
      setTyped(next)
      keep({ leftOut: next })
    },
  }
}

type ToSendProps = { fee: OwnFee; draft: Draft; autosave: Autosave; onRefused: () => void }

function ToSend({ fee, draft, autosave, onRefused }: ToSendProps) {
  const { schedule, given } = fee
  const { leftOut, problem, giveFact, leaveOut } = useFeeAnswers(fee, draft.id, onRefused)
  const { known, quoted, changed } = useQuote({ ...fee, leftOut }, draft, autosave)
  return (
    <Sheet>
      <h2 className="mb-1 text-[1.2em]">{say('fees.whatItCosts')}</h2>
      <FactsOfFee fee={fee} applicationId={draft.id} onFact={giveFact} />
      <QuoteTable
        schedule={schedule}
        quote={quoted}
        known={known}
        changed={changed}
        act={(key) => <LeaveOut schedule={schedule} line={key} leftOut={leftOut} onChange={leaveOut} />}
      />
      <ProblemNote problem={problem} />
      <p className="mt-2 text-[0.93em] text-ink-2">
        {scheduleTerms(schedule)} {Object.keys(given).length > 0 || schedule.facts.length > 0 ? say('fees.readBy') : ''}
      </p>
    </Sheet>
  )
}

type FactsProps = { fee: OwnFee; applicationId: string; onFact?: (key: string, value: string) => void }

/** What is asked for a fee alone, and the papers that show it. */
export function FactsOfFee({ fee: { schedule, given }, applicationId, onFact }: FactsProps) {
  const upload = useAct('addFeeProof')
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({})
  const shown = schedule.facts.filter(
    (fact) => onFact || (fact.proof && given[fact.key] && claims(fact, given[fact.key]!.value)),
  )
  if (shown.length === 0) return null
  return (
    <div className="mb-3 grid gap-4 border-line border-b pb-3">
      {shown.map((fact) => {
        const own = given[fact.key]
        const asks = fact.proof && own && claims(fact, own.value)
        const { proof } = translated(fact)
        return (
          <div key={fact.key}>
            {onFact && (
              <FeeFactField
                fact={fact}
                value={typed[fact.key] ?? own?.value ?? ''}
                onChange={(value) => {
                  setTyped((now) => ({ ...now, [fact.key]: value }))
                  onFact(fact.key, value)
                }}
              />
            )}
            {asks && (
              <p className="mt-1.5 flex flex-wrap items-center gap-2 text-[0.93em]">
                <span className={own.proof === 'refused' || own.proof === 'none' ? 'font-semibold text-soon-ink' : ''}>
                  {say(`fees.proof.${own.proof}`, { proof: proof ?? '' })}
                </span>
                {own.proof !== 'accepted' && (own.proof !== 'to look at' || onFact) && (
                  <FileButton
                    name={say('fees.addProofOf', { proof: proof ?? '' })}
                    accept="application/pdf,image/jpeg,image/png"
                    busy={upload.busy}
                    onFile={(file) =>
                      void upload.act({
                        params: { id: applicationId, schedule: schedule.key, fact: fact.key },
                        body: file as never,
                      })
                    }
                  >
                    {own.proof === 'none' ? say('fees.addProof') : say('fees.addAnotherProof')}
                  </FileButton>
                )}
              </p>
            )}
          </div>
        )
      })}
      <ProblemNote problem={upload.problem} />
    </div>
  )
}
