// What the dough is cut into: a line for each kind, typed in any order; what is not said follows from what is.
import { Button, Select, Segmented } from 'antd';
import { useState } from 'react';
import type { Schemas } from '../api/http';
import { NumberInput } from '../parts/NumberInput';
import { Field } from '../parts/Field';
import { capital, shown, useUnits } from '../parts/units';
import { CutMore, waits } from './CutMore';
import * as words from './words';
import css from './layout.module.css';

export type CutChoice = Schemas['CutChoice'];
type CutView = Schemas['CutView'];

const fridge = 'fridge';
const hues = ['var(--s0)', 'var(--s2)', 'var(--s3)', 'var(--s1)'];
const cutHue = (index: number) => hues[index % hues.length] ?? 'var(--s0)';

export function CutList({
  cuts,
  laid,
  kitchen,
  ovenId,
  set,
  problem,
  parts,
}: {
  cuts: CutChoice[];
  laid: CutView[] | undefined;
  kitchen: Schemas['KitchenView'];
  ovenId: string;
  set: (cuts: CutChoice[]) => void;
  problem: (field: string) => string | undefined;
  /** What the dough has for under, on and over its bread. */
  parts: Schemas['PartView'][];
}) {
  const [open, setOpen] = useState<number | null>(null);
  const change = (i: number, to: Partial<CutChoice>) => set(cuts.map((c, k) => (k === i ? { ...c, ...to } : c)));
  const { shown: unit } = useUnits();
  const mark = (i: number) => (i === 0 ? '' : ` ${i + 1}`);
  return (
    <div className={`wide ${css.cuts}`}>
      {cuts.map((cut, i) => {
        const found = laid?.[i];
        const kept = !cut.familyId;
        const oven = kitchen.ovens.find((o) => o.id === (cut.ovenId ?? ovenId)) ?? kitchen.ovens[0];
        const later = waits.find(([keep]) => keep === cut.keep)?.[1];
        return (
          <fieldset key={i} className={css.cut} style={{ borderColor: cutHue(i) }} aria-label={words.cut(i + 1)}>
            <div className={css.cutWhat}>
              <Field
                id={`family${i}`}
                label={words.becomes(mark(i))}
                problem={problem(`cuts[${i}].familyId`) ?? problem(`cuts[${i}]`)}
              >
                <Select
                  id={`family${i}`}
                  value={cut.familyId ?? fridge}
                  onChange={(id) => set(cuts.map((c, k) => (k === i ? (id === fridge ? {} : { familyId: id }) : c)))}
                  options={[
                    ...kitchen.families.map((f) => ({ value: f.id, label: f.name })),
                    ...(i > 0 ? [{ value: fridge, label: words.keptInTheFridge }] : []),
                  ]}
                />
              </Field>
              {cuts.length > 1 && (
                <Button aria-label={words.leaveOutCut(i + 1)} type="text" onClick={() => set(cuts.filter((_, k) => k !== i))}>
                  ✕
                </Button>
              )}
            </div>
            <div className={css.cutMuch}>
              {!kept && (
                <Field id={`pieces${i}`} label={words.pieces(mark(i))} problem={problem(`cuts[${i}].pieces`)}>
                  <NumberInput
                    id={`pieces${i}`}
                    value={cut.pieces ?? null}
                    onChange={(pieces) => change(i, { pieces, share: null })}
                    placeholder={found ? String(found.pieces) : ''}
                    digits={0}
                  />
                </Field>
              )}
              <Field
                id={`each${i}`}
                label={kept ? words.kept(capital(unit.mass.long)) : words.each(unit.mass.long, mark(i))}
                problem={problem(`cuts[${i}].each`) ?? problem(`cuts[${i}].share`)}
              >
                <NumberInput
                  id={`each${i}`}
                  of="mass"
                  value={cut.each ?? null}
                  onChange={(each) => change(i, { each, share: null })}
                  placeholder={found?.each}
                />
              </Field>
              {kept && (
                <Segmented
                  aria-label={words.shareKept}
                  value={cut.share ? Math.round(cut.share * 100) : 0}
                  onChange={(percent) =>
                    change(
                      i,
                      percent === 0
                        ? { share: null, each: found ? Math.round(found.each) : null }
                        : { share: percent / 100, each: null },
                    )
                  }
                  options={[
                    { value: 0, label: 'g' },
                    { value: 33, label: '⅓' },
                    { value: 50, label: '½' },
                  ]}
                />
              )}
            </div>
            {!kept && (
              <>
                <button
                  type="button"
                  className="link muted"
                  onClick={() => setOpen(open === i ? null : i)}
                  aria-expanded={open === i}
                >
                  {later
                    ? capital(later)
                    : found?.heat && oven
                      ? words.ovenWashPan(
                          shown(oven.dial, found.heat),
                          kitchen.washes.find((w) => w.id === found.wash)?.name ?? '',
                          found.pans[0] ? `, ${found.pans[0].name.toLowerCase()}` : '',
                        )
                      : words.ovenWashPan2}
                </button>
                {open === i && (
                  <CutMore
                    cut={cut}
                    found={found}
                    kitchen={kitchen}
                    i={i}
                    ovenId={ovenId}
                    parts={parts}
                    change={(to) => change(i, to)}
                    problem={problem}
                  />
                )}
              </>
            )}
          </fieldset>
        );
      })}
      <div className="choices">
        <button
          type="button"
          className="button small quiet"
          onClick={() => set([...cuts, { familyId: kitchen.families[0]?.id ?? null }])}
          disabled={cuts.length >= kitchen.mostCuts}
        >
          {words.anotherShape}
        </button>
        {!cuts.some((c) => !c.familyId) && (
          <button
            type="button"
            className="button small quiet"
            onClick={() => set([...cuts, cuts.some((c) => !c.pieces && !c.each) ? { share: 1 / 3 } : {}])}
          >
            {words.keepSomeCold}
          </button>
        )}
      </div>
    </div>
  );
}

