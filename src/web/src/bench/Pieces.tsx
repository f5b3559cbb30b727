// The pieces in hand: how alike they are, and how to shape them.
import type { Schemas } from '../api/http';
import type { AtBeat } from './AtTheBeat';
import { EvenOut } from './EvenOut';
import { weight } from './scaleUnits';
import { ShapeHelp } from './ShapeHelp';
import * as words from './words';

export function Pieces({ bake, beat }: AtBeat) {
  const { station, shape } = bake;
  if (!shape) return null;
  return (
    <>
      {station && (station.evenOut.length > 0 ? <EvenOut bake={bake} station={station} /> : <Spread station={station} />)}
      <ShapeHelp bake={bake} step={beat.step} />
    </>
  );
}

// How alike the pieces came out, and what that does in the oven.
function Spread({ station }: { station: Schemas['StationView'] }) {
  const uneven = station.cuts.filter((c) => c.spread !== null && c.spread > 0);
  if (uneven.length === 0) return null;
  const said = uneven.map((c) => {
    const apart = words.betweenLightestAndHeaviest(c.name, weight(station.scale, c.spread ?? 0));
    return c.bakeBetween === null ? apart : words.minInTheOven(apart, (c.bakeBetween / 60).toFixed(1));
  });
  return <p className="muted">{words.goodEnoughShapeOn(said.join(' · '))}</p>;
}
