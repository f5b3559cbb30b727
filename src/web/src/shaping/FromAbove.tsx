// A piece from above, before it is baked: in a drawing in millimetres, as long and wide as it is set down.
import type { ReactNode } from 'react';
import type { Schemas } from '../api/http';
import { coil, knot, plait, pretzel } from './BreadPicture';
import css from './shaping.module.css';

type Place = { look: Schemas['BreadLook']; x: number; y: number; length: number; width: number; across?: boolean | undefined };

export function FromAbove({ look, x, y, length, width, across = false }: Place) {
  const [l, w] = [length / 2, width / 2];
  return (
    <g className={`bread ${css.raw}`} transform={`translate(${x} ${y})${across ? ' rotate(90)' : ''}`}>
      {drawn(look, l, w)}
    </g>
  );
}

function drawn({ form, tie }: Schemas['BreadLook'], l: number, w: number): ReactNode {
  if (tie === 'pretzel') return <Fitted l={l} w={w} of={pretzel} box={[60, 44, 95, 59]} />;
  if (tie === 'knot') return <Fitted l={l} w={w} of={knot} box={[60, 45, 80, 62]} />;
  if (tie === 'coil') return <Fitted l={l} w={w} of={coil} box={[58, 47, 69, 50]} />;
  if (form === 'plait') return <Fitted l={l} w={w} of={plait} box={[58, 48, 104, 40]} />;
  const edge = { fill: 'var(--crust)', stroke: 'var(--crust-line)', strokeWidth: 3 };
  const round = form === 'ball' || form === 'disc' || form === 'ring';
  return (
    <>
      {round ? (
        <ellipse {...edge} rx={l} ry={w} />
      ) : (
        <rect {...edge} x={-l} y={-w} width={2 * l} height={2 * w} rx={form === 'log' ? Math.min(l, w) : 12} />
      )}
      {(form === 'disc' || form === 'tray') &&
        dimples.map(([a, b], i) => <circle key={i} cx={a * l} cy={b * w} r={form === 'tray' ? 6 : 3} fill="var(--crust-dark)" />)}
      {form === 'ring' && <ellipse rx={l * 0.8} ry={w * 0.8} fill="none" stroke="var(--crust-dark)" strokeWidth={2} />}
      <path
        d={`M${-0.62 * l} ${-0.1 * w} Q${-0.6 * l} ${-0.62 * w} ${(round ? -0.1 : 0.2) * l} ${-0.66 * w}`}
        className={css.light}
        fill="none"
        strokeWidth={Math.min(l, w) * 0.16}
        strokeLinecap="round"
      />
    </>
  );
}

const dimples = [
  [-0.3, 0.3],
  [0.35, -0.2],
  [0.1, 0.55],
  [0.5, 0.35],
] as const;

// A drawing, whose middle, width and height are known, made as large as the piece.
function Fitted({ of, box, l, w }: { of: ReactNode; box: [number, number, number, number]; l: number; w: number }) {
  const [x, y, width, height] = box;
  return <g transform={`scale(${(2 * l) / width} ${(2 * w) / height}) translate(${-x} ${-y})`}>{of}</g>;
}
