import { useState } from 'react'
import type { Reply } from '#contract/endpoint'
import type { readTray } from '#contract/tray'
import { paperPartWords } from '#core/words/papers'
import { say } from '#core/words/say'
import { addressOf, api } from '../../api'
import { Button } from '../../ui/Button'
import { SelectField, TextField } from '../../ui/Field'
import { PdfPages } from '../../ui/Paper'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { ReferenceForm } from '../ReferenceForm'
import { useKeys } from '../useKeys'
import { useToast } from '../useToast'

type Waits = Reply<typeof readTray>['waiting'][number]

const becauseWords: Record<string, string> = {
  sheet: say('trayDesk.theSheetSaysSo'),
  name: say('trayDesk.theNameIsOnIt'),
  reference: say('trayDesk.theReferenceIsOnIt'),
  number: say('trayDesk.theNumberIsOnIt'),
  source: say('trayDesk.theIssuerIsOnIt'),
  awaited: say('trayDesk.theFileWaitsForIt'),
  neighbour: say('trayDesk.itCameWithTheirOther'),
}

/** A paper that waits, and where it most likely belongs; one step files it. */
export function PlacePaper({ paper, onFiled }: { paper: Waits; onFiled: () => void }) {
  const filing = useAct('filePaper')
  const removing = useAct('takeOutOfTray')
  const toast = useToast()
  const fileTo = async (applicationId: string, claimId: string, words: string, part?: string) => {
    const done = await filing.act({
      params: { id: paper.id },
      body: { applicationId, claimId, ...(part ? { part: part as never } : {}) },
    })
    if (!done) return
    toast(say('trayDesk.filedTo', { words }))
    onFiled()
  }
  const remove = async () => {
    if (!(await removing.act({ params: { id: paper.id } }))) return
    toast(say('trayDesk.takenOutOfTheTray'))
    onFiled()
  }
  useKeys({
    ...Object.fromEntries(
      paper.guesses.map((guess, nth) => [
        String(nth + 1),
        () => void fileTo(guess.applicationId, guess.claimId, `${guess.name}, ${guess.label}`),
      ]),
    ),
    x: () => void remove(),
  })
  return (
    <div className="grid min-h-0 min-w-0 lg:grid-cols-[minmax(0,1fr)_22.6rem]">
      <section aria-label={say('trayDesk.thePaper')} className="min-h-0 overflow-auto bg-ground p-4">
        <PdfPages
          address={addressOf('readTrayPaper', { params: { id: paper.id } })}
          name={paper.fileName}
          width={508}
          firstPageOnly={false}
        />
      </section>
      <section
        aria-label={say('trayDesk.whereItBelongs')}
        className="flex min-h-0 flex-col border-line border-l bg-sheet-2"
      >
        <div className="min-h-0 flex-1 overflow-auto p-3.5">
          <h2 className="text-[1.2rem]">{say('trayDesk.whereDoesItBelong')}</h2>
          <p className="mb-2 text-ink-2">{paper.why}</p>
          <ProblemNote problem={filing.problem ?? removing.problem} />
          <ol className="grid gap-2">
            {paper.guesses.map((guess, nth) => (
              <li key={guess.claimId} className="rounded-sheet border border-line bg-sheet p-2">
                <p className="font-semibold">{guess.name}</p>
                <p>
                  {guess.label} <span className="font-mono text-[0.8333rem] text-ink-2">{guess.reference}</span>
                </p>
                <p className="mb-1.5 text-[0.8333rem] text-ink-2">
                  {guess.because.map((reason) => becauseWords[reason] ?? reason).join(', ')}
                </p>
                <Button
                  kind={nth === 0 ? 'main' : 'plain'}
                  letter={String(nth + 1)}
                  busy={filing.busy}
                  onClick={() => void fileTo(guess.applicationId, guess.claimId, `${guess.name}, ${guess.label}`)}
                >
                  {say('trayDesk.fileItHere')}
                </Button>
              </li>
            ))}
            {paper.guesses.length === 0 && <li className="text-ink-2">{say('trayDesk.nothingOnItSaysWhose')}</li>}
          </ol>
          <Elsewhere busy={filing.busy} onFile={fileTo} />
          <AnswersQuestion paperId={paper.id} onFiled={onFiled} />
        </div>
        <div className="border-line border-t bg-sheet p-3">
          <Button kind="grave" letter="X" busy={removing.busy} onClick={() => void remove()}>
            {say('trayDesk.itBelongsNowhere')}
          </Button>
        </div>
      </section>
    </div>
  )
}

