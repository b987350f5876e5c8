import { useLayoutEffect } from 'react'
import { matchPath, Outlet, useLocation } from 'react-router'
import { pages } from '#contract/pages'
import { say } from '#core/words/say'

/** What each place is called in the title of the window. What is about one thing says which once it is known. */
const titles: Record<(typeof pages)[number], () => string> = {
  '/': () => say('ui.vacancies'),
  '/vacancies/:slug': () => say('ui.vacancy'),
  '/vacancies/:slug/fit': () => say('ui.wouldIFit'),
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
  '/me': () => say('ui.myApplications'),
  '/apply/:id/:section?': () => say('ui.yourApplication'),
  '/applications/:id': () => say('ui.whereYourApplicationStands'),
  '/applications/:id/checks/:check': () => say('ui.skillsCheck'),
  '/sittings/:id': () => say('ui.skillsCheck'),
  '/reply/:token': () => say('ui.aQuestionToYou'),
  '/vouch/:token?': () => say('ui.vouchingForSomebody'),
  '/check/:token?': () => say('report.check'),
  '/desk': () => say('desk.today'),
  '/desk/vacancies': () => say('desk.vacancies'),
  '/desk/vacancies/sections': () => say('desk.title.sharedSections'),
  '/desk/vacancies/groups': () => say('composer.groupsOfVacancies'),
  '/desk/vacancies/:id/:part?': () => say('ui.vacancy'),
  '/desk/sources': () => say('desk.sources'),
  '/desk/sources/:id': () => say('desk.sources'),
  '/desk/sources/watchlist': () => say('desk.sources'),
  '/desk/sources/programmes': () => say('desk.sources'),
  '/desk/sources/programmes/:id': () => say('desk.sources'),
  '/desk/verification/table': () => say('enquiries.asATable'),
  '/desk/enquiries/:id': () => say('enquiries.title'),
  '/desk/letters': () => say('enquiries.lettersTitle'),
  '/desk/applications/table': () => say('desk.applicationsAsATable'),
  '/desk/red-flags': () => say('desk.redFlags'),
  '/desk/duplicates/:oneId?/:otherId?': () => say('desk.duplicates'),
  '/desk/paper/:id?': () => say('desk.paperTray'),
  '/desk/behalf': () => say('desk.onBehalf'),
  '/desk/behalf/:id/:section?': () => say('desk.title.writingOnBehalf'),
  '/desk/imports/:id?': () => say('desk.import'),
  '/desk/people/:candidateId': () => say('desk.title.importedPerson'),
  '/desk/words': () => say('desk.preparedWords'),
  '/desk/people/:candidateId/access-log': () => say('desk.title.whoSawWhat'),
  '/desk/mail-in': () => say('overviews.mailIn'),
  '/desk/outbox': () => say('desk.mailsNotTaken'),
  '/desk/safe': () => say('desk.safe'),
  '/desk/trail': () => say('desk.auditTrail'),
  '/desk/catalogue/:part?': () => say('desk.catalogue'),
  '/desk/first-steps': () => say('desk.firstSteps'),
  '/desk/organisation': () => say('desk.organisation'),
  '/desk/colleagues': () => say('desk.peopleHere'),
  '/desk/rights': () => say('desk.rights'),
  '/desk/operation': () => say('desk.howItRuns'),
  '/desk/:queue/:id?/:chosen?': () => say('desk.title.desk'),
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
