// The whole bench by keyboard: Space and Enter do, Z takes back, a digit is typed. So do a foot switch and a remote.
import { useLayoutEffect } from 'react';

const notOurs = 'input, textarea, select, button, a, [role=dialog], [role=slider]';

// What foot switches and remotes send. The keys for how loud it is are left alone.
const switches = /^(PageUp|PageDown|Media.*|F1[3-9]|F2[0-4])$/;

export function useKeys({ act, undo, digit }: { act: () => void; undo: () => void; digit?: (digit: string) => void }) {
  // Before the sentence is seen, so that no key is lost between the two.
  useLayoutEffect(() => {
    const pressed = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || e.repeat) return;
      if ((e.target as HTMLElement).closest(notOurs)) return;
      if (e.key === ' ' || e.key === 'Enter' || switches.test(e.key)) act();
      else if (e.key.toLowerCase() === 'z') undo();
      else if (/^[0-9]$/.test(e.key)) digit?.(e.key);
      else return;
      e.preventDefault();
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  });
}
