// Time along the picture: even between two points of its axis.
import type { Schemas } from '../api/http';

type Axis = Schemas['AxisPoint'][];

const between = (axis: Axis, isBefore: (point: Schemas['AxisPoint']) => boolean) => {
  const i = Math.min(
    axis.length - 1,
    Math.max(
      1,
      axis.findIndex((p) => !isBefore(p)),
    ),
  );
  return [axis[i - 1], axis[i]] as [Schemas['AxisPoint'], Schemas['AxisPoint']];
};

/** Where a time lies. */
export function xAt(axis: Axis, at: number) {
  const [a, b] = between(axis, (p) => Date.parse(p.at) < at);
  const [from, to] = [Date.parse(a.at), Date.parse(b.at)];
  return a.x + (b.x - a.x) * ((at - from) / (to - from));
}

/** What time lies there. */
export function timeAt(axis: Axis, x: number) {
  const [a, b] = between(axis, (p) => p.x < x);
  const [from, to] = [Date.parse(a.at), Date.parse(b.at)];
  return from + (to - from) * ((x - a.x) / (b.x - a.x));
}
