import { catalogue, offered } from '#core/catalogue/catalogue'
import { howMarksAreCounted, type Marks, markFaultWords, marksWords, resultOf } from '#core/words/grades'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { choicesOf } from '../../ui/choices'
import { SelectField, TextField } from '../../ui/Field'

type Course = { title: string; credits: number; mark: string }
type Kept = { scale: string; terms: { name: string; courses: Course[] }[] }

const newCourse: Course = { title: '', credits: 5, mark: '' }

/** Marks by term with their credits; what they come to is computed as they are typed, with the working. */
export function MarksEditor({
  marks,
  onChange,
}: {
  marks: Kept | undefined
  onChange: (marks: Kept | undefined) => void
}) {
  if (!marks)
    return (
      <Button
        kind="quiet"
        className="!px-0"
        onClick={() =>
          onChange({
            scale: offered(catalogue().scales)[0]?.key ?? '',
            terms: [{ name: say('apply.firstTerm'), courses: [newCourse] }],
          })
        }
      >
        {say('apply.addTheMarksByTerm')}
      </Button>
    )
  const result = resultOf(marks as Marks)
  const putTerm = (at: number, term: Kept['terms'][number]) =>
    onChange({ ...marks, terms: marks.terms.map((other, index) => (index === at ? term : other)) })
  return (
    <fieldset className="grid gap-3 rounded-sheet border border-line p-3">
      <legend className="px-1 font-semibold text-[0.93em]">{say('apply.marksByTerm')}</legend>
      <SelectField
        label={say('apply.howTheInstitutionMarks')}
        options={choicesOf(catalogue().scales, marks.scale)}
        value={marks.scale}
        onChange={(event) => onChange({ ...marks, scale: event.target.value })}
      />
      {marks.terms.map((term, at) => (
        <div key={at} className="grid gap-1.5">
          <TextField
            label={say('apply.termAt', { at: at + 1 })}
            value={term.name}
            onChange={(event) => putTerm(at, { ...term, name: event.target.value })}
          />
          {term.courses.map((course, nth) => {
            const put = (change: Partial<Course>) =>
              putTerm(at, {
                ...term,
                courses: term.courses.map((other, index) => (index === nth ? { ...course, ...change } : other)),
              })
            const fault =
              course.title !== '' || course.mark !== ''
                ? result?.faults.find((candidate) => candidate.term === at && candidate.course === nth)
                : undefined
            return (
              <div key={nth} className="grid grid-cols-[minmax(0,1fr)_76px_76px_auto] items-start gap-2">
                <TextField
                  label={say('apply.courseOfTerm', { nth: nth + 1, at: at + 1 })}
                  hidden
                  placeholder={say('apply.course')}
                  value={course.title}
                  onChange={(event) => put({ title: event.target.value })}
                  error={fault && markFaultWords(fault)}
                />
                <TextField
                  label={say('apply.creditsOfCourseOfTerm', { nth: nth + 1, at: at + 1 })}
                  hidden
                  placeholder={say('apply.credits')}
                  inputMode="decimal"
                  value={course.credits || ''}
                  onChange={(event) => put({ credits: Number(event.target.value.replace(',', '.')) || 0 })}
                />
                <TextField
                  label={say('apply.markOfCourseOfTerm', { nth: nth + 1, at: at + 1 })}
                  hidden
                  placeholder={say('apply.mark')}
                  value={course.mark}
                  onChange={(event) => put({ mark: event.target.value })}
                />
                <button
                  type="button"
                  className="self-center text-[0.9em] text-ink-2 underline"
                  onClick={() =>
                    putTerm(at, { ...term, courses: term.courses.filter((_other, index) => index !== nth) })
                  }
                >
                  {say('apply.takeOut')}
                </button>
              </div>
            )
          })}
          <Button
            kind="quiet"
            className="justify-self-start !px-0"
            onClick={() => putTerm(at, { ...term, courses: [...term.courses, newCourse] })}
          >
            {say('apply.addACourseTo', { at: term.name || say('apply.termAt2', { at: at + 1 }) })}
          </Button>
        </div>
      ))}
      <div className="flex flex-wrap gap-3">
        <Button
          onClick={() =>
            onChange({
              ...marks,
              terms: [
                ...marks.terms,
                { name: say('apply.term', { nth: marks.terms.length + 1 }), courses: [newCourse] },
              ],
            })
          }
        >
          {say('apply.addATerm')}
        </Button>
        <Button kind="quiet" onClick={() => onChange(undefined)}>
          {say('apply.takeAllMarksOut')}
        </Button>
      </div>
      <div className="rounded-sheet bg-sheet-2 px-3 py-2">
        <p role="status" className="font-semibold">
          {marksWords(marks as Marks)}
        </p>
        <details className="mt-1 text-[0.93em]">
          <summary className="cursor-pointer text-ink-2">{say('apply.howThatIsComeBy')}</summary>
          <p className="mt-1 text-ink-2">{howMarksAreCounted()}</p>
          <MarksWorking marks={marks as Marks} />
        </details>
      </div>
    </fieldset>
  )
}

/** Every mark with what it is worth. */
function MarksWorking({ marks }: { marks: Marks }) {
  const working = resultOf(marks)?.working ?? []
  if (working.length === 0) return null
  return (
    <table className="mt-1 w-full text-left">
      <thead>
        <tr className="text-ink-2">
          <th>{say('apply.course')}</th>
          <th className="text-right">{say('apply.credits')}</th>
          <th className="text-right">{say('apply.mark')}</th>
          <th className="text-right">{say('apply.perCent')}</th>
        </tr>
      </thead>
      <tbody>
        {working.map(({ title, credits, mark, percent }, index) => (
          <tr key={index} className="border-line border-t">
            <td>{title}</td>
            <td className="text-right font-mono">{credits}</td>
            <td className="text-right font-mono">{mark}</td>
            <td className="text-right font-mono">{percent === null ? say('apply.noGrade') : percent.toFixed(1)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
