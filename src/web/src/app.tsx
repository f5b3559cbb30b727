import { QueryClientProvider } from '@tanstack/react-query';
import { lazy, Suspense, useEffect } from 'react';
import { BrowserRouter, NavLink, Outlet, Route, Routes, useLocation } from 'react-router';
import { queries, startTelling, useUnkept } from './api/change';
import { api } from './api/http';
import { span, syncClock } from './api/clock';
import { startLive, useLive } from './api/live';
import { useOutdated } from './api/version';
import { Alarms } from './bench/Alarms';
import { Guarded } from './parts/Broken';
import { Unheard } from './parts/Unheard';
import { useSettled } from './parts/useSettled';
import { Loading } from './parts/Loading';
import { Keys } from './parts/Keys';
import { useUnits } from './parts/units';
import { useArrival } from './parts/useArrival';

import { Today } from './today/Today';
import * as words from './words';

// Each page is fetched when it is wanted, and all of them once the first stands: then none needs the server to be opened.
const pages = {
  Themed: () => import('./Themed'),
  Doughs: () => import('./doughs/Doughs'),
  DoughPage: () => import('./doughs/DoughPage'),
  ReadRecipe: () => import('./doughs/ReadRecipe'),
  LoadPage: () => import('./load/LoadPage'),
  PlaitsPage: () => import('./shaping/PlaitsPage'),
  KitchenPage: () => import('./kitchen/KitchenPage'),
  PantryPage: () => import('./kitchen/PantryPage'),
  DayPage: () => import('./day/DayPage'),
  BenchOfTheDay: () => import('./day/BenchOfTheDay'),
  BenchSheet: () => import('./day/BenchSheet'),
  LayOut: () => import('./layout/LayOut'),
  Bench: () => import('./bench/Bench'),
  Labels: () => import('./oven/Labels'),
  Logbook: () => import('./logbook/Logbook'),
  LogbookPage: () => import('./logbook/LogbookPage'),
};
const Themed = lazy(pages.Themed);
const Doughs = lazy(pages.Doughs);
const DoughPage = lazy(pages.DoughPage);
const ReadRecipe = lazy(pages.ReadRecipe);
const LoadPage = lazy(pages.LoadPage);
const PlaitsPage = lazy(pages.PlaitsPage);
const KitchenPage = lazy(pages.KitchenPage);
const PantryPage = lazy(pages.PantryPage);
const DayPage = lazy(pages.DayPage);
const BenchOfTheDay = lazy(pages.BenchOfTheDay);
const BenchSheet = lazy(pages.BenchSheet);
const LayOut = lazy(pages.LayOut);
const Bench = lazy(pages.Bench);
const Labels = lazy(pages.Labels);
const Logbook = lazy(pages.Logbook);
const LogbookPage = lazy(pages.LogbookPage);

const fetchPages = () => void Promise.allSettled(Object.values(pages).map((page) => page()));

let [started, wentOn] = [false, false];

// What the first page does not need: once it stands, or where nobody answers.
const patience = 4000;
function goOn() {
  if (wentOn) return;
  wentOn = true;
  void startLive();
  (window.requestIdleCallback ?? setTimeout)(fetchPages);
}

export function App() {
  useEffect(() => {
    if (started) return;
    started = true;
    void syncClock();
    startTelling();
  }, []);
  return (
    <QueryClientProvider client={queries}>
      <BrowserRouter>
        <Routes>
          <Route element={<Shell />}>
            <Route index element={<Today />} />
            <Route element={<Themed />}>
              <Route path="doughs" element={<Doughs />} />
              <Route path="doughs/read" element={<ReadRecipe />} />
              <Route path="doughs/:id" element={<DoughPage />} />
              <Route path="doughs/:id/load" element={<LoadPage />} />
              <Route path="plaits" element={<PlaitsPage />} />
              <Route path="kitchen" element={<KitchenPage />} />
              <Route path="kitchen/pantry" element={<PantryPage />} />
              <Route path="day" element={<DayPage />} />
              <Route path="day/sheet" element={<BenchSheet />} />
              <Route path="bench" element={<BenchOfTheDay />} />
              <Route path="lay-out" element={<LayOut />} />
              <Route path="bench/:id" element={<Bench />} />
              <Route path="labels/:id" element={<Labels />} />
              <Route path="logbook" element={<Logbook />} />
              <Route path="logbook/:id" element={<LogbookPage />} />
            </Route>
            <Route path="*" element={<Nowhere />} />
          </Route>
        </Routes>
      </BrowserRouter>
    </QueryClientProvider>
  );
}

const Nowhere = () => (
  <section className="card">
    <h1>{words.thereIsNoSuchPage}</h1>
    <p>{words.theDayIsWhereIt}</p>
  </section>
);

function Shell() {
  const { data } = api.useQuery('get', '/api/today');
  const { silent } = useLive();
  const { heat } = useUnits();
  const { pathname: page } = useLocation();
  useArrival();
  const settled = useSettled();
  useEffect(() => {
    const timer = setTimeout(goOn, settled ? 0 : patience);
    return () => clearTimeout(timer);
  }, [settled]);
  const clock = api.useQuery('get', '/api/clock', undefined, { refetchInterval: 60_000 });
  return (
    <div className="shell" data-at={page.split('/')[1]}>
      <a className="skip" href="#page">
        {words.toThePage}
      </a>
      <Guarded what={words.whatIsCalling}>
        <Alarms />
      </Guarded>
      {silent && <Offline />}
      {useOutdated() && <Outdated />}
      <Unkept />
      <Unheard />
      {(clock.data?.putBack ?? 0) > 0 && (
        <div className="offline" role="status">
          {words.theComputersClockWasPut(span((clock.data?.putBack ?? 0) * 1000))}
        </div>
      )}
      <header className="top">
        <NavLink to="/" className="brand">
          {words.jollyKnot}
        </NavLink>
        <nav aria-label={words.main}>
          <NavLink to="/" end>
            {words.today}
          </NavLink>
          <NavLink to="/doughs">{words.doughs}</NavLink>
          <NavLink to="/plaits">{words.plaits}</NavLink>
          <NavLink to="/kitchen">{words.kitchen}</NavLink>
          <NavLink to="/logbook">{words.logbook}</NavLink>
        </nav>
        {data && <span className="right">{words.kitchenName(data.name, heat(data.room))}</span>}
      </header>
      <main className={settled ? 'page' : 'page settling'} id="page" tabIndex={-1}>
        <Guarded what={words.thisPage} anew={[page]}>
          <Suspense fallback={<Loading error={null} />}>
            <Outlet />
          </Suspense>
        </Guarded>
      </main>
      <Keys />
    </div>
  );
}

// A page kept open over an update: what it tells is still understood, what was typed is still there afterwards.
function Outdated() {
  return (
    <div className="offline" role="status">
      {words.jollyKnotWasUpdatedWhile}{' '}
      <button className="button small" onClick={() => window.location.reload()}>
        {words.loadItAnew}
      </button>
    </div>
  );
}

// What could not be kept, wherever it was changed, and trying it again.
function Unkept() {
  const [unkept, leave] = useUnkept();
  if (!unkept) return null;
  return (
    <div className="offline" role="alert">
      {words.notKept(unkept.said)}{' '}
      <button className="button small" onClick={unkept.again}>
        {words.tryAgain}
      </button>{' '}
      <button className="button small quiet" onClick={leave}>
        {words.leaveIt}
      </button>
    </div>
  );
}

// Said only when it lasts: a line that is just being made is no news.
function Offline() {
  return (
    <div className="offline appears-late" role="status">
      {words.theKitchenServerDoesNot}
    </div>
  );
}
