// Where something kept is by now, in words.
import type { Schemas } from '../api/http';

type Kept = Schemas['KeptView'];

export function whereItIs({ in: where, kind }: Kept) {
  if (where === 'freezer') return 'in the freezer';
  if (where === 'fridge') return kind === 'bread' ? 'out of the freezer' : 'in the fridge';
  return kind === 'bread' ? 'eaten' : 'thrown away';
}
