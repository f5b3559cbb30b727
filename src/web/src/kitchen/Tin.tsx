// A tray or tin.
import type { Schemas } from '../api/http';
import { Drop, Name, Num, NumOrNone, OneOf, Section } from './form';
import * as words from './words';
import css from './kitchen.module.css';

type Tin = Schemas['Tin'];

const shapes: [Schemas['TinShape'], string][] = [
  ['tray', 'tray'],
  ['round', words.roundTin],
  ['rectangle', words.squareTin],
  ['loaf', words.loafTin],
  ['hollows', words.manyHollows],
  ['channels', 'channels'],
  ['stone', words.bakingStone],
];

type Props = { tin: Tin; at: string; put: (to: Partial<Tin>) => void; drop: () => void };

export function TinFields({ tin, at, put, drop }: Props) {
  return (
    <Section title={tin.name} usedBy={words.howManyLieInIt}>
      <div className={css.kit}>
        <Name at={`${at}.name`} value={tin.name} set={(name) => put({ name })} />
        <OneOf label={words.shape} at={`${at}.shape`} value={tin.shape} options={shapes} set={(shape) => put({ shape })} />
        {tin.shape === 'round' ? (
          <Num
            label={words.across}
            of="length"
            at={`${at}.length`}
            value={tin.length}
            set={(v) => put({ length: v, width: v })}
          />
        ) : (
          <>
            <Num label={words.length} of="length" at={`${at}.length`} value={tin.length} set={(length) => put({ length })} />
            <Num label={words.width} of="length" at={`${at}.width`} value={tin.width} set={(width) => put({ width })} />
          </>
        )}
        {tin.shape === 'loaf' && (
          <Num label={words.depth} of="length" at={`${at}.depth`} value={tin.depth} set={(depth) => put({ depth })} />
        )}
        {(tin.shape === 'hollows' || tin.shape === 'channels') && (
          <Num
            label={tin.shape === 'hollows' ? words.hollows : words.channels}
            at={`${at}.count`}
            value={tin.count}
            set={(count) => put({ count: Math.round(count) })}
          />
        )}
        {tin.shape === 'hollows' && (
          <NumOrNone
            label={words.mlEach}
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
