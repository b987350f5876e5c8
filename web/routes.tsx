import type { ComponentType } from 'react'
import { createBrowserRouter, Navigate } from 'react-router'
import { Root } from './Root'
import { Failed } from './ui/Failed'
import { type Group, loadWords } from './words'

type Load = () => Promise<ComponentType>

/** A place that is loaded when it is first gone to: its words first, since some are said while it loads. */
const page =
  (load: Load, ...words: readonly Group[]) =>
  async () => {
    const desk = words.includes('desk')
    await Promise.all([
      loadWords(...words),
      ...(desk ? [import('./deskEndpoints'), import('./desk/titles'), catalogueToGoBy()] : []),
      ...(desk || words.includes('portal') || words.includes('report') ? [import('./ownEndpoints')] : []),
    ])
    return { Component: await load() }
  }

/** A place of a candidate that shows or asks what they have: it is called by the names of the organisation. */
const pageOfFile =
  (load: Load, ...words: readonly Group[]) =>
  async () => {
    await catalogueToGoBy()
    return page(load, ...words)()
  }

const catalogueToGoBy = () => import('./catalogue').then(({ loadCatalogue }) => loadCatalogue())

/** Every place has an address; what is behind it is loaded when it is first gone to. */
export const router = createBrowserRouter([
  {
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
      { path: '/desk', element: <Navigate to="/desk/today" replace /> },
      {
        path: '/desk',
        lazy: page(() => import('./desk/DeskFrame').then(({ DeskFrame }) => DeskFrame), 'asking', 'desk'),
        children: [
          {
            path: 'vacancies',
            lazy: page(
              () => import('./desk/vacancies/VacancyList').then(({ VacancyList }) => VacancyList),
              'desk',
              'portal',
            ),
          },
          {
            path: 'vacancies/sections',
            lazy: page(
              () => import('./desk/vacancies/SectionLibrary').then(({ SectionLibrary }) => SectionLibrary),
              'desk',
              'portal',
            ),
          },
          {
            path: 'vacancies/groups',
            lazy: page(
              () => import('./desk/vacancies/VacancyGroups').then(({ VacancyGroups }) => VacancyGroups),
              'desk',
              'portal',
            ),
          },
          {
            path: 'vacancies/:id/:part?',
            lazy: page(
              () => import('./desk/vacancies/VacancyDesk').then(({ VacancyDesk }) => VacancyDesk),
              'desk',
              'portal',
            ),
          },
          {
            path: 'sources',
            lazy: page(() => import('./desk/sources/Sources').then(({ Sources }) => Sources), 'asking', 'desk'),
          },
          {
            path: 'sources/watchlist',
            lazy: page(() => import('./desk/sources/WatchlistPage').then(({ WatchlistPage }) => WatchlistPage), 'desk'),
          },
          {
            path: 'sources/programmes',
            lazy: page(() => import('./desk/sources/Programmes').then(({ Programmes }) => Programmes), 'desk'),
          },
          {
            path: 'sources/programmes/:id',
            lazy: page(() => import('./desk/sources/ProgrammePage').then(({ ProgrammePage }) => ProgrammePage), 'desk'),
          },
          {
            path: 'sources/:id',
            lazy: page(
              () => import('./desk/sources/SourcePage').then(({ SourcePage }) => SourcePage),
              'asking',
              'desk',
            ),
          },
          {
            path: 'verification/table',
            lazy: page(() => import('./desk/enquiries/EnquiryTable').then(({ EnquiryTable }) => EnquiryTable), 'desk'),
          },
          {
            path: 'enquiries/:id',
            lazy: page(() => import('./desk/enquiries/EnquiryPage').then(({ EnquiryPage }) => EnquiryPage), 'desk'),
          },
          {
            path: 'letters',
            lazy: page(() => import('./desk/enquiries/Letters').then(({ Letters }) => Letters), 'desk'),
          },
          {
            path: 'applications/table',
            lazy: page(
              () => import('./desk/applications/ApplicationsTable').then(({ ApplicationsTable }) => ApplicationsTable),
              'desk',
            ),
          },
          {
            path: 'fees',
            lazy: page(() => import('./desk/fees/FeeQueue').then(({ FeeQueue }) => FeeQueue), 'desk'),
          },
          {
            path: 'fees/:id',
            lazy: page(() => import('./desk/fees/FeePage').then(({ FeePage }) => FeePage), 'asking', 'desk'),
          },
          {
            path: 'transfers',
            lazy: page(() => import('./desk/fees/Transfers').then(({ Transfers }) => Transfers), 'asking', 'desk'),
          },
          {
            path: 'vouchers',
            lazy: page(() => import('./desk/fees/Vouchers').then(({ Vouchers }) => Vouchers), 'asking', 'desk'),
          },
          {
            path: 'red-flags',
            lazy: page(() => import('./desk/redFlags/RedFlags').then(({ RedFlags }) => RedFlags), 'desk'),
          },
          {
            path: 'duplicates/:oneId?/:otherId?',
            lazy: page(
              () => import('./desk/duplicates/Duplicates').then(({ Duplicates }) => Duplicates),
              'asking',
              'desk',
            ),
          },
          {
            path: 'paper/:id?',
            lazy: page(() => import('./desk/tray/PaperTray').then(({ PaperTray }) => PaperTray), 'asking', 'desk'),
          },
          {
            path: 'behalf',
            lazy: page(() => import('./desk/behalf/Behalf').then(({ Behalf }) => Behalf), 'asking', 'desk'),
          },
          {
            path: 'behalf/:id/:section?',
            lazy: page(
              () => import('./desk/behalf/WriteFor').then(({ WriteFor }) => WriteFor),
              'desk',
              'asking',
              'portal',
            ),
          },
          {
            path: 'imports/:id?',
            lazy: page(() => import('./desk/imports/Imports').then(({ Imports }) => Imports), 'asking', 'desk'),
          },
          {
            path: 'people/:candidateId',
            lazy: page(
              () => import('./desk/imports/ImportedPerson').then(({ ImportedPerson }) => ImportedPerson),
              'desk',
            ),
          },
          {
            path: 'words',
            lazy: page(
              () => import('./desk/messages/PreparedWords').then(({ PreparedWords }) => PreparedWords),
              'asking',
              'desk',
            ),
          },
          {
            path: 'people/:candidateId/access-log',
            lazy: page(() => import('./desk/overviews/AccessLog').then(({ AccessLog }) => AccessLog), 'asking', 'desk'),
          },
          {
            path: 'mail-in',
            lazy: page(
              () => import('./desk/overviews/IncomingMails').then(({ IncomingMails }) => IncomingMails),
              'asking',
              'desk',
            ),
          },
          {
            path: 'outbox',
            lazy: page(() => import('./desk/overviews/Outbox').then(({ Outbox }) => Outbox), 'asking', 'desk'),
          },
          {
            path: 'safe',
            lazy: page(() => import('./desk/overviews/Safe').then(({ Safe }) => Safe), 'asking', 'desk'),
          },
          {
            path: 'trail',
            lazy: page(() => import('./desk/overviews/Trail').then(({ Trail }) => Trail), 'asking', 'desk'),
          },
          {
            path: 'statistics/:section?',
            lazy: page(
              () => import('./desk/statistics/StatisticsPage').then(({ StatisticsPage }) => StatisticsPage),
              'asking',
              'desk',
            ),
          },
          {
            path: 'catalogue/:part?',
            lazy: page(
              () => import('./desk/catalogue/CataloguePage').then(({ CataloguePage }) => CataloguePage),
              'asking',
              'desk',
              'portal',
              'administration',
            ),
          },
          {
            path: 'first-steps',
            lazy: page(
              () => import('./desk/administration/FirstSteps').then(({ FirstSteps }) => FirstSteps),
              'asking',
              'desk',
              'administration',
            ),
          },
          {
            path: 'organisation',
            lazy: page(
              () => import('./desk/administration/OrganisationPage').then(({ OrganisationPage }) => OrganisationPage),
              'asking',
              'desk',
              'administration',
            ),
          },
          {
            path: 'colleagues',
            lazy: page(
              () => import('./desk/administration/Colleagues').then(({ Colleagues }) => Colleagues),
              'asking',
              'desk',
              'administration',
            ),
          },
          {
            path: 'rights',
            lazy: page(
              () => import('./desk/administration/Rights').then(({ Rights }) => Rights),
              'asking',
              'desk',
              'administration',
            ),
          },
          {
            path: 'operation',
            lazy: page(
              () => import('./desk/administration/HowItRuns').then(({ HowItRuns }) => HowItRuns),
              'asking',
              'desk',
              'administration',
            ),
          },
          {
            path: ':queue/:id?/:chosen?',
            lazy: page(() => import('./desk/queue/QueueDesk').then(({ QueueDesk }) => QueueDesk), 'asking', 'desk'),
          },
        ],
      },
      { path: '*', element: <Failed /> },
    ],
  },
])
