import { createBrowserRouter, type RouteObject } from 'react-router'
import { page, pageOfFile } from './page'
import { Root } from './Root'
import { Failed } from './ui/Failed'

/** Every place has an address; what is behind it is loaded when it is first gone to, the desk's addresses with the desk. */
const routes: RouteObject[] = [
  {
    id: 'root',
    errorElement: <Failed />,
    element: <Root />,
    children: [
      {
        lazy: page(() => import('./portal/PortalFrame').then(({ PortalFrame }) => PortalFrame)),
        children: [
          {
            path: '/',
            lazy: page(() => import('./portal/VacancyList').then(({ VacancyList }) => VacancyList), 'vacancies'),
          },
          {
            path: '/vacancies/:slug',
            lazy: page(
              () => import('./portal/VacancyPage').then(({ VacancyPage }) => VacancyPage),
              'vacancies',
              'asking',
            ),
          },
          {
            path: '/vacancies/:slug/fit',
            lazy: pageOfFile(
              () => import('./portal/WouldIFit').then(({ WouldIFit }) => WouldIFit),
              'vacancies',
              'asking',
              'portal',
            ),
          },
          {
            path: '/vacancies/:slug/fees',
            lazy: pageOfFile(
              () => import('./portal/fees/FeeEstimate').then(({ FeeEstimate }) => FeeEstimate),
              'vacancies',
              'asking',
              'portal',
            ),
          },
          {
            path: '/my/fees/:charge/paid/:payment',
            lazy: page(
              () => import('./portal/fees/PaymentReturn').then(({ PaymentReturn }) => PaymentReturn),
              'asking',
              'portal',
            ),
          },
          {
            path: '/vacancies/:slug/begin',
            lazy: page(
              () => import('./portal/BeginHere').then(({ BeginHere }) => BeginHere),
              'asking',
              'vacancies',
              'portal',
            ),
          },
          {
            path: '/sign-in/return',
            lazy: page(
              () => import('./portal/account/ProviderReturn').then(({ ProviderReturn }) => ProviderReturn),
              'asking',
              'portal',
            ),
          },
          {
            path: '/sign-in/done',
            lazy: page(
              () => import('./portal/account/ProviderReturn').then(({ ProviderDone }) => ProviderDone),
              'asking',
              'portal',
            ),
          },
          {
            path: '/forgotten',
            lazy: page(
              () => import('./portal/account/Forgotten').then(({ Forgotten }) => Forgotten),
              'asking',
              'portal',
            ),
          },
          {
            path: '/new-password/:token',
            lazy: page(
              () => import('./portal/account/Forgotten').then(({ NewPassword }) => NewPassword),
              'asking',
              'portal',
            ),
          },
          {
            path: '/mail/:token',
            lazy: page(
              () => import('./portal/account/Forgotten').then(({ MailChange }) => MailChange),
              'asking',
              'portal',
            ),
          },
          {
            path: '/notices/:token',
            lazy: page(
              () => import('./portal/account/StopGeneral').then(({ StopGeneral }) => StopGeneral),
              'asking',
              'portal',
            ),
          },
          {
            path: '/account',
            lazy: page(
              () => import('./portal/account/MyAccount').then(({ MyAccount }) => MyAccount),
              'asking',
              'portal',
            ),
          },
          {
            path: '/sign-in',
            lazy: page(() => import('./portal/SignIn').then(({ SignIn }) => SignIn), 'asking', 'portal'),
          },
          {
            path: '/sign-up',
            lazy: page(() => import('./portal/SignUp').then(({ SignUp }) => SignUp), 'asking', 'portal'),
          },
          {
            path: '/confirm/:token',
            lazy: page(() => import('./portal/Confirm').then(({ Confirm }) => Confirm), 'asking', 'portal'),
          },
          {
            path: '/take-over/:token',
            lazy: page(() => import('./portal/TakeOver').then(({ TakeOver }) => TakeOver), 'asking', 'portal'),
          },
          {
            path: '/join/:token',
            lazy: page(() => import('./portal/account/Join').then(({ Join }) => Join), 'asking', 'portal'),
          },
          {
            path: '/me',
            lazy: pageOfFile(
              () => import('./portal/MyApplications').then(({ MyApplications }) => MyApplications),
              'asking',
              'portal',
            ),
          },
          {
            path: '/record',
            lazy: pageOfFile(
              () => import('./portal/record/RecordPage').then(({ RecordPage }) => RecordPage),
              'asking',
              'portal',
            ),
          },
          {
            path: '/employer/:part?',
            lazy: page(
              () => import('./employer/EmployerPage').then(({ EmployerPage }) => EmployerPage),
              'asking',
              'portal',
            ),
          },
          {
            path: '/apply/:id/:section?',
            lazy: pageOfFile(() => import('./portal/apply/Apply').then(({ Apply }) => Apply), 'asking', 'portal'),
          },
          {
            path: '/applications/:id',
            lazy: pageOfFile(
              () => import('./portal/status/StatusPage').then(({ StatusPage }) => StatusPage),
              'asking',
              'portal',
            ),
          },
          {
            path: '/applications/:id/checks/:check',
            lazy: page(
              () => import('./portal/skills/BeginCheck').then(({ BeginCheck }) => BeginCheck),
              'asking',
              'portal',
            ),
          },
          {
            path: '/sittings/:id',
            lazy: page(() => import('./portal/skills/SitCheck').then(({ SitCheck }) => SitCheck), 'asking', 'portal'),
          },
        ],
      },
      {
        path: '/reply/:token',
        lazy: page(() => import('./reply/ReplyPage').then(({ ReplyPage }) => ReplyPage), 'reply'),
      },
      {
        path: '/vouch/:token?',
        lazy: page(() => import('./reply/VouchPage').then(({ VouchPage }) => VouchPage), 'reply'),
      },
      {
        lazy: page(() => import('./portal/PortalFrame').then(({ PortalFrame }) => PortalFrame), 'report'),
        children: [
          {
            path: '/check/:token?',
            lazy: page(() => import('./check/CheckPage').then(({ CheckPage }) => CheckPage), 'report'),
          },
          {
            path: '/shared/:token',
            lazy: page(() => import('./check/SharedPage').then(({ SharedPage }) => SharedPage), 'report'),
          },
        ],
      },
      { path: '*', element: <Failed /> },
    ],
  },
]

export const router = createBrowserRouter(routes, {
  patchRoutesOnNavigation: async ({ path, patch }) => {
    if (/^\/desk(\/|$)/.test(path)) patch('root', (await import('./desk/routes')).deskRoutes)
  },
})
