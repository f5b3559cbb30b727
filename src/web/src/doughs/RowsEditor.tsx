// Rows of ingredient and grams, as they are typed.
import { AutoComplete, Checkbox, Select } from 'antd';
import { useRef, useState, type KeyboardEvent } from 'react';
import { useReadLine } from '../api/changes';
import { api, type Schemas } from '../api/http';
import { NumberInput } from '../parts/NumberInput';
import { capital, useUnits } from '../parts/units';
import { percent } from '../parts/units';
import { blank, filled, roles, type Row } from './draft';
import * as words from './words';
import css from './doughs.module.css';

export function RowsEditor({
  what,
  rows,
  set,
  reckoned,
  problems,
  field,
  beep = false,
  inOrder = false,
}: {
  what: string;
  rows: Row[];
  set: (rows: Row[]) => void;
  reckoned: Schemas['RowView'][] | undefined;
  problems: Schemas['ProblemView'][];
  field: string;
  beep?: boolean;
  /** Their order matters: a row can be moved up. */
  inOrder?: boolean;
}) {
  const { shown } = useUnits();
  const massWord = capital(shown.mass.long);
  const full = filled(rows);
  const problemAt = (row: Row, part: string) =>
    problems.find((p) => p.field === `${field}[${full.indexOf(row)}].${part}`)?.reason;
  const change = (key: string, to: Partial<Row>) => set(rows.map((r) => (r.key === key ? { ...r, ...to } : r)));
  const [wanted, setWanted] = useState<string | null>(null);
  const readLine = useReadLine();
  // "250 g milk" typed as a name is both.
  const understand = async (row: Row) => {
    if (!/\d/.test(row.ingredient)) return;
    const { answer } = await readLine.make(row.ingredient);
    const [read] = answer?.sections.flatMap((s) => s.lines).flatMap((l) => l.rows) ?? [];
    if (read?.known && read.mass !== null) change(row.key, { ingredient: read.called ?? read.ingredient, mass: read.mass });
  };
  const moveUp = (i: number) => {
    const moved = [...rows];
    moved.splice(i - 1, 0, ...moved.splice(i, 1));
    set(moved);
  };
  // To the next row; behind the last one there is another.
  const next = (i: number) => {
    const there = rows[i + 1];
    const row = there ?? blank();
    if (!there) set([...rows, row]);
    setWanted(row.key);
    document.getElementById(`row-${row.key}`)?.focus();
  };
  return (
    <div>
      <table className={`plain ${css.doughRows}`}>
        <thead>
          <tr>
            <th>{words.ingredient}</th>
            <th className={css.grams}>{massWord}</th>
            <th className={`num ${css.share}`}>{words.bakers}</th>
            {beep && <th className={css.share}>{words.atBeep}</th>}
            <th className={inOrder ? css.twoButtons : css.oneButton}>
              <span className="sr">{words.remove}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => {
            const unknown = problemAt(row, 'role');
            // A share is of what was reckoned; rows that moved since wait for theirs.
            const found = reckoned?.[full.indexOf(row)];
            const share = found?.mass === row.mass ? found?.percentage : undefined;
            return (
              <tr key={row.key}>
                <td>
                  <IngredientField
                    label={`${what} ${i + 1}`}
                    id={`row-${row.key}`}
                    focus={wanted === row.key}
                    left={() => void understand(row)}
                    value={row.ingredient}
                    change={(ingredient) => change(row.key, { ingredient, role: null })}
                    hint={field === 'rows' ? (i === 0 ? words.strongWhiteFlour : i === 1 ? words.waterExample : '') : ''}
                  />
                  {(unknown || row.role) && (
                    <RoleField of={row.ingredient} value={row.role} change={(role) => change(row.key, { role })} />
                  )}
                  {[problemAt(row, 'ingredient'), unknown].filter(Boolean).map((p) => (
                    <div className="problem" key={p}>
                      {p}
                    </div>
                  ))}
                </td>
                <td>
                  <NumberInput
                    of="mass"
                    aria-label={what === 'Ingredient' ? `${massWord} ${i + 1}` : words.massOf(massWord, what, i + 1)}
                    value={row.mass}
                    onChange={(mass) => change(row.key, { mass })}
                    onPressEnter={() => next(i)}
                  />
                  {problemAt(row, 'mass') && <div className="problem">{problemAt(row, 'mass')}</div>}
                </td>
                <td className="num">{share === undefined ? '' : percent(share)}</td>
                {beep && (
                  <td>
                    <Checkbox
                      aria-label={words.atTheBeepIngredient(row.ingredient || words.row(i + 1))}
                      checked={row.atBeep}
                      onChange={(e) => change(row.key, { atBeep: e.target.checked })}
                    />
                  </td>
                )}
                <td className={css.rowButtons}>
                  {inOrder && i > 0 && (
                    <button className="button small" aria-label={words.rowSooner(i + 1)} onClick={() => moveUp(i)}>
                      ↑
                    </button>
                  )}
                  <button
                    className="button small"
                    aria-label={words.removeRow(i + 1, what === 'Ingredient' ? '' : words.ofWhat(what))}
                    onClick={() => set(rows.filter((r) => r.key !== row.key))}
                  >
                    ×
                  </button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <button className="button quiet" onClick={() => next(rows.length - 1)}>
        {words.anotherRow}
      </button>
    </div>
  );
}

export function IngredientField({
  label,
  value,
  change,
  hint = '',
  id,
  focus = false,
  left,
}: {
  label: string;
  id?: string;
  /** It was just added, to be typed in. */
  focus?: boolean;
  left?: () => void;
  value: string;
  change: (name: string) => void;
  hint?: string;
}) {
  const pantry = api.useQuery('get', '/api/pantry', undefined, { staleTime: 60000 });
  // Suggestions that come late must not open over what is typed next.
  const [open, setOpen] = useState(false);
  const here = useRef(false);
  // Tab goes on; only a picked suggestion is taken.
  const goOn = (e: KeyboardEvent) => {
    if (e.key === 'Tab') e.stopPropagation();
  };
  return (
    <div role="presentation" onKeyDownCapture={goOn}>
      <AutoComplete
        className="whole"

        aria-label={label}
        {...(id ? { id } : {})}
        open={open}
        onOpenChange={(opens) => setOpen(opens && here.current)}
        onFocus={() => (here.current = true)}
        onBlur={() => {
          here.current = false;
          setOpen(false);
          left?.();
        }}
        // The row somebody asked for is the one they type in.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus={focus}
        // What is typed stays as it is typed: a suggestion is taken only when it is picked.
        defaultActiveFirstOption={false}
        value={value}
        onChange={change}
        options={pantry.data?.items.map((p) => ({ value: p.ingredient.name })) ?? []}
        showSearch={{
          filterOption: (typed, option) => typed.length > 0 && String(option?.value ?? '').includes(typed.toLowerCase()),
        }}
        placeholder={hint}
      />
    </div>
  );
}

export function RoleField({
  of,
  value,
  change,
}: {
  of: string;
  value: Schemas['Role'] | null;
  change: (role: Schemas['Role']) => void;
}) {
  return (
    <Select
      className="whole under"

      aria-label={words.whatDoes(of)}
      value={value}
      placeholder={words.whatDoesItDoIn}

      listHeight={420}
      onChange={change}
      options={roles.map(([id, label]) => ({ value: id, label }))}
    />
  );
}
