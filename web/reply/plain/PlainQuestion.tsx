import type { PlainView } from '#contract/plainReply'
import { declineReasons } from '#core/enquiries/enquiry'
import { say } from '#core/words/say'
import type { Problem } from '../../api'
import { Button } from '../../ui/Button'
import { SelectField, TextField } from '../../ui/Field'
import { faultAt, ProblemNote } from '../../ui/ProblemNote'
import { Sheet } from '../../ui/Sheet'
import { answerOf, answerOfForm, isReady } from '../answers'
import { QuestionLines } from '../QuestionLines'
import { SignedBy } from '../SignedBy'

type Props = { view: Extract<PlainView, { shows: 'question' }> }

/** A question as a form that is sent as a whole, whatever is done with it. */
export function PlainQuestion({ view }: Props) {
  const { question, written, tried = false, kept, formValue, address } = view
  const answer = written ? answerOfForm(question, written) : answerOf(question)
  const problem = view.problem as Problem | undefined
  return (
    <main className="mx-auto max-w-[820px] px-4 py-7 text-[1.0333rem]">
      {question.parts.length > 1 && <Parts address={address} question={question} language={view.language} />}
      <form method="post" encType="multipart/form-data" action={`${address}?lang=${view.language}`}>
        {/* Whoever presses the return key has kept it and sent nothing: the first button of a form is the one it presses. */}
        <button type="submit" name="act" value="keep" className="sr-only" tabIndex={-1} aria-hidden>
          {say('reply.keep')}
        </button>
        <input type="hidden" name="form" value={formValue} />
        <input type="hidden" name="part" value={question.id} />
        <input type="hidden" name="version" value={question.draftVersion} />
        {tried && !problem && !isReady(question, answer) && (
          <p role="alert" className="mb-3 font-semibold text-contradicted">
            {say('reply.missing')}
          </p>
        )}
        {problem && (
          <div className="mb-3">
            <ProblemNote problem={problem} />
          </div>
        )}
        {kept && (
          <p role="status" className="mb-3 font-semibold text-confirmed">
            {say('reply.kept')}
          </p>
        )}
        <QuestionLines question={question} answer={answer} tried={tried} plain />
        <Sheet className="grid gap-4 sm:grid-cols-2">
          <SignedBy answer={answer} tried={tried} problem={problem} />
          <div className="min-w-0 sm:col-span-2">
            <label htmlFor="paper" className="block font-semibold">
              {say('reply.paper')}
            </label>
            <p className="mb-1.5 text-[0.9em] text-ink-2">{say('reply.paperMeans')}</p>
            {question.paper && <p className="mb-1.5">{say('reply.paperHere', { fileName: question.paper })}</p>}
            <input
              id="paper"
              type="file"
              name="paper"
              accept="application/pdf,image/jpeg,image/png"
              className="w-full file:mr-3 file:rounded-sheet file:border file:border-line-strong file:bg-sheet file:px-3 file:py-1.5 file:font-semibold"
            />
          </div>
          <div className="sm:col-span-2">
            <div className="flex flex-wrap gap-2">
              <Button kind="main" type="submit" name="act" value="send">
                {say('reply.sendTheAnswer')}
              </Button>
              <Button type="submit" name="act" value="keep">
                {say('reply.keep')}
              </Button>
            </div>
            <p className="mt-2 text-[0.9em] text-ink-2">{say('reply.linkUsedUp', { operator: question.operator })}</p>
          </div>
        </Sheet>
        <h2 className="mt-5 mb-2 text-[1.1em]">{say('reply.otherwise')}</h2>
        <Sheet className="grid gap-3 sm:grid-cols-2">
          <p className="text-ink-2 sm:col-span-2">{say('reply.forwardMeans')}</p>
          <TextField
            label={say('reply.colleagueName')}
            name="toName"
            maxLength={120}
            value={written?.toName ?? ''}
            onChange={() => undefined}
            error={faultAt(problem, 'toName')}
          />
          <TextField
            label={say('reply.colleagueMail')}
            name="toMail"
            type="email"
            maxLength={254}
            value={written?.toMail ?? ''}
            onChange={() => undefined}
            error={faultAt(problem, 'toMail')}
          />
          <div className="sm:col-span-2">
            <Button type="submit" name="act" value="forward">
              {say('reply.passOn')}
            </Button>
          </div>
        </Sheet>
        <Sheet className="mt-3 grid gap-3 sm:grid-cols-2">
          <SelectField
            label={say('reply.why')}
            name="reason"
            value={written?.reason ?? declineReasons[0]}
            onChange={() => undefined}
            options={declineReasons.map((value) => ({ value, label: say(`reply.declined.${value}`) }))}
          />
          <div className="self-end">
            <Button type="submit" name="act" value="decline">
              {say('reply.decline')}
            </Button>
          </div>
        </Sheet>
      </form>
    </main>
  )
}

/** The people of one letter, each behind an address of their own. */
function Parts({ address, question, language }: Pick<Props['view'], 'address' | 'question' | 'language'>) {
  return (
    <nav aria-label={say('reply.people')} className="mb-4 flex flex-wrap gap-3">
      {question.parts.map(({ id, state, candidate }, nth) => {
        if (id === question.id) return <strong key={id}>{candidate}</strong>
        if (state !== 'open')
          return (
            <span key={id} className="text-ink-3">
              {say('reply.nthOf', { nth: nth + 1, of: question.parts.length })}, {say('reply.partDone')}
            </span>
          )
        return (
          <a key={id} href={`${address}?lang=${language}&part=${id}`} className="text-confirmed underline">
            {candidate}
          </a>
        )
      })}
    </nav>
  )
}
