// What stands on the worktop: scale, pot, hob and microwave, the ring for rounds, bowls weighed empty.
import { newId, type Schemas } from '../api/http';
import { ScaleHere } from '../parts/ScaleHere';
import { Drop, listOf, Name, Num, OneOf, Section } from './form';
import type { Part } from './KitchenPage';
import * as words from './words';
import css from './kitchen.module.css';

const percent = 0.01;
const noScale = 0;

export function Scale({ k, usual, change, steps }: Part & { steps: Schemas['ScaleStepView'][] }) {
  const tolerance = k.tolerance ?? usual.tolerance;
  const onScale: [number, string][] = [...steps.map((s): [number, string] => [s.step, s.name]), [noScale, words.noScale]];
  return (
    <Section title={words.scale} usedBy={words.wholeFiguresToWeighTo}>
      <div className={css.kit}>
        <OneOf
          label={words.scaleShowsStepsOf}
          at="scaleStep"
          value={k.noScale ? noScale : (k.scaleStep ?? usual.scaleStep)}
          options={onScale}
          set={(g) => change(g === noScale ? { noScale: true } : { noScale: false, scaleStep: g })}
        />
        <Num
          label={words.leaveAlone}
          of="mass"
          at="tolerance.least"
          value={tolerance.least}
          usual={usual.tolerance.least}
          set={(least) => change({ tolerance: { ...tolerance, least } })}
        />
        <Num
          label={words.or}
          at="tolerance.part"
          value={tolerance.part}
          usual={usual.tolerance.part}
          set={(part) => change({ tolerance: { ...tolerance, part } })}
          times={percent}
        />
      </div>
      {!k.noScale && <ScaleHere />}
    </Section>
  );
}

export function PotAndHob({ k, usual, change }: Part) {
  return (
    <Section title={words.potHobAndMicrowave} usedBy={words.howManyBoilAtOnce}>
      <div className={css.kit}>
        <Name label={words.pot} at="pot.name" value={k.pot.name} set={(name) => change({ pot: { ...k.pot, name } })} />
        <Num
          label={words.potAcross}
          of="length"
          at="pot.across"
          value={k.pot.across}
          set={(across) => change({ pot: { ...k.pot, across } })}
        />
        <Num
          label={words.filledWithLitres}
          at="pot.litres"
          value={k.pot.litres}
          set={(litres) => change({ pot: { ...k.pot, litres } })}
        />
        <Num label={words.hobW} at="hob" value={k.hob ?? usual.hob} usual={usual.hob} set={(hob) => change({ hob })} />
        <Num
          label={words.microwaveW}
          at="microwave"
          value={k.microwave ?? usual.microwave}
          usual={usual.microwave}
          set={(microwave) => change({ microwave })}
        />
      </div>
    </Section>
  );
}

export function Ring({ k, change }: Part) {
  return (
    <Section title={words.ringForRounds} usedBy={words.howManyASheetGives}>
      <div className={css.kit}>
        <Num label={words.ringForRounds} of="length" at="ring" value={k.ring} set={(ring) => change({ ring })} />
      </div>
    </Section>
  );
}

export function Bowls({ k, usual, change }: Part) {
  const vessels = listOf(k.vessels, (v) => change({ vessels: v }));
  return (
    <Section title={words.bowlsWeighedEmpty} usedBy={words.theScaleWhereOneWas}>
      {vessels.all.map((v, i) => (
        <div className={css.kit} key={v.id}>
          <Name at={`vessels[${i}].name`} value={v.name} set={(name) => vessels.put(i, { name })} />
          <Num
            label={words.empty}
            of="mass"
            at={`vessels[${i}].empty`}
            value={v.empty}
            set={(empty) => vessels.put(i, { empty })}
          />
          <Drop what={v.name} drop={() => vessels.drop(i)} />
        </div>
      ))}
      <button className="button quiet" onClick={() => vessels.add({ ...usual.vessel, id: newId() })}>
        {words.addABowl}
      </button>
    </Section>
  );
}
