import { Link } from 'react-router'
import type { File } from '#contract/desk'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { Mark } from '../../ui/Mark'
import { useSession } from '../../useSession'
import type { Row } from '../file/rows'
import { ClaimProof } from './ClaimProof'
import { Resit } from './Resit'
import { ScoreProof } from './ScoreProof'

/** What stands behind the chosen line, and the decision. */
export function ProofPane({ file, row }: { file: File; row: Row | undefined }) {
  if (!row) return <section aria-label={say('proof.proof')} className="bg-sheet-2" />
  return (
    <section
      aria-label={say('proof.proofTitle', { title: row.title })}
      className="flex min-h-0 min-w-0 flex-col bg-sheet-2"
    >
      {row.of === 'claim' && (
        <ClaimProof key={`${row.key}-${row.claim.credentialVersion}`} file={file} claim={row.claim} />
      )}
      {row.of === 'scores' && <ScoreProof key={file.id} file={file} />}
      {row.of === 'check' && <CheckProof file={file} check={row.check} />}
      {row.of === 'requirement' && <RequirementProof file={file} row={row} />}
    </section>
  )
}

function CheckProof({ file, check }: { file: File; check: File['checks'][number] }) {
  return (
    <div className="overflow-auto p-3.5">
      <h2 className="text-[1.2rem]">{check.title}</h2>
      <Resit file={file} check={check} />
      {check.percent === null ? (
        <p className="mt-1 text-ink-2">
          {check.state === 'under way' ? say('proof.theCandidateHasBegunAnd') : say('proof.theCandidateHasNotBegun')}
        </p>
      ) : (
        <>
          <p className="mt-1 text-[1rem]">
            <strong className={check.passed ? 'text-confirmed' : 'text-contradicted'}>{check.percent} %</strong>
            {say('proof.toPass', {
              passPercent: check.passPercent,
              value: check.wrong.length === 0 ? say('proof.nothingWasWrong') : say('proof.whatWasWrong'),
            })}
          </p>
          <ol className="mt-2 divide-y divide-line">
            {check.wrong.map(({ topic, text, given, right }) => (
              <li key={text} className="py-2">
                <p className="text-[0.8rem] text-ink-2">{topic}</p>
                <p className="font-semibold">{text}</p>
                <p className="text-contradicted">{say('proof.answeredGiven', { given })}</p>
                <p className="text-confirmed">{say('proof.rightRight', { right })}</p>
              </li>
            ))}
          </ol>
        </>
      )}
    </div>
  )
}

function RequirementProof({ file, row }: { file: File; row: Extract<Row, { of: 'requirement' }> }) {
  const { may } = useSession()
  const requirement = file.requirements.find(({ key }) => key === row.outcome.requirement)
  return (
    <div className="overflow-auto p-3.5">
      <h2 className="flex items-center gap-2 text-[1.2rem]">
        <Mark name={row.mark} />
        {row.title}
      </h2>
      <p className="mt-1">{file.words[row.outcome.requirement]?.why}</p>
      {requirement && (
        <p className="mt-2 text-ink-2">
          {say('proof.itIsNeededByThe', {
            why: translated(requirement).why,
            gate: say(`state.gate.${requirement.gate}`),
          })}
        </p>
      )}
      {requirement?.asks.kind === 'fee' && may('listCharges') && (
        <p className="mt-2">
          <Link to={`/desk/fees?application=${file.id}`} className="font-semibold text-confirmed">
            {say('fees.seeFees')}
          </Link>
        </p>
      )}
      {row.outcome.steps.length > 0 && <p className="mt-2 text-ink-2">{say('proof.whatIsOpenCanBe')}</p>}
    </div>
  )
}
