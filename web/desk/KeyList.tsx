import { Key } from '../ui/Button'
import { Dialog } from '../ui/Dialog'

const keys: [string, string][] = [
  ['J  K', 'next and previous person in the queue'],
  ['Enter', 'into the file'],
  ['↓  ↑', 'through the claims of a file'],
  ['L', 'look at the document beside the claim'],
  ['E', 'ask the source'],
  ['G', 'look it up in the issuer’s register'],
  ['C', 'confirm'],
  ['N', 'confirm with a note'],
  ['R', 'ask the source again'],
  ['X', 'record a contradiction'],
  ['U', 'record as unconfirmable'],
  ['A', 'ask for a correction; then 1 to 9 sends a prepared sentence'],
  ['S', 'score the application'],
  ['H', 'have something hidden shown, with a reason'],
  ['D', 'compare with a file that may be of the same person'],
  ['B', 'in the table: write to those ticked'],
  ['T', 'in the table: turn down those ticked; Space ticks'],
  ['M', 'move the application on, or see what is missing'],
  ['Z', 'undo what was just decided'],
  ['Ctrl K', 'find a person, a number or a reference'],
]

export function KeyList({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} title="Keys of the desk">
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
