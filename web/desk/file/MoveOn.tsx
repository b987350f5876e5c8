import { useState } from 'react'
import { Temporal } from 'temporal-polyfill'
import type { File } from '#contract/desk'
import { writeWhen } from '#core/dates/write'
import { openAt, upToGate } from '#core/requirements/evaluate'
import { isReason } from '#core/words/reason'
import { requirementTitle } from '#core/words/requirementTitle'
import { rolesWords } from '#core/words/roles'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { Dialog } from '../../ui/Dialog'
import { LongField, TextField } from '../../ui/Field'
import { Mark } from '../../ui/Mark'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { writeMoney } from '../../ui/write'
import { useAct } from '../../useAct'
import { useCurrency } from '../../useCurrency'
import { useSession } from '../../useSession'
import { useToast } from '../useToast'
import { UnansweredOffer } from './UnansweredOffer'

const acts = {
  send: '',
  shortlist: say('file.putOnTheShortlist'),
  offer: say('file.makeTheOffer'),
  start: say('file.clearToStart'),
} as const
const titles = {
  send: '',
  shortlist: say('file.toTheShortlist'),
  offer: say('file.toAnOffer'),
  start: say('file.toTheFirstDay'),
} as const

/** The next gate: what is met, what is missing, and the act that passes it. A waiver opens what a person may open. */
export function MoveOn({ file, open, onClose }: { file: File; open: boolean; onClose: () => void }) {
  const gate = file.nextGate
  if (!gate || gate === 'send') return null
  const counted = upToGate(file.outcomes, gate)
  const missing = openAt(file.outcomes, gate)
  return (
    <Dialog open={open} onClose={onClose} title={`${titles[gate]}: ${file.candidate.name}`} wide>
      <div className="text-[0.9rem]">
        <UnansweredOffer file={file} onDone={onClose} />
        <p className="mb-3 text-[0.9667rem]">
          {missing.length === 0
            ? say('file.allRequirementsUpToThis', { count: counted.length })
            : say('file.openTheGateStaysShut', {
                value:
                  missing.length === 1
                    ? say('file.oneRequirementIs')
                    : say('file.requirementsAre', { count: missing.length }),
              })}
        </p>
        <ul className="mb-4 max-h-[42vh] divide-y divide-line overflow-auto border-line border-y">
          {[...missing, ...counted.filter((outcome) => !missing.includes(outcome))].map((outcome) => (
            <li key={outcome.requirement} className="py-1.5">
              <Requirement file={file} outcome={outcome} />
            </li>
          ))}
        </ul>
        <Pass file={file} gate={gate} shut={missing.length > 0} onDone={onClose} />
      </div>
    </Dialog>
  )
}

function Requirement({ file, outcome }: { file: File; outcome: File['outcomes'][number] }) {
  const { roles, may: mayDo } = useSession()
  const [waiving, setWaiving] = useState(false)
  const [reason, setReason] = useState('')
  const { act, busy, problem } = useAct('waive')
  const toast = useToast()
  const requirement = file.requirements.find(({ key }) => key === outcome.requirement)
  const open = outcome.state === 'unmet' || outcome.state === 'undecided'
  const may = open && mayDo('waive') && requirement?.waivableBy.some((role) => roles.some((own) => own === role))
  const waive = async () => {
    const done = await act({ params: { id: file.id }, body: { requirement: outcome.requirement, reason } })
    if (!done) return
    setWaiving(false)
    toast(say('file.waivedTitle', { title: requirementTitle(outcome) }))
  }
  return (
    <div>
      <div className="flex items-baseline gap-2">
        <span className="self-center">
          <Mark name={outcome.reason.code === 'waived' ? 'waived' : open ? 'claimed' : 'confirmed'} />
        </span>
        <span className="min-w-0 flex-1">
          <span className="font-semibold">{requirementTitle(outcome)}</span>{' '}
          <span className="text-ink-2">{file.words[outcome.requirement]?.why}</span>
        </span>
        {open && (
          <span className="whitespace-nowrap text-[0.8333rem] text-ink-2">{file.words[outcome.requirement]?.ball}</span>
        )}
        {may && !waiving && (
          <Button
            kind="quiet"
            onClick={() => setWaiving(true)}
            aria-label={say('file.waiveTitle', { title: requirementTitle(outcome) })}
            className="!py-0"
          >
            {say('file.waive')}
          </Button>
        )}
      </div>
      {open && !may && requirement && requirement.waivableBy.length > 0 && (
        <p className="pl-6 text-[0.8333rem] text-ink-3">
          {say('file.mayBeWaivedBy', { value: rolesWords(requirement.waivableBy) })}
        </p>
      )}
      {waiving && (
        <div className="mt-2 ml-6 grid gap-2">
          <LongField
            label={say('file.whyIsItNotNeeded')}
            value={reason}
            onChange={(event) => setReason(event.target.value)}
            error={faultAt(problem, 'reason')}
          />
          <ProblemNote problem={problem?.faults ? undefined : problem} />
          <div className="flex gap-2">
            <Button kind="main" busy={busy} disabled={!isReason(reason)} onClick={() => void waive()}>
              {say('file.waiveIt')}
            </Button>
            <Button kind="quiet" onClick={() => setWaiving(false)}>
              {say('file.cancel')}
            </Button>
          </div>
        </div>
      )}
    </div>
  )
}

