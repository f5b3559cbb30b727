// A dough while it is being typed: rows may be empty, and know their place among the filled ones.
import { newId, type Schemas } from '../api/http';
import * as words from './words';

export type Row = { key: string; ingredient: string; mass: number | null; role: Schemas['Role'] | null; atBeep: boolean };
export type PartState = {
  key: string;
  kind: Schemas['PartKind'];
  name: string;
  rows: Row[];
  work: Schemas['PartWork'] | null;
  /** Null for what its kind does. */
  moment: Schemas['PartMoment'] | null;
};
export type DoughState = {
  name: string;
  rows: Row[];
  parts: PartState[];
  byHand: boolean;
  notes: string;
  /** What its recipe says of pieces, heat and minutes. */
  plan?: Schemas['RecipePlan'] | null;
  /** Loaded as its rows stand. */
  ownOrder?: boolean;
};

export const blank = (): Row => ({ key: newId(), ingredient: '', mass: null, role: null, atBeep: false });

export const blankDough = (): DoughState => ({
  name: '',
  rows: [blank(), blank(), blank()],
  parts: [],
  byHand: false,
  notes: '',
});

const rowOf = (r: Schemas['RowView']): Row => ({
  key: newId(),
  ingredient: r.ingredient,
  mass: r.mass,
  role: r.known ? null : r.role,
  atBeep: r.atBeep,
});

/** From a formula as the server reckoned it. */
export const stateOf = (
  name: string,
  byHand: boolean,
  notes: string,
  formula: Schemas['FormulaView'],
  plan: Schemas['RecipePlan'] | null = null,
  ownOrder = false,
): DoughState => ({
  name,
  plan,
  ownOrder,
  byHand,
  notes,
  rows: formula.rows.map(rowOf),
  parts: formula.parts.map((p) => ({
    key: newId(),
    kind: p.kind,
    name: p.name,
    rows: p.rows.map(rowOf),
    work: p.work,
    moment: p.told,
  })),
});

export const filled = (rows: Row[]) => rows.filter((r) => r.ingredient.trim() !== '' && r.mass !== null);

const draftRows = (rows: Row[]) =>
  filled(rows).map((r) => ({ ingredient: r.ingredient, mass: r.mass ?? 0, role: r.role, atBeep: r.atBeep }));

/** What is sent: empty rows, and parts without rows, are left out. */
export const draftOf = (d: DoughState): Schemas['DoughDraft'] => ({
  name: d.name,
  rows: draftRows(d.rows),
  parts: d.parts
    .filter((p) => filled(p.rows).length > 0)
    .map((p) => ({ kind: p.kind, name: p.name, rows: draftRows(p.rows), work: p.work, moment: p.moment })),
  byHand: d.byHand,
  notes: d.notes,
  plan: d.plan ?? null,
  ownOrder: d.ownOrder ?? false,
});

export const partKinds: [Schemas['PartKind'], string][] = [
  ['filling', words.filling],
  ['topping', words.topping],
  ['wash', words.wash],
  ['butter', words.flavouredButter],
  ['bath', words.bath],
  ['surface', words.underTheDough],
];

export const partMoments: [Schemas['PartMoment'], string][] = [
  ['on-the-pan', words.onThePan],
  ['shaping', words.whileShaping],
  ['before-proof', words.beforeTheProof],
  ['before-oven', words.beforeTheOven],
  ['part-way', words.lastMinutesOfTheBake],
  ['hot', words.hotFromTheOven],
  ['cold', words.whenCold],
];

export const roles: [Schemas['Role'], string][] = [
  ['flour', 'flour'],
  ['liquid', 'liquid'],
  ['egg', 'egg'],
  ['fat', 'fat'],
  ['sugar', 'sugar'],
  ['salt', 'salt'],
  ['yeast', 'yeast'],
  ['starter', 'starter'],
  ['other', words.somethingElse],
];
