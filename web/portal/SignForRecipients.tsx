import { say } from '#core/words/say'
import { useAct } from '../useAct'
import { useSession } from '../useSession'
import { Signing } from './Signing'

type Props = { id: string; choose: readonly { key: string; name: string }[]; disabled?: boolean; onDone?: () => void }

/** One signature that allows each of several bodies to be told what is proven for an application. */
export function SignForRecipients({ id, choose, disabled, onDone }: Props) {
  const { organisation } = useSession()
  const { act, busy, problem } = useAct('chooseRecipients')
  const fault = problem?.faults?.find(({ pointer }) => pointer === '/body/choose')?.message
  return (
    <section className="rounded-sheet border border-line px-3 py-3" aria-label={say('recipients.allowThem')}>
      <h3 className="mb-1 font-semibold">{say('recipients.allowThem')}</h3>
      <p className="mb-1.5">{say('recipients.allowEach', { organisation: organisation?.name ?? '' })}</p>
      <ul className="mb-1.5 list-disc pl-5 font-semibold">
        {choose.map(({ key, name }) => (
          <li key={key}>{name}</li>
        ))}
      </ul>
      <p className="mb-3 text-ink-2">{say('recipients.allowEnds')}</p>
      {fault && (
        <p role="alert" className="mb-2 font-semibold text-contradicted">
          {fault}
        </p>
      )}
      <Signing
        {...{ busy, problem, disabled }}
        act={say('recipients.signForAll', { count: choose.length })}
        onSign={(signature) =>
          void act({ params: { id }, body: { choose: choose.map(({ key }) => key), ...signature } }).then(
            (done) => done && onDone?.(),
          )
        }
      />
    </section>
  )
}
