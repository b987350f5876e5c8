import { Tooltip } from 'radix-ui'
import { Fragment, useEffect, useState } from 'react'
import { Link, matchPath, Navigate, NavLink, Outlet, useLocation } from 'react-router'
import { mostCountedInQueue } from '#contract/desk'
import type { Contract } from '#contract/index'
import { marked, say } from '#core/words/say'
import { api } from '../api'
import { chooseLanguage, languageHere } from '../language'
import { Key } from '../ui/Button'
import { OrganisationName } from '../ui/OrganisationName'
import { Waiting } from '../ui/Waiting'
import { useAct } from '../useAct'
import { useSession } from '../useSession'
import { AskAgain } from './AskAgain'
import { DeskClock } from './DeskClock'
import { Finder } from './Finder'
import { KeyList } from './KeyList'
import { Notices } from './Notices'
import { queueNames } from './queue/names'
import { useKeys } from './useKeys'

type Place = {
  path: string
  name: string
  needs: keyof Contract
  /** Places that are reached from it. */
  also?: readonly string[]
  count?: 'incomingMails' | 'refusedMails' | 'redFlags' | 'fees'
}

/** The places beside the queues; each is offered to those who may call what it reads. */
const groups: readonly { name: string; places: readonly Place[] }[] = [
  {
    name: say('desk.setUp'),
    places: [
      { path: 'vacancies', name: say('desk.vacancies'), needs: 'deskVacancies' },
      { path: 'sources', name: say('desk.sources'), needs: 'sourceDirectory' },
      { path: 'catalogue', name: say('desk.catalogue'), needs: 'saveCatalogue' },
      { path: 'words', name: say('desk.preparedWords'), needs: 'listTemplates' },
    ],
  },
  {
    name: say('desk.keep'),
    places: [
      { path: 'behalf', name: say('desk.onBehalf'), needs: 'listBehalf' },
      { path: 'paper', name: say('desk.paperTray'), needs: 'readTray' },
      { path: 'safe', name: say('desk.safe'), needs: 'readSafe' },
      { path: 'imports', name: say('desk.import'), needs: 'listImports' },
      {
        ...{ path: 'fees', name: say('desk.fees'), needs: 'listCharges', count: 'fees' },
        also: ['transfers', 'employers', 'vouchers', 'closings'],
      },
      { path: 'red-flags', name: say('desk.redFlags'), needs: 'listRedFlags', count: 'redFlags' },
      { path: 'duplicates', name: say('desk.duplicates'), needs: 'listDuplicates' },
      { path: 'mail-in', name: say('desk.mailIn'), needs: 'listIncomingMails', count: 'incomingMails' },
      { path: 'outbox', name: say('desk.mailsNotTaken'), needs: 'readOutbox', count: 'refusedMails' },
      { path: 'statistics', name: say('statistics.title'), needs: 'readStatistics' },
      { path: 'trail', name: say('desk.auditTrail'), needs: 'readTrail' },
    ],
  },
  {
    name: say('desk.administration'),
    places: [
      { path: 'first-steps', name: say('desk.firstSteps'), needs: 'readFirstSteps' },
      { path: 'organisation', name: say('desk.organisation'), needs: 'readOrganisation' },
      { path: 'colleagues', name: say('desk.peopleHere'), needs: 'listColleagues' },
      { path: 'rights', name: say('desk.rights'), needs: 'readRights' },
      { path: 'operation', name: say('desk.howItRuns'), needs: 'readOperation' },
    ],
  },
]

/** The desk’s one layout: masthead, rail, and the place chosen. */
export function DeskFrame() {
  const { ready, staff, codesFirst, account } = useSession()
  const language = account?.language
  useEffect(() => {
    // Whoever works here finds the desk in their own language on whatever device.
    if (staff && language && languageHere() !== marked && language !== languageHere()) chooseLanguage(language)
  }, [staff, language])
  const { pathname } = useLocation()
  if (!ready) return <Waiting />
  if (!staff) return <Navigate to={`/sign-in?next=${encodeURIComponent(pathname)}`} replace />
  if (codesFirst) return <Navigate to="/account" replace />
  return <Desk />
}

