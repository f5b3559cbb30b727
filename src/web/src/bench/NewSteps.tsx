// Steps that came with an update while the bake was under way: it has them once its baker agrees.
import type { BakeEvent, BenchView } from '../api/http';

export function NewSteps({ steps, take }: { steps: NonNullable<BenchView['newSteps']>; take: (event: BakeEvent) => void }) {
  return (
    <p className="caution tight" role="status">
      Known since this was laid out: {steps.steps.join(', ')}.{' '}
      <button className="button small" onClick={() => take({ type: 'rules-taken', rules: steps.rules })}>
        Add them
      </button>
    </p>
  );
}
