// A recipe as it is read: the text, what the server understood, and what the baker put right, kept until the dough is.
import { useState } from 'react';
import { problemsOf } from '../api/change';
import { useKeepDough, useTeach } from '../api/changes';
import { api, newId, type Schemas, type Trouble } from '../api/http';
import { useKept } from '../parts/useKept';
import { useLater } from '../parts/useLater';
import { draftOf, type PartState, type Row } from './draft';

type Recipe = Schemas['RecipeView'];
type ReadRow = Schemas['ReadRow'];
type Plan = Schemas['RecipePlan'];

/** Where a row goes: the dough, a part of it, or not into this recipe. */
export type Whereto = 'dough' | 'not-mine' | Schemas['PartKind'];

/** What the baker put right. */
export type Fix = {
  ingredient?: string;
  mass?: number | null;
  role?: Schemas['Role'];
  out?: boolean;
  whereto?: Whereto;
  told?: Schemas['Told'];
};

/** A row of the recipe, by its place. */
export type Place = { key: string; section: number; line: string; text: string; row: ReadRow };

export type Found = {
  out: boolean;
  ingredient: string;
  like: string | null;
  known: boolean;
  role: Schemas['Role'] | null;
  /** What the baker tells of it; undefined where its name tells enough. */
  told: Schemas['Told'] | null | undefined;
  mass: number | null;
  whereto: Whereto;
  /** A second amount that differs too much: one of the two has to be chosen. */
  instead: number | null;
};

const placesOf = (recipe: Recipe): Place[] =>
  recipe.sections.flatMap((s, i) =>
    s.lines.flatMap((l, j) =>
      l.rows.map((row, k) => ({ key: `${i}/${j}/${k}/${l.text}`, line: `${i}/${j}`, section: i, text: l.text, row })),
    ),
  );

