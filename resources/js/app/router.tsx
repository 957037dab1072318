import { createBrowserRouter, Navigate, useRouteError } from 'react-router';
import { WaitingPage } from '../features/waiting/WaitingPage';
import { Broken } from './Broken';
import { Shell } from './Shell';

const BrokenView = () => <Broken error={useRouteError()} />;

export const router = createBrowserRouter([
  {
    path: 'invitation/:token',
    errorElement: <BrokenView />,
    lazy: async () => ({ Component: (await import('../features/welcome/InvitationPage')).InvitationPage }),
  },
  { path: 'reset/:account', errorElement: <BrokenView />, lazy: async () => ({ Component: (await import('../features/welcome/ResetPage')).ResetPage }) },
  {
    element: <Shell />,
    // Until the script of the first view is there; it is asked for with the page.
    hydrateFallbackElement: <></>,
    errorElement: <BrokenView />,
    children: [
      { index: true, element: <Navigate to="/today" replace /> },
      { path: 'today', lazy: async () => ({ Component: (await import('../features/today/TodayPage')).TodayPage }) },
      { path: 'plan/:sessionId', lazy: async () => ({ Component: (await import('../features/plan/PlanPage')).PlanPage }) },
      { path: 'plan/:sessionId/sheet', lazy: async () => ({ Component: (await import('../features/sheet/SheetPage')).SheetPage }) },
      { path: 'plan/:sessionId/proposals', lazy: async () => ({ Component: (await import('../features/proposals/ProposalsPage')).ProposalsPage }) },
      { path: 'plan/:sessionId/rehearsal', lazy: async () => ({ Component: (await import('../features/rehearsal/RehearsalPage')).RehearsalPage }) },
      { path: 'squad', lazy: async () => ({ Component: (await import('../features/squad/SquadPage')).SquadPage }) },
      { path: 'squad/paper', lazy: async () => ({ Component: (await import('../features/squad/PaperPage')).PaperPage }) },
      { path: 'squad/home', lazy: async () => ({ Component: (await import('../features/home/HomeSquadPage')).HomeSquadPage }) },
      { path: 'squad/home/sheets', lazy: async () => ({ Component: (await import('../features/home/SheetsPage')).SheetsPage }) },
      { path: 'squad/home/type', lazy: async () => ({ Component: (await import('../features/home/TypePage')).TypePage }) },
      { path: 'season', lazy: async () => ({ Component: (await import('../features/season/SeasonPage')).SeasonPage }) },
      { path: 'player/:playerId/home', lazy: async () => ({ Component: (await import('../features/home/HomePage')).HomePage }) },
      { path: 'player/:playerId/report', lazy: async () => ({ Component: (await import('../features/player/ReportPage')).ReportPage }) },
      { path: 'player/:playerId', lazy: async () => ({ Component: (await import('../features/player/PlayerPage')).PlayerPage }) },
      { path: 'player/:playerId/line/:lineKey', lazy: async () => ({ Component: (await import('../features/player/TriesPage')).TriesPage }) },
      { path: 'find', lazy: async () => ({ Component: (await import('../features/find/FindPage')).FindPage }) },
      { path: 'book', lazy: async () => ({ Component: (await import('../features/book/BookPage')).BookPage }) },
      { path: 'book/drills', lazy: async () => ({ Component: (await import('../features/book/DrillsPage')).DrillsPage }) },
      { path: 'book/ladders', lazy: async () => ({ Component: (await import('../features/book/LaddersPage')).LaddersPage }) },
      { path: 'book/drills/:slug/:act', lazy: async () => ({ Component: (await import('../features/book/DrillEditPage')).DrillEditPage }) },
      { path: 'book/drills/:slug', lazy: async () => ({ Component: (await import('../features/book/DrillPage')).DrillPage }) },
      { path: 'book/:slug', lazy: async () => ({ Component: (await import('../features/book/MovePage')).MovePage }) },
      { path: 'settings', lazy: async () => ({ Component: (await import('../features/settings/SettingsPage')).SettingsPage }) },
      // Loaded with the frame: it is wanted where nothing more can be fetched.
      { path: 'waiting', Component: WaitingPage },
      { path: 'plan', lazy: async () => ({ Component: (await import('../features/today/NextSession')).NextPlan }) },
      { path: 'run', lazy: async () => ({ Component: (await import('../features/today/NextSession')).NextRun }) },
      { path: '*', lazy: async () => ({ Component: (await import('./NotFound')).NotFound }) },
    ],
  },
]);