/** The whole dough as a bar, cut as it is typed. */
export function CutBar({ cuts }: { cuts: CutView[] }) {
  const { mass } = useUnits();
  const whole = cuts.reduce((sum, c) => sum + c.pieces * c.each, 0);
  const width = 1000;
  const starts = cuts.map((_, i) => (width * cuts.slice(0, i).reduce((sum, c) => sum + c.pieces * c.each, 0)) / whole);
  const said = cuts.map((c) => `${c.pieces} × ${mass(c.each)} ${c.name}`).join(', ');
  return (
    <div className={css.cutBar}>
      <svg
        viewBox={`0 0 ${width} 56`}
        preserveAspectRatio="none"
        width="100%"
        height={46}
        role="img"
        aria-label={words.theDough(said)}
      >
        <defs>
          <clipPath id="whole-dough">
            <rect width={width} height={56} rx={22} />
          </clipPath>
        </defs>
        <g clipPath="url(#whole-dough)">
          {cuts.map((c, i) => {
            const share = (width * c.pieces * c.each) / whole;
            const from = starts[i] ?? 0;
            return (
              <g key={i}>
                <rect x={from} width={share} height={56} style={{ fill: c.familyId ? cutHue(i) : 'var(--lane-machine)' }} />
                {Array.from({ length: Math.min(c.pieces, 100) }, (_, k) => (
                  <rect key={k} x={from + (share * k) / c.pieces} width={k === 0 ? 6 : 2} height={56} fill="var(--card)" />
                ))}
              </g>
            );
          })}
        </g>
      </svg>
      <div className={css.cutNames}>
        {cuts.map((c, i) => (
          <span key={i} style={{ flexGrow: c.pieces * c.each }}>
            <b className="num">
              {c.pieces > 1 || c.familyId ? `${c.pieces} × ${mass(c.each)}` : mass(c.each)}
              {c.pinned && c.familyId ? ' ·' : ''}
            </b>{' '}
            {c.name}
          </span>
        ))}
      </div>
    </div>
  );
}
