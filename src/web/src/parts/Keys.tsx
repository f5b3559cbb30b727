// "?" lists what keys do.
import { useEffect, useRef } from 'react';
import * as words from './words';

const keys = [
  [words.spaceEnter, words.doesWhatTheBigControl],
  ['Z', words.takesTheLastStepBack],
  ['0 to 9', words.beginsToTypeAWeight],
  ['Tab', words.goesFromOneControlTo],
  ['Arrows', words.moveWhatIsHeldBy],
  ['?', words.thisList],
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
      <h2 id="keys">{words.keys}</h2>
      <dl>
        {keys.map(([key, does]) => (
          <div key={key}>
            <dt>{key}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <form method="dialog">
        <button className="button">{words.close}</button>
      </form>
    </dialog>
  );
}
