import { useState } from 'react'
import type { Draft } from '#contract/applications'
import type { Claim, DetailsOf } from '#contract/claims'
import { catalogue } from '#core/catalogue/catalogue'
import { cefrLevels } from '#core/catalogue/cefr'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { Button } from '../../ui/Button'
import { choicesOf } from '../../ui/choices'
import { DateField } from '../../ui/DateField'
import { SelectField, TextField } from '../../ui/Field'
import { Sheet } from '../../ui/Sheet'
import { ClaimActions, isOpenedAgain } from './ClaimActions'
import { ClaimForm } from './ClaimForm'
import { ClaimPapers } from './ClaimPapers'
import { SourcePicker } from './SourcePicker'
import { useClaimEditor } from './useClaimEditor'

type Language = DetailsOf<'language'>

/** The languages somebody speaks, how well, and the certificates of them. */
export function Languages({ draft }: { draft: Draft }) {
  const held = draft.claims.filter(({ details }) => details.kind === 'language')
  const [editing, setEditing] = useState<string>()
  const asked = draft.requirements
    .flatMap(({ asks, alternatives }) => [asks, ...(alternatives ?? [])])
    .flatMap((ask) => (ask.kind === 'language' ? [ask] : []))
  if (catalogue().languages.length === 0) return null
  const done = () => setEditing(undefined)
  return (
    <section className="grid gap-3">
      <h2 className="mt-3 text-[1.3em]">{say('apply.languages')}</h2>
      {held.map((claim) =>
        editing === claim.id ? (
          <LanguageEditor key={claim.id} draftId={draft.id} claim={claim} asked={asked} onDone={done} />
        ) : (
          <LanguageLine
            key={claim.id}
            claim={claim}
            draft={draft}
            reopened={isOpenedAgain(draft, 'credentials')}
            onChange={() => setEditing(claim.id)}
          />
        ),
      )}
      {editing === 'new' ? (
        <LanguageEditor draftId={draft.id} asked={asked} onDone={done} />
      ) : (
        <p>
          <Button onClick={() => setEditing('new')}>{say('apply.addALanguage')}</Button>
        </p>
      )}
    </section>
  )
}

type LineProps = { claim: Claim; draft: Draft; reopened: boolean; onChange: () => void }

function LanguageLine({ claim, draft, reopened, onChange }: LineProps) {
  const { sourceName, issued } = claim.details as Language
  return (
    <Sheet>
      <div className="flex flex-wrap items-start justify-between gap-2">
        <div>
          <h3 className="font-sans font-semibold">{claim.label}</h3>
          {sourceName && (
            <p className="text-ink-2">
              {sourceName}
              {issued && `, ${writeWhen(issued)}`}
            </p>
          )}
        </div>
        <ClaimActions claim={claim} onChange={onChange} reopened={reopened} />
      </div>
      <div className="mt-3">
        <ClaimPapers claim={claim} draft={draft} />
      </div>
    </Sheet>
  )
}

type EditorProps = {
  draftId: string
  claim?: Claim
  asked: readonly { language: string; level: string }[]
  onDone: () => void
}

function LanguageEditor({ draftId, claim, asked, onDone }: EditorProps) {
  const blank: Language = {
    kind: 'language',
    ...{ sourceId: null, sourceName: '', number: '', issued: '', through: 'does not expire' },
    language: asked[0]?.language ?? catalogue().languages[0]?.key ?? '',
    level: 'B1',
  }
  const initial = claim?.details.kind === 'language' ? claim.details : blank
  const editor = useClaimEditor<Language>(`${draftId}-language`, initial, claim, onDone)
  const { details, setDetails, set, fault } = editor
  const wanted = asked.find(({ language }) => language === details.language)
  return (
    <Sheet>
      <ClaimForm editor={editor} saving={claim ? say('apply.save') : say('apply.addTheLanguage')}>
        <SelectField
          label={say('apply.language')}
          options={choicesOf(catalogue().languages, details.language)}
          value={details.language}
          onChange={(event) => set('language', event.target.value)}
          error={fault('language')}
        />
        <SelectField
          label={say('apply.languageLevel')}
          options={cefrLevels.map((value) => ({ value, label: say(`apply.cefr.${value}`) }))}
          value={details.level}
          onChange={(event) => set('level', event.target.value as Language['level'])}
          help={wanted && say('apply.languageWanted', { level: wanted.level })}
        />
        <p className="text-ink-2 sm:col-span-2">{say('apply.languageProof')}</p>
        <SourcePicker
          label={say('apply.whoCertifiedIt')}
          kinds="certifier,university,school"
          claim="language"
          value={details}
          onChange={(source) => setDetails((before) => ({ ...before, ...source }))}
          error={fault('sourceName')}
        />
        <TextField
          label={say('apply.number')}
          optional
          value={details.number}
          onChange={(event) => set('number', event.target.value)}
          error={fault('number')}
        />
        <DateField
          label={say('apply.issued')}
          optional
          value={details.issued}
          onChange={(issued) => set('issued', issued)}
          error={fault('issued')}
        />
        <DateField
          label={say('apply.validThrough2')}
          value={details.through}
          onChange={(through) => set('through', through)}
          error={fault('through')}
          blanks={[
            { value: 'does not expire', label: say('apply.itDoesNotExpire') },
            { value: 'unknown', label: say('apply.iDontKnow') },
          ]}
        />
      </ClaimForm>
    </Sheet>
  )
}
