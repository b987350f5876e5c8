import { useState } from 'react'
import type { Reply } from '#contract/endpoint'
import type { Contract } from '#contract/index'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { FileButton } from '../../ui/FileButton'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { Table } from '../overviews/Overview'
import { useToast } from '../useToast'

type Outcome = Reply<Contract['importSources']>

/** Sources from a file: first what each row would become, then for good. */
export function ImportSources({ onClose }: { onClose: () => void }) {
  const { act, busy, problem } = useAct('importSources')
  const toast = useToast()
  const [file, setFile] = useState<File>()
  const [outcome, setOutcome] = useState<Outcome>()
  const read = async (chosen: File, dry: 'yes' | 'no') => {
    const done = await act({ query: { fileName: chosen.name, dry }, body: chosen })
    if (!done) return
    if (dry === 'yes') {
      setFile(chosen)
      setOutcome(done)
      return
    }
    toast(say('sources.imported', { count: done.written }))
    onClose()
  }
  const toWrite = outcome?.rows.filter(({ becomes }) => becomes === 'new' || becomes === 'changed').length ?? 0
  return (
    <Dialog open onClose={onClose} wide title={say('sources.importTitle')} description={say('sources.importMeans')}>
      <div className="grid gap-3">
        <FileButton
          name={say('sources.importFile')}
          accept=".csv,.json,text/csv,application/json"
          busy={busy}
          onFile={(chosen) => void read(chosen, 'yes')}
        >
          {say('sources.chooseFile')}
        </FileButton>
        <ProblemNote problem={problem} />
        {outcome && file && (
          <>
            <div className="max-h-[50dvh] overflow-auto">
              <Table
                rows={outcome.rows}
                keyOf={({ row }) => String(row)}
                empty=""
                columns={[
                  { name: say('sources.row'), right: true, of: ({ row }) => row },
                  { name: say('sources.name'), of: ({ name }) => name },
                  { name: say('sources.becomes'), of: ({ becomes }) => say(`sources.becomes.${becomes}`) },
                  {
                    name: say('sources.remark'),
                    of: ({ message, twin }) => message || (twin ? say('sources.mayBeTwin', { name: twin }) : ''),
                  },
                ]}
              />
            </div>
            <Button
              kind="main"
              busy={busy}
              disabled={toWrite === 0}
              onClick={() => void read(file, 'no')}
              className="justify-self-start"
            >
              {say('sources.importThem', { count: toWrite })}
            </Button>
          </>
        )}
      </div>
    </Dialog>
  )
}
