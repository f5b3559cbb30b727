// Dough on the table wants a little more flour: a spoon kneaded in is told and counted.
import type { BakeEvent, Schemas } from '../api/http';
import css from './bench.module.css';

export function KneadIn({ table, tell }: { table: Schemas['TableView']; tell: (event: BakeEvent) => void }) {
  return (
    <p className={css.kneadIn}>
      <button
        type="button"
        className="button small"
        onClick={() => tell({ type: 'kneaded-in', water: 0, flour: table.flourSpoon })}
      >
        A spoon of flour kneaded in
      </button>
      {table.kneaded && <small className="muted">So far on the table: {table.kneaded}.</small>}
    </p>
  );
}
