import type { KnownFact } from '#core/conditions/vocabulary'
import type { Section } from '#core/form/form'
import { say } from '#core/words/say'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { LongField, TextField } from '../../ui/Field'
import { ProblemNote } from '../../ui/ProblemNote'
import { useAct } from '../../useAct'
import { useSession } from '../../useSession'
import { useToast } from '../useToast'
import { ConditionEditor } from './ConditionEditor'

type Props = { section: Section; known: readonly KnownFact[]; onChange: (next: Section) => void }

/** A section: how it is called, what it asks as its heading, and how it stands to the common library. */
export function SectionEditor({ section, known, onChange }: Props) {
  const set = (change: Partial<Section>) => onChange({ ...section, ...change })
  return (
    <div className="grid gap-3">
      <Shared section={section} onChange={onChange} />
      <TextField
        label={say('composer.nameInTheListOf')}
        value={section.title}
        onChange={(event) => set({ title: event.target.value })}
      />
      <TextField
        label={say('composer.headingAsAQuestion')}
        value={section.heading}
        onChange={(event) => set({ heading: event.target.value })}
      />
      <LongField
        label={say('composer.whatStandsBeneathIt')}
        rows={2}
        value={section.intro}
        onChange={(event) => set({ intro: event.target.value })}
      />
      {section.holds !== 'send' && (
        <ConditionEditor
          label={say('composer.whenItIsAsked')}
          condition={section.when}
          known={known}
          onChange={(when) => set({ when })}
        />
      )}
    </div>
  )
}

function Shared({ section, onChange }: Pick<Props, 'section' | 'onChange'>) {
  const { data: library = [] } = api.endpoints.sharedSections.useQuery({})
  const mayEdit = useSession().holds('vacancies.set-up')
  const { act, busy, problem } = useAct('saveSharedSection')
  const toast = useToast()
  const key = section.shared?.key ?? section.key
  const newest = library.find((candidate) => candidate.key === key)
  const plain = ({ shared: _shared, when: _when, ...rest }: Section) => JSON.stringify(rest)
  const own = newest && plain(newest.section) !== plain(section)
  const share = async () => {
    const saved = await act({
      params: { key },
      body: { basedOn: newest?.version ?? 0, section: { ...section, key }, note: '' },
    })
    if (!saved) return
    onChange({ ...section, shared: { key, version: saved.version } })
    toast(say('composer.isVersionInTheCommon', { title: section.title, version: saved.version }))
  }
  if (section.holds === 'send') return null
  const newer = newest && section.shared && newest.version > section.shared.version
  return (
    <div className="rounded-sheet border border-line px-3 py-2">
      <p>
        {!section.shared
          ? say('composer.thisSectionBelongsToThis')
          : newer
            ? say('composer.aCopyOfVersionOf', {
                version: section.shared.version,
                version2: newest.version,
                note: newest.note || say('composer.noNote'),
              })
            : own
              ? say('composer.begunFromVersionOfThe', { version: section.shared.version })
              : say('composer.theSameAsVersionIn', { version: section.shared.version })}
      </p>
      <div className="mt-1 flex flex-wrap gap-2">
        {newest && section.shared && (newer || own) && (
          <Button
            onClick={() =>
              onChange({
                ...newest.section,
                key: section.key,
                when: section.when,
                shared: { key, version: newest.version },
              })
            }
          >
            {say('composer.takeOverVersion', { version: newest.version })}
          </Button>
        )}
        {mayEdit && !newer && (!section.shared || own) && (
          <Button busy={busy} onClick={() => void share()}>
            {section.shared ? say('composer.saveAsItsNextVersion') : say('composer.putItIntoTheCommon')}
          </Button>
        )}
      </div>
      <ProblemNote problem={problem} />
    </div>
  )
}
