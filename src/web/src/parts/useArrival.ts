// Coming to a page: the tab is named for it, and a keyboard or a screen reader stands at its heading.
import { useEffect, useRef } from 'react';
import { useLocation } from 'react-router';
import { namePage } from './title';
import * as words from './words';

const names: [RegExp, string][] = [
  [/^\/$/, words.today],
  [/^\/doughs\/read/, words.readARecipe],
  [/^\/doughs\/.+\/load/, words.weighIn],
  [/^\/doughs\/.+/, words.dough],
  [/^\/doughs/, words.doughs],
  [/^\/plaits/, words.plaits],
  [/^\/kitchen\/pantry/, words.pantry],
  [/^\/kitchen/, words.kitchen],
  [/^\/day\/sheet/, words.benchSheet],
  [/^\/day/, words.theDay],
  [/^\/lay-out/, words.layOut],
  [/^\/bench/, words.bench],
  [/^\/labels/, words.labels],
  [/^\/logbook\/.+/, words.aBake],
  [/^\/logbook/, words.logbook],
];

const patience = 3000;

export function useArrival() {
  const { pathname } = useLocation();
  const came = useRef(pathname);
  useEffect(() => {
    namePage(names.find(([path]) => path.test(pathname))?.[1] ?? words.nowhere);
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
