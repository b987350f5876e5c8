import { useState } from 'react'
import { hostOf } from '#core/form/links'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'

/** Links somebody gave to what lies elsewhere: where each leads is read before it is followed, and it is told nothing of us. */
export function OutsideLinks({ links }: { links: readonly string[] }) {
  const [open, setOpen] = useState<string>()
  const safe = links.flatMap((link) => {
    const host = hostOf(link)
    return host ? [{ link, host }] : []
  })
  if (safe.length === 0) return null
  const chosen = safe.find(({ link }) => link === open)
  return (
    <p className="flex flex-wrap gap-x-3">
      {safe.map(({ link, host }) => (
        <button
          key={link}
          type="button"
          className="min-h-6 break-all text-left text-confirmed underline"
          onClick={() => setOpen(link)}
        >
          {say('file.lookAtLink', { host })}
        </button>
      ))}
      {chosen && (
        <Dialog open onClose={() => setOpen(undefined)} title={say('file.linkLeadsOut')}>
          <p className="mb-2 break-all font-mono text-[1.1em]">{chosen.host}</p>
          <p className="mb-3 break-all text-[0.9em] text-ink-2">{chosen.link}</p>
          <p className="mb-3">{say('file.linkNobodyLooked')}</p>
          <div className="flex gap-3">
            <a
              href={chosen.link}
              target="_blank"
              rel="noopener noreferrer nofollow"
              referrerPolicy="no-referrer"
              data-first
              className="rounded-sheet border border-confirmed bg-confirmed px-3 py-1.5 font-semibold text-on-confirmed"
              onClick={() => setOpen(undefined)}
            >
              {say('file.openLink')}
            </a>
            <Button kind="quiet" onClick={() => setOpen(undefined)}>
              {say('ui.close')}
            </Button>
          </div>
        </Dialog>
      )}
    </p>
  )
}
