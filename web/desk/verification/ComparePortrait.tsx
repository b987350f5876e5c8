import { useState } from 'react'
import type { File, FileClaim } from '#contract/desk'
import { counted } from '#core/documents/papers'
import { isReason } from '#core/words/reason'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { LongField } from '../../ui/Field'
import { Paper } from '../../ui/Paper'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { useToast } from '../useToast'

type Props = { file: File; claim: FileClaim; documentId: string; onClose: () => void }

/** The picture on the paper and the one that was taken, side by side; the device advises, a person decides. */
export function ComparePortrait({ file, claim, documentId, onClose }: Props) {
  const portrait = claim.documents.find(({ id }) => id === documentId)
  const paper = counted(claim.documents).findLast(
    ({ part, live }) => !live && (part === 'data page' || part === 'front'),
  )
  const [doing, setDoing] = useState<'back' | 'other'>()
  const [words, setWords] = useState('')
  const comparing = useAct('comparePortrait')
  const back = useAct('sendDocumentBack')
  const toast = useToast()
  const { may } = useSession()
  if (!portrait) return null
  const { id, version, likeness, state, holder, fileName } = portrait
  const decide = async (found: 'same' | 'other') => {
    if (!(await comparing.act({ params: { id }, body: { version, holder: found, note: words.trim() } }))) return
    toast(say(`proof.portrait.${found}`), { documentId: id })
    onClose()
  }
  const sendBack = async () => {
    if (!(await back.act({ params: { id }, body: { version, reason: words } }))) return
    toast(say('proof.sentBackToWithA', { name: file.candidate.name }))
    onClose()
  }
  return (
    <Dialog open onClose={onClose} title={say('proof.sameFace', { claim: claim.label })} wide>
      <div className="grid gap-4 md:grid-cols-2">
        <figure className="grid content-start gap-1">
          <figcaption className="text-ink-2">{say('proof.onThePaper')}</figcaption>
          {paper ? (
            <div className="max-h-[52vh] overflow-auto rounded-sheet bg-ground p-2">
              <Paper documentId={paper.id} mediaType={paper.mediaType} name={paper.fileName} width={430} />
            </div>
          ) : (
            <p className="text-soon-ink">{say('proof.noPictureOnPaper')}</p>
          )}
        </figure>
        <figure className="grid content-start gap-1">
          <figcaption className="text-ink-2">{say('proof.takenByTheDevice')}</figcaption>
          <div className="max-h-[52vh] overflow-auto rounded-sheet bg-ground p-2">
            <Paper documentId={id} mediaType={portrait.mediaType} name={fileName} width={300} />
          </div>
        </figure>
      </div>
      <p className="mt-3">
        {likeness === null ? say('proof.deviceComparedNothing') : say('proof.deviceSays', { likeness })}{' '}
        <span className="text-ink-2">{say('proof.deviceOnlyAdvises')}</span>
      </p>
      {holder && <p className="mt-1 font-semibold">{say(`proof.portrait.${holder}`)}</p>}
      <ProblemNote problem={comparing.problem ?? back.problem} />
      {state === 'to look at' && may('comparePortrait') && !doing && (
        <div className="mt-3 flex flex-wrap gap-2">
          <Button kind="main" data-first busy={comparing.busy} onClick={() => void decide('same')}>
            {say('proof.theSamePerson')}
          </Button>
          <Button onClick={() => setDoing('back')}>{say('proof.toBeTakenAgain')}</Button>
          <Button kind="grave" onClick={() => setDoing('other')}>
            {say('proof.somebodyElse')}
          </Button>
        </div>
      )}
      {doing && (
        <div className="mt-3 grid gap-2">
          <LongField
            label={doing === 'back' ? say('proof.whatIsWrongWithIt') : say('proof.whatYouSee')}
            help={doing === 'back' ? say('proof.theCandidateReadsThisSay') : say('proof.whoeverReadsThisLater')}
            limit={1000}
            value={words}
            onChange={(event) => setWords(event.target.value)}
          />
          <div className="flex gap-2">
            <Button
              kind="grave"
              busy={back.busy || comparing.busy}
              disabled={!isReason(words)}
              onClick={() => void (doing === 'back' ? sendBack() : decide('other'))}
            >
              {doing === 'back' ? say('proof.toBeTakenAgain') : say('proof.somebodyElse')}
            </Button>
            <Button kind="quiet" onClick={() => setDoing(undefined)}>
              {say('proof.cancel')}
            </Button>
          </div>
        </div>
      )}
    </Dialog>
  )
}
