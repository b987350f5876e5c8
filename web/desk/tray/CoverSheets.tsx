import { useState } from 'react'
import { paperPartWords } from '#core/words/papers'
import { say } from '#core/words/say'
import { addressOf, api } from '../../api'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { CheckList } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { Waiting } from '../../ui/Waiting'
import { useAct } from '../../useAct'

/** Cover sheets for papers that will come by post: each finds its place in this file by itself. */
export function CoverSheets({ applicationId: id, onClose }: { applicationId: string; onClose: () => void }) {
  const {
    data: places,
    error,
    refetch,
  } = api.endpoints.placesFor.useQuery({ params: { id } }, { refetchOnMountOrArgChange: true })
  const [chosen, setChosen] = useState<string[]>([])
  const [made, setMade] = useState<number[]>()
  const { act, busy, problem } = useAct('printCoverSheets')
  const print = async () => {
    const papers = chosen.map((key) => {
      const [claimId = '', part = ''] = key.split('|')
      return { claimId, part: part as never }
    })
    const done = await act({ params: { id }, body: { papers } })
    if (done) setMade(done.sheets.map(({ number }) => number))
  }
  return (
    <Dialog
      open
      onClose={onClose}
      title={say('trayDesk.printCoverSheets')}
      description={say('trayDesk.forPapersThatComeBy')}
      wide
    >
      {made ? (
        <p className="text-[1rem]">
          <a
            href={addressOf('readCoverSheets', { params: { id }, query: { numbers: made.join(',') } })}
            download
            className="font-semibold text-confirmed underline"
          >
            {made.length === 1
              ? say('trayDesk.theCoverSheetAsPdf')
              : say('trayDesk.coverSheetsAsPdf', { count: made.length })}
          </a>
        </p>
      ) : !places ? (
        <Waiting error={error} onRetry={refetch} />
      ) : places.length === 0 ? (
        <p className="text-[1rem]">{say('trayDesk.nothingIsClaimedYetOnce')}</p>
      ) : (
        <div className="grid gap-3">
          <div className="grid max-h-[50vh] gap-2 overflow-auto">
            {places.map(({ claimId, label, parts }) => (
              <CheckList
                key={claimId}
                label={label}
                options={parts.map((part) => ({ value: `${claimId}|${part}`, label: paperPartWords(part) }))}
                value={chosen.filter((key) => key.startsWith(claimId))}
                onChange={(keys) => setChosen([...chosen.filter((key) => !key.startsWith(claimId)), ...keys])}
              />
            ))}
          </div>
          <ProblemNote problem={problem} />
          <div>
            <Button kind="main" busy={busy} disabled={chosen.length === 0} onClick={() => void print()}>
              {chosen.length < 2 ? say('trayDesk.makeTheSheet') : say('trayDesk.makeSheets', { count: chosen.length })}
            </Button>
          </div>
        </div>
      )}
    </Dialog>
  )
}
