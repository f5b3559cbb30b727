// A real scale at this device, where the browser can read one.
import { readScale, scaleWays, useScaleLine } from '../api/scaleLine';

export function ScaleHere() {
  const { from, trouble } = useScaleLine();
  if (scaleWays.length === 0) return null;
  return (
    <div className="choices" role="group" aria-label="A scale at this device">
      {from ? (
        <span role="status">The scale is read {from}.</span>
      ) : (
        scaleWays.map((way) => (
          <button key={way.name} type="button" className="button small quiet" onClick={() => void readScale(way)}>
            Read the scale {way.name}
          </button>
        ))
      )}
      {trouble && <span className="problem">{trouble}</span>}
    </div>
  );
}
