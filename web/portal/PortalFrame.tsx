import { Link, Outlet, useLocation, useNavigate } from 'react-router'
import { say } from '#core/words/say'
import { OrganisationName } from '../ui/OrganisationName'
import { Waiting } from '../ui/Waiting'
import { useAct } from '../useAct'
import { useSession } from '../useSession'
import { LanguageChoice } from './LanguageChoice'

/** The candidate’s side: a white masthead and one calm column beneath it. */
export function PortalFrame() {
  const { ready, account, roles, staff, organisation } = useSession()
  const { pathname } = useLocation()
  const navigate = useNavigate()
  const { act } = useAct('signOut')
  const leave = async () => {
    await act({})
    navigate('/')
  }
  return (
    <div className="flex min-h-dvh flex-col text-[1rem]">
      <header
        className="no-print flex flex-wrap items-center gap-x-4 gap-y-1 border-line border-b bg-sheet px-4 py-2.5 sm:px-7"
        style={organisation && { borderTop: `3px solid ${organisation.accent}` }}
      >
        <Link to="/" className="font-title text-[1.5em] leading-none">
          Probatum
        </Link>
        <OrganisationName className="text-ink-2 max-sm:hidden" />
        <nav className="ml-auto flex items-center gap-4" aria-label={say('frame.yourAccount')}>
          {account ? (
            <>
              {staff ? (
                <Link to="/desk" className="font-semibold text-confirmed">
                  {say('frame.toTheDesk')}
                </Link>
              ) : (
                <Link to={roles.includes('employer') ? '/employer' : '/me'} className="font-semibold text-confirmed">
                  {say(roles.includes('employer') ? 'frame.yourOrganisation' : 'frame.myApplications')}
                </Link>
              )}
              <Link to="/account" className="font-semibold hover:underline">
                <span className="max-sm:sr-only">{account.name}</span>
                <span className="sm:hidden" aria-hidden>
                  {say('frame.account')}
                </span>
              </Link>
              <button type="button" onClick={leave} className="text-ink-2 hover:underline">
                {say('frame.signOut')}
              </button>
            </>
          ) : (
            <Link to={`/sign-in?next=${encodeURIComponent(pathname)}`} className="font-semibold text-confirmed">
              {say('frame.signIn')}
            </Link>
          )}
        </nav>
      </header>
      {/* So high that what comes beneath does not move when it fills. */}
      <div className="min-h-dvh flex-1">{ready ? <Outlet /> : <Waiting />}</div>
      <footer className="no-print px-4 pb-6 text-center text-[0.93em] sm:px-7">
        <LanguageChoice />
      </footer>
    </div>
  )
}
