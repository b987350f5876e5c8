import { Navigate, type RouteObject } from 'react-router'
import { page } from '../page'

/** The places of the desk, as every other (../routes.tsx); nobody else has to load their addresses. */
export const deskRoutes: RouteObject[] = [
  { path: '/desk', element: <Navigate to="/desk/today" replace /> },
  {
    path: '/desk',
    lazy: page(() => import('./DeskFrame').then(({ DeskFrame }) => DeskFrame), 'asking', 'desk'),
    children: [
      {
        path: 'vacancies',
        lazy: page(() => import('./vacancies/VacancyList').then(({ VacancyList }) => VacancyList), 'desk', 'portal'),
      },
      {
        path: 'vacancies/sections',
        lazy: page(
          () => import('./vacancies/SectionLibrary').then(({ SectionLibrary }) => SectionLibrary),
          'desk',
          'portal',
        ),
      },
      {
        path: 'vacancies/groups',
        lazy: page(
          () => import('./vacancies/VacancyGroups').then(({ VacancyGroups }) => VacancyGroups),
          'desk',
          'portal',
        ),
      },
      {
        path: 'vacancies/:id/:part?',
        lazy: page(() => import('./vacancies/VacancyDesk').then(({ VacancyDesk }) => VacancyDesk), 'desk', 'portal'),
      },
      {
        path: 'sources',
        lazy: page(() => import('./sources/Sources').then(({ Sources }) => Sources), 'asking', 'desk'),
      },
      {
        path: 'sources/watchlist',
        lazy: page(() => import('./sources/WatchlistPage').then(({ WatchlistPage }) => WatchlistPage), 'desk'),
      },
      {
        path: 'sources/programmes',
        lazy: page(() => import('./sources/Programmes').then(({ Programmes }) => Programmes), 'desk'),
      },
      {
        path: 'sources/programmes/:id',
        lazy: page(() => import('./sources/ProgrammePage').then(({ ProgrammePage }) => ProgrammePage), 'desk'),
      },
      {
        path: 'sources/:id',
        lazy: page(() => import('./sources/SourcePage').then(({ SourcePage }) => SourcePage), 'asking', 'desk'),
      },
      {
        path: 'verification/table',
        lazy: page(() => import('./enquiries/EnquiryTable').then(({ EnquiryTable }) => EnquiryTable), 'desk'),
      },
      {
        path: 'enquiries/:id',
        lazy: page(() => import('./enquiries/EnquiryPage').then(({ EnquiryPage }) => EnquiryPage), 'desk'),
      },
      {
        path: 'letters',
        lazy: page(() => import('./enquiries/Letters').then(({ Letters }) => Letters), 'desk'),
      },
      {
        path: 'applications/table',
        lazy: page(
          () => import('./applications/ApplicationsTable').then(({ ApplicationsTable }) => ApplicationsTable),
          'desk',
        ),
      },
      {
        path: 'fees/:id?',
        lazy: page(() => import('./fees/FeePlace').then(({ FeePlace }) => FeePlace), 'asking', 'desk'),
      },
      {
        path: 'transfers',
        lazy: page(() => import('./fees/Transfers').then(({ Transfers }) => Transfers), 'asking', 'desk'),
      },
      {
        path: 'vouchers',
        lazy: page(() => import('./fees/Vouchers').then(({ Vouchers }) => Vouchers), 'asking', 'desk'),
      },
      {
        path: 'closings',
        lazy: page(() => import('./fees/Closings').then(({ Closings }) => Closings), 'asking', 'desk'),
      },
      {
        path: 'employers/:id?',
        lazy: page(() => import('./fees/EmployerPlace').then(({ EmployerPlace }) => EmployerPlace), 'asking', 'desk'),
      },
      {
        path: 'red-flags',
        lazy: page(() => import('./redFlags/RedFlags').then(({ RedFlags }) => RedFlags), 'desk'),
      },
      {
        path: 'duplicates/:oneId?/:otherId?',
        lazy: page(() => import('./duplicates/Duplicates').then(({ Duplicates }) => Duplicates), 'asking', 'desk'),
      },
      {
        path: 'paper/:id?',
        lazy: page(() => import('./tray/PaperTray').then(({ PaperTray }) => PaperTray), 'asking', 'desk'),
      },
      {
        path: 'behalf',
        lazy: page(() => import('./behalf/Behalf').then(({ Behalf }) => Behalf), 'asking', 'desk'),
      },
      {
        path: 'behalf/:id/:section?',
        lazy: page(() => import('./behalf/WriteFor').then(({ WriteFor }) => WriteFor), 'desk', 'asking', 'portal'),
      },
      {
        path: 'imports/:id?',
        lazy: page(() => import('./imports/Imports').then(({ Imports }) => Imports), 'asking', 'desk'),
      },
      {
        path: 'people/:candidateId',
        lazy: page(() => import('./imports/ImportedPerson').then(({ ImportedPerson }) => ImportedPerson), 'desk'),
      },
      {
        path: 'words',
        lazy: page(
          () => import('./messages/PreparedWords').then(({ PreparedWords }) => PreparedWords),
          'asking',
          'desk',
        ),
      },
      {
        path: 'people/:candidateId/access-log',
        lazy: page(() => import('./overviews/AccessLog').then(({ AccessLog }) => AccessLog), 'asking', 'desk'),
      },
      {
        path: 'mail-in',
        lazy: page(
          () => import('./overviews/IncomingMails').then(({ IncomingMails }) => IncomingMails),
          'asking',
          'desk',
        ),
      },
      {
        path: 'outbox',
        lazy: page(() => import('./overviews/Outbox').then(({ Outbox }) => Outbox), 'asking', 'desk'),
      },
      {
        path: 'safe',
        lazy: page(() => import('./overviews/Safe').then(({ Safe }) => Safe), 'asking', 'desk'),
      },
      {
        path: 'trail',
        lazy: page(() => import('./overviews/Trail').then(({ Trail }) => Trail), 'asking', 'desk'),
      },
      {
        path: 'statistics/:section?',
        lazy: page(
          () => import('./statistics/StatisticsPage').then(({ StatisticsPage }) => StatisticsPage),
          'asking',
          'desk',
        ),
      },
      {
        path: 'catalogue/:part?',
        lazy: page(
          () => import('./catalogue/CataloguePage').then(({ CataloguePage }) => CataloguePage),
          'asking',
          'desk',
          'portal',
          'administration',
        ),
      },
      {
        path: 'first-steps',
        lazy: page(
          () => import('./administration/FirstSteps').then(({ FirstSteps }) => FirstSteps),
          'asking',
          'desk',
          'administration',
        ),
      },
      {
        path: 'organisation',
        lazy: page(
          () => import('./administration/OrganisationPage').then(({ OrganisationPage }) => OrganisationPage),
          'asking',
          'desk',
          'administration',
        ),
      },
      {
        path: 'colleagues',
        lazy: page(
          () => import('./administration/Colleagues').then(({ Colleagues }) => Colleagues),
          'asking',
          'desk',
          'administration',
        ),
      },
      {
        path: 'rights',
        lazy: page(
          () => import('./administration/Rights').then(({ Rights }) => Rights),
          'asking',
          'desk',
          'administration',
        ),
      },
      {
        path: 'operation',
        lazy: page(
          () => import('./administration/HowItRuns').then(({ HowItRuns }) => HowItRuns),
          'asking',
          'desk',
          'administration',
        ),
      },
      {
        path: ':queue/:id?/:chosen?',
        lazy: page(() => import('./queue/QueueDesk').then(({ QueueDesk }) => QueueDesk), 'asking', 'desk'),
      },
    ],
  },
]
