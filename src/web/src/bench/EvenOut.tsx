// The fewest pinches that make all pieces even: arrows from the heavy ones to the light ones, each with its grams.
import { useTell } from '../api/change';
import { houseNow } from '../api/clock';
import { newId, type BenchView, type Schemas } from '../api/http';
import { useWidth } from '../parts/useWidth';
import { figure, weight } from './scaleUnits';
import * as words from './words';
import css from './bench.module.css';

const [pitch, row] = [66, 104];

export function EvenOut({ bake, station }: { bake: BenchView; station: Schemas['StationView'] }) {
  const tell = useTell(bake.id);
  const { scale } = station;
  const [ref, width] = useWidth<HTMLDivElement>();
  const across = Math.max(1, Math.floor(width / pitch));
  const at = (number: number) => ({
    x: ((number - 1) % across) * pitch + pitch / 2,
    y: Math.floor((number - 1) / across) * row + row - 20,
  });
  const piece = (number: number) => station.pieces[number - 1];
  const usual = Math.max(1, ...station.pieces.map((p) => p.target));
  const name = (number: number) => {
    const p = piece(number);
    const cut = station.cuts[p?.cut ?? 0];
    if (!p || !cut) return String(number);
    const own = cut.strands > 1 ? `${p.of}.${p.strand}` : String(p.of);
    return station.cuts.length > 1 ? `${own} (${cut.name})` : own;
  };

  // Both are weighed anew in one go: what one gives the other has.
  async function done(p: Schemas['Pinch']) {
    const part = (number: number, units: number) => ({
      type: 'part-weighed' as const,
      number,
      mass: ((piece(number)?.weighed ?? 0) + units) * scale.grams,
    });
    const told = { at: new Date(houseNow()).toISOString(), said: words.evenThemOut };
    const first = await tell.mutateAsync({ event: part(p.from, -p.units), basedOn: bake.position, id: newId(), ...told });
    await tell.mutateAsync({ event: part(p.to, p.units), basedOn: first.position, id: newId(), ...told });
  }

  return (
    <section className="stack" aria-label={words.evenThemOut}>
      <div ref={ref}>
        {width > 0 && (
          <svg
            className="picture"
            viewBox={`0 0 ${width} ${Math.ceil(station.pieces.length / across) * row + 16}`}
            role="img"
            aria-label={station.pieces.map((p) => `${name(p.number)}: ${weight(scale, p.weighed ?? 0)}`).join(', ')}
          >
            <defs>
              <marker id="tip" viewBox="0 0 10 10" refX={8} refY={5} markerWidth={5} markerHeight={5} orient="auto-start-reverse">
                <path d="M 0 0 L 10 5 L 0 10 z" fill="var(--now)" />
              </marker>
            </defs>
            {station.pieces.map((p) => {
              const { x, y } = at(p.number);
              const off = p.verdict !== 'good';
              return (
                <g key={p.number} transform={`translate(${x} ${y})`}>
                  {off && <circle r={31} fill="none" stroke="var(--now)" strokeWidth={2.5} strokeDasharray="3 4" />}
                  <circle
                    r={Math.min(28, 24 * Math.cbrt((p.weighed ?? 0) / usual))}
                    fill="var(--s0)"
                    stroke="var(--s0-line)"
                    strokeWidth={2}
                  />
                  <text y={5} textAnchor="middle" fontSize={16} fontWeight={700} className="on-dough">
                    {figure(scale, p.weighed ?? 0)}
                  </text>
                </g>
              );
            })}
            {station.evenOut.map((p) => {
              const [a, b] = [at(p.from), at(p.to)];
              const lift = Math.min(a.y, b.y) - 40;
              return (
                <g key={`${p.from}-${p.to}`}>
                  <path
                    d={`M ${a.x} ${a.y - 30} C ${a.x} ${lift}, ${b.x} ${lift}, ${b.x} ${b.y - 33}`}
                    fill="none"
                    stroke="var(--now)"
                    strokeWidth={3}
                    markerEnd="url(#tip)"
                  />
                  <text
                    x={(a.x + b.x) / 2}
                    y={(a.y + b.y) / 2 - 62 + Math.abs(a.y - b.y) / 4}
                    textAnchor="middle"
                    fontSize={16}
                    fontWeight={700}
                    className="is-now"
                  >
                    {figure(scale, p.units)}
                  </text>
                </g>
              );
            })}
          </svg>
        )}
      </div>
      {station.evenOut.map((p) => (
        <div key={`${p.from}-${p.to}`} className={css.pinch}>
          <span>
            {words.take} <b>{weight(scale, p.units)}</b> {words.fromNoPressItUnder(name(p.from), name(p.to))}
          </span>
          <button className="button" disabled={tell.isPending} onClick={() => void done(p)}>
            {words.done}
          </button>
        </div>
      ))}
    </section>
  );
}
