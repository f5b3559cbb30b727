// Cuts that do not add up to the dough, and what can be done about it.
import type { Chosen, LaidOut } from './useChoice';
import * as words from './words';

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
            {words.leaveTheDoughAsIt}
          </button>
        ) : (
          (over || under) && (
            <button type="button" className="button small" onClick={() => setScaleToCuts(true)}>
              {words.scaleTheDoughToThese}
            </button>
          )
        )}
        {over && (
          <button type="button" className="button small" onClick={() => setCuts([...cuts, {}])}>
            {words.keepTheRestCold}
          </button>
        )}
        {(over || under) && last >= 0 && (
          <button type="button" className="button small" onClick={countFollows}>
            {under ? words.fewerOfTheLast : words.moreOfTheLast}
          </button>
        )}
      </span>
    </div>
  );
}
