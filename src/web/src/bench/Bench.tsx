// The bench: one sentence, one number, one control; what comes next; everything else out of the way.
import { useCallback, useState, type ReactNode } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { api, type BenchView } from '../api/http';
import { houseSpeed } from '../api/clock';
import { Loading } from '../parts/Loading';
import { AtTheBeat } from './AtTheBeat';
import { Over } from './Over';
import { StepList } from './StepList';
import { useSend } from './useSend';

export default function Bench() {
  const { id = '' } = useParams();
  return <BenchAt key={id} id={id} />;
}

/** The bench of one bake. `next`: what comes next in all bakes, instead of in this one. */
export function BenchAt({ id, next }: { id: string; next?: ReactNode }) {
  // The step that was picked is in the address: a reload and Back find it.
  const [address, setAddress] = useSearchParams();
  const step = address.get('step');
  const setStep = useCallback((to: string | null) => setAddress(to === null ? {} : { step: to }), [setAddress]);
  // Stays open though the step changes under it.
  const [all, setAll] = useState(false);
  const { data, error, refetch } = api.useQuery(
    'get',
    '/api/bakes/{id}',
    { params: { path: { id }, ...(step ? { query: { step } } : {}) } },
    { refetchInterval: houseSpeed() > 1 ? 1000 : 5000, placeholderData: (before) => before },
  );
  if (!data) return <Loading error={error} retry={() => void refetch()} />;
  if (!data.beat) return <Over bake={data} />;
  return (
    <>
      {/* A fresh beat starts with fresh fields. */}
      <AtTheBeat
        key={data.beat.step}
        bake={data}
        beat={data.beat}
        chosen={step}
        choose={setStep}
        showAll={() => setAll(true)}
        next={next}
      />
      <AllSteps bake={data} choose={setStep} open={all} setOpen={setAll} />
    </>
  );
}

type ListOfSteps = { bake: BenchView; choose: (step: string | null) => void; open: boolean; setOpen: (open: boolean) => void };

// Beside the beat, not in it: a touch is not lost when the beat changes under the finger.
function AllSteps(list: ListOfSteps) {
  const { send } = useSend(list.bake);
  return <StepList {...list} send={send} />;
}
