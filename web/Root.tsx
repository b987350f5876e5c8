import { useLayoutEffect } from 'react'
import { Outlet, useLocation } from 'react-router'
import type { openPages } from '#contract/pages'
import { say } from '#core/words/say'
import { addTitles, titleAt } from './titles'

/** What each place outside the desk is called. What is about one thing says which once it is known. */
const openTitles: Record<(typeof openPages)[number], () => string> = {
  '/': () => say('ui.vacancies'),
  '/vacancies/:slug': () => say('ui.vacancy'),
  '/vacancies/:slug/fit': () => say('ui.wouldIFit'),
  '/vacancies/:slug/fees': () => say('fees.whatItCosts'),
  '/my/fees/:charge/paid/:payment': () => say('fees.yourPayment'),
  '/vacancies/:slug/begin': () => say('ui.yourApplication'),
  '/forgotten': () => say('ui.passwordForgotten'),
  '/new-password/:token': () => say('ui.setANewPassword'),
  '/mail/:token': () => say('ui.changeOfYourMailAddress'),
  '/account': () => say('ui.yourAccount'),
  '/notices/:token': () => say('ui.generalMailings'),
  '/sign-in': () => say('ui.signIn'),
  '/sign-in/return': () => say('ui.signIn'),
  '/sign-in/done': () => say('ui.signIn'),
  '/sign-up': () => say('ui.makeAnAccount'),
  '/confirm/:token': () => say('ui.confirmYourAddress'),
  '/take-over/:token': () => say('ui.yourApplication'),
  '/join/:token': () => say('ui.comeIn'),
  '/record': () => say('recipients.title'),
  '/employer/:part?': () => say('frame.yourOrganisation'),
  '/me': () => say('ui.myApplications'),
  '/apply/:id/:section?': () => say('ui.yourApplication'),
  '/applications/:id': () => say('ui.whereYourApplicationStands'),
  '/applications/:id/checks/:check': () => say('ui.skillsCheck'),
  '/sittings/:id': () => say('ui.skillsCheck'),
  '/reply/:token': () => say('ui.aQuestionToYou'),
  '/vouch/:token?': () => say('ui.vouchingForSomebody'),
  '/check/:token?': () => say('report.check'),
  '/shared/:token': () => say('report.claims'),
}
addTitles(openTitles)

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
