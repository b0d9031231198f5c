import { createBrowserRouter } from 'react-router';
import { Frame } from './app/Frame';
import { Lost, Broken } from './app/Lost';
import { Only } from './app/Only';
import { Root } from './app/Root';
import { SessionGate } from './app/SessionGate';

export const router = createBrowserRouter([
    {
        element: <Root />,
        errorElement: <Broken />,
        hydrateFallbackElement: <></>,
        children: [
            { path: 'sign-in', lazy: async () => ({ Component: (await import('./screens/access/SignIn')).SignIn }) },
            { path: 'set-up', lazy: async () => ({ Component: (await import('./screens/access/SetUp')).SetUp }) },
            {
                element: <SessionGate><Frame /></SessionGate>,
                children: [
                    { index: true, lazy: async () => ({ Component: (await import('./screens/today/Today')).Today }) },
                    { path: 'directory', lazy: async () => ({ Component: (await import('./screens/directory/Directory')).Directory }) },
                    {
                        path: 'directory/counted',
                        lazy: async () => ({ Component: (await import('./screens/directory/Counting')).Counting }),
                    },
                    { path: 'under-way', lazy: async () => ({ Component: (await import('./screens/under-way/UnderWay')).UnderWay }) },
                    { path: 'records/:id', lazy: async () => ({ Component: (await import('./screens/record/RecordPage')).RecordPage }) },
                    {
                        path: 'engagements',
                        lazy: async () => ({ Component: (await import('./screens/engagements/Engagements')).Engagements }),
                    },
                    {
                        path: 'engagements/:id',
                        lazy: async () => ({ Component: (await import('./screens/engagements/EngagementPage')).EngagementPage }),
                    },
                    {
                        path: 'records/:id/as-of',
                        lazy: async () => ({ Component: (await import('./screens/past/AsOfPage')).RecordAsOf }),
                    },
                    {
                        path: 'engagements/:id/as-of',
                        lazy: async () => ({ Component: (await import('./screens/past/AsOfPage')).EngagementAsOf }),
                    },
                    {
                        path: 'conflicts',
                        lazy: async () => ({ Component: (await import('./screens/conflicts/SearchConflicts')).SearchConflicts }),
                    },
                    {
                        path: 'conflicts/:id',
                        lazy: async () => ({ Component: (await import('./screens/conflicts/ConflictSearchPage')).ConflictSearchPage }),
                    },
                    { path: 'ledger', lazy: async () => ({ Component: (await import('./screens/ledger/Ledger')).Ledger }) },
                    {
                        path: 'ledger/tax-report',
                        lazy: async () => ({ Component: (await import('./screens/ledger/TaxReport')).TaxReport }),
                    },
                    { path: 'outbox', lazy: async () => ({ Component: (await import('./screens/outbox/Outbox')).Outbox }) },
                    { path: 'letters', lazy: async () => ({ Component: (await import('./screens/letters/Letters')).Letters }) },
                    {
                        path: 'letters/:id',
                        lazy: async () => ({ Component: (await import('./screens/letters/LetterRunPage')).LetterRunPage }),
                    },
                    { path: 'imports', lazy: async () => ({ Component: (await import('./screens/imports/Imports')).Imports }) },
                    { path: 'imports/:id', lazy: async () => ({ Component: (await import('./screens/imports/ImportPage')).ImportPage }) },
                    {
                        path: 'documents/:id',
                        lazy: async () => ({ Component: (await import('./screens/ledger/DocumentPage')).DocumentPage }),
                    },
                    { path: 'account', lazy: async () => ({ Component: (await import('./screens/access/Account')).Account }) },
                    {
                        path: 'payments/:id',
                        lazy: async () => ({ Component: (await import('./screens/ledger/PaymentPage')).PaymentPage }),
                    },
                    {
                        path: 'records/:id/statement',
                        lazy: async () => ({ Component: (await import('./screens/ledger/StatementPage')).StatementPage }),
                    },
                    {
                        path: 'meetings/:id',
                        lazy: async () => ({ Component: (await import('./screens/meetings/MeetingPage')).MeetingPage }),
                    },
                    {
                        path: 'upkeep/look-alikes',
                        lazy: async () => ({ Component: (await import('./screens/upkeep/LookAlikes')).LookAlikes }),
                    },
                    {
                        path: 'upkeep/merges/:merge/former/:former',
                        lazy: async () => ({ Component: (await import('./screens/merging/FormerPage')).FormerPage }),
                    },
                    { path: 'upkeep', lazy: async () => ({ Component: (await import('./screens/upkeep/Upkeep')).Upkeep }) },
                    {
                        element: <Only may="mayChangeRecords" />,
                        children: [
                            {
                                path: 'upkeep/make-one',
                                lazy: async () => ({ Component: (await import('./screens/merging/MakeOnePage')).MakeOnePage }),
                            },
                            {
                                path: 'upkeep/make-one/several',
                                lazy: async () => ({ Component: (await import('./screens/merging/MakeSeveral')).MakeSeveral }),
                            },
                            {
                                path: 'upkeep/merges/:merge/apart',
                                lazy: async () => ({ Component: (await import('./screens/merging/ApartPage')).ApartPage }),
                            },
                            {
                                path: 'letters/write',
                                lazy: async () => ({ Component: (await import('./screens/letters/WriteLetter')).WriteLetter }),
                            },
                            {
                                path: 'letters/templates/:id',
                                lazy: async () => ({ Component: (await import('./screens/letters/TemplatePage')).TemplatePage }),
                            },
                            {
                                path: 'engagements/begin',
                                lazy: async () => ({
                                    Component: (await import('./screens/engagements/BeginEngagement')).BeginEngagement,
                                }),
                            },
                            {
                                path: 'engagements/:id/invoice',
                                lazy: async () => ({ Component: (await import('./screens/ledger/WriteShared')).WriteShared }),
                            },
                            {
                                path: 'records/:id/meet',
                                lazy: async () => ({ Component: (await import('./screens/meetings/ArrangeMeeting')).ArrangeWithRecord }),
                            },
                            {
                                path: 'engagements/:id/meet',
                                lazy: async () => ({ Component: (await import('./screens/meetings/ArrangeMeeting')).ArrangeForEngagement }),
                            },
                            {
                                path: 'add/:kind',
                                lazy: async () => ({ Component: (await import('./screens/record/AddRecord')).AddRecord }),
                            },
                            {
                                path: 'records/:id/write/:kind',
                                lazy: async () => ({ Component: (await import('./screens/ledger/WriteDocument')).WriteDocument }),
                            },
                            {
                                path: 'records/:id/payment/:side',
                                lazy: async () => ({ Component: (await import('./screens/ledger/TakePayment')).TakePayment }),
                            },
                        ],
                    },
                    {
                        element: <Only may="mayRunOffice" />,
                        children: [
                            { path: 'office', lazy: async () => ({ Component: (await import('./screens/office/Office')).Office }) },
                            {
                                path: 'office/log',
                                lazy: async () => ({ Component: (await import('./screens/office/OfficeLog')).OfficeLog }),
                            },
                        ],
                    },
                    { path: '*', element: <Lost /> },
                ],
            },
        ],
    },
]);
