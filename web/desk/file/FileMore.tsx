import { useState } from 'react'
import { Link } from 'react-router'
import type { File } from '#contract/desk'
import { say } from '#core/words/say'
import { writeMoment } from '../../ui/write'
import { useSession } from '../../useSession'
import { CoverSheets } from '../tray/CoverSheets'
import { Conversations } from './Conversations'
import { HeardOf } from './HeardOf'
import { Matters } from './Matters'
import { Messages } from './Messages'
import { More } from './More'
import { Originals } from './Originals'
import { OutsideLinks } from './OutsideLinks'
import { Recipients } from './Recipients'
import { Reopened } from './Reopened'
import { Reports } from './Reports'
import { Vouchings } from './Vouchings'

/** What is looked up now and then: what was answered, waivers and gates, and everything that was done. */
export function FileMore({ file }: { file: File }) {
  const [printing, setPrinting] = useState(false)
  const { may } = useSession()
  return (
    <div className="grid gap-1 px-4 py-3">
      <More title={say('file.answers')}>
        <dl className="grid grid-cols-[210px_1fr] gap-x-4 gap-y-0.5">
          {file.answers.map(({ section, label, answer, hidden, links }) => (
            <div key={`${section}${label}`} className="contents">
              <dt className="text-ink-2">{label}</dt>
              <dd className={hidden ? 'text-ink-3' : ''}>
                {answer}
                <OutsideLinks links={links} />
              </dd>
            </div>
          ))}
        </dl>
        <HeardOf id={file.id} />
      </More>
      <Matters file={file} />
      <Conversations file={file} />
      <Originals file={file} />
      <Reports file={file} />
      <Recipients file={file} />
      <Reopened file={file} />
      <Messages id={file.id} />
      <Vouchings vouchings={file.vouchings} />
      <More title={say('file.gatesPassedAndWaivers', { count: file.gatesPassed.length + file.waivers.length })}>
        <ul>
          {file.gatesPassed.map(({ gate, by, at }) => (
            <li key={gate}>{say('file.gateGateByAt', { gate: say(`state.gate.${gate}`), by, at: writeMoment(at) })}</li>
          ))}
          {file.waivers.map(({ requirement, by, reason, at }) => (
            <li key={requirement}>
              {say('file.waivedTitleReasonByAt', {
                title: file.requirements.find(({ key }) => key === requirement)?.title ?? requirement,
                reason,
                by,
                at: writeMoment(at),
              })}
            </li>
          ))}
        </ul>
      </More>
      <p className="flex flex-wrap gap-x-4 py-0.5 font-semibold text-confirmed">
        {may('readAccessLog') && (
          <Link to={`/desk/people/${file.candidate.id}/access-log`}>{say('file.whoSawWhatOfThis')}</Link>
        )}
        {may('verifyTrail') && (
          <Link to={`/desk/trail?person=${file.candidate.id}`}>{say('file.verifyItsRecord')}</Link>
        )}
        {may('printCoverSheets') && (
          <button type="button" onClick={() => setPrinting(true)}>
            {say('file.printCoverSheets')}
          </button>
        )}
      </p>
      {printing && <CoverSheets applicationId={file.id} onClose={() => setPrinting(false)} />}
      <More title={say('file.everythingThatWasDone')}>
        <ol className="grid gap-1">
          {file.trail.map(({ at, who, what }) => (
            <li key={`${at}${what}`} className="grid grid-cols-[132px_1fr] gap-2">
              <span className="font-mono text-[0.8rem] text-ink-2">{writeMoment(at).replace(/^\w+,? /, '')}</span>
              <span>
                {what} <span className="text-ink-2">· {who}</span>
              </span>
            </li>
          ))}
        </ol>
      </More>
    </div>
  )
}
