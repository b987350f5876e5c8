import { useLayoutEffect } from 'react'
import { matchPath, Outlet, useLocation } from 'react-router'
import { pages } from '#contract/pages'
import { say } from '#core/words/say'

/** What each place is called in the title of the window. What is about one thing says which once it is known. */
const titles: Record<(typeof pages)[number], () => string> = {
  '/': () => say('ui.vacancies'),
  '/vacancies/:slug': () => say('ui.vacancy'),
  '/vacancies/:slug/fit': () => say('ui.wouldIFit'),
  '/forgotten': () => say('ui.passwordForgotten'),
  '/new-password/:token': () => say('ui.setANewPassword'),
  '/mail/:token': () => say('ui.changeOfYourMailAddress'),
  '/account': () => say('ui.yourAccount'),
  '/sign-in': () => say('ui.signIn'),
  '/sign-up': () => say('ui.makeAnAccount'),
  '/confirm/:token': () => say('ui.confirmYourAddress'),
  '/take-over/:token': () => say('ui.yourApplication'),
  '/me': () => say('ui.myApplications'),
  '/apply/:id/:section?': () => say('ui.yourApplication'),
  '/applications/:id': () => say('ui.whereYourApplicationStands'),
  '/applications/:id/checks/:check': () => say('ui.skillsCheck'),
  '/sittings/:id': () => say('ui.skillsCheck'),
  '/reply/:token': () => say('ui.aQuestionToYou'),
  '/vouch/:token?': () => say('ui.vouchingForSomebody'),
  '/desk': () => 'Today',
  '/desk/vacancies': () => 'Vacancies',
  '/desk/vacancies/sections': () => 'Shared sections',
  '/desk/vacancies/groups': () => 'Groups of vacancies',
  '/desk/vacancies/:id/:part?': () => 'Vacancy',
  '/desk/sources': () => 'Sources',
  '/desk/applications/table': () => 'Applications as a table',
  '/desk/duplicates/:oneId?/:otherId?': () => 'Duplicates',
  '/desk/paper/:id?': () => 'Paper tray',
  '/desk/behalf': () => 'On behalf',
  '/desk/behalf/:id/:section?': () => 'Writing on behalf',
  '/desk/imports/:id?': () => 'Import',
  '/desk/people/:candidateId': () => 'Imported person',
  '/desk/words': () => 'Prepared words',
  '/desk/people/:candidateId/access-log': () => 'Who saw what',
  '/desk/outbox': () => 'Mails not taken',
  '/desk/trail': () => 'Audit trail',
  '/desk/:queue/:id?/:chosen?': () => 'Desk',
}

const titleAt = (pathname: string): string => {
  const place = pages.find((page) => matchPath(page, pathname))
  return place ? titles[place]() : say('ui.thereIsNothingAtThis')
}

/** Around every place: the title of the window, and the way past what stands on all of them. */
export function Root() {
  const { pathname } = useLocation()
  // Before the effects of the page itself, which may know better.
  useLayoutEffect(() => {
    document.title = `${titleAt(pathname)}, Probatum`
  }, [pathname])
  return (
    <>
      <button
        type="button"
        className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:px-3 focus:py-2 focus:font-semibold"
        onClick={() => {
          const main = document.querySelector<HTMLElement>('main')
          if (main && !main.hasAttribute('tabindex')) main.tabIndex = -1
          main?.focus()
        }}
      >
        {say('ui.toTheContent')}
      </button>
      <Outlet />
    </>
  )
}
