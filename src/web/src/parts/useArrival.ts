// Coming to a page: the tab is named for it, and a keyboard or a screen reader stands at its heading.
import { useEffect, useRef } from 'react';
import { useLocation } from 'react-router';
import { namePage } from './title';

const names: [RegExp, string][] = [
  [/^\/$/, 'Today'],
  [/^\/doughs\/read/, 'Read a recipe'],
  [/^\/doughs\/.+\/load/, 'Weigh in'],
  [/^\/doughs\/.+/, 'Dough'],
  [/^\/doughs/, 'Doughs'],
  [/^\/plaits/, 'Plaits'],
  [/^\/kitchen\/pantry/, 'Pantry'],
  [/^\/kitchen/, 'Kitchen'],
  [/^\/day\/sheet/, 'Bench sheet'],
  [/^\/day/, 'The day'],
  [/^\/lay-out/, 'Lay out'],
  [/^\/bench/, 'Bench'],
  [/^\/labels/, 'Labels'],
  [/^\/logbook\/.+/, 'A bake'],
  [/^\/logbook/, 'Logbook'],
];

const patience = 3000;

export function useArrival() {
  const { pathname } = useLocation();
  const came = useRef(pathname);
  useEffect(() => {
    namePage(names.find(([path]) => path.test(pathname))?.[1] ?? 'Nowhere');
    if (came.current === pathname) return;
    came.current = pathname;
    return onceThere(() => document.querySelector<HTMLElement>('main h1'), standAt);
  }, [pathname]);
}

export function standAt(heading: HTMLElement) {
  heading.tabIndex = -1;
  heading.focus({ preventScroll: true });
}

// Pages come in late: waits for what is looked for, but not for ever.
function onceThere(find: () => HTMLElement | null, then: (found: HTMLElement) => void) {
  const look = () => {
    const found = find();
    if (!found) return;
    stop();
    then(found);
  };
  const watching = new MutationObserver(look);
  const timer = setTimeout(() => stop(), patience);
  const stop = () => {
    watching.disconnect();
    clearTimeout(timer);
  };
  watching.observe(document.body, { childList: true, subtree: true });
  look();
  return stop;
}
