import { useState } from 'react'
import type { File } from '#contract/desk'
import { writeWhen } from '#core/dates/write'
import { isActive } from '#core/hiring/stages'
import { say } from '#core/words/say'
import { useSession } from '../../useSession'
import { ChangeStart } from './ChangeStart'

type Props = { file: File; onChoose: (claim: string) => void }

/** By when a file is to be ready and is likely to be, what holds it up, and what would help most. */
export function FileFacts({ file, onChoose }: Props) {
  const late = file.slack < 0
  const { may } = useSession()
  const [changing, setChanging] = useState(false)
  const active = isActive(file)
  return (
    <dl className="mt-2 grid gap-x-5 gap-y-1 max-sm:grid-cols-2 sm:grid-cols-[auto_auto_minmax(0,1fr)_auto]">
      <Fact
        name={say('file.targetStart')}
        value={writeWhen(file.targetStart)}
        aside={active ? say('file.chance', { chance: file.likely.chance }) : undefined}
        grave={file.targetStart < file.today && active}
        onChange={active && may('changeStart') ? () => setChanging(true) : undefined}
      />
      <Fact
        name={say('file.likelyReady')}
        value={writeWhen(file.likely.likely).replace(/ \d{4}$/, '')}
        aside={say('file.fromTo', {
          from: writeWhen(file.likely.early).replace(/ \d{4}$/, ''),
          to: writeWhen(file.likely.late).replace(/ \d{4}$/, ''),
        })}
        grave={late}
      />
      <Fact
        name={say('file.heldUpBy')}
        value={file.heldUpBy?.title ?? say('file.nothing')}
        more={file.heldUpBy ? say('file.inSoMany', { share: file.heldUpBy.share }) : undefined}
      />
      <Fact name={say('file.forThisGate')} value={file.nextGate ? say('file.doneOf', file.met) : say('file.passed')} />
      {file.help && active && <Help help={file.help} onChoose={onChoose} />}
      {changing && <ChangeStart file={file} onClose={() => setChanging(false)} />}
    </dl>
  )
}

type HelpProps = { help: NonNullable<File['help']>; onChoose: Props['onChoose'] }

function Help({ help: { how, what, title, source, claim, days, chance }, onChoose }: HelpProps) {
  const values = { title, source: source ?? title, what: say(`step.what.${what}`) }
  const act = say(`file.help.${how}`, values)
  return (
    <div className="col-span-full min-w-0" data-testid="help">
      <dt className="mr-1.5 inline text-ink-2">{say('file.helpMost')}</dt>
      <dd className="inline">
        {claim ? (
          <button type="button" className="text-left font-semibold text-confirmed" onClick={() => onChoose(claim)}>
            {act}
          </button>
        ) : (
          <span className="font-semibold">{act}</span>
        )}{' '}
        <span className="text-ink-2">({say('file.helpGain', { count: days, chance })})</span>
      </dd>
    </div>
  )
}

type FactProps = {
  name: string
  value: string
  aside?: string
  /** What is read of it by whoever stays on it. */
  more?: string
  grave?: boolean
  onChange?: () => void
}

function Fact({ name, value, aside, more, grave = false, onChange }: FactProps) {
  return (
    <div className="min-w-0">
      <dt className="text-[0.8rem] text-ink-2">
        {name}
        {onChange && (
          <button type="button" className="ml-1.5 font-semibold text-confirmed" onClick={onChange}>
            {say('file.change')}
          </button>
        )}
      </dt>
      <dd className="truncate" title={more ? `${value}, ${more}` : value}>
        <span className={`font-semibold ${grave ? 'text-contradicted' : ''}`}>{value}</span>
        {aside && <span className="ml-1 text-[0.8rem] text-ink-2">({aside})</span>}
      </dd>
    </div>
  )
}