type PassProps = { file: File; gate: 'shortlist' | 'offer' | 'start'; shut: boolean; onDone: () => void }

function Pass({ file, gate, shut, onDone }: PassProps) {
  const currency = useCurrency()
  const { holds, may } = useSession()
  const { act, busy, problem } = useAct('passGate')
  const toast = useToast()
  const mayOffer = holds('offers.make')
  const { data: vacancy } = api.endpoints.readVacancy.useQuery(
    { params: { slug: file.vacancy.slug } },
    { skip: gate !== 'offer' || !mayOffer },
  )
  const [pay, setPay] = useState('')
  const [answerBy, setAnswerBy] = useState(Temporal.PlainDate.from(file.today).add({ days: 10 }).toString())
  if (gate === 'offer' && !mayOffer) return <p className="text-ink-2">{say('file.anOfferIsMadeBy')}</p>
  if (!may('passGate')) return <p className="text-ink-2">{say('file.thisGateIsPassedBy')}</p>
  const pass = async () => {
    const terms = gate === 'offer' ? { salary: Math.round(Number(pay.replace(/[^\d.]/g, '')) * 100), answerBy } : {}
    const done = await act({ params: { id: file.id, gate }, body: { version: file.version, ...terms } })
    if (!done) return
    toast(
      {
        shortlist: say('file.isOnTheShortlist', { name: file.candidate.name }),
        offer: say('file.theOfferIsOnIts', { name: file.candidate.name }),
        start: say('file.isClearedToStart', { name: file.candidate.name }),
      }[gate],
    )
    onDone()
  }
  return (
    <div className="grid gap-3">
      {gate === 'offer' && (
        <div className="grid gap-3 sm:grid-cols-2">
          <TextField
            label={say('file.payAYear', { currency })}
            inputMode="numeric"
            value={pay}
            onChange={(event) => setPay(event.target.value)}
            help={
              vacancy
                ? say('file.theBandIsTo', {
                    payFrom: writeMoney(vacancy.payFrom, currency),
                    payTo: writeMoney(vacancy.payTo, currency),
                  })
                : ''
            }
            error={faultAt(problem, 'salary')}
          />
          <DateField
            label={say('file.toBeAnsweredBy')}
            value={answerBy}
            onChange={setAnswerBy}
            error={faultAt(problem, 'answerBy')}
          />
        </div>
      )}
      <ProblemNote problem={problem?.faults ? undefined : problem} />
      <div className="flex items-center gap-3">
        <Button
          kind="main"
          data-first
          busy={busy}
          disabled={shut || (gate === 'offer' && pay.trim() === '')}
          onClick={() => void pass()}
        >
          {acts[gate]}
        </Button>
        {!shut && (
          <span className="text-ink-2">
            {say('file.theCandidateIsToldBy', {
              value: gate === 'start' ? say('file.firstDay', { targetStart: writeWhen(file.targetStart) }) : '',
            })}
          </span>
        )}
      </div>
    </div>
  )
}
