import { Command } from 'cmdk'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { say } from '#core/words/say'
import { api } from '../api'
import { useFocusBack } from '../ui/useFocusBack'
import { useSession } from '../useSession'
import { commandsFor, type DeskCommand } from './commands'
import { useKeepFile } from './useKeepFile'

/** Finds a person, a number or a reference, and goes to any queue. */
export function Finder({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [text, setText] = useState('')
  useFocusBack(open)
  const navigate = useNavigate()
  const { data } = api.endpoints.find.useQuery({ query: { text: text.trim() } }, { skip: !open || text.trim() === '' })
  const go = (to: string) => {
    onClose()
    setText('')
    navigate(to)
  }
  const { may } = useSession()
  const keepFile = useKeepFile()
  const commands = commandsFor(text, may)
  const run = ({ to, file }: DeskCommand) => {
    if (!file) return go(to)
    onClose()
    void keepFile(to)
  }
  const item = 'cursor-pointer rounded-[4px] px-3 py-2 data-[selected=true]:bg-confirmed-wash'
  return (
    <Command.Dialog
      open={open}
      onOpenChange={(next) => !next && onClose()}
      shouldFilter={false}
      label={say('desk.findAPersonNumberOr')}
      overlayClassName="fixed inset-0 z-40 bg-ink/35"
      contentClassName="fixed top-[12vh] left-1/2 z-50 w-[min(560px,calc(100vw-2rem))] -translate-x-1/2 rounded-sheet border border-line-strong bg-sheet text-[0.9333rem] shadow-[0_12px_40px_rgb(0_0_0/0.25)]"
    >
      <Command.Input
        value={text}
        onValueChange={setText}
        placeholder={say('desk.aNameInAnySpelling')}
        className="w-full border-line border-b bg-transparent px-4 py-3 text-[1rem] outline-none"
      />
      <Command.List className="max-h-[50vh] overflow-auto p-1.5">
        {text.trim() !== '' && data?.people.length === 0 && data.imported.length === 0 && commands.length === 0 && (
          <p className="px-3 py-3 text-ink-2">{say('desk.nobodyFitsAndNoCommand')}</p>
        )}
        {(text.trim() === '' ? [] : (data?.people ?? [])).map(({ id, candidate, vacancy, reference, because }) => (
          <Command.Item key={id} value={id} onSelect={() => go(`/desk/today/${id}`)} className={item}>
            <span className="flex justify-between gap-3">
              <span className="font-semibold">{candidate}</span>
              <span className="font-mono text-ink-2">{reference}</span>
            </span>
            <span className="block text-ink-2">
              {vacancy}
              {because && because !== candidate && because !== reference && ` · ${because}`}
            </span>
          </Command.Item>
        ))}
        {(text.trim() === '' ? [] : (data?.imported ?? [])).map(({ candidateId, name, because }) => (
          <Command.Item
            key={candidateId}
            value={candidateId}
            onSelect={() => go(`/desk/people/${candidateId}`)}
            className={item}
          >
            <span className="font-semibold">{name}</span>
            <span className="block text-ink-2">{say('desk.importedHasNotApplied', { because })}</span>
          </Command.Item>
        ))}
        {commands.map((command) => (
          <Command.Item
            key={command.name}
            value={`command ${command.name}`}
            onSelect={() => run(command)}
            className={item}
          >
            {command.name}
          </Command.Item>
        ))}
      </Command.List>
    </Command.Dialog>
  )
}
