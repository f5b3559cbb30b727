// Hands for the stand-in scale: put dough on, pinch dough off.
import { useClearScale, usePutOnScale, useTareScale } from '../api/changes';
import { useLive } from '../api/live';
import { useUnits } from '../parts/units';
import * as words from './words';
import css from './bench.module.css';

export function ScaleHands({ target }: { target: number | null }) {
  const { reading } = useLive();
  const on = usePutOnScale();
  const clear = useClearScale();
  const tare = useTareScale();
  const { mass } = useUnits();
  const put = (grams: number) => void on.make(grams);
  return (
    <details open={window.innerWidth > 760}>
      <summary>
        {words.standInScale} {reading?.units === null ? words.noFigure : mass((reading?.units ?? 0) * (reading?.step ?? 1))}
      </summary>
      <div className={css.scaleHands}>
        {target !== null && (
          <>
            <button className="button" onClick={() => put(Math.round(target * 1.1))}>
              {words.putOnABitMuch}
            </button>
            <button className="button" onClick={() => put(Math.round(target))}>
              {words.putOn(mass(target))}
            </button>
          </>
        )}
        {[10, 1, -1, -5].map((g) => (
          <button key={g} className="button" onClick={() => put(g)}>
            {g > 0 ? words.add(g) : words.pinch(-g)}
          </button>
        ))}
        <button className="button" onClick={() => void clear.make(undefined)}>
          {words.liftAllOff}
        </button>
        <button className="button" onClick={() => void tare.make(undefined)}>
          {words.tare}
        </button>
      </div>
    </details>
  );
}
