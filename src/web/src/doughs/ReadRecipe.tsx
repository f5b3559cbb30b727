// Paste a recipe from anywhere: what was understood stands beside every line, and can be put right there.
import { Input, InputNumber } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { problemsOf } from '../api/change';
import { useKeepDough, useTeach } from '../api/changes';
import { api, newId, type Schemas, type Trouble } from '../api/http';
import { Field } from '../parts/Field';
import { useUnits } from '../parts/units';
import { useKept } from '../parts/useKept';
import { useLater } from '../parts/useLater';
import type { PartState, Row } from './draft';
import { draftOf } from './draft';
import { IngredientField, RoleField } from './RowsEditor';

// What the baker put right, by place in the recipe.
type Fix = { ingredient?: string; mass?: number | null; role?: Schemas['Role']; out?: boolean };
type Place = { key: string; section: number; text: string; row: Schemas['ReadRow'] };

const placesOf = (recipe: Schemas['RecipeView']): Place[] =>
  recipe.sections.flatMap((s, i) =>
    s.lines.flatMap((l, j) => l.rows.map((row, k) => ({ key: `${i}/${j}/${k}/${l.text}`, section: i, text: l.text, row }))),
  );

export default function ReadRecipe() {
  const navigate = useNavigate();
  const [text, setText, forgetText] = useKept('recipe', '');
  const [name, setName, forgetName] = useKept<string | null>('recipe-name', null);
  const [fixes, setFixes, forgetFixes] = useKept<Record<string, Fix>>('recipe-fixes', {});
  const [refused, setRefused] = useState<Schemas['ProblemView'][]>([]);
  const [dropped, setDropped] = useState('');
  const pantry = api.useQuery('get', '/api/pantry', undefined, { staleTime: 60000 });
  const asked = useLater(text, 250);
  const read = api.useQuery(
    'post',
    '/api/recipes/read',
    { body: { text: asked } },
    { enabled: asked.trim() !== '', retry: false, staleTime: 60000, placeholderData: (before) => before },
  );
  const trouble = asked.trim() === '' ? null : (read.error as Trouble | null);
  const recipe = asked.trim() === '' || trouble ? undefined : read.data;
  const places = recipe ? placesOf(recipe) : [];
  const fix = (key: string, to: Fix) => {
    setRefused([]);
    setFixes((all) => ({ ...all, [key]: { ...all[key], ...to } }));
  };

  const found = (p: Place) => {
    const f = fixes[p.key] ?? {};
    const ingredient = f.ingredient ?? p.row.ingredient;
    const known = pantry.data?.items.find((i) => i.ingredient.name === ingredient)?.ingredient;
    return {
      out: f.out ?? false,
      ingredient,
      known: known !== undefined,
      role: known ? known.role : (f.role ?? (f.ingredient === undefined ? p.row.role : null)),
      mass: f.mass === undefined ? p.row.mass : f.mass,
    };
  };
  const open = places.filter((p) => {
    const f = found(p);
    return !f.out && (f.mass === null || f.role === null);
  });

  const keepDough = useKeepDough();
  const learn = useTeach();
  async function keep() {
    if (!recipe) return;
    const id = newId();
    const fixed = Object.keys(fixes).length > 0;
    // Ours, untouched: the very dough.
    if (recipe.exact && !fixed) {
      const { trouble } = await keepDough.make({ id, draft: { ...recipe.exact, name: name ?? recipe.exact.name } });
      return trouble ? setRefused(problemsOf(trouble)) : await leave(id);
    }
    const rows = (section: number): Row[] =>
      places
        .filter((p) => p.section === section && !open.includes(p) && !found(p).out)
        .map((p) => {
          const f = found(p);
          return { key: p.key, ingredient: f.ingredient, mass: f.mass, role: f.known ? null : f.role, atBeep: p.row.atBeep };
        });
    const parts = recipe.sections.flatMap((s, i): PartState[] =>
      s.kind ? [{ key: String(i), kind: s.kind, name: s.name || s.kind, rows: rows(i), work: s.work }] : [],
    );
    // What is still open, or was left out, stays in the notes as it was written.
    const unread = [...new Set(places.filter((p) => open.includes(p) || found(p).out).map((p) => p.text))];
    const { trouble } = await keepDough.make({
      id,
      draft: draftOf({
        name: name ?? recipe.title,
        rows: recipe.sections.flatMap((s, i) => (s.kind ? [] : rows(i))),
        parts,
        byHand: recipe.byHand,
        notes: [...unread, recipe.leftOver].filter((n) => n !== '').join('\n'),
      }),
    });
    if (trouble) return setRefused(problemsOf(trouble));
    await teach();
    await leave(id);
  }

  async function leave(id: string) {
    for (const forget of [forgetText, forgetName, forgetFixes]) forget();
    await navigate(`/doughs/${id}`);
  }

  // Corrections are learned: a new ingredient by what it does, another word for one the pantry has.
  async function teach() {
    const corrections = places
      .filter((p) => !found(p).out && !open.includes(p) && (fixes[p.key] || !p.row.known))
      .map((p) => {
        const f = found(p);
        return { line: p.text, words: p.row.words, name: f.ingredient, role: f.role, mass: f.mass };
      });
    if (corrections.length === 0) return;
    await learn.make(corrections);
  }

  const lines = recipe ? groups(places) : [];
  return (
    <div className="layout read">
      <section
        className="card"
        style={{ display: 'grid', gap: 12 }}
        aria-label="The recipe"
        onDragOver={(e) => e.preventDefault()}
        onDrop={(e) => {
          e.preventDefault();
          void readFile(e.dataTransfer.files[0]).then(setDropped);
        }}
      >
        <Field
          id="recipe"
          label="Paste a recipe: text, a page, or a recipe file"
          problem={trouble?.title ?? (dropped || undefined)}
        >
          <Input.TextArea
            id="recipe"
            value={text}
            onChange={(e) => {
              setText(e.target.value);
              setFixes({});
              setRefused([]);
              setDropped('');
            }}
            autoSize={{ minRows: 16, maxRows: 28 }}
            placeholder={'Soft rolls\n\n480 g strong white flour\n1¼ cups (300 ml) whole milk, lukewarm\n1 egg\n…'}
          />
        </Field>
        <label className="button quiet">
          or open a file
          <input
            className="sr"
            type="file"
            accept=".txt,.md,.json,.jsonld,.html,.htm,text/*"
            onChange={(e) => void readFile(e.target.files?.[0]).then(setDropped)}
          />
        </label>
      </section>
      <div className="page" style={{ minWidth: 0 }}>
        {!recipe && !trouble && (
          <p className="card muted" style={{ margin: 0 }}>
            Every line is weighed as you paste it. What cannot be weighed is asked, and nothing is dropped.
          </p>
        )}
        {recipe && (
          <>
            <section className="card" style={{ display: 'grid', gap: 12 }} aria-label="What was understood">
              <Field id="title" label="Name" problem={refused.find((p) => p.field === 'name')?.reason}>
                <Input id="title" size="large" value={name ?? recipe.title} onChange={(e) => setName(e.target.value)} />
              </Field>
              <p style={{ margin: 0 }}>
                <b className="num">{recipe.understood}</b> understood
                {open.length > 0 && (
                  <>
                    , <b className="late num">{open.length}</b> still to be told
                  </>
                )}
                {recipe.exact && ' · written by this house: every figure is exact'}
              </p>
              {recipe.sections.map((s, i) => (
                <div key={i}>
                  {(s.kind || recipe.sections.length > 1) && <h3 className="section-head">{s.name || 'Dough'}</h3>}
                  {lines
                    .filter((l) => l[0]?.section === i)
                    .map((line) => (
                      <ReadLine key={line[0]?.key} line={line} found={found} fix={fix} />
                    ))}
                </div>
              ))}
              {refused
                .filter((p) => p.field !== 'name')
                .map((p) => (
                  <p className="problem" role="alert" key={p.field + p.code}>
                    {p.reason}
                  </p>
                ))}
              <button className="button do" onClick={() => void keep()}>
                Keep this dough
                {open.length > 0 && <small>what is still to be told goes into its notes</small>}
              </button>
            </section>
            {recipe.leftOver !== '' && (
              <section className="card" aria-label="Left over">
                <h2 style={{ marginBottom: 8 }}>Left over, kept as notes</h2>
                <p style={{ whiteSpace: 'pre-wrap', margin: 0 }}>{recipe.leftOver}</p>
              </section>
            )}
          </>
        )}
      </div>
    </div>
  );

  async function readFile(file: File | undefined) {
    if (!file) return '';
    if (file.size > 1_000_000) return 'This file is larger than any recipe. Nothing was changed.';
    setFixes({});
    setText(await file.text());
    return '';
  }
}

