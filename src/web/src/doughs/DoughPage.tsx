// One dough: type ingredients and grams, see what it is, what it is good for, and change it.
import { Checkbox, Input } from 'antd';
import { useState } from 'react';
import { Link, useLocation, useNavigate, useParams } from 'react-router';
import { problemsOf } from '../api/change';
import { useKeepDough } from '../api/changes';
import { api, newId, type Schemas, type Trouble } from '../api/http';
import { Field } from '../parts/Field';
import { Loading } from '../parts/Loading';
import { useKept, wasTyped } from '../parts/useKept';
import { useLater } from '../parts/useLater';
import { ChangeIt } from './ChangeIt';
import { CostCard } from './CostCard';
import { blankDough, draftOf, stateOf, type DoughState } from './draft';
import { Facts } from './Facts';
import { GoodFor } from './GoodFor';
import { PartsEditor } from './PartsEditor';
import { RowsEditor } from './RowsEditor';
import { Versions } from './Versions';
import * as words from './words';
import css from './doughs.module.css';

export default function DoughPage() {
  const { id = 'new' } = useParams();
  const location = useLocation();
  const isNew = id === 'new';
  const dough = api.useQuery('get', '/api/doughs/{id}', { params: { path: { id } } }, { enabled: !isNew });
  if (!isNew && !dough.data) return <Loading error={dough.error} retry={() => void dough.refetch()} />;
  const d = dough.data;
  const from = location.state as DoughState | null;
  return (
    <Editor
      key={id}
      id={isNew ? null : id}
      first={d ? stateOf(d.name, d.byHand, d.notes, d.formula, d.plan, d.ownOrder) : (from ?? blankDough())}
      isTouched={from !== null}
      version={d?.version ?? null}
    />
  );
}

type Props = { id: string | null; first: DoughState; isTouched: boolean; version: number | null };

