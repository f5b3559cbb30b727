// Dough on the table wants a little more flour: a spoon kneaded in is told and counted.
import type { BakeEvent, Schemas } from '../api/http';
import * as words from './words';
import css from './bench.module.css';

export function KneadIn({ table, tell }: { table: Schemas['TableView']; tell: (event: BakeEvent) => void }) {
  return (
    <p className={css.kneadIn}>
      <button
        type="button"
        className="button small"
        onClick={() => tell({ type: 'kneaded-in', water: 0, flour: table.flourSpoon })}
      >
        {words.aSpoonOfFlourKneaded}
      </button>
      {table.kneaded && <small className="muted">{words.soFarOnTheTable(table.kneaded)}</small>}
    </p>
  );
}
