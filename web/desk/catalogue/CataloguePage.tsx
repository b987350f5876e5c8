import { useState } from 'react'
import { NavLink, useParams } from 'react-router'
import {
  type Catalogue,
  type CataloguePart,
  catalogueParts,
  type Named,
  type ValidityRule,
} from '#core/catalogue/catalogue'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { api } from '../../api'
import { Button } from '../../ui/Button'
import { Waiting } from '../../ui/Waiting'
import { useSession } from '../../useSession'
import { type Column, Overview, Table } from '../overviews/Overview'
import { CatalogueVersions } from './CatalogueVersions'
import { CredentialDialog } from './CredentialDialog'
import { DocumentDialog } from './DocumentDialog'
import { NamedDialog } from './NamedDialog'
import { ScaleDialog } from './ScaleDialog'
import type { DialogProps, Edited, ThingOf } from './useCatalogue'

/** What the organisation knows by name, part by part. */
export function CataloguePage() {
  const { part } = useParams()
  const { may } = useSession()
  const { data, error, refetch } = api.endpoints.readCatalogue.useQuery({}, { refetchOnMountOrArgChange: true })
  if (!data) return <Waiting error={error} onRetry={refetch} />
  const chosen = catalogueParts.find((one) => one === part) ?? 'credentials'
  return (
    <Overview title={say('desk.catalogue')} about={say('catalogue.about')}>
      <nav aria-label={say('catalogue.parts')} className="mb-4 flex flex-wrap gap-x-5 gap-y-1 border-line border-b">
        {catalogueParts.map((one) => (
          <Tab key={one} to={one} here={part !== 'versions' && one === chosen} name={say(`catalogue.part.${one}`)} />
        ))}
        {may('readCatalogueVersions') && (
          <Tab to="versions" here={part === 'versions'} name={say('catalogue.versions')} />
        )}
      </nav>
      {part === 'versions' ? <CatalogueVersions /> : <Part key={chosen} part={chosen} edited={data} />}
    </Overview>
  )
}

const Tab = ({ to, here, name }: { to: string; here: boolean; name: string }) => (
  <NavLink
    to={`/desk/catalogue/${to}`}
    aria-current={here ? 'page' : undefined}
    className={`-mb-px border-b-2 pb-1.5 ${here ? 'border-confirmed font-semibold' : 'border-transparent text-ink-2 hover:text-ink'}`}
  >
    {name}
  </NavLink>
)

function Part<P extends CataloguePart>({ part, edited }: { part: P; edited: Edited }) {
  const [open, setOpen] = useState<string>()
  const mayChange = useSession().may('saveCatalogue')
  const things = edited.catalogue[part] as readonly ThingOf<P>[]
  const { columns, Form } = parts[part] as unknown as PartOf<P>
  const close = () => setOpen(undefined)
  return (
    <>
      <p className="mb-3 text-ink-2">{say(`catalogue.aboutPart.${part as CataloguePart}`)}</p>
      {mayChange && (
        <Button kind="main" className="mb-3" onClick={() => setOpen('')}>
          {say(`catalogue.add.${part as CataloguePart}`)}
        </Button>
      )}
      <Table
        rows={things}
        keyOf={({ key }) => key}
        empty={say('catalogue.none')}
        columns={[
          {
            name: say('catalogue.name'),
            whole: true,
            of: (thing) => (
              <>
                {mayChange ? (
                  <button type="button" className="font-semibold text-confirmed" onClick={() => setOpen(thing.key)}>
                    {translated(thing as Named).name}
                  </button>
                ) : (
                  <span className="font-semibold">{translated(thing as Named).name}</span>
                )}
                <span className="block text-[0.8333rem] text-ink-2">
                  <span className="font-mono">{thing.key}</span>
                  {thing.retired && `, ${say('catalogue.retired')}`}
                </span>
              </>
            ),
          },
          ...columns(),
        ]}
      />
      {open !== undefined && (
        <Form part={part} edited={edited} thing={things.find(({ key }) => key === open)} onClose={close} />
      )}
    </>
  )
}

type PartOf<P extends CataloguePart> = {
  columns: () => Column<ThingOf<P>>[]
  Form: (props: DialogProps<P>) => React.ReactElement
}

const noColumns = () => []
const named = { columns: noColumns, Form: NamedDialog }

/** What there is to see of the things of each part beyond their names, and where one is edited. */
const parts = {
  credentials: {
    columns: () => [
      { name: say('catalogue.kindOfClaim'), whole: true, of: ({ claim }) => say(`catalogue.claim.${claim}`) },
      { name: say('catalogue.validity'), of: ({ validity }) => validityWords(validity) },
      {
        name: say('catalogue.renewal'),
        right: true,
        whole: true,
        of: ({ leadDays }) => say('catalogue.days', { count: leadDays }),
      },
      { name: say('catalogue.numbers'), whole: true, of: ({ number }) => number?.example ?? say('catalogue.noNumber') },
      {
        name: say('catalogue.asks'),
        of: ({ fields }) =>
          fields
            .filter(({ retired }) => !retired)
            .map((field) => translated(field).label)
            .join(', '),
      },
      { name: say('catalogue.sensitivity'), of: ({ sensitivity }) => say(`catalogue.sensitivity.${sensitivity}`) },
    ],
    Form: CredentialDialog,
  } satisfies PartOf<'credentials'>,
  levels: named,
  fields: named,
  scales: {
    columns: () => [
      { name: say('catalogue.marksBy'), of: ({ scale }) => scaleWords(scale) },
      {
        name: say('catalogue.classes'),
        of: ({ scale }) => scale.classes.map((one) => translated(one).name).join(', '),
      },
    ],
    Form: ScaleDialog,
  } satisfies PartOf<'scales'>,
  documents: {
    columns: () => [
      { name: say('catalogue.sensitivity'), of: ({ sensitivity }) => say(`catalogue.sensitivity.${sensitivity}`) },
    ],
    Form: DocumentDialog,
  } satisfies PartOf<'documents'>,
  languages: named,
}

function validityWords(rule: ValidityRule): string {
  if (rule.kind !== 'months') return say(`catalogue.validity.${rule.kind}`)
  return say(rule.toEndOfMonth ? 'catalogue.validityMonthsToEnd' : 'catalogue.validityMonths', { count: rule.months })
}

const scaleWords = (scale: Catalogue['scales'][number]['scale']): string =>
  scale.kind === 'letters'
    ? say('catalogue.lettersOf', { count: scale.letters.length })
    : say('catalogue.scaleOf', { worst: scale.worst, best: scale.best, pass: scale.pass })
