import { lazy, Suspense, useMemo } from 'react';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { QueryClientProvider } from '@tanstack/react-query';
import { createBrowserRouter, Navigate, Outlet, RouterProvider } from 'react-router';
import { FindLayer } from './features/find/find-layer';
import { useFace } from './platform/preferences';
import { queryClient } from './platform/query-client';
import { Shell } from './shell';
import { northLeafTheme } from './ui/theme/theme';

/** Needed only when something failed. */
const ErrorPage = lazy(async () => ({ default: (await import('./platform/error-page')).ErrorPage }));

/** What a word means, loaded after the page. */
const AskLayer = lazy(async () => ({ default: (await import('./features/words/ask-layer')).AskLayer }));

/** Every page is its own piece of code, loaded when it is gone to. */
const pages = [
  // The bench has no rail: its whole screen is for the step.
  {
    path: '/run/:bakeId',
    lazy: async () => ({ Component: (await import('./features/runs/run-page')).RunPage }),
    ErrorBoundary: ErrorPage,
    HydrateFallback: () => null,
  },
  {
    Component: Shell,
    ErrorBoundary: ErrorPage,
    HydrateFallback: () => null,
    children: [
      { path: '/', element: <Navigate to="/today" replace /> },
      { path: '/formulas', lazy: async () => ({ Component: (await import('./features/workspace/formulas-page')).FormulasPage }) },
      { path: '/formulas/:id/:stage?', lazy: async () => ({ Component: (await import('./features/workspace/formula-page')).FormulaPage }) },
      { path: '/today', lazy: async () => ({ Component: (await import('./features/today/today-page')).TodayPage }) },
      { path: '/run', lazy: async () => ({ Component: (await import('./features/runs/runs-page')).RunsPage }) },
      { path: '/run/new', lazy: async () => ({ Component: (await import('./features/runs/start-page')).StartPage }) },
      { path: '/bakes', lazy: async () => ({ Component: (await import('./features/bakes/bakes-page')).BakesPage }) },
      { path: '/bakes/new', lazy: async () => ({ Component: (await import('./features/bakes/record-page')).RecordPage }) },
      { path: '/bakes/:id', lazy: async () => ({ Component: (await import('./features/bakes/bake-page')).BakePage }) },
      { path: '/trials', lazy: async () => ({ Component: (await import('./features/trials/trials-page')).TrialsPage }) },
      { path: '/pantry/blends', lazy: async () => ({ Component: (await import('./features/blends/blends-page')).BlendsPage }) },
      { path: '/pantry', element: <Navigate to="/pantry/lots" replace /> },
      { path: '/pantry/:face', lazy: async () => ({ Component: (await import('./features/pantry/pantry-page')).PantryPage }) },
      { path: '/kitchen/:list?/:id?', lazy: async () => ({ Component: (await import('./features/kitchen/kitchen-page')).KitchenPage }) },
      { path: '/begin', lazy: async () => ({ Component: (await import('./features/setup/begin-page')).BeginPage }) },
      { path: '/setup', lazy: async () => ({ Component: (await import('./features/setup/setup-page')).SetupPage }) },
      { path: '/words', lazy: async () => ({ Component: (await import('./features/words/words-page')).WordsPage }) },
      { path: '*', element: <ErrorPage /> },
    ],
  },
];
const router = createBrowserRouter([{ Component: Everywhere, HydrateFallback: () => null, children: pages }]);

/** What every page stands under. */
function Everywhere() {
  return (
    <>
      <Outlet />
      <FindLayer />
      <Suspense>
        <AskLayer />
      </Suspense>
    </>
  );
}

export function App() {
  const face = useFace();
  const theme = useMemo(() => northLeafTheme(face), [face]);
  return (
    <ThemeProvider theme={theme}>
      <CssBaseline />
      <QueryClientProvider client={queryClient}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </ThemeProvider>
  );
}
