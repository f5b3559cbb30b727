// Loading the pan: in this machine's order, with what the scale shows after each, and how warm the liquid must be.
import { Checkbox, Select } from 'antd';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Schemas, type Trouble } from '../api/http';
import { countdown } from '../api/clock';
import { NumberInput } from '../parts/NumberInput';
import { Field } from '../parts/Field';
import { Loading } from '../parts/Loading';
import { useUnits } from '../parts/units';
import { Pan } from './Pan';
import * as words from './words';
import css from './load.module.css';

export default function LoadPage() {
  const { id = '' } = useParams();
  const dough = api.useQuery('get', '/api/doughs/{id}', { params: { path: { id } } });
  const kitchen = api.useQuery('get', '/api/kitchen');
  if (!dough.data || !kitchen.data) return <Loading error={dough.error ?? kitchen.error} />;
  return <Loader dough={dough.data} kitchen={kitchen.data} />;
}

function Loader({ dough, kitchen }: { dough: Schemas['DoughView']; kitchen: Schemas['KitchenView'] }) {
  const first = dough.byHand ? kitchen.machines.find((m) => m.byHand) : kitchen.machines[0];
  const [machineId, setMachine] = useState(first?.id ?? '');
  const [program, setProgram] = useState<string | null>(null);
  const [[bloom, holdBack, coldPan], setSchool] = useState([false, false, false]);
  const [fromFridge, setFridge] = useState<string[] | null>(null);
  const [room, setRoom] = useState<number | null>(null);
  const [liquid, setLiquid] = useState<number | null>(null);
  const [delayHours, setDelay] = useState<number | null>(null);
  const machine = kitchen.machines.find((m) => m.id === machineId);
  const { shown } = useUnits();
  const asked = api.useQuery(
    'post',
    '/api/loads',
    { body: { doughId: dough.id, machineId, program, bloom, holdBack, coldPan, fromFridge, room, liquid, delayHours } },
    { retry: false, placeholderData: (before) => before },
  );
  const trouble = asked.error as Trouble | null;
  const load = trouble ? undefined : asked.data;
  const problem = (field: string) =>
    trouble?.problems?.find((p) => p.field === field)?.reason ?? load?.problems.find((p) => p.field === field)?.reason;

  return (
    <div className="layout">
      <form className="card fields" onSubmit={(e) => e.preventDefault()} aria-label={words.howItIsLoaded}>
        <h1 className="wide calm">
          <Link to={`/doughs/${dough.id}`}>{dough.name}</Link>
        </h1>
        <Field id="machine" label={words.machine} wide problem={problem('machineId')}>
          <Select
            id="machine"
            value={machineId}
            onChange={(m) => {
              setMachine(m);
              setProgram(null);
            }}
            options={kitchen.machines.map((m) => ({ value: m.id, label: m.name }))}
          />
        </Field>
        {machine && machine.programs.length > 1 && (
          <Field id="program" label={words.program} wide>
            <Select
              id="program"
              value={program ?? machine.programs[0]?.name ?? null}
              onChange={setProgram}
              options={machine.programs.map((p) => ({ value: p.name, label: p.name }))}
            />
          </Field>
        )}
        <div className="wide choices">
          <Checkbox checked={bloom} onChange={(e) => setSchool([e.target.checked, holdBack, coldPan])}>
            {words.bloomTheYeastFirst}
          </Checkbox>
          <Checkbox checked={holdBack} onChange={(e) => setSchool([bloom, e.target.checked, coldPan])}>
            {words.holdAThirdOfThe}
          </Checkbox>
          <Checkbox checked={coldPan} onChange={(e) => setSchool([bloom, holdBack, e.target.checked])}>
            {words.thePanIsCold}
          </Checkbox>
        </div>
        {load && load.chilled.length > 0 && (
          <div className="wide field">
            <span className="label">{words.straightFromTheFridge}</span>
            <div className="choices">
              {load.chilled.map((c) => (
                <Checkbox
                  key={c}
                  checked={load.fromFridge.includes(c)}
                  onChange={(e) => setFridge(e.target.checked ? [...load.fromFridge, c] : load.fromFridge.filter((f) => f !== c))}
                >
                  {c}
                </Checkbox>
              ))}
            </div>
          </div>
        )}
        <Field id="room" label={words.kitchen(shown.temperature.name)} problem={problem('room')}>
          <NumberInput id="room" of="temperature" value={room ?? load?.room ?? null} onChange={setRoom} />
        </Field>
        <Field id="liquid" label={words.liquidMeasured(shown.temperature.name)} problem={problem('liquid')}>
          <NumberInput id="liquid" of="temperature" value={liquid} onChange={setLiquid} placeholder={words.afterWarming} />
        </Field>
        <Field id="delay" label={words.timerStartInHours} wide problem={problem('delay') ?? problem('delayHours')}>
          <NumberInput id="delay" value={delayHours} onChange={setDelay} placeholder={words.startAtOnce} />
        </Field>
      </form>
      {load && <Loaded load={load} />}
    </div>
  );
}