function Editor({ id, first, isTouched, version }: Props) {
  const navigate = useNavigate();
  const [doughId] = useState(() => id ?? newId());
  const typed = `dough/${id ?? 'new'}`;
  const [wasHere] = useState(() => wasTyped(typed));
  const [dough, setDough, forget] = useKept(typed, first);
  // The version it was typed over.
  const [of, setOf, forgetOf] = useKept(`${typed}/of`, version);
  const [before, setBefore] = useState<DoughState | null>(null);
  const [refused, setRefused] = useState<Schemas['ProblemView'][]>([]);
  const [touched, setTouched] = useState(isTouched || wasHere);
  const change = (to: Partial<DoughState>) => {
    if (!touched) setOf(version);
    setTouched(true);
    setRefused([]);
    setDough((d) => ({ ...d, ...to }));
  };
  const take = (to: DoughState) => {
    setBefore(dough);
    change(to);
  };

  const keepDough = useKeepDough();
  const draft = draftOf(dough);
  // Percentages do not wait for a name.
  const body = useLater({ ...draft, name: words.aDough });
  const reckoned = api.useQuery(
    'post',
    '/api/formulas',
    { body },
    { enabled: body.rows.length > 0, retry: false, placeholderData: (b) => b, staleTime: 60000 },
  );
  const formula = reckoned.error ? null : reckoned.data;
  const problems = [...((reckoned.error as Trouble | null)?.problems ?? []), ...refused];
  const general = problems.filter((p) => ['rows', 'parts', 'notes', ''].includes(p.field) && p.code !== 'changed');

  async function keep(then: string, over = touched ? of : null) {
    const { trouble } = await keepDough.make({ id: doughId, draft, of: over });
    if (trouble) return setRefused(problemsOf(trouble));
    letGo();
    await navigate(then);
  }

  function letGo() {
    setTouched(false);
    forget();
    forgetOf();
  }

  async function split(other: string, state: DoughState) {
    const { trouble } = await keepDough.make({ id: other, draft: draftOf(state) });
    if (trouble) return setRefused(problemsOf(trouble));
    await navigate(`/doughs/${other}`);
  }

  return (
    <div className={`layout ${css.doughPage}`}>
      <div className="page">
        <h1 className="sr">{dough.name || words.yourOwnDough}</h1>
        <section className="card stack" aria-label={words.theDough}>
          <Field id="name" label={words.name} problem={problems.find((p) => p.field === 'name')?.reason}>
            <Input
              id="name"
              size="large"
              value={dough.name}
              onChange={(e) => change({ name: e.target.value })}
              placeholder={words.whatYouCallIt}
            />
          </Field>
          <RowsEditor
            what={words.ingredient}
            rows={dough.rows}
            set={(rows) => change({ rows })}
            reckoned={formula?.rows}
            problems={problems}
            field="rows"
            beep
            inOrder={dough.ownOrder ?? false}
          />
          {general.map((p) => (
            <p className="problem" role="alert" key={p.code}>
              {p.reason}
            </p>
          ))}
          <Checkbox checked={dough.byHand} onChange={(e) => change({ byHand: e.target.checked })}>
            {words.mixedByHandInA}
          </Checkbox>
          <Checkbox checked={dough.ownOrder ?? false} onChange={(e) => change({ ownOrder: e.target.checked })}>
            {words.loadedInThisOrderWhatever}
          </Checkbox>
        </section>
        <PartsEditor parts={dough.parts} set={(parts) => change({ parts })} reckoned={formula?.parts} problems={problems} />
        {formula && <GoodFor formula={formula} />}
        {formula && <ChangeIt draft={draft} formula={formula} take={take} split={(other, state) => void split(other, state)} />}
        <section className="card">
          <Field id="notes" label={words.methodAndNotes}>
            <Input.TextArea
              id="notes"
              autoSize={{ minRows: 2, maxRows: 24 }}
              value={dough.notes}
              onChange={(e) => change({ notes: e.target.value })}
            />
          </Field>
        </section>
        {id && formula && <CostCard id={id} suits={formula.suits} />}
        {id && <Versions id={id} take={take} />}
      </div>
      <aside className="card side stack" aria-label={words.whatThisDoughIs}>
        {formula ? <Facts formula={formula} /> : <p className="muted">{words.percentagesHydrationAndWeight}</p>}
        {refused.some((p) => p.code === 'changed') && (
          <div role="alert" className="stack">
            <p className="tight">{words.somebodyElseKeptAnotherVersion}</p>
            <button className={`button ${css.onSide}`} onClick={() => void keep('/doughs', null)}>
              {words.keepMineOverIt}
            </button>
            <button
              className={`button ${css.onSide}`}
              onClick={() => {
                letGo();
                void navigate(0);
              }}
            >
              {words.takeTheirs}
            </button>
          </div>
        )}
        <button className="button do" disabled={!formula} onClick={() => void keep(`/lay-out?dough=${doughId}`)}>
          {touched || !id ? words.keepAndLayOut : words.layOutABake}
        </button>
        {(touched || !id) && (
          <button className={`button ${css.onSide}`} disabled={!formula} onClick={() => void keep('/doughs')}>
            {words.keep}
          </button>
        )}
        {touched && wasHere && (
          <button
            className={`button ${css.onSide}`}
            onClick={() => {
              setDough(first);
              forget();
              setTouched(isTouched);
            }}
          >
            {id ? words.backToWhatIsKept : words.beginWithAnEmptyOne}
          </button>
        )}
        {before && (
          <button
            className={`button ${css.onSide}`}
            onClick={() => {
              change(before);
              setBefore(null);
            }}
          >
            {words.takeTheChangeBack}
          </button>
        )}
        {id && !touched && (
          <>
            <Link className={`button ${css.onSide}`} to={`/doughs/${id}/load`}>
              {words.loadIt}
            </Link>
            <p className="tight">
              {words.takeItAlong}{' '}
              <a href={`/api/doughs/${id}/export?format=text`} download>
                {words.text}
              </a>
              ,{' '}
              <a href={`/api/doughs/${id}/export?format=markdown`} download>
                {words.markdown}
              </a>
              ,{' '}
              <a href={`/api/doughs/${id}/export?format=json-ld`} download>
                {words.recipeFile}
              </a>
              ,{' '}
              <a href={`/api/archive?id=${id}`} download>
                {words.withAllItsVersions}
              </a>
            </p>
          </>
        )}
      </aside>
    </div>
  );
}
