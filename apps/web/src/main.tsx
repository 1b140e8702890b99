import '@fontsource-variable/fraunces';
import '@fontsource-variable/instrument-sans';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { Tooltip } from 'radix-ui';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, Outlet, RouterProvider } from 'react-router';
import { EventsProvider } from './api/events';
import { ImportPanel } from './parts/ImportPanel';
import { ImportProvider } from './parts/imports';
import { NoticeProvider } from './parts/notices';
import { TopBar } from './parts/TopBar';
import './theme/theme.css';
import { BenchView } from './views/bench/BenchView';
import { CastView } from './views/cast/CastView';
import { KeepersView } from './views/library/KeepersView';
import { LibraryView } from './views/library/LibraryView';
import { LooksView } from './views/looks/LooksView';
import { CompareView } from './views/compare/CompareView';
import { SequenceView } from './views/sequence/SequenceView';
import { SeriesView } from './views/series/SeriesView';
import { StripView } from './views/strip/StripView';
import { TakeView } from './views/take/TakeView';

const client = new QueryClient({
  defaultOptions: { queries: { staleTime: 30_000, retry: 1, refetchOnWindowFocus: false } },
});

function Frame() {
  return (
    <ImportProvider>
      <div className="grid h-full grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)]">
        <TopBar />
        <main className="relative min-h-0 min-w-0">
          <Outlet />
          <ImportPanel />
        </main>
      </div>
    </ImportProvider>
  );
}

const router = createBrowserRouter([
  {
    element: <Frame />,
    children: [
      { index: true, element: <Navigate to="/library" replace /> },
      { path: 'library', element: <LibraryView /> },
      { path: 'library/keepers', element: <KeepersView /> },
      { path: 'looks/:lookId?', element: <LooksView /> },
      { path: 'cast/:characterId?', element: <CastView /> },
      { path: 'bench/:mixId?', element: <BenchView /> },
      { path: 'bench/:mixId/strips/:stripId?', element: <StripView /> },
      { path: 'takes/:takeId', element: <TakeView /> },
      { path: 'compare', element: <CompareView /> },
      { path: 'series/:seriesId?', element: <SeriesView /> },
      { path: 'sequences/:sequenceId', element: <SequenceView /> },
      { path: '*', element: <Navigate to="/library" replace /> },
    ],
  },
]);

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      <NoticeProvider>
        <EventsProvider>
          <Tooltip.Provider>
            <RouterProvider router={router} />
          </Tooltip.Provider>
        </EventsProvider>
      </NoticeProvider>
    </QueryClientProvider>
  </StrictMode>,
);
