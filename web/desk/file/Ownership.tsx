import { Popover } from 'radix-ui'
import { useEffect, useState } from 'react'
import type { File } from '#contract/desk'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { SelectField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useFreshAfterClash } from '../../useFreshAfterClash'
import { useSession } from '../../useSession'
import { useKeys } from '../useKeys'
import { useToast } from '../useToast'

const sayEveryMs = 20_000

/** Whose the file is, who watches it, and who else has it open. */
export function Ownership({ file, place }: { file: File; place: string }) {
  const { account } = useSession()
  const owner = useAct('setOwner')
  const watch = useAct('watchFile')
  const toast = useToast()
  useFreshAfterClash(owner.problem, 'desk')
  const others = useOthers(file.id, place)
  const mine = file.owner?.id === account?.id
  const give = async (to: string | null, told: string) => {
    const done = await owner.act({ params: { id: file.id }, body: { from: file.owner?.id ?? null, to } })
    if (done) toast(told)
  }
  const take = () => void give(account?.id ?? null, say('file.takenByYou'))
  useKeys({ o: mine || !account ? undefined : take })
  return (
    <div className="mt-1.5 flex flex-wrap items-center gap-x-3 gap-y-1 text-[0.8667rem]">
      <span className="text-ink-2">
        {mine ? say('file.yours') : file.owner ? say('file.ownedBy', { name: file.owner.name }) : say('file.nobodys')}
      </span>
      {!mine && (
        <Button kind="quiet" letter="O" busy={owner.busy} className="px-0 py-0" onClick={take}>
          {say('file.take')}
        </Button>
      )}
      <HandOver file={file} busy={owner.busy} onGive={give} />
      <button
        type="button"
        aria-pressed={file.watching}
        className="font-semibold text-confirmed"
        onClick={() => void watch.act({ params: { id: file.id }, body: { watching: !file.watching } })}
      >
        {file.watching ? say('file.watchNoMore') : say('file.watch')}
      </button>
      {others.length > 0 && (
        <span role="status" className="rounded-sheet bg-soon-wash px-2 py-0.5 text-soon-ink">
          {say('file.alsoOpen', { names: others.map(({ name }) => name).join(', ') })}
          {others.some((one) => one.place === place && place !== '') && ` ${say('file.atTheSamePlace')}`}
        </span>
      )}
      <ProblemNote problem={owner.problem ?? watch.problem} />
    </div>
  )
}

/** Says that the file is open here, and learns who else has it open. */
function useOthers(id: string, place: string) {
  const { act } = useAct('sayOpen')
  const [others, setOthers] = useState<{ name: string; place: string }[]>([])
  useEffect(() => {
    let gone = false
    const tell = async () => {
      const told = await act({ params: { id }, body: { place } })
      if (told && !gone) setOthers(told.others)
    }
    void tell()
    const timer = setInterval(() => void tell(), sayEveryMs)
    return () => {
      gone = true
      clearInterval(timer)
    }
  }, [act, id, place])
  return others
}

type HandOverProps = { file: File; busy: boolean; onGive: (to: string | null, told: string) => Promise<void> }

function HandOver({ file, busy, onGive }: HandOverProps) {
  const [open, setOpen] = useState(false)
  const [to, setTo] = useState('')
  const { data } = api.endpoints.listNames.useQuery({}, { skip: !open })
  const names = (data?.colleagues ?? []).filter(({ id }) => id !== file.owner?.id)
  const receiver = names.find(({ id }) => id === to)
  const give = async (next: string | null, told: string) => {
    setOpen(false)
    await onGive(next, told)
  }
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger className="font-semibold text-confirmed">{say('file.handOver')}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={6}
          className="z-50 grid w-[280px] gap-3 rounded-sheet border border-line-strong bg-sheet p-4 text-[0.9rem] shadow-[0_8px_24px_rgb(0_0_0/0.2)]"
        >
          <SelectField
            label={say('file.handOverTo')}
            empty={say('file.chooseSomebody')}
            options={names.map(({ id, name }) => ({ value: id, label: name }))}
            value={to}
            onChange={(event) => setTo(event.target.value)}
          />
          <div className="flex gap-2">
            <Button
              kind="main"
              busy={busy}
              disabled={!receiver}
              onClick={() => receiver && void give(receiver.id, say('file.handedOverTo', { name: receiver.name }))}
            >
              {say('file.handOver')}
            </Button>
            {file.owner && (
              <Button kind="quiet" busy={busy} onClick={() => void give(null, say('file.leftToNobody'))}>
                {say('file.leaveToNobody')}
              </Button>
            )}
          </div>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
