import { Toast } from 'radix-ui'
import { useDispatch, useSelector } from 'react-redux'
import { say } from '#core/words/say'
import type { State } from '../store'
import { Key } from '../ui/Button'
import { type Notice, notices } from '../ui/notices'
import { useAct } from '../useAct'
import { useKeys } from './useKeys'

/** Whoever decides has ten seconds to think again. */
const shownMs = 10_000

/** What was just done, with a way back for some seconds. */
export function Notices() {
  const list = useSelector((state: State) => state.notices)
  return (
    <Toast.Provider duration={shownMs} label={say('desk.whatWasJustDone')}>
      {list.map((notice) => (
        <Told key={notice.id} notice={notice} />
      ))}
      <Toast.Viewport
        label={say('desk.noticesKey', { hotkey: '{hotkey}' })}
        className="fixed bottom-4 left-1/2 z-50 w-[min(460px,calc(100vw-2rem))] -translate-x-1/2 outline-none"
      />
    </Toast.Provider>
  )
}

function Told({ notice }: { notice: Notice }) {
  const dispatch = useDispatch()
  const decision = useAct('undoDecision')
  const review = useAct('withdrawReview')
  const document = useAct('unseeDocument')
  const merge = useAct('undoMerge')
  const undo = async () => {
    const { findingId, reviewId, documentId, mergeId } = notice.undo ?? {}
    const done = findingId
      ? await decision.act({ params: { id: findingId } })
      : reviewId
        ? await review.act({ params: { id: reviewId } })
        : documentId
          ? await document.act({ params: { id: documentId } })
          : mergeId
            ? await merge.act({ params: { id: mergeId } })
            : undefined
    if (done) dispatch(notices.actions.toast({ id: crypto.randomUUID(), text: say('desk.undone') }))
  }
  useKeys({ z: notice.undo && (() => void undo()) })
  const problem = decision.problem ?? review.problem ?? document.problem ?? merge.problem
  return (
    <Toast.Root
      onOpenChange={(open) => !open && dispatch(notices.actions.gone(notice.id))}
      className="flex items-center gap-3 rounded-sheet bg-ink px-4 py-2.5 text-sheet shadow-[0_8px_24px_rgb(0_0_0/0.25)]"
    >
      <Toast.Description className="flex-1">{problem?.title ?? notice.text}</Toast.Description>
      {notice.undo && !problem && (
        <Toast.Action altText={say('desk.undoWithZ')} asChild>
          <button
            type="button"
            onClick={() => void undo()}
            className="flex items-center gap-1.5 font-semibold underline"
          >
            {say('desk.undo')} <Key letter="Z" />
          </button>
        </Toast.Action>
      )}
    </Toast.Root>
  )
}
