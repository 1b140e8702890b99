import '@fontsource-variable/fraunces';
import '@fontsource-variable/instrument-sans';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { Tooltip } from 'radix-ui';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, Outlet, RouterProvider } from 'react-router';
import { resumeUnsaved } from './api/documents';
import { startUndo } from './api/undoSteps';
import { resumeChanges } from './api/unsentChanges';
import { useMixes } from './api/queries';
import { EventsProvider } from './api/events';
import { PlacesProvider } from './parts/people/PlacesProvider';
import { SignInGate } from './parts/people/SignInGate';
import { ImportPanel } from './parts/ImportPanel';
import { ImportProvider } from './parts/imports';
import { NoticeProvider } from './parts/notices';
import { SkipPanel } from './parts/SkipPanel';
import { StudioStatus } from './parts/StudioStatus';
import { TopBar } from './parts/TopBar';
import { ViewFault } from './parts/ViewFault';
import { startLight } from './theme/lighting';
import { WeighProvider } from './shared/mix/WeighProvider';
import { hasBegun } from './shared/firstSteps';
import './theme/theme.css';

const client = new QueryClient({
  defaultOptions: { queries: { staleTime: 30_000, retry: 1, refetchOnWindowFocus: false } },
});

function Frame() {
  return (
    <ImportProvider>
      <WeighProvider>
        <SkipPanel />
        <PlacesProvider>
          <div className="grid h-full grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)]">
            <TopBar />
            <main className="relative min-h-0 min-w-0">
              <Outlet />
              <ImportPanel />
              <StudioStatus />
            </main>
          </div>
        </PlacesProvider>
      </WeighProvider>
    </ImportProvider>
  );
}

/** Where the studio opens: at the library, or for somebody who never made anything with it at the first steps. */
function Opening() {
  const { data: mixes, isError } = useMixes();
  if (hasBegun() || isError) return <Navigate to="/library" replace />;
  if (!mixes) return <div className="skeleton h-full" role="status" aria-label="The studio is being opened" />;
  return <Navigate to={mixes.every(({ id }) => id === 'demo-mix') ? '/first' : '/library'} replace />;
}

const router = createBrowserRouter([
  {
    element: <Frame />,
    HydrateFallback: () => <div className="skeleton h-full" role="status" aria-label="The studio is being opened" />,
    children: [
      {
        // a view that fails leaves the rest of the studio standing
        ErrorBoundary: ViewFault,
        children: [
          { index: true, element: <Opening /> },
          {
            path: 'first',
            lazy: async () => ({ Component: (await import('./views/first/FirstView')).FirstView }),
          },
          {
            path: 'library',
            lazy: async () => ({ Component: (await import('./views/library/LibraryView')).LibraryView }),
          },
          {
            path: 'library/keepers',
            lazy: async () => ({ Component: (await import('./views/library/KeepersView')).KeepersView }),
          },
          {
            path: 'looks/:lookId?',
            lazy: async () => ({ Component: (await import('./views/looks/LooksView')).LooksView }),
          },
          {
            path: 'cast/:characterId?',
            lazy: async () => ({ Component: (await import('./views/cast/CastView')).CastView }),
          },
          {
            path: 'bench/:mixId?',
            lazy: async () => ({ Component: (await import('./views/bench/BenchView')).BenchView }),
          },
          {
            path: 'bench/:mixId/strips/:stripId?',
            lazy: async () => ({ Component: (await import('./views/strip/StripView')).StripView }),
          },
          {
            path: 'takes/:takeId',
            lazy: async () => ({ Component: (await import('./views/take/TakeView')).TakeView }),
          },
          {
            path: 'compare',
            lazy: async () => ({ Component: (await import('./views/compare/CompareView')).CompareView }),
          },
          {
            path: 'series/:seriesId?',
            lazy: async () => ({ Component: (await import('./views/series/SeriesView')).SeriesView }),
          },
          {
            path: 'sequences/:sequenceId',
            lazy: async () => ({ Component: (await import('./views/sequence/SequenceView')).SequenceView }),
          },
          {
            path: 'studio',
            lazy: async () => ({ Component: (await import('./views/studio/StudioView')).StudioView }),
          },
          { path: '*', element: <Navigate to="/library" replace /> },
        ],
      },
    ],
  },
]);

startLight();
startUndo(client);
void resumeUnsaved(client);
void resumeChanges(client);

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      <NoticeProvider>
        <SignInGate>
          <EventsProvider>
            <Tooltip.Provider>
              <RouterProvider router={router} />
            </Tooltip.Provider>
          </EventsProvider>
        </SignInGate>
      </NoticeProvider>
    </QueryClientProvider>
  </StrictMode>,
);