function Loaded({ load }: { load: Schemas['LoadView'] }) {
  const { mass, heat } = useUnits();
  const t = load.temperature;
  return (
    <div className="page">
      <section className="card facts" aria-label={words.theLiquid}>
        {t && (
          <span>
            <span className="big num">{heat(t.liquid)}</span>
            {load.warms ? words.theLiquidTheMachineWarms : words.theLiquidForADough(heat(t.dough))}
          </span>
        )}
        {t && t.microwaveTime > 5 && (
          <span>
            <span className="big num">{countdown(t.microwaveTime * 1000)}</span>
            {words.inTheMicrowaveThenMeasure}
          </span>
        )}
        {t?.boiling != null && t.boiling > 1 && (
          <span>
            <span className="big num">{mass(t.boiling)}</span>
            {words.boilingWaterTheRestCold}
          </span>
        )}
        {t?.isLimited && !load.warms && <p className="caution tight">{words.asFarAsTheYeast(heat(t.dough))}</p>}
        {load.bloomIn !== null && (
          <span>
            <span className="big num">{mass(load.bloomIn)}</span>
            {load.liquid} {words.atToToBloomThe(heat(load.bloomAt.from ?? 0), heat(load.bloomAt.to ?? 0))}
          </span>
        )}
        {load.heldBack !== null && (
          <span>
            <span className="big num">{mass(load.heldBack)}</span>
            {load.liquid} {words.heldBackForTheCheck}
          </span>
        )}
      </section>
      <div className={css.load}>
        <section className="card" aria-label={words.loadList}>
          <table className={`plain ${css.loadList}`}>
            <thead>
              <tr>
                <th>{words.inThisOrder}</th>
                <th className="num">{words.weighIn}</th>
                <th className="num">{words.scaleShows}</th>
                {load.steps.some((s) => s.onScale !== null) && <th className="num">{words.withThePan}</th>}
              </tr>
            </thead>
            <tbody>
              {load.steps.map((s) => (
                <tr key={s.ingredient}>
                  <td>
                    {s.ingredient}
                    {s.note && <small className="muted"> {s.note}</small>}
                  </td>
                  <td className="num">
                    <b>{mass(s.mass)}</b>
                    {s.spoons && <small className={`muted ${css.spoons}`}>{s.spoons}</small>}
                  </td>
                  <td className="num">{mass(s.running)}</td>
                  {s.onScale !== null && <td className="num muted">{mass(s.onScale)}</td>}
                </tr>
              ))}
            </tbody>
          </table>
          {load.addIns.length > 0 && (
            <p>
              {words.atTheBeep}
              {load.beep !== null ? words.minAfterTheStart(Math.round(load.beep / 60)) : ''}:{' '}
              {load.addIns.map((a) => `${mass(a.mass)} ${a.ingredient}`).join(', ')}.
            </p>
          )}
          {load.problems
            .filter((p) => p.field === 'machineId')
            .map((p) => (
              <p key={p.code} className="caution">
                {p.reason}
              </p>
            ))}
        </section>
        <section className="card" aria-label={words.thePan}>
          <Pan load={load} />
        </section>
      </div>
    </div>
  );
}
