// Steps that came with an update while the bake was under way: it has them once its baker agrees.
import type { BakeEvent, BenchView } from '../api/http';
import * as words from './words';

export function NewSteps({ steps, take }: { steps: NonNullable<BenchView['newSteps']>; take: (event: BakeEvent) => void }) {
  return (
    <p className="caution tight" role="status">
      {words.knownSinceThisWasLaid(steps.steps.join(', '))}{' '}
      <button className="button small" onClick={() => take({ type: 'rules-taken', rules: steps.rules })}>
        {words.addThem}
      </button>
    </p>
  );
}
