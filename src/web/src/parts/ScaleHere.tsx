// A real scale at this device, where the browser can read one.
import { readScale, scaleWays, useScaleLine } from '../api/scaleLine';
import * as words from './words';

export function ScaleHere() {
  const { from, trouble } = useScaleLine();
  if (scaleWays.length === 0) return null;
  return (
    <div className="choices" role="group" aria-label={words.aScaleAtThisDevice}>
      {from ? (
        <span role="status">{words.theScaleIsRead(from)}</span>
      ) : (
        scaleWays.map((way) => (
          <button key={way.name} type="button" className="button small quiet" onClick={() => void readScale(way)}>
            {words.readTheScale(way.name)}
          </button>
        ))
      )}
      {trouble && <span className="problem">{trouble}</span>}
    </div>
  );
}
