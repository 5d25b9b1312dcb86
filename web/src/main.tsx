import { answers } from './api/queries';
import '@fontsource/atkinson-hyperlegible/latin-400.css';
import '@fontsource/atkinson-hyperlegible/latin-700.css';
import '@fontsource/ibm-plex-mono/latin-400.css';
import '@fontsource/ibm-plex-mono/latin-600.css';
import { ChakraProvider } from '@chakra-ui/react';
import { MutationCache, QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { Problem } from './api/client';
import { whenBack } from './api/connection';
import { useSession } from './api/session';
import { light } from './app/light';
import { keepPresses } from './app/pressed';
import { reloadAfterUpgrade } from './app/upgraded';
import { Loaded } from './parts/States';
import { system } from './theme';

// The door and the rooms behind it: nobody needs both at once.
const SignIn = lazy(() => import('./team/SignIn'));
const Shell = lazy(() => import('./app/Shell'));
const PastPage = lazy(() => import('./brought/PastPage'));
const RackPage = lazy(() => import('./schedule/RackPage'));
const CheckInPage = lazy(() => import('./checkin/CheckInPage'));
const WordsPage = lazy(() => import('./checkin/WordsPage'));
const LotPage = lazy(() => import('./money/LotPage'));
const LotsPage = lazy(() => import('./money/LotsPage'));
const JobPage = lazy(() => import('./job/JobPage'));
const BenchRoom = lazy(() => import('./bench/BenchRoom'));
const BenchPage = lazy(() => import('./bench/BenchPage'));
const ModelsPage = lazy(() => import('./teardown/ModelsPage'));
const ModelPage = lazy(() => import('./teardown/ModelPage'));
const DrawersPage = lazy(() => import('./drawer/DrawersPage'));
const MonthPage = lazy(() => import('./pattern/MonthPage'));
const PatternsPage = lazy(() => import('./pattern/PatternsPage'));
const GaugesPage = lazy(() => import('./gauge/GaugesPage'));
const TeamPage = lazy(() => import('./team/TeamPage'));
const ShopPage = lazy(() => import('./team/ShopPage'));

/** A session that ended shows the door again; what was typed is asked for once more, never half sent. */
function heard(error: unknown) {
  if (error instanceof Problem && error.status === 401) {
    queries.invalidateQueries({ queryKey: answers.session() });
  }
  if (error instanceof Problem && error.isOfTheShop) {
    queries.invalidateQueries({ queryKey: answers.keeping('wrong') });
  }
}

const queries: QueryClient = new QueryClient({
  queryCache: new QueryCache({ onError: heard }),
  mutationCache: new MutationCache({ onError: heard }),
  // The shop's server is in the house: whether the browser thinks it is online says nothing about it.
  defaultOptions: {
    queries: { retry: false, staleTime: 2_000, networkMode: 'always' },
    mutations: { networkMode: 'always' },
  },
});

// One answer says that the server is back: everything else that could not be fetched is asked for again.
whenBack(() => queries.refetchQueries({ predicate: (query) => query.state.status === 'error' }));

function App() {
  const session = useSession();
  return (
    <Loaded query={session}>
      {(now) =>
        now.person ? (
          <Routes>
            <Route element={<Shell person={now.person} />}>
              <Route path="/rack" element={<RackPage />} />
              <Route path="/checkin" element={<CheckInPage />} />
              <Route path="/words" element={<WordsPage />} />
              <Route path="/lots" element={<LotsPage />} />
              <Route path="/lots/:lot" element={<LotPage />} />
              <Route path="/jobs/:job" element={<JobPage />} />
              <Route path="/bench" element={<BenchRoom />} />
              <Route path="/bench/:job" element={<BenchPage />} />
              <Route path="/models" element={<ModelsPage />} />
              <Route path="/models/:model" element={<ModelPage />} />
              <Route path="/models/:model/:revision" element={<ModelPage />} />
              <Route path="/models/:model/:revision/:view" element={<ModelPage />} />
              <Route path="/drawers" element={<DrawersPage />} />
              <Route path="/patterns" element={<PatternsPage />} />
              <Route path="/patterns/month" element={<MonthPage />} />
              <Route path="/gauges" element={<GaugesPage />} />
              <Route path="/gauges/:gauge" element={<GaugesPage />} />
              <Route path="/past" element={<PastPage />} />
              <Route path="/past/:list" element={<PastPage />} />
              <Route path="/team" element={<TeamPage />} />
              <Route path="/team/:part" element={<TeamPage />} />
              <Route path="/shop" element={<ShopPage />} />
              <Route path="*" element={<Navigate to="/rack" replace />} />
            </Route>
          </Routes>
        ) : (
          <SignIn session={now} />
        )
      }
    </Loaded>
  );
}

keepPresses(document);
reloadAfterUpgrade();
light.shine();

createRoot(document.getElementById('root') as HTMLElement).render(
  <StrictMode>
    <ChakraProvider value={system}>
      <QueryClientProvider client={queries}>
        <BrowserRouter>
          <Suspense fallback={null}>
            <App />
          </Suspense>
        </BrowserRouter>
      </QueryClientProvider>
    </ChakraProvider>
  </StrictMode>,
);
