import type { Conversation } from '#contract/conversations'
import { say } from '#core/words/say'
import { writeMoment } from './write'

type Props = { entries: Conversation['entries']; mine: 'candidate' | 'desk' }

/** What was written in a conversation, the oldest first; one's own side is told apart by its edge. */
export const Entries = ({ entries, mine }: Props) => (
  <ol className="grid gap-2">
    {entries.map(({ id, by, name, via, text, at }) => (
      <li key={id} className={`border-l-2 pl-3 ${by === mine ? 'border-line-strong' : 'border-asked'}`}>
        <p className="text-[0.87em] text-ink-2">
          {say(via === 'mail' ? 'ui.wroteByMail' : 'ui.wroteAt', { name, at: writeMoment(at) })}
        </p>
        <p className="whitespace-pre-line break-words">{text}</p>
      </li>
    ))}
  </ol>
)
