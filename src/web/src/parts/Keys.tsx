// "?" lists what keys do.
import { useEffect, useRef } from 'react';

const keys = [
  ['Space, Enter', 'Does what the big control says; so does a foot switch or a remote'],
  ['Z', 'Takes the last step back'],
  ['0 to 9', 'Begins to type a weight'],
  ['Tab', 'Goes from one control to the next'],
  ['Arrows', 'Move what is held by a time, later or sooner'],
  ['?', 'This list'],
];

export function Keys() {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const pressed = (e: KeyboardEvent) => {
      const isTyping = (e.target as HTMLElement).closest('input, textarea, select, [role=combobox]');
      if (e.key === '?' && !isTyping) dialog.current?.showModal();
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, []);
  return (
    <dialog ref={dialog} className="keys card" aria-labelledby="keys">
      <h2 id="keys">Keys</h2>
      <dl>
        {keys.map(([key, does]) => (
          <div key={key}>
            <dt>{key}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <form method="dialog">
        <button className="button">Close</button>
      </form>
    </dialog>
  );
}
