// Fillings, toppings, washes and butters: what belongs to the bread but is no dough.
import { Input, Select } from 'antd';
import { newId, type Schemas } from '../api/http';
import { NumberInput } from '../parts/NumberInput';
import { Field } from '../parts/Field';
import { useUnits } from '../parts/units';
import { blank, filled, partKinds, partMoments, type PartState } from './draft';
import { RowsEditor } from './RowsEditor';
import * as words from './words';
import css from './doughs.module.css';

const works: [keyof Schemas['PartWork'], string][] = [
  ['hands', words.hands],
  ['hob', words.hob],
  ['cool', words.cooling],
];

export function PartsEditor({
  parts,
  set,
  reckoned,
  problems,
}: {
  parts: PartState[];
  set: (parts: PartState[]) => void;
  reckoned: Schemas['PartView'][] | undefined;
  problems: Schemas['ProblemView'][];
}) {
  const { mass } = useUnits();
  const sent = parts.filter((p) => filled(p.rows).length > 0);
  const change = (key: string, to: Partial<PartState>) => set(parts.map((p) => (p.key === key ? { ...p, ...to } : p)));
  return (
    <>
      {parts.map((part) => {
        const at = sent.indexOf(part);
        const made = at < 0 ? undefined : reckoned?.[at];
        return (
          <section key={part.key} className="card stack" aria-label={part.name || words.aPartOfItsOwn}>
            <div className={css.partHead}>
              <Field id={`kind-${part.key}`} label={words.part}>
                <Select
                  id={`kind-${part.key}`}
                  value={part.kind}
                  onChange={(kind) => change(part.key, { kind, work: null, moment: null })}
                  options={partKinds.map(([value, label]) => ({ value, label }))}
                />
              </Field>
              <Field id={`moment-${part.key}`} label={words.when}>
                <Select
                  id={`moment-${part.key}`}
                  value={part.moment ?? made?.moment ?? null}
                  onChange={(moment) => change(part.key, { moment })}
                  options={partMoments.map(([value, label]) => ({ value, label }))}
                />
              </Field>
              <Field
                id={`name-${part.key}`}
                label={words.called}
                problem={problems.find((p) => p.field === `parts[${at}].name`)?.reason}
              >
                <Input id={`name-${part.key}`} value={part.name} onChange={(e) => change(part.key, { name: e.target.value })} />
              </Field>
              {works.map(([key, label]) => (
                <Field key={key} id={`${key}-${part.key}`} label={words.min(label)}>
                  <NumberInput
                    id={`${key}-${part.key}`}
                    value={Math.round(((part.work ?? made?.work)?.[key] ?? 0) / 60)}
                    onChange={(m) =>
                      change(part.key, {
                        work: { ...(part.work ?? made?.work ?? { hands: 300, hob: 0, cool: 0 }), [key]: (m ?? 0) * 60 },
                      })
                    }
                  />
                </Field>
              ))}
            </div>
            <RowsEditor
              what={`${part.name || 'part'}`}
              rows={part.rows}
              set={(rows) => change(part.key, { rows })}
              reckoned={made?.rows}
              problems={problems}
              field={`parts[${at}].rows`}
            />
            <div className="row">
              {made && <span className="muted num">{words.altogether(mass(made.total))}</span>}
              <button
                className="button quiet at-end"

                onClick={() => set(parts.filter((p) => p.key !== part.key))}
              >
                {words.removeThisPart}
              </button>
            </div>
          </section>
        );
      })}
      <button
        className="button quiet at-start"

        onClick={() =>
          set([...parts, { key: newId(), kind: 'filling', name: 'filling', rows: [blank(), blank()], work: null, moment: null }])
        }
      >
        {words.addAFillingToppingWash}
      </button>
    </>
  );
}
