import { lazy, StrictMode, Suspense, useMemo } from 'react';
import { createRoot } from 'react-dom/client';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { QueryClientProvider } from '@tanstack/react-query';
import { createBrowserRouter, Navigate, Outlet, RouterProvider } from 'react-router';
import { FindLayer } from './features/find/find-layer';
import { benchPage, pages } from './pages';
import { useFace } from './platform/preferences';
import { queryClient } from './platform/query-client';
import { Shell } from './shell';
import { northLeafTheme } from './ui/theme/theme';

/** Needed only when something failed. */
const ErrorPage = lazy(async () => ({ default: (await import('./platform/error-page')).ErrorPage }));

/** What a word means, loaded after the page. */
const AskLayer = lazy(async () => ({ default: (await import('./features/words/ask-layer')).AskLayer }));

const pageOf = ({ path, load }: (typeof pages)[number]) => ({ path, lazy: load });

const everything = [
  { ...pageOf(benchPage), ErrorBoundary: ErrorPage, HydrateFallback: () => null },
  {
    Component: Shell,
    ErrorBoundary: ErrorPage,
    // The rail stands while the page is still being fetched.
    HydrateFallback: Shell,
    children: [
      { path: '/', element: <Navigate to="/today" replace /> },
      { path: '/pantry', element: <Navigate to="/pantry/lots" replace /> },
      ...pages.map(pageOf),
      { path: '*', element: <ErrorPage /> },
    ],
  },
];
const router = createBrowserRouter([{ Component: Everywhere, HydrateFallback: () => null, children: everything }]);

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

function App() {
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

/** Puts the application into the page. */
export function start(root: HTMLElement): void {
  createRoot(root).render(
    <StrictMode>
      <App />
    </StrictMode>,
  );
}
