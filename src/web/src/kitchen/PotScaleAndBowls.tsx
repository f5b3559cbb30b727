// The pot, the scale and what it leaves alone, hob and microwave, and bowls weighed empty.
import { newId, type Schemas } from '../api/http';
import { Add, Drop, listOf, Name, Num, OneOf, Section } from './form';
import type { Part } from './KitchenPage';

const percent = 0.01;
const noScale = 0;

export function PotScaleAndBowls({ k, usual, change, steps }: Part & { steps: Schemas['ScaleStepView'][] }) {
  const vessels = listOf(k.vessels, (v) => change({ vessels: v }));
  const tolerance = k.tolerance ?? usual.tolerance;
  const onScale: [number, string][] = [...steps.map((s): [number, string] => [s.step, s.name]), [noScale, 'no scale']];
  return (
    <Section title="Pot, scale, hob and bowls">
      <div className="kit">
        <Name label="Pot" at="pot.name" value={k.pot.name} set={(name) => change({ pot: { ...k.pot, name } })} />
        <Num
          label="Pot across"
          of="length"
          at="pot.across"
          value={k.pot.across}
          set={(across) => change({ pot: { ...k.pot, across } })}
        />
        <Num
          label="Filled with, litres"
          at="pot.litres"
          value={k.pot.litres}
          set={(litres) => change({ pot: { ...k.pot, litres } })}
        />
        <OneOf
          label="Scale shows steps of"
          at="scaleStep"
          value={k.noScale ? noScale : (k.scaleStep ?? usual.scaleStep)}
          options={onScale}
          set={(g) => change(g === noScale ? { noScale: true } : { noScale: false, scaleStep: g })}
        />
        <Num
          label="Leave alone"
          of="mass"
          at="tolerance.least"
          value={tolerance.least}
          set={(least) => change({ tolerance: { ...tolerance, least } })}
        />
        <Num
          label="or, %"
          at="tolerance.part"
          value={tolerance.part}
          set={(part) => change({ tolerance: { ...tolerance, part } })}
          times={percent}
        />
        <Num label="Ring for rounds" of="length" at="ring" value={k.ring} set={(ring) => change({ ring })} />
        <Num label="Hob, W" at="hob" value={k.hob ?? usual.hob} set={(hob) => change({ hob })} />
        <Num
          label="Microwave, W"
          at="microwave"
          value={k.microwave ?? usual.microwave}
          set={(microwave) => change({ microwave })}
        />
      </div>
      {vessels.all.map((v, i) => (
        <div className="kit line" key={v.id}>
          <Name at={`vessels[${i}].name`} value={v.name} set={(name) => vessels.put(i, { name })} />
          <Num label="Empty" of="mass" at={`vessels[${i}].empty`} value={v.empty} set={(empty) => vessels.put(i, { empty })} />
          <Drop what={v.name} drop={() => vessels.drop(i)} />
        </div>
      ))}
      <Add what="a bowl" add={() => vessels.add({ ...usual.vessel, id: newId() })} />
    </Section>
  );
}
