// The dough as it stands now, in its tin or free, within what it is to become: what the eye compares.
import type { Schemas } from '../api/http';
import * as words from './words';

type Sizes = Schemas['ProofSize'];

const width = 170;
const dough = { fill: 'var(--s0)', stroke: 'var(--s0-line)', strokeWidth: 2 };
const outline = { fill: 'none', stroke: 'var(--s0-line)', strokeWidth: 2, strokeDasharray: '5 4' };

export const Size = ({ size }: { size: Sizes }) => (size.inTin ? <InTin size={size} /> : <Free size={size} />);

// From the side, its tin cut open: the dough rises between the walls and its crown over the rim.
function InTin({ size }: { size: Sizes }) {
  const [depth, base, wall] = [58, 92, 12];
  const top = (share: number) => base - share * depth;
  const crown = (share: number) => {
    const y = top(share);
    return `M${wall + 4} ${y + 5} Q${width / 2} ${y - 9} ${width - wall - 4} ${y + 5}`;
  };
  return (
    <svg viewBox={`0 0 ${width} 100`} width={width} role="img" aria-label={words.itFillsOfItsTin(percent(size.now))}>
      <path d={`${crown(size.now)} L${width - wall - 8} ${base} L${wall + 8} ${base} Z`} {...dough} strokeLinejoin="round" />
      <path d={crown(size.setDown)} {...outline} opacity={0.5} />
      <path d={crown(size.wanted)} {...outline} />
      <path
        d={`M${wall} ${top(1)} L${wall + 6} ${base + 3} L${width - wall - 6} ${base + 3} L${width - wall} ${top(1)}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={4}
        strokeLinejoin="round"
        strokeLinecap="round"
      />
    </svg>
  );
}

// One piece from the side on its tray.
function Free({ size }: { size: Sizes }) {
  const [room, base] = [62, 92];
  // A dome: wider than high, both growing alike.
  const dome = (wide: number) => {
    const [half, high] = [(room * wide) / size.wanted, (room * wide * 1.1) / size.wanted];
    const [from, to] = [width / 2 - half, width / 2 + half];
    return `M${from} ${base} C${from} ${base - high * 1.1} ${to} ${base - high * 1.1} ${to} ${base} Z`;
  };
  return (
    <svg
      viewBox={`0 0 ${width} 100`}
      width={width}
      role="img"
      aria-label={words.itIsWiderThanSet(percent(size.now - 1), percent(size.wanted - 1))}
    >
      <path d={dome(size.now)} {...dough} strokeLinejoin="round" />
      <path d={dome(size.setDown)} {...outline} opacity={0.5} />
      <path d={dome(size.wanted)} {...outline} />
      <path d={`M14 ${base + 3} H${width - 14}`} stroke="var(--ink)" strokeWidth={4} strokeLinecap="round" />
    </svg>
  );
}

const percent = (share: number) => `${Math.round(share * 100)} %`;
