import { Fragment } from 'react'
import type { ClaimComparison, FieldFinding } from '#core/comparison/compareClaim'
import type { FieldVerdict } from '#core/comparison/verdict'
import { writeWhen } from '#core/dates/write'
import { reasonsOfVerdict, verdictWord } from '#core/words/comparison'
import { say } from '#core/words/say'

/** Claim, document and source side by side; only what differs is coloured, and inside it only the characters that do. */
export function ComparisonTable({ comparison, asked }: { comparison: ClaimComparison; asked: boolean }) {
  return (
    <table className="w-full table-fixed border-line border-y bg-sheet text-left text-[0.8667rem]">
      <thead>
        <tr className="border-line border-b bg-sheet-2 text-[0.8rem]">
          <th scope="col" className="w-[70px] py-1 pl-3.5 font-normal text-ink-2">
            <span className="sr-only">{say('proof.field')}</span>
          </th>
          {[say('proof.claimed'), say('proof.document'), say('proof.source')].map((name) => (
            <th key={name} scope="col" className="px-1.5 py-1 font-semibold">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {comparison.fields.map((field) => {
          const isNumber = field.key === 'number'
          const isDate = ['awarded', 'issued', 'through', 'from', 'to', 'born'].includes(field.key)
          const shown = (text: string) => (isDate ? writeWhen(text) : text)
          const why = whyOf(field)
          return (
            <Fragment key={field.key}>
              <tr className={`border-line align-top ${why ? '' : 'border-b last:border-b-0'}`}>
                <th scope="row" rowSpan={why ? 2 : 1} className="py-1 pl-3.5 font-normal text-ink-2">
                  {say(`field.${field.key}`)}
                </th>
                <td className={`break-words px-1.5 py-1 ${isNumber ? 'font-mono' : ''}`}>
                  {field.claimed ? shown(field.claimed) : <Unsaid words={say('proof.notGiven')} />}
                </td>
                <Side
                  text={field.document}
                  by={field.byDocument}
                  mono={isNumber}
                  shown={shown}
                  none={<Unsaid words="—" />}
                />
                <Side
                  text={field.source}
                  by={field.bySource}
                  mono={isNumber}
                  shown={shown}
                  none={
                    <Unsaid
                      words={field.sourceCannotSay ? say('proof.cannotSay') : asked ? say('proof.notSaid') : '—'}
                    />
                  }
                />
              </tr>
              {why && (
                <tr className="border-line border-b last:border-b-0">
                  <td colSpan={3} className="px-1.5 pb-1 text-[0.8rem] text-ink-2 leading-snug">
                    {why}
                  </td>
                </tr>
              )}
            </Fragment>
          )
        })}
      </tbody>
    </table>
  )
}

/** The verdict on a field with its reason, where there is more to say than that it is the same. */
function whyOf({ byDocument, bySource, document, source }: FieldFinding): string {
  const told = ({ verdict, reasons }: FieldVerdict) => {
    const because = reasonsOfVerdict(reasons)
    return because ? say('proof.verdictBecause', { verdict: verdictWord(verdict), because }) : verdictWord(verdict)
  }
  const sides = [
    { side: say('proof.document'), by: byDocument, said: document },
    { side: say('proof.source'), by: bySource, said: source },
  ].filter(({ by, said }) => said !== undefined && by.verdict !== 'same' && by.verdict !== 'not stated')
  const [one, other] = sides
  if (one && other && told(one.by) === told(other.by)) return say('proof.bothSay', { what: told(one.by) })
  return sides.map(({ side, by }) => say('proof.sideSays', { side, what: told(by) })).join(' ')
}

const Unsaid = ({ words }: { words: string }) => <span className="text-ink-3">{words}</span>

const washes: Partial<Record<FieldVerdict['verdict'], string>> = {
  different: 'bg-contradicted-wash',
  close: 'bg-soon-wash',
}

type SideProps = {
  text?: string
  by: FieldVerdict
  mono: boolean
  shown: (text: string) => string
  none: React.ReactNode
}

function Side({ text, by, mono, shown, none }: SideProps) {
  const wash = text === undefined ? '' : (washes[by.verdict] ?? '')
  return (
    <td className={`break-words px-1.5 py-1 ${mono ? 'font-mono' : ''} ${wash}`}>
      {text === undefined ? (
        none
      ) : by.places.length > 0 ? (
        <Marked text={text} places={by.places} grave={by.verdict === 'different'} />
      ) : (
        shown(text)
      )}
      {wash && <span className="sr-only"> ({verdictWord(by.verdict)})</span>}
    </td>
  )
}

function Marked({ text, places, grave }: { text: string; places: readonly number[]; grave: boolean }) {
  return [...text].map((character, index) =>
    places.includes(index) ? (
      <mark
        key={index}
        className={`rounded-[2px] font-bold ${grave ? 'bg-contradicted text-sheet' : 'bg-soon text-sheet'}`}
      >
        {character}
      </mark>
    ) : (
      <span key={index}>{character}</span>
    ),
  )
}
