// Cuts that do not add up to the dough, and what can be done about it.
import type { Chosen, LaidOut } from './useChoice';

export function CutsThatDoNotAddUp({ chosen, laidOut }: { chosen: Chosen; laidOut: LaidOut }) {
  const { cuts, setCuts, scaleToCuts, setScaleToCuts } = chosen;
  const { problem, is } = laidOut;
  const said = problem('cuts');
  if (!said && !scaleToCuts) return null;
  const over = is('left-over');
  const under = is('too-much');
  const last = cuts.findLastIndex((c) => c.pieces && c.each);
  const countFollows = () => setCuts(cuts.map((c, i) => (i === last ? { ...c, pieces: null } : c)));
  return (
    <div className="wide field">
      {said && (
        <span className="problem" role="alert">
          {said}
        </span>
      )}
      <span className="choices">
        {scaleToCuts ? (
          <button type="button" className="link" onClick={() => setScaleToCuts(false)}>
            Leave the dough as it is written
          </button>
        ) : (
          (over || under) && (
            <button type="button" className="button small" onClick={() => setScaleToCuts(true)}>
              Scale the dough to these
            </button>
          )
        )}
        {over && (
          <button type="button" className="button small" onClick={() => setCuts([...cuts, {}])}>
            Keep the rest cold
          </button>
        )}
        {(over || under) && last >= 0 && (
          <button type="button" className="button small" onClick={countFollows}>
            {under ? 'Fewer of the last' : 'More of the last'}
          </button>
        )}
      </span>
    </div>
  );
}
