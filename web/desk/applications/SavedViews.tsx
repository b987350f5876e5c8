import { X } from 'lucide-react'
import { Popover } from 'radix-ui'
import { useState } from 'react'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { TextField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'

/** Filters, order and columns kept under a name, and the way back to them. */
export function SavedViews({ query, onChoose }: { query: string; onChoose: (query: string) => void }) {
  const { data: views = [] } = api.endpoints.listViews.useQuery({})
  const saving = useAct('saveView')
  const removing = useAct('removeView')
  const [name, setName] = useState('')
  const now = views.find((view) => view.query === query)
  return (
    <Popover.Root>
      <Popover.Trigger className="font-semibold text-confirmed">
        {now
          ? say('table.viewName', { name: now.name })
          : views.length > 0
            ? say('table.savedViews', { count: views.length })
            : say('table.saveThisView')}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          align="start"
          className="z-50 grid w-[320px] gap-2 rounded-sheet border border-line-strong bg-sheet p-3 text-[0.9rem] shadow-[0_8px_24px_rgb(0_0_0/0.2)]"
        >
          <ul>
            {views.map((view) => (
              <li key={view.id} className="flex items-baseline justify-between gap-2 border-line border-b py-1">
                <Popover.Close className="flex-1 text-left hover:underline" onClick={() => onChoose(view.query)}>
                  {view.name}
                </Popover.Close>
                <button
                  type="button"
                  aria-label={say('table.forgetTheView', { name: view.name })}
                  className="p-1 text-ink-2 hover:text-contradicted"
                  onClick={() => void removing.act({ params: { id: view.id } })}
                >
                  <X size={14} />
                </button>
              </li>
            ))}
          </ul>
          <form
            className="grid grid-cols-[1fr_auto] items-end gap-2"
            onSubmit={(event) => {
              event.preventDefault()
              void saving.act({ body: { name, query } }).then((saved) => saved && setName(''))
            }}
          >
            <TextField
              label={say('table.keepWhatIsShownAs')}
              value={name}
              limit={80}
              onChange={(event) => setName(event.target.value)}
            />
            <Button type="submit" kind="main" busy={saving.busy} disabled={name.trim() === ''}>
              {say('table.save')}
            </Button>
          </form>
          <ProblemNote problem={saving.problem ?? removing.problem} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
