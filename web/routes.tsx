import { createBrowserRouter, Navigate } from 'react-router'
import { Root } from './Root'
import { Failed } from './ui/Failed'

/** Every place has an address; what is behind it is loaded when it is first gone to. */
export const router = createBrowserRouter([
  {
    errorElement: <Failed />,
    element: <Root />,
    children: [
      {
        lazy: () => import('./portal/PortalFrame').then(({ PortalFrame }) => ({ Component: PortalFrame })),
        children: [
          {
            path: '/',
            lazy: () => import('./portal/VacancyList').then(({ VacancyList }) => ({ Component: VacancyList })),
          },
          {
            path: '/vacancies/:slug',
            lazy: () => import('./portal/VacancyPage').then(({ VacancyPage }) => ({ Component: VacancyPage })),
          },
          {
            path: '/vacancies/:slug/fit',
            lazy: () => import('./portal/WouldIFit').then(({ WouldIFit }) => ({ Component: WouldIFit })),
          },
          {
            path: '/forgotten',
            lazy: () => import('./portal/account/Forgotten').then(({ Forgotten }) => ({ Component: Forgotten })),
          },
          {
            path: '/new-password/:token',
            lazy: () => import('./portal/account/Forgotten').then(({ NewPassword }) => ({ Component: NewPassword })),
          },
          {
            path: '/mail/:token',
            lazy: () => import('./portal/account/Forgotten').then(({ MailChange }) => ({ Component: MailChange })),
          },
          {
            path: '/account',
            lazy: () => import('./portal/account/MyAccount').then(({ MyAccount }) => ({ Component: MyAccount })),
          },
          { path: '/sign-in', lazy: () => import('./portal/SignIn').then(({ SignIn }) => ({ Component: SignIn })) },
          { path: '/sign-up', lazy: () => import('./portal/SignUp').then(({ SignUp }) => ({ Component: SignUp })) },
          {
            path: '/confirm/:token',
            lazy: () => import('./portal/Confirm').then(({ Confirm }) => ({ Component: Confirm })),
          },
          {
            path: '/take-over/:token',
            lazy: () => import('./portal/TakeOver').then(({ TakeOver }) => ({ Component: TakeOver })),
          },
          {
            path: '/me',
            lazy: () => import('./portal/MyApplications').then(({ MyApplications }) => ({ Component: MyApplications })),
          },
          {
            path: '/apply/:id/:section?',
            lazy: () => import('./portal/apply/Apply').then(({ Apply }) => ({ Component: Apply })),
          },
          {
            path: '/applications/:id',
            lazy: () => import('./portal/status/StatusPage').then(({ StatusPage }) => ({ Component: StatusPage })),
          },
          {
            path: '/applications/:id/checks/:check',
            lazy: () => import('./portal/check/BeginCheck').then(({ BeginCheck }) => ({ Component: BeginCheck })),
          },
          {
            path: '/sittings/:id',
            lazy: () => import('./portal/check/SitCheck').then(({ SitCheck }) => ({ Component: SitCheck })),
          },
        ],
      },
      {
        path: '/reply/:token',
        lazy: () => import('./reply/ReplyPage').then(({ ReplyPage }) => ({ Component: ReplyPage })),
      },
      {
        path: '/vouch/:token?',
        lazy: () => import('./reply/VouchPage').then(({ VouchPage }) => ({ Component: VouchPage })),
      },
      { path: '/desk', element: <Navigate to="/desk/today" replace /> },
      {
        path: '/desk',
        lazy: () => import('./desk/DeskFrame').then(({ DeskFrame }) => ({ Component: DeskFrame })),
        children: [
          {
            path: 'vacancies',
            lazy: () => import('./desk/vacancies/VacancyList').then(({ VacancyList }) => ({ Component: VacancyList })),
          },
          {
            path: 'vacancies/sections',
            lazy: () =>
              import('./desk/vacancies/SectionLibrary').then(({ SectionLibrary }) => ({ Component: SectionLibrary })),
          },
          {
            path: 'vacancies/groups',
            lazy: () =>
              import('./desk/vacancies/VacancyGroups').then(({ VacancyGroups }) => ({ Component: VacancyGroups })),
          },
          {
            path: 'vacancies/:id/:part?',
            lazy: () => import('./desk/vacancies/VacancyDesk').then(({ VacancyDesk }) => ({ Component: VacancyDesk })),
          },
          {
            path: 'sources',
            lazy: () => import('./desk/overviews/Sources').then(({ Sources }) => ({ Component: Sources })),
          },
          {
            path: 'applications/table',
            lazy: () =>
              import('./desk/applications/ApplicationsTable').then(({ ApplicationsTable }) => ({
                Component: ApplicationsTable,
              })),
          },
          {
            path: 'duplicates/:oneId?/:otherId?',
            lazy: () => import('./desk/duplicates/Duplicates').then(({ Duplicates }) => ({ Component: Duplicates })),
          },
          {
            path: 'paper/:id?',
            lazy: () => import('./desk/paper/PaperTray').then(({ PaperTray }) => ({ Component: PaperTray })),
          },
          {
            path: 'behalf',
            lazy: () => import('./desk/behalf/Behalf').then(({ Behalf }) => ({ Component: Behalf })),
          },
          {
            path: 'behalf/:id/:section?',
            lazy: () => import('./desk/behalf/WriteFor').then(({ WriteFor }) => ({ Component: WriteFor })),
          },
          {
            path: 'imports/:id?',
            lazy: () => import('./desk/imports/Imports').then(({ Imports }) => ({ Component: Imports })),
          },
          {
            path: 'people/:candidateId',
            lazy: () =>
              import('./desk/imports/ImportedPerson').then(({ ImportedPerson }) => ({ Component: ImportedPerson })),
          },
          {
            path: 'words',
            lazy: () =>
              import('./desk/words/PreparedWords').then(({ PreparedWords }) => ({ Component: PreparedWords })),
          },
          {
            path: 'people/:candidateId/access-log',
            lazy: () => import('./desk/overviews/AccessLog').then(({ AccessLog }) => ({ Component: AccessLog })),
          },
          {
            path: 'outbox',
            lazy: () => import('./desk/overviews/Outbox').then(({ Outbox }) => ({ Component: Outbox })),
          },
          { path: 'trail', lazy: () => import('./desk/overviews/Trail').then(({ Trail }) => ({ Component: Trail })) },
          {
            path: ':queue/:id?/:chosen?',
            lazy: () => import('./desk/queue/QueueDesk').then(({ QueueDesk }) => ({ Component: QueueDesk })),
          },
        ],
      },
      { path: '*', element: <Failed /> },
    ],
  },
])
