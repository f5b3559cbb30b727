// Where something kept is by now, in words.
import type { Schemas } from '../api/http';
import * as words from './words';

type Kept = Schemas['KeptView'];

export function whereItIs({ in: where, kind }: Kept) {
  if (where === 'freezer') return words.inTheFreezer;
  if (where === 'fridge') return kind === 'bread' ? words.outOfTheFreezer : words.inTheFridge;
  return kind === 'bread' ? 'eaten' : words.thrownAway;
}