export function useReading() {
  const [text, setText, forgetText] = useKept('recipe', '');
  const [name, setName, forgetName] = useKept<string | null>('recipe-name', null);
  const [fixes, setFixes, forgetFixes] = useKept<Record<string, Fix>>('recipe-fixes', {});
  const [headings, setHeadings, forgetHeadings] = useKept<Record<string, Whereto>>('recipe-headings', {});
  const [left, setLeft, forgetLeft] = useKept<(keyof Plan)[]>('recipe-left', []);
  const [language, setLanguage, forgetLanguage] = useKept<string | null>('recipe-language', null);
  const [which, setWhich, forgetWhich] = useKept('recipe-which', 0);
  const [refused, setRefused] = useState<Schemas['ProblemView'][]>([]);
  const pantry = api.useQuery('get', '/api/pantry', undefined, { staleTime: 60000 });
  const keepDough = useKeepDough();
  const learn = useTeach();

  const startAnew = () => {
    setFixes({});
    setHeadings({});
    setLeft([]);
    setRefused([]);
  };
  const asked = useLater(text, 250);
  const isBlank = asked.trim() === '';
  const read = api.useQuery(
    'post',
    '/api/recipes/read',
    { body: { text: asked, language, which } },
    { enabled: !isBlank, retry: false, staleTime: 60000, placeholderData: (before) => before },
  );
  const trouble = isBlank ? null : (read.error as Trouble | null);
  const recipe = isBlank || trouble ? undefined : read.data;
  const places = recipe ? placesOf(recipe) : [];

  const isAsked = (section: number) => recipe?.sections[section]?.isAsked ?? false;
  const headed = (section: number): Whereto => recipe?.sections[section]?.kind ?? headings[section] ?? 'dough';
  const found = (p: Place): Found => {
    const f = fixes[p.key] ?? {};
    const ingredient = f.ingredient ?? p.row.called ?? p.row.ingredient;
    const isOwn = f.ingredient === undefined;
    const known = pantry.data?.items.find((i) => i.ingredient.name === ingredient)?.ingredient;
    const whereto = f.whereto ?? headed(p.section);
    return {
      out: (f.out ?? p.row.isOptional ?? false) || whereto === 'not-mine',
      ingredient,
      like: isOwn && p.row.called ? p.row.ingredient : null,
      known: known !== undefined || (isOwn && p.row.known),
      role: known ? known.role : (f.role ?? (isOwn ? p.row.role : null)),
      told: known || (isOwn && !p.row.isUntold) ? undefined : (f.told ?? null),
      mass: f.mass === undefined ? p.row.mass : f.mass,
      whereto,
      instead: f.mass === undefined && isOwn ? (p.row.instead ?? null) : null,
    };
  };
  const isToTaste = (p: Place) => (p.row.isToTaste ?? false) && found(p).mass === null;
  const isOpen = (p: Place) => {
    const f = found(p);
    if (f.out || isToTaste(p)) return false;
    return f.mass === null || f.role === null || f.instead !== null;
  };
  const open = places.filter(isOpen);
  const openHeadings = (recipe?.sections ?? []).flatMap((s, i) =>
    isAsked(i) && !headings[i] ? [{ section: i, name: s.name }] : [],
  );

  const plan = recipe?.plan ?? null;
  const taken = plan && (Object.fromEntries(Object.entries(plan).filter(([key]) => !left.includes(key as keyof Plan))) as Plan);

  const rowsFor = (whereto: Whereto, section?: number): Row[] =>
    places
      .filter((p) => section === undefined || p.section === section)
      .filter((p) => found(p).whereto === whereto && !open.includes(p) && !found(p).out && !isToTaste(p))
      .map((p) => {
        const f = found(p);
        return { key: p.key, ingredient: f.ingredient, mass: f.mass, role: f.known ? null : f.role, atBeep: p.row.atBeep };
      });

  const parts = (): PartState[] =>
    (recipe?.sections ?? []).flatMap((s, i) =>
      kinds.flatMap((kind) => {
        const rows = rowsFor(kind, i);
        // What the baker takes out of the dough to go on top goes on by itself.
        const apart = kind === 'topping' && s.kind === null ? rows.map((row) => [row]) : [rows];
        return apart
          .filter((some) => some.length > 0)
          .map((some, n) => ({
            key: `${i}${kind}${n}`,
            kind,
            name: s.name || (kind === 'topping' ? (some[0]?.ingredient ?? kind) : kind),
            rows: some,
            work: s.work,
            moment: s.moment ?? null,
          }));
      }),
    );

  // What is still open, left out or as much as it takes stays in the notes as it was written.
  const notes = () => {
    const kept = places.filter((p) => open.includes(p) || found(p).out || isToTaste(p)).map((p) => p.text);
    return [...new Set(kept), recipe?.leftOver ?? ''].filter((n) => n !== '').join('\n');
  };

  // Corrections are learned: a new ingredient by what it does, another word for one the pantry has.
  const corrections = () =>
    places
      .filter((p) => !found(p).out && !open.includes(p) && !isToTaste(p) && (fixes[p.key] || !p.row.known))
      .map((p) => {
        const f = found(p);
        return { line: p.text, words: p.row.words, name: f.ingredient, role: f.role, mass: f.mass, told: f.told ?? null };
      });

  async function keep() {
    if (!recipe) return null;
    const id = newId();
    // Ours, untouched: the very dough.
    const isExact = recipe.exact && Object.keys(fixes).length === 0;
    const draft = isExact
      ? { ...recipe.exact, name: name ?? recipe.exact?.name ?? '' }
      : {
          ...draftOf({
            name: name ?? recipe.title,
            rows: rowsFor('dough'),
            parts: parts(),
            byHand: recipe.byHand,
            ownOrder: recipe.ownOrder,
            notes: notes(),
          }),
          plan: taken,
        };
    // First what was told of its ingredients: the dough is made of them as they are known then.
    const taught = isExact ? [] : corrections();
    if (taught.length > 0) await learn.make(taught);
    const { trouble: wrong } = await keepDough.make({ id, draft: draft as Schemas['DoughDraft'] });
    if (wrong) {
      setRefused(problemsOf(wrong));
      return null;
    }
    for (const forget of [forgetText, forgetName, forgetFixes, forgetHeadings, forgetLeft, forgetLanguage, forgetWhich]) forget();
    return id;
  }

  return {
    text,
    type: (to: string) => {
      setText(to);
      setWhich(0);
      startAnew();
    },
    name: name ?? recipe?.title ?? '',
    setName,
    language,
    setLanguage,
    which,
    /** Another recipe of the same page: nothing that was put right belongs to it. */
    setWhich: (to: number) => {
      setWhich(to);
      setName(null);
      startAnew();
    },
    trouble,
    recipe,
    isReading: !isBlank && !trouble && !recipe,
    places,
    found,
    isToTaste,
    isOpen,
    open,
    openHeadings,
    answerHeading: (section: number, to: Whereto) => setHeadings((all) => ({ ...all, [section]: to })),
    fix: (key: string, to: Fix) => {
      setRefused([]);
      setFixes((all) => ({ ...all, [key]: { ...all[key], ...to } }));
    },
    plan,
    left,
    leave: (key: keyof Plan, out: boolean) => setLeft((all) => (out ? [...all, key] : all.filter((k) => k !== key))),
    refused,
    keep,
  };
}

const kinds: Schemas['PartKind'][] = ['filling', 'topping', 'wash', 'butter', 'bath', 'surface'];

export type Reading = ReturnType<typeof useReading>;
