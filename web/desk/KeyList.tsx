import { say } from '#core/words/say'
import { Key } from '../ui/Button'
import { Dialog } from '../ui/Dialog'

const keys: [string, string][] = [
  ['J  K', say('desk.nextAndPreviousPersonIn')],
  ['Enter', say('desk.intoTheFile')],
  ['↓  ↑', say('desk.throughTheClaimsOfA')],
  ['L', say('desk.lookAtTheDocumentBeside')],
  ['E', say('desk.askTheSource')],
  ['G', say('desk.lookItUpInThe')],
  ['C', say('desk.confirmTheClaim')],
  ['N', say('desk.confirmWithANote')],
  ['R', say('desk.askTheSourceAgain')],
  ['X', say('desk.recordAContradiction')],
  ['U', say('desk.recordAsUnconfirmable')],
  ['A', say('desk.askForACorrectionThen')],
  ['S', say('desk.scoreTheApplication')],
  ['H', say('desk.haveSomethingHiddenShownWith')],
  ['D', say('desk.compareWithAFileThat')],
  ['B', say('desk.inTheTableWriteTo')],
  ['T', say('desk.inTheTableTurnDown')],
  ['M', say('desk.moveTheApplicationOnOr')],
  ['Z', say('desk.undoWhatWasJustDecided')],
  ['Ctrl K', say('desk.findAPersonANumber')],
]

export function KeyList({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} title={say('desk.keysOfTheDesk')}>
      <dl className="grid grid-cols-[90px_1fr] gap-y-1.5">
        {keys.map(([letter, what]) => (
          <div key={letter} className="contents">
            <dt>
              <Key letter={letter} />
            </dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  )
}
