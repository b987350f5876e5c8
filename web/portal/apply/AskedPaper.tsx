import type { Draft } from '#contract/applications'
import { documentKind } from '#core/catalogue/catalogue'
import type { Question } from '#core/form/form'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { Button } from '../../ui/Button'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { Documents } from '../documents/Documents'

/** A document that a question asks for. Its place in the file is made when it is first needed. */
export function AskedPaper({ question, draft, titled }: { question: Question; draft: Draft; titled: boolean }) {
  const claim = draft.claims.find(({ details }) => details.kind === 'paper' && details.question === question.key)
  const { act, busy, problem } = useAct('addClaim')
  const { videoSeconds, documentKind: kind } = question
  const video = videoSeconds ? { videoSeconds } : {}
  const about = documentKind(kind ?? '')
  const begin = () =>
    act({
      body: {
        details: {
          kind: 'paper',
          sourceId: null,
          sourceName: '',
          question: question.key,
          title: question.label,
          ...video,
          ...(kind ? { documentKind: kind } : {}),
        },
      },
    })
  return (
    <div>
      {titled && (
        <p className="mb-1 font-semibold text-[0.93em]">
          {translated(question).label}
          {!question.required && <span className="font-normal text-ink-3"> {say('apply.ifAny')}</span>}
        </p>
      )}
      {claim ? (
        <Documents claim={claim} prompt={question.videoSeconds ? say('apply.chooseAVideo') : undefined} />
      ) : (
        <Button busy={busy} onClick={() => void begin()}>
          {question.videoSeconds ? say('apply.addAVideo') : say('apply.addADocument')}
        </Button>
      )}
      {about?.hint && <p className="mt-1 text-[0.87em] text-ink-2">{translated(about).hint}</p>}
      {titled && question.help && <p className="mt-1 text-[0.87em] text-ink-2">{translated(question).help}</p>}
      <ProblemNote problem={problem} />
    </div>
  )
}
