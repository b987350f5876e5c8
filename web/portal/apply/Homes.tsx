import { useMemo, useState } from 'react'
import { Temporal } from 'temporal-polyfill'
import type { Draft } from '#contract/applications'
import type { Claim, ClaimDetails } from '#contract/claims'
import { partialDate } from '#core/dates/partialDate'
import { writeWhen } from '#core/dates/write'
import { addressLine } from '#core/form/address'
import type { Parts } from '#core/form/answer'
import { coverage } from '#core/history/coverage'
import { say } from '#core/words/say'
import { AddressAnswer } from '../../ui/answers/AddressAnswer'
import { codeOfCountry, countryCodes, countryNamed } from '../../ui/answers/countries'
import { Button } from '../../ui/Button'
import { DateField } from '../../ui/DateField'
import { Sheet } from '../../ui/Sheet'
import { ClaimActions } from './ClaimActions'
import { ClaimForm } from './ClaimForm'
import { GapRow } from './GapRow'
import { useClaimEditor } from './useClaimEditor'

type Home = Extract<ClaimDetails, { kind: 'residence' }>
const blank: Home = {
  kind: 'residence',
  sourceId: null,
  sourceName: '',
  address: '',
  country: '',
  from: '',
  to: 'present',
}

/** Where somebody lived over the years that are asked, newest first, with the gaps between. */
export function Homes({ draft }: { draft: Draft }) {
  const [editing, setEditing] = useState<string>()
  const [begun, setBegun] = useState<Partial<Home>>({})
  const asked = draft.requirements.flatMap(({ asks }) =>
    asks.kind === 'history' && asks.of === 'home' ? [asks] : [],
  )[0]
  const withStreet = Boolean(asked?.street)
  const homes = draft.claims.filter(({ details }) => details.kind === 'residence')
  const gaps = useMemo(() => (asked ? gapsIn(homes, draft.today, asked) : []), [homes, draft.today, asked])
  if (!asked && homes.length === 0) return null
  const add = (over: Partial<Home>) => {
    setBegun(over)
    setEditing('new')
  }
  const rows = [
    ...homes.map((claim) => ({ at: 'from' in claim.details ? claim.details.from : '', claim, gap: undefined })),
    ...gaps.map((gap) => ({ at: gap.from, gap, claim: undefined })),
  ].sort((a, b) => (a.at < b.at ? 1 : -1))
  return (
    <section className="mt-4 grid gap-3">
      <div>
        <h2 className="text-[1.45em]">{say('apply.whereHaveYouLived')}</h2>
        {asked && <p className="text-ink-2">{say('apply.overTheLastYearsNewest', { count: asked.years })}</p>}
      </div>
      {editing === 'new' ? (
        <HomeEditor
          key={JSON.stringify(begun)}
          draftId={draft.id}
          begun={begun}
          withStreet={withStreet}
          onDone={() => setEditing(undefined)}
        />
      ) : (
        <p>
          <Button onClick={() => add(homes.length === 0 ? {} : { to: '' })}>
            {homes.length === 0 ? say('apply.addWhereYouLiveNow') : say('apply.addAnotherHome')}
          </Button>
        </p>
      )}
      {rows.map(({ claim, gap }) =>
        gap ? (
          <GapRow
            key={gap.from}
            gap={gap}
            question={say('apply.whereDidYouLive')}
            onFill={() => add({ from: gap.from, to: gap.through })}
          />
        ) : editing === claim?.id ? (
          <HomeEditor
            key={claim.id}
            draftId={draft.id}
            claim={claim}
            begun={{}}
            withStreet={withStreet}
            onDone={() => setEditing(undefined)}
          />
        ) : (
          claim && <HomeLine key={claim.id} claim={claim} onChange={() => setEditing(claim.id)} />
        ),
      )}
    </section>
  )
}

function gapsIn(
  homes: readonly Claim[],
  today: string,
  { years, toleratedGapDays }: { years: number; toleratedGapDays: number },
) {
  const now = Temporal.PlainDate.from(today)
  const entries = homes.flatMap(({ id, details }) =>
    details.kind === 'residence' && details.from
      ? [
          {
            id,
            from: partialDate(details.from),
            to: details.to === 'present' ? ('present' as const) : partialDate(details.to),
          },
        ]
      : [],
  )
  const window = { from: now.subtract({ years }).add({ days: 1 }), through: now }
  return coverage(entries, window, toleratedGapDays).certainGaps.map(({ from, through, days }) => ({
    from: from.toString(),
    through: through.toString(),
    days,
  }))
}

function HomeLine({ claim, onChange }: { claim: Claim; onChange: () => void }) {
  if (claim.details.kind !== 'residence') return null
  const { from, to, address, country } = claim.details
  return (
    <Sheet>
      <div className="grid gap-x-5 gap-y-1 sm:grid-cols-[170px_1fr_auto]">
        <p>
          {say('apply.fromToTo', { from: writeWhen(from), to: to === 'present' ? say('apply.now') : writeWhen(to) })}
        </p>
        <p>
          <span className="font-semibold">{address}</span>{' '}
          <span className="text-ink-2">{countryCodes.find(({ value }) => value === country)?.label}</span>
        </p>
        <ClaimActions claim={claim} onChange={onChange} />
      </div>
    </Sheet>
  )
}

type EditorProps = { draftId: string; claim?: Claim; begun: Partial<Home>; withStreet: boolean; onDone: () => void }

function HomeEditor({ draftId, claim, begun, withStreet, onDone }: EditorProps) {
  const initial = claim?.details.kind === 'residence' ? claim.details : { ...blank, ...begun }
  const editor = useClaimEditor<Home>(`${draftId}-home-${begun.from ?? ''}`, initial, claim, onDone)
  const { details, setDetails, set, fault } = editor
  // What was given in one line stands as the town until it is told apart.
  const place = details.place ?? { town: details.address }
  const setPlace = ({ country = '', street, postcode, town = '', region }: Parts) => {
    const next = {
      ...(street ? { street } : {}),
      ...(postcode ? { postcode } : {}),
      town,
      ...(region ? { region } : {}),
    }
    setDetails((before) => ({
      ...before,
      ...{ place: next, address: addressLine(next), country: codeOfCountry(country) },
    }))
  }
  return (
    <Sheet>
      <ClaimForm
        editor={editor}
        saving={claim ? say('apply.save') : say('apply.addThisHome')}
        ready={details.address.trim() !== '' && (!withStreet || Boolean(place.street))}
      >
        <div className="sm:col-span-2">
          <AddressAnswer
            question={{
              ...{ key: 'home', kind: 'address', required: true },
              label: say('apply.whereItIs'),
              ...(withStreet ? { street: true } : {}),
            }}
            value={{ ...place, country: countryNamed(details.country ?? '') }}
            onChange={(answer) => setPlace(answer as Parts)}
            error={fault('address') ?? fault('country')}
          />
        </div>
        <DateField
          label={say('apply.movedIn')}
          value={details.from}
          onChange={(value) => set('from', value)}
          error={fault('from')}
          help={say('apply.n2021Aug2021Or1')}
        />
        <DateField
          label={say('apply.movedOut')}
          value={details.to}
          onChange={(value) => set('to', value)}
          error={fault('to')}
          blanks={[{ value: 'present', label: say('apply.iStillLiveThere') }]}
        />
      </ClaimForm>
    </Sheet>
  )
}
