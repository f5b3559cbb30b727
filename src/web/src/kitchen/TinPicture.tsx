// A tin or tray from above, to scale with its neighbours.
import type { Schemas } from '../api/http';

export function TinPicture({ tin }: { tin: Schemas['Tin'] }) {
  const scale = 76 / 480;
  const [w, h] = [Math.min(80, tin.length * scale), Math.min(70, tin.width * scale)];
  const [x, y] = [(84 - w) / 2, (72 - h) / 2];
  const look = { fill: 'var(--lane-machine)', stroke: 'var(--soft-ink)', strokeWidth: 1.5 };
  const count = tin.count ?? 1;
  const across = tin.shape === 'hollows' ? Math.ceil(Math.sqrt((count * w) / Math.max(1, h))) : 1;
  const down = Math.ceil(count / across);
  return (
    <svg viewBox="0 0 84 72" width={84} height={72} aria-hidden>
      {tin.shape === 'round' ? (
        <>
          <circle cx={42} cy={36} r={w / 2} {...look} />
          <circle cx={42} cy={36} r={Math.max(1, w / 2 - 3)} fill="none" stroke="var(--line)" />
        </>
      ) : (
        <rect x={x} y={y} width={w} height={h} rx={tin.shape === 'loaf' ? 5 : 3} {...look} />
      )}
      {tin.shape === 'loaf' && (
        <rect
          x={x + 3}
          y={y + 3}
          width={Math.max(1, w - 6)}
          height={Math.max(1, h - 6)}
          rx={3}
          fill="none"
          stroke="var(--line)"
        />
      )}
      {tin.shape === 'hollows' &&
        Array.from({ length: Math.min(count, 60) }, (_, i) => (
          <circle
            key={i}
            cx={x + (w * ((i % across) + 0.5)) / across}
            cy={y + (h * (Math.floor(i / across) + 0.5)) / down}
            r={Math.max(1, Math.min(w / across, h / down) / 2 - 2)}
            fill="var(--card)"
            stroke="var(--soft-ink)"
          />
        ))}
      {tin.shape === 'channels' &&
        Array.from({ length: Math.min(count, 12) }, (_, i) => (
          <rect
            key={i}
            x={x + 2}
            y={y + (h * i) / count + 2}
            width={Math.max(1, w - 4)}
            height={Math.max(1, h / count - 4)}
            rx={4}
            fill="var(--card)"
            stroke="var(--soft-ink)"
          />
        ))}
    </svg>
  );
}
