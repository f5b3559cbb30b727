// A bake laid out on one screen: every choice on the left, what follows from it on the right, at once.
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useLayOutBake, useWriteHint } from '../api/changes';
import { clockTime } from '../api/clock';
import { api, newId, type Schemas } from '../api/http';
import { Starters } from '../doughs/Starters';
import { askToCall } from '../parts/mayCall';
import { Loading } from '../parts/Loading';
import { useWidth } from '../parts/useWidth';
import { StrandPicture } from '../strands/StrandPicture';
import { Choices } from './Choices';
import { Result } from './Result';
import { useChoice, useLaidOut } from './useChoice';
import * as words from './words';

export default function LayOut() {
  const [search] = useSearchParams();
  const kitchen = api.useQuery('get', '/api/kitchen');
  const doughs = api.useQuery('get', '/api/doughs/names');
  if (!kitchen.data || !doughs.data) return <Loading error={kitchen.error ?? doughs.error} />;
  const again = search.get('again');
  if (again) return <SameAgain kitchen={kitchen.data} doughs={doughs.data} bake={again} />;
  const [bake, cut] = [search.get('bake'), search.get('cut')];
  if (bake && cut) return <WithLump kitchen={kitchen.data} doughs={doughs.data} bake={bake} cut={Number(cut)} />;
  const dough = doughs.data.find((d) => d.id === search.get('dough')) ?? doughs.data[0];
  if (!dough) return <Starters />;
  return <WithDough key={dough.id} kitchen={kitchen.data} doughs={doughs.data} first={dough.id} />;
}

type Props = { kitchen: Schemas['KitchenView']; doughs: Schemas['DoughName'][] };

function WithDough({ first, ...props }: Props & { first: string }) {
  const of = { params: { path: { id: first } } };
  const dough = api.useQuery('get', '/api/doughs/{id}', of);
  const choice = api.useQuery('get', '/api/doughs/{id}/first-choice', of);
  if (!dough.data || !choice.data)
    return <Loading error={dough.error ?? choice.error} retry={() => void Promise.all([dough.refetch(), choice.refetch()])} />;
  return <Chooser {...props} dough={dough.data} opensWith={choice.data} />;
}

// A past bake, chosen again: only the time is asked.
function SameAgain({ bake, ...props }: Props & { bake: string }) {
  const opening = api.useQuery('get', '/api/logbook/{id}/again', { params: { path: { id: bake } } });
  const id = opening.data?.doughId ?? '';
  const dough = api.useQuery('get', '/api/doughs/{id}', { params: { path: { id } } }, { enabled: id !== '' });
  if (opening.data && id === '') return <p className="card">{words.theDoughOfThisBake}</p>;
  if (!dough.data || !opening.data)
    return <Loading error={opening.error ?? dough.error} retry={() => void Promise.all([opening.refetch(), dough.refetch()])} />;
  return <Chooser {...props} dough={dough.data} opensWith={opening.data.choice} of={`again/${bake}`} />;
}

// What is made of dough in the cold begins at the divide.
function WithLump({ bake, cut, ...props }: Props & { bake: string; cut: number }) {
  const opening = api.useQuery('get', '/api/larder/{bake}/{cut}/first-choice', { params: { path: { bake, cut } } });
  const id = opening.data?.doughId ?? props.doughs[0]?.id ?? '';
  const dough = api.useQuery('get', '/api/doughs/{id}', { params: { path: { id } } }, { enabled: id !== '' });
  if (!dough.data || !opening.data)
    return <Loading error={opening.error ?? dough.error} retry={() => void Promise.all([opening.refetch(), dough.refetch()])} />;
  return <Chooser {...props} dough={dough.data} opensWith={opening.data.choice} of={`cold/${bake}/${cut}`} />;
}

type Opening = { dough: Schemas['DoughView']; opensWith: Schemas['BakeChoice'] };

function Chooser({ kitchen, doughs, dough, opensWith, of = dough.id }: Props & Opening & { of?: string }) {
  const navigate = useNavigate();
  const [bakeId] = useState(newId);
  const [ref, width] = useWidth<HTMLDivElement>();
  const chosen = useChoice(kitchen, dough.id, opensWith, of);
  const laidOut = useLaidOut(chosen, width);
  const layOut = useLayOutBake();
  const hint = useWriteHint();
  const [failed, setFailed] = useState('');
  const { layout, trouble } = laidOut;
  const wanted = chosen.choice.readyBy;

  async function keep(arrange: boolean) {
    setFailed('');
    const { trouble: refused } = await layOut.make({ id: bakeId, layout: chosen.request, arrange });
    if (refused) return setFailed(refused.title);
    chosen.forget();
    askToCall();
    await navigate(wanted ? '/' : `/bench/${bakeId}`);
  }

  return (
    <div className="layout">
      <Choices
        kitchen={kitchen}
        doughs={doughs}
        parts={layout?.formula.parts ?? dough.formula.parts}
        chosen={chosen}
        laidOut={laidOut}
      />
      <div className="page">
        <h1 className="sr">{words.layOut(dough.name)}</h1>
        <div className="picture-box" ref={ref}>
          {layout?.picture && <StrandPicture picture={layout.picture} title={words.theBakeAsPlanned} />}
          {trouble && <p className="card problem">{trouble.title}</p>}
        </div>
        {layout && (
          <Result
            layout={layout}
            into={kitchen.machines.find((m) => m.id === chosen.choice.machineId)?.byHand ? 'bowl' : 'pan'}
            beside={laidOut.inDay?.beside ?? null}
            wakes={laidOut.inDay?.wakes ?? null}
            onOneTray={(cut, panId) =>
              chosen.setCuts(chosen.cuts.map((c, i) => (i === cut ? { ...c, touching: true, panId } : c)))
            }
            setReadyBy={(readyBy) => chosen.set({ readyBy })}
            recipe={chosen.doughId === dough.id ? dough.plan : null}
            times={chosen.choice.times ?? {}}
            take={(times) => chosen.set({ times })}
            later={chosen.ways.later ?? kitchen.usualWays.later}
            setLater={(later) => chosen.setWays({ later })}
            go={wanted ? words.planIt(clockTime(layout.start)) : words.startThisBake}
            keep={(arrange) => void keep(arrange)}
            writeHint={() => void hint.make(chosen.doughId)}
          />
        )}
        {failed && (
          <p className="problem" role="alert">
            {failed}
          </p>
        )}
      </div>
    </div>
  );
}
