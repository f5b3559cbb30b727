import * as words from './words';
import css from './bench.module.css';
// How good it was, in stars.
const most = 5;

export const StarButtons = ({ stars, set }: { stars: number; set: (stars: number) => void }) => (
  <div className="answers" role="group" aria-label={words.rating}>
    {Array.from({ length: most }, (_, i) => i + 1).map((n) => (
      <button
        type="button"
        key={n}
        className={n <= stars ? `button ${css.star} ${css.given}` : `button ${css.star}`}
        aria-pressed={n === stars}
        aria-label={words.ofN(n, most)}
        onClick={() => set(n)}
      >
        {n <= stars ? '★' : '☆'}
      </button>
    ))}
  </div>
);
