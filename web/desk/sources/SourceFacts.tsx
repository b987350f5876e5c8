import type { ReactNode } from 'react'
import { catalogue } from '#core/catalogue/catalogue'
import { writeWhen } from '#core/dates/write'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { addressOf } from '../../api'
import { writeMoney, writeShortDay } from '../../ui/write'
import { Table } from '../overviews/Overview'
import type { SourceRead } from './sourceTypes'
import { flagWords } from './sourceWords'

/** What is known of a source, to be read. */
export function SourceFacts({ read }: { read: SourceRead }) {
  const { source, contacts } = read
  const identity: [string, string][] = [
    [say('sources.otherNames'), source.names.map(nameWords).join('; ')],
    [say('sources.existed'), yearsOf(source.existedFrom, source.existedTo)],
    [
      say('sources.successors'),
      source.successors.map(({ name, year }) => (year ? `${name} (${year})` : name)).join('; '),
    ],
    [say('sources.region'), source.region],
  ]
  return (
    <div className="grid gap-5">
      {identity.some(([, value]) => value !== '') && (
        <Part title={say('sources.part.identity')}>
          <Lines lines={identity} />
        </Part>
      )}
      <Part title={say('sources.part.contacts')}>
        {contacts.length === 0 && <p className="text-ink-2">{say('sources.noContact')}</p>}
        <ul className="grid gap-2">
          {contacts.map((contact) => (
            <Contact key={contact.id} contact={contact} />
          ))}
        </ul>
      </Part>
      <Part title={say('sources.part.asking')}>
        <Lines
          lines={[
            [say('sources.channels'), source.channels.map((one) => say(`sources.channel.${one}`)).join(', ')],
            [say('sources.registerItKeeps'), source.register ?? ''],
            [say('sources.answersWithin'), String(source.answerWorkingDays)],
            [say('sources.cost'), source.cost ? writeMoney(source.cost.amount, source.cost.currency) : ''],
            [
              say('sources.single.faster'),
              source.faster
                ? say('sources.handlesFaster', {
                    days: source.faster.answerWorkingDays,
                    cost: writeMoney(source.faster.cost.amount, source.faster.cost.currency),
                  })
                : '',
            ],
            [say('sources.single.together'), source.together ? say('sources.yes') : ''],
            [say('sources.single.language'), source.language ? say(`sources.language.${source.language}`) : ''],
            [
              say('sources.single.issuer'),
              source.issuer ? say('sources.keysOf', { id: source.issuer.id, count: source.issuer.keys.length }) : '',
            ],
            ...source.numberFormats.map(({ claim, pattern, example }): [string, ReactNode] => [
              say('sources.numbersOf', { claim: say(`sources.claim.${claim}`) }),
              <span key={pattern} className="font-mono text-[0.8667rem]">
                {say('sources.patternLike', { pattern, example })}
              </span>,
            ]),
          ]}
        />
      </Part>
      {source.conditions.length > 0 && (
        <Part title={say('sources.part.conditions')}>
          <ul className="grid gap-1">
            {source.conditions.map(({ id, kind, claims, reason, form }) => (
              <li key={id}>
                <strong>{say(`sources.condition.${kind}`)}</strong>{' '}
                <span className="text-ink-2">
                  {claims.length === 0
                    ? say('sources.forEveryClaim')
                    : say('sources.forClaims', { claims: claims.map((one) => say(`sources.claim.${one}`)).join(', ') })}
                </span>
                {reason && <span className="block">{reason}</span>}
                {kind === 'own form' &&
                  (form ? (
                    <a
                      className="block text-confirmed underline"
                      href={addressOf('readSourceForm', { params: { sha256: form.sha256 }, query: {} })}
                      target="_blank"
                      rel="noreferrer"
                    >
                      {form.fileName}
                    </a>
                  ) : (
                    <span className="block text-soon-ink">{say('sources.formNotHere')}</span>
                  ))}
              </li>
            ))}
          </ul>
        </Part>
      )}
      {source.programmes.length > 0 && <Programmes programmes={source.programmes} />}
      {source.closures.length > 0 && (
        <Part title={say('sources.part.closures')}>
          <ul>
            {source.closures.map(({ from, to, why }) => (
              <li key={from}>
                {say('sources.fromTo', { from: writeWhen(from), to: writeWhen(to) })}
                {why && <span className="text-ink-2"> {why}</span>}
              </li>
            ))}
          </ul>
        </Part>
      )}
      {source.notes && (
        <Part title={say('sources.notes')}>
          <p className="whitespace-pre-line">{source.notes}</p>
        </Part>
      )}
    </div>
  )
}

