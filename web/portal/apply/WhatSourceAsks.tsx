import { useState } from 'react'
import type { Claim } from '#contract/claims'
import { isForSource } from '#core/documents/papers'
import type { AskedBySource } from '#core/requirements/sourceCondition'
import { isSignedByHand, paperFor } from '#core/sources/conditions'
import { say } from '#core/words/say'
import { addressOf, api } from '../../api'
import { Button } from '../../ui/Button'
import { TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { writeDayOf } from '../../ui/write'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { Documents } from '../documents/Documents'

/** A claim with the papers that show what it says, and none of those its source wants with a question. */
export const withoutSourcePapers = (claim: Claim): Claim => ({
  ...claim,
  documents: claim.documents.filter(({ part }) => !isForSource(part)),
})

type Props = { applicationId: string; claim: Claim; asked: readonly AskedBySource[] }

/** What the source of a claim asks for before it answers, each with its reason, its form, and the place to give it. */
export function WhatSourceAsks({ applicationId, claim, asked }: Props) {
  const own = asked.filter((one) => one.claim === claim.id)
  if (own.length === 0) return null
  const { source } = own[0]!
  return (
    <section className="mt-3 border-line border-t pt-2.5" aria-label={say('apply.sourceAsksFor', { source })}>
      <h3 className="font-semibold">{say('apply.sourceAsksFor', { source })}</h3>
      <ul className="grid gap-3">
        {own.map((one) => (
          <OneCondition key={one.condition} applicationId={applicationId} claim={claim} asked={one} />
        ))}
      </ul>
    </section>
  )
}

type OneProps = { applicationId: string; claim: Claim; asked: AskedBySource }

/** What is done about one of them, where it is called by something else. */
export function GiveToSource({ applicationId, claim, asked }: OneProps) {
  const { kind, state } = asked
  if (isSignedByHand(kind)) return <ByHand applicationId={applicationId} claim={claim} asked={asked} />
  if (kind === 'number') return state === 'met' ? null : <GiveNumber claim={claim} />
  return kind === 'copy of the paper' ? null : <Given claim={claim} kind={kind} />
}

function OneCondition({ applicationId, claim, asked }: OneProps) {
  const { kind, state, because } = asked
  const done = state === 'met' || state === 'to look at'
  return (
    <li className="mt-1.5">
      <p>
        <span className="font-semibold">
          {say(`condition.source.${kind}`).replace(/^./, (letter) => letter.toUpperCase())}
        </span>{' '}
        <span className={done || state === 'in the post' ? 'text-ink-2' : 'text-soon-ink'}>
          {say(`apply.condition.${state}`)}
        </span>
      </p>
      {because && <p className="text-[0.93em] text-ink-2">{because}</p>}
      <GiveToSource applicationId={applicationId} claim={claim} asked={asked} />
    </li>
  )
}

/** Documents of the one part that fulfils a condition. */
function Given({
  claim,
  kind,
}: {
  claim: Claim
  kind: Exclude<AskedBySource['kind'], 'number' | 'copy of the paper'>
}) {
  const part = paperFor[kind]
  const own = { ...claim, documents: claim.documents.filter((document) => document.part === part) }
  return <Documents claim={own} parts={[part]} prompt={say(`apply.addFor.${kind}`)} several />
}

/** Printed, signed by hand, and photographed here, or posted with its cover sheet. */
function ByHand({ applicationId, claim, asked }: OneProps) {
  const kind = asked.kind as 'own form' | 'signature'
  const params = { id: applicationId, claim: claim.id, condition: asked.condition }
  // Whoever writes for somebody puts papers here, and leaves printing and posting to them.
  const own = useSession().may('makeSourceSheet')
  const { data } = api.endpoints.listMyCoverSheets.useQuery({ params: { id: applicationId } }, { skip: !own })
  const making = useAct('makeSourceSheet')
  const posting = useAct('sayPosted')
  const sheet = data?.sheets.find(
    ({ claimId, part, state }) => claimId === claim.id && part === paperFor[kind] && state !== 'came',
  )
  const settled = !own || asked.state === 'met' || asked.state === 'to look at'
  return (
    <div className="grid gap-1.5">
      {!settled && (
        <p>
          <a
            href={addressOf('readSourcePaper', { params, query: {} })}
            download
            className="font-semibold text-confirmed underline"
          >
            {say('apply.printItFilledIn')}
          </a>
          , {say('apply.signItByHand')}
        </p>
      )}
      <Given claim={claim} kind={kind} />
      {!settled && (
        <div className="text-[0.93em] text-ink-2">
          {!sheet ? (
            <Button kind="quiet" busy={making.busy} onClick={() => void making.act({ params })}>
              {say('apply.orSendItByPost')}
            </Button>
          ) : (
            <p className="flex flex-wrap items-baseline gap-x-3">
              <a
                href={addressOf('readSourcePaper', { params, query: { sheet: String(sheet.number) } })}
                download
                className="font-semibold text-confirmed underline"
              >
                {say('apply.printWithCoverSheet', { sheet: sheet.reference })}
              </a>
              {sheet.postedAt && sheet.state === 'waiting' ? (
                <span>{say('apply.postedOn', { day: writeDayOf(sheet.postedAt) })}</span>
              ) : (
                <Button
                  kind="quiet"
                  busy={posting.busy}
                  onClick={() => void posting.act({ params: { number: String(sheet.number) } })}
                >
                  {say('apply.iHavePostedIt')}
                </Button>
              )}
            </p>
          )}
          <ProblemNote problem={making.problem ?? posting.problem} />
        </div>
      )}
    </div>
  )
}

/** The number that a source finds it by, where it was left out. */
function GiveNumber({ claim }: { claim: Claim }) {
  const [number, setNumber] = useState('')
  const { act, busy, problem } = useAct('changeClaim')
  const save = () =>
    act({
      params: { id: claim.id },
      body: { version: claim.version, details: { ...claim.details, number } as Claim['details'] },
    })
  return (
    <div className="mt-1 flex flex-wrap items-end gap-2">
      <TextField
        label={say('apply.theNumberOnIt')}
        value={number}
        maxLength={200}
        onChange={(event) => setNumber(event.target.value)}
        error={faultAt(problem, 'number')}
      />
      <Button busy={busy} disabled={number.trim() === ''} onClick={() => void save()}>
        {say('apply.keepThis')}
      </Button>
      <ProblemNote problem={problem?.faults ? undefined : problem} />
    </div>
  )
}
