// A tray or tin.
import type { Schemas } from '../api/http';
import { Drop, Name, Num, NumOrNone, OneOf, Section } from './form';
import css from './kitchen.module.css';

type Tin = Schemas['Tin'];

const shapes: [Schemas['TinShape'], string][] = [
  ['tray', 'tray'],
  ['round', 'round tin'],
  ['rectangle', 'square tin'],
  ['loaf', 'loaf tin'],
  ['hollows', 'many hollows'],
  ['channels', 'channels'],
  ['stone', 'baking stone'],
];

type Props = { tin: Tin; at: string; put: (to: Partial<Tin>) => void; drop: () => void };

export function TinFields({ tin, at, put, drop }: Props) {
  return (
    <Section title={tin.name} usedBy="how many lie in it, what dough it wants, how far that rises">
      <div className={css.kit}>
        <Name at={`${at}.name`} value={tin.name} set={(name) => put({ name })} />
        <OneOf label="Shape" at={`${at}.shape`} value={tin.shape} options={shapes} set={(shape) => put({ shape })} />
        {tin.shape === 'round' ? (
          <Num label="Across" of="length" at={`${at}.length`} value={tin.length} set={(v) => put({ length: v, width: v })} />
        ) : (
          <>
            <Num label="Length" of="length" at={`${at}.length`} value={tin.length} set={(length) => put({ length })} />
            <Num label="Width" of="length" at={`${at}.width`} value={tin.width} set={(width) => put({ width })} />
          </>
        )}
        {tin.shape === 'loaf' && (
          <Num label="Depth" of="length" at={`${at}.depth`} value={tin.depth} set={(depth) => put({ depth })} />
        )}
        {(tin.shape === 'hollows' || tin.shape === 'channels') && (
          <Num
            label={tin.shape === 'hollows' ? 'Hollows' : 'Channels'}
            at={`${at}.count`}
            value={tin.count}
            set={(count) => put({ count: Math.round(count) })}
          />
        )}
        {tin.shape === 'hollows' && (
          <NumOrNone
            label="mL each"
            at={`${at}.hollowVolume`}
            value={tin.hollowVolume}
            set={(hollowVolume) => put({ hollowVolume })}
          />
        )}
      </div>
      <Drop what={tin.name} drop={drop} />
    </Section>
  );
}