const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <section aria-label={title}>
    <h2 className="mb-1.5 border-line border-b text-[1.1333rem]">{title}</h2>
    {children}
  </section>
)

/** What is known, a line each; what is not known has none. */
const Lines = ({ lines }: { lines: readonly [string, ReactNode][] }) => (
  <dl className="grid grid-cols-[11rem_minmax(0,1fr)] gap-x-4 gap-y-1">
    {lines
      .filter(([, value]) => value !== '')
      .map(([name, value]) => (
        <div key={name} className="contents">
          <dt className="text-ink-2">{name}</dt>
          <dd>{value}</dd>
        </div>
      ))}
  </dl>
)

const nameWords = ({ name, use, until }: SourceRead['source']['names'][number]) =>
  use === 'earlier' ? say('sources.earlierName', { name, until: until ?? '?' }) : name

const yearsOf = (from: number | null, to: number | null) =>
  from || to ? say('sources.yearsFromTo', { from: from ?? '?', to: to ?? say('sources.today') }) : ''

/** Who is asked, for what, and whether and how that was made sure of. */
function Contact({ contact }: { contact: SourceRead['contacts'][number] }) {
  const { name, mail, phone, address, purposes, checked, flags, enteredBy } = contact
  return (
    <li className={`border-l-2 pl-3 ${flags.length > 0 && !checked ? 'border-contradicted' : 'border-line-strong'}`}>
      <p>
        <span className="font-mono text-[0.8667rem]">{[mail, phone].filter(Boolean).join('  ')}</span>{' '}
        {name && <strong>{name}</strong>}
      </p>
      {address && <p className="whitespace-pre-line">{address}</p>}
      <p className="text-[0.9333rem] text-ink-2">
        {purposes.length === 0
          ? say('sources.forEverything')
          : say('sources.forPurposes', { purposes: purposes.map((one) => say(`sources.purpose.${one}`)).join(', ') })}
        {' · '}
        {checked?.how ? (
          say('sources.contactChecked', {
            how: say(`sources.check.${checked.how}`),
            by: checked.by,
            on: writeShortDay(checked.at),
          })
        ) : checked ? (
          say('sources.contactFromBefore', { on: writeShortDay(checked.at) })
        ) : (
          <span className="text-soon-ink">{say('sources.contactNotChecked', { by: enteredBy })}</span>
        )}
      </p>
      {flags.map((flag) => (
        <p key={flag.code} className="text-contradicted">
          {flagWords(flag)}
        </p>
      ))}
    </li>
  )
}

const fieldName = (key: string) => {
  const field = catalogue().fields.find((one) => one.key === key)
  return field ? translated(field).name : key
}

const Programmes = ({ programmes }: { programmes: SourceRead['source']['programmes'] }) => (
  <Part title={say('sources.part.programmes')}>
    <Table
      rows={programmes}
      keyOf={({ title, award, level }) => `${title} ${award} ${level}`}
      empty=""
      columns={[
        {
          name: say('sources.programmeTitle'),
          of: ({ title, award, link }) => (
            <>
              <strong>{title}</strong> {award}
              {link && <span className="block break-all text-[0.8333rem] text-ink-2">{link}</span>}
            </>
          ),
        },
        { name: say('sources.level'), right: true, of: ({ level }) => level },
        { name: say('sources.field'), of: ({ field }) => fieldName(field) },
        { name: say('sources.offered'), of: ({ from, to }) => yearsOf(from ?? null, to ?? null) },
        {
          name: say('sources.accreditations'),
          of: ({ accreditations = [] }) =>
            accreditations.map((one) => (
              <span key={`${one.by}${one.from}`} className="block">
                {say(`sources.basis.${one.basis}`)} {yearsOf(one.from, one.to)}
                {one.by && <span className="text-ink-2"> {one.by}</span>}
              </span>
            )),
        },
      ]}
    />
  </Part>
)
