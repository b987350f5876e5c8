import { useState } from 'react'
import { say } from '#core/words/say'
import { FileButton } from '../ui/FileButton'
import { ProblemNote } from '../ui/ProblemNote'
import { useAct } from '../useAct'
import type { Question } from './question'

/** A confirmation on paper, put in beside the answer. */
export function PaperField({ token, question }: { token: string; question: Question }) {
  const { act, busy, problem } = useAct('uploadReplyPaper')
  const [here, setHere] = useState(question.paper)
  const put = async (file: File) => {
    const done = await act({ params: { token }, query: { part: question.id, fileName: file.name }, body: file })
    if (done) setHere(done.fileName)
  }
  return (
    <div className="sm:col-span-2">
      <p className="font-semibold">{say('reply.paper')}</p>
      <p className="mb-1.5 text-[0.9em] text-ink-2">{say('reply.paperMeans')}</p>
      {here && <p className="mb-1.5">{say('reply.paperHere', { fileName: here })}</p>}
      <ProblemNote problem={problem} />
      <FileButton
        name={say('reply.paper')}
        accept="application/pdf,image/jpeg,image/png"
        busy={busy}
        onFile={(file) => void put(file)}
      >
        {say('reply.choosePaper')}
      </FileButton>
    </div>
  )
}
