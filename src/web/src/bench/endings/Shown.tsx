// What a beat says in large and in small.
import type { AtBeat } from '../AtTheBeat';

export function Figure({ beat }: AtBeat) {
  const { figure, detail } = beat.phrase;
  return (
    <>
      {figure && (
        <div className="figure">
          {figure.value}
          <span>{figure.unit}</span>
        </div>
      )}
      {detail && <p className="detail">{detail}</p>}
    </>
  );
}