function Desk() {
  const { account, may, organisation } = useSession()
  const [finding, setFinding] = useState(false)
  const [listing, setListing] = useState(false)
  const { data } = api.endpoints.readCounts.useQuery(
    {},
    { pollingInterval: 30_000, refetchOnFocus: true, skip: !may('readCounts') },
  )
  const signOut = useAct('signOut')
  useKeys({ '?': () => setListing(true), 'ctrl+k': () => setFinding(true) })
  return (
    <Tooltip.Provider delayDuration={250}>
      <div className="grid min-h-dvh grid-rows-[auto_1fr] text-[0.9rem] leading-[1.4] lg:h-dvh">
        <header
          className="flex min-h-11 flex-wrap items-center gap-x-4 gap-y-1 bg-mast px-3.5 text-on-mast max-md:py-1.5"
          style={{ background: organisation?.accent }}
        >
          <Link to="/desk/today" className="font-title text-[1.3333rem] leading-none">
            {say('desk.probatum')}
          </Link>
          <OrganisationName className="opacity-90 max-md:hidden" />
          <button
            type="button"
            onClick={() => setFinding(true)}
            className="mx-auto flex w-full min-w-0 max-w-[430px] items-center max-md:order-last max-md:max-w-none justify-between gap-3 rounded-sheet border border-on-mast/35 bg-on-mast/10 px-2.5 py-1 text-left hover:border-on-mast/60"
          >
            <span className="truncate opacity-85">{say('desk.findAPersonNumberOr')}</span>
            <Key letter="Ctrl K" />
          </button>
          {data && <DeskClock today={data.today} />}
          <Link to="/account" className="font-semibold hover:underline max-md:hidden">
            {account?.name}
          </Link>
          <button
            type="button"
            onClick={() => void signOut.act({})}
            className="opacity-80 hover:underline max-md:ml-auto"
          >
            {say('desk.signOut')}
          </button>
        </header>
        <div className="grid min-h-0 lg:grid-cols-[9.2rem_minmax(0,1fr)]">
          <nav
            aria-label={say('desk.queues')}
            className="flex gap-x-1 overflow-auto border-line border-r bg-ground p-2 lg:flex-col"
          >
            {may('readQueue') &&
              Object.entries(queueNames).map(([queue, { name }]) => (
                <RailLink key={queue} to={`/desk/${queue}`} name={name} count={data?.counts[queue]} />
              ))}
            {groups.map(({ name, places }) => {
              const open = places.filter(({ needs }) => may(needs))
              return open.length === 0 ? null : (
                <Fragment key={name}>
                  <p className="px-2 pt-4 pb-1 font-semibold text-[0.8rem] text-ink-3 max-lg:hidden">{name}</p>
                  {open.map(({ path, name: place, count, also }) => (
                    <RailLink
                      key={path}
                      to={`/desk/${path}`}
                      name={place}
                      also={also}
                      count={(count && data?.[count]) || undefined}
                    />
                  ))}
                </Fragment>
              )
            })}
          </nav>
          <div className="min-h-0 min-w-0">
            <Outlet />
          </div>
        </div>
        <Finder open={finding} onClose={() => setFinding(false)} />
        <KeyList open={listing} onClose={() => setListing(false)} />
        <Notices />
        <AskAgain />
      </div>
    </Tooltip.Provider>
  )
}

type RailProps = { to: string; name: string; count?: number; also?: readonly string[] | undefined }

function RailLink({ to, name, count, also = [] }: RailProps) {
  const { pathname } = useLocation()
  const isNear = also.some((path) => matchPath(`/desk/${path}/*`, pathname))
  return (
    <NavLink
      to={to}
      className={({ isActive }) =>
        `flex items-baseline justify-between gap-2 whitespace-nowrap rounded-sheet border px-2 py-[5px] ${isActive || isNear ? 'border-line bg-sheet font-semibold' : 'border-transparent text-ink-2 hover:bg-sheet'}`
      }
    >
      {name}
      {count !== undefined && (
        <span className="font-mono font-normal text-[0.8rem] text-ink-2">
          {count > mostCountedInQueue ? `${mostCountedInQueue}+` : count}
        </span>
      )}
    </NavLink>
  )
}
