// The plait trainer: one move at a time, forwards and back, by key, touch or a timer.
import { Checkbox } from 'antd';
import { useEffect, useState } from 'react';
import { api, type Schemas, type Trouble } from '../api/http';
import { speak } from '../bench/sound';
import { useLater } from '../parts/useLater';
import { WeavePicture } from './WeavePicture';
import * as words from './words';

export type Plaited = { tie: Schemas['Kind'] | null; strands: number };

const moves = 18;
const beats = [4, 8];

export function PlaitTrainer({ of, word = '' }: { of: Plaited; word?: string }) {
  const [mirrored, setMirrored] = useState(() => localStorage.getItem('left-handed') === 'yes');
  const [middle, setMiddle] = useState(false);
  const [step, setStep] = useState(0);
  const [every, setEvery] = useState<number | null>(null);
  const asked = useLater(word);
  const { data, error } = api.useQuery(
    'post',
    '/api/plaits',
    { body: { tie: of.tie, strands: of.strands, word: asked, moves, mirrored, fromTheMiddle: middle && of.tie === null } },
    { retry: false, placeholderData: (before) => before },
  );
  const trouble = error as Trouble | null;
  const last = (data?.say.length ?? 1) - 1;
  const at = Math.min(step, last);
  const go = (by: number) => setStep((s) => Math.min(last, Math.max(0, Math.min(s, last) + by)));

  useEffect(() => {
    if (every === null) return;
    const timer = setInterval(() => setStep((s) => (s >= last ? s : s + 1)), every * 1000);
    return () => clearInterval(timer);
  }, [every, last]);
  const say = data?.say[at] ?? '';
  useEffect(() => {
    if (localStorage.getItem('speak') === 'yes' && say) speak(say);
  }, [say]);
  useEffect(() => {
    const pressed = (e: KeyboardEvent) => {
      if ((e.target as HTMLElement).closest('input, textarea, [role=combobox]') || e.ctrlKey || e.altKey || e.metaKey) return;
      if (e.key === 'ArrowRight' || e.key === 'ArrowDown') setStep((s) => Math.min(last, s + 1));
      else if (e.key === 'ArrowLeft' || e.key === 'ArrowUp') setStep((s) => Math.max(0, Math.min(s, last) - 1));
      else return;
      e.preventDefault();
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, [last]);

  if (trouble)
    return (
      <p className="problem" role="alert">
        {trouble.title}
      </p>
    );
  if (!data) return null;
  const plait = of.tie === null;
  const half = data.half.steps.length;
  // Worked from the middle: first the near half, then, turned round, the far one.
  const other = data.otherHalf && at >= half ? at - half : null;
  return (
    <section className="trainer" aria-label={words.plaitTrainer}>
      <div className="trainer-picture">
        {data.otherHalf && (
          <WeavePicture
            weave={data.otherHalf}
            step={other ?? 0}
            label={words.theFarHalf}
            flipped
            room={other === null ? 90 : 220}
          />
        )}
        <WeavePicture
          weave={data.half}
          step={Math.min(at, half - 1)}
          label={words.after(say)}
          room={data.otherHalf ? (other === null ? 330 : 190) : 420}
        />
      </div>
      <div className="trainer-words">
        <p className="trainer-say" aria-live="polite">
          {say}
        </p>
        <div className="trainer-steps">
          <button className="button" onClick={() => go(-1)} disabled={at === 0}>
            {words.back}
          </button>
          <button className="button do" onClick={() => go(1)} disabled={at === last}>
            {words.nextMove}
          </button>
        </div>
        <p className="muted num">
          {words.ofAt(at, last)}
          {plait && data.word && words.placesCountFromTheLeft(data.word)}
        </p>
        <div className="choices">
          {plait && (
            <>
              <Checkbox
                checked={mirrored}
                onChange={(e) => {
                  localStorage.setItem('left-handed', e.target.checked ? 'yes' : 'no');
                  setMirrored(e.target.checked);
                }}
              >
                {words.leftHanded}
              </Checkbox>
              <Checkbox checked={middle} onChange={(e) => setMiddle(e.target.checked)}>
                {words.fromTheMiddle}
              </Checkbox>
            </>
          )}
          {beats.map((s) => (
            <Checkbox key={s} checked={every === s} onChange={(e) => setEvery(e.target.checked ? s : null)}>
              {words.aMoveEveryS(s)}
            </Checkbox>
          ))}
        </div>
        {data.check.length > 0 && (
          <ul className="lines">
            {data.check.map((c, i) => (
              <li key={c} className={i < 2 && !data.isGood && /apart|hangs/.test(c) ? 'late' : ''}>
                {c}
              </li>
            ))}
          </ul>
        )}
      </div>
    </section>
  );
}