const groups = (places: Place[]) => {
  const all: Place[][] = [];
  for (const p of places) {
    const last = all.at(-1)?.[0];
    const same = last && last.key.split('/').slice(0, 2).join() === p.key.split('/').slice(0, 2).join();
    if (same) all.at(-1)?.push(p);
    else all.push([p]);
  }
  return all;
};

function ReadLine({
  line,
  found,
  fix,
}: {
  line: Place[];
  found: (p: Place) => { out: boolean; ingredient: string; known: boolean; role: Schemas['Role'] | null; mass: number | null };
  fix: (key: string, to: Fix) => void;
}) {
  const { mass } = useUnits();
  // What is asked stays open once it is answered: the answer may be half typed.
  const [correcting, setCorrecting] = useState(() => line.some((p) => found(p).mass === null || found(p).role === null));
  return (
    <div className="read-line">
      <span className="muted">{line[0]?.text}</span>
      <div>
        {line.map((p) => {
          const f = found(p);
          if (f.out)
            return (
              <div key={p.key} className="understood">
                <span>left out, kept as a note</span>
                <button className="link" onClick={() => fix(p.key, { out: false })}>
                  put it back
                </button>
              </div>
            );
          return (
            <div key={p.key}>
              {correcting ? (
                <div className="correct">
                  <InputNumber
                    aria-label={`Grams of ${p.row.words}`}
                    value={f.mass === null ? null : Math.round(f.mass * 100) / 100}
                    onChange={(grams) => fix(p.key, { mass: grams })}
                    controls={false}
                    placeholder="g"
                    status={f.mass === null ? 'error' : ''}
                  />
                  <div>
                    <IngredientField
                      label={`What ${p.row.words} is`}
                      value={f.ingredient}
                      change={(ingredient) => fix(p.key, { ingredient })}
                    />
                  </div>
                  {!f.known && (
                    <div className="role">
                      <RoleField of={f.ingredient} value={f.role} change={(role) => fix(p.key, { role })} />
                    </div>
                  )}
                  <button className="link" onClick={() => fix(p.key, { out: true })}>
                    leave out
                  </button>
                </div>
              ) : (
                <button className="understood" onClick={() => setCorrecting(true)} aria-label={`Correct ${p.row.words}`}>
                  <b className="num">{f.mass === null ? '?' : mass(f.mass)}</b> {f.ingredient}
                  {p.row.atBeep ? ', at the beep' : ''}
                </button>
              )}
              {p.row.notes.map((n) => (
                <small key={n} className={n.endsWith('differs') ? 'late' : 'muted'}>
                  {n}
                </small>
              ))}
            </div>
          );
        })}
      </div>
    </div>
  );
}