type ElsewhereProps = {
  busy: boolean
  onFile: (applicationId: string, claimId: string, words: string, part?: string) => Promise<void>
}

/** Another person than those guessed: found by name, then what of their file it is. */
function Elsewhere({ busy, onFile }: ElsewhereProps) {
  const [text, setText] = useState('')
  const [person, setPerson] = useState<{ id: string; candidate: string }>()
  const [claim, setClaim] = useState('')
  const [part, setPart] = useState('')
  const found = api.endpoints.find.useQuery({ query: { text: text.trim() } }, { skip: text.trim() === '' || !!person })
  const places = api.endpoints.placesFor.useQuery({ params: { id: person?.id ?? '' } }, { skip: !person })
  const chosen = places.data?.find(({ claimId }) => claimId === claim)
  return (
    <section aria-label={say('trayDesk.somebodyElses')} className="mt-4 grid gap-2">
      <h3 className="font-semibold text-[0.9rem]">{say('trayDesk.somebodyElses')}</h3>
      {person ? (
        <>
          <p>
            {person.candidate}{' '}
            <button
              type="button"
              className="font-semibold text-confirmed"
              onClick={() => {
                setPerson(undefined)
                setClaim('')
              }}
            >
              {say('trayDesk.anotherPerson')}
            </button>
          </p>
          <SelectField
            label={say('trayDesk.whatIsItFor')}
            value={claim}
            empty={say('trayDesk.choose')}
            options={(places.data ?? []).map(({ claimId, label }) => ({ value: claimId, label }))}
            onChange={(event) => {
              setClaim(event.target.value)
              setPart('')
            }}
          />
          {chosen && (
            <SelectField
              label={say('trayDesk.whatIsIt')}
              value={part || chosen.parts[0]}
              options={chosen.parts.map((one) => ({ value: one, label: paperPartWords(one) }))}
              onChange={(event) => setPart(event.target.value)}
            />
          )}
          <div>
            <Button
              kind="main"
              busy={busy}
              disabled={!chosen}
              onClick={() =>
                void onFile(person.id, claim, `${person.candidate}, ${chosen?.label}`, part || chosen?.parts[0])
              }
            >
              {say('trayDesk.fileItHere')}
            </Button>
          </div>
        </>
      ) : (
        <>
          <TextField
            label={say('trayDesk.aNameOrReference')}
            hidden
            type="search"
            placeholder={say('trayDesk.aNameOrReference')}
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
          <ul>
            {(text.trim() ? (found.data?.people ?? []) : []).slice(0, 6).map(({ id, candidate, vacancy }) => (
              <li key={id}>
                <button
                  type="button"
                  className="w-full py-1 text-left hover:underline"
                  onClick={() => setPerson({ id, candidate })}
                >
                  <span className="font-semibold">{candidate}</span> <span className="text-ink-2">{vacancy}</span>
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}

/** A paper that answers a question to a source, and bears nothing that says so, is laid with it by its reference. */
function AnswersQuestion({ paperId, onFiled }: { paperId: string; onFiled: () => void }) {
  const { act, busy, problem } = useAct('layWithQuestion')
  const toast = useToast()
  const lay = async (reference: string) => {
    if (!(await act({ params: { id: paperId }, body: { reference } }))) return
    toast(say('trayDesk.filedTo', { words: reference.toUpperCase() }))
    onFiled()
  }
  return (
    <section aria-label={say('trayDesk.answersQuestion')} className="mt-4 grid gap-2">
      <h3 className="font-semibold text-[0.9rem]">{say('trayDesk.answersQuestion')}</h3>
      <ReferenceForm
        label={say('trayDesk.referenceOfQuestion')}
        example="EQ-0000-00"
        button={say('trayDesk.layWithIt')}
        busy={busy}
        problem={problem}
        onPut={lay}
      />
    </section>
  )
}
