// The dough is moved: what it has risen stays, the rest follows the new place.
import { Select } from 'antd';
import { api, type BakeEvent, type Schemas } from '../api/http';
import * as words from './words';

export function MoveIt({ proof, tell }: { proof: Schemas['ProofView']; tell: (event: BakeEvent) => void }) {
  const { data } = api.useQuery('get', '/api/kitchen');
  const shelves = data?.shelves.filter((s) => s.name !== proof.place) ?? [];
  return (
    <Select
      aria-label={words.itStandsSomewhereElseNow}
      placeholder={words.itStandsSomewhereElse}
      value={null}
      className="narrow"
      options={shelves.map((s) => ({ value: s.id, label: s.name }))}
      onChange={(id: string) => {
        const to = shelves.find((s) => s.id === id);
        if (to) tell({ type: 'proof-moved', proof: proof.step, to });
      }}
    />
  );
}
