import type { ClaimComparison } from '#core/comparison/compareClaim'
import type { FieldVerdict } from '#core/comparison/verdict'
import { writeWhen } from '#core/dates/write'
import { verdictWord } from '#core/words/comparison'
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
          return (
            <tr key={field.key} className="border-line border-b align-top last:border-b-0">
              <th scope="row" className="py-1 pl-3.5 font-normal text-ink-2">
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
                  <Unsaid words={field.sourceCannotSay ? say('proof.cannotSay') : asked ? say('proof.notSaid') : '—'} />
                }
              />
            </tr>
          )
        })}
      </tbody>
    </table>
  )
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
