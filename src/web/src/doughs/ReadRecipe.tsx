// Paste a recipe from anywhere: what was understood stands beside every line, and can be put right there.
import { Input, Select } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Field } from '../parts/Field';
import { Loading } from '../parts/Loading';
import { Questions } from './Questions';
import { ReadLine } from './ReadLine';
import { RecipeSays } from './RecipeSays';
import { useReading, type Place, type Reading } from './useReading';
import * as words from './words';
import css from './doughs.module.css';

const languages: [string, string][] = [
  ['en', words.english],
  ['de', words.german],
  ['fr', words.french],
  ['es', words.spanish],
  ['it', words.italian],
];

export default function ReadRecipe() {
  const reading = useReading();
  const { recipe, trouble } = reading;
  return (
    <div className={`layout ${css.read}`}>
      <h1 className="sr">{words.readARecipe}</h1>
      <Paste reading={reading} />
      <div className="page">
        {!recipe && !trouble && !reading.isReading && <p className="card muted tight">{words.everyLineIsWeighedAs}</p>}
        {reading.isReading && <Loading error={null} />}
        {recipe && (
          <>
            <Understood reading={reading} />
            {recipe.leftOver !== '' && (
              <section className="card" aria-label={words.leftOver}>
                <h2 className="over-list">{words.methodAndNotesKeptWhole}</h2>
                <p className="as-written tight">{recipe.leftOver}</p>
              </section>
            )}
          </>
        )}
      </div>
    </div>
  );
}

function Paste({ reading }: { reading: Reading }) {
  const [dropped, setDropped] = useState('');
  async function readFile(file: File | undefined) {
    if (!file) return setDropped('');
    if (file.size > 1_000_000) return setDropped(words.thisFileIsLargerThan);
    setDropped('');
    reading.type(await file.text());
  }
  return (
    <section
      className="card stack"
      aria-label={words.theRecipe}
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        void readFile(e.dataTransfer.files[0]);
      }}
    >
      <Field id="recipe" label={words.pasteARecipeTextA} problem={reading.trouble?.title ?? (dropped || undefined)}>
        <Input.TextArea
          id="recipe"
          value={reading.text}
          onChange={(e) => {
            setDropped('');
            reading.type(e.target.value);
          }}
          autoSize={{ minRows: 16, maxRows: 28 }}
          placeholder={words.softRolls480GStrong}
        />
      </Field>
      <label className="button quiet">
        {words.orOpenAFile}
        <input
          className="sr"
          type="file"
          accept=".txt,.md,.json,.jsonld,.html,.htm,text/*"
          onChange={(e) => void readFile(e.target.files?.[0])}
        />
      </label>
    </section>
  );
}

function Understood({ reading }: { reading: Reading }) {
  const navigate = useNavigate();
  const { recipe, open, openHeadings, refused } = reading;
  if (!recipe) return null;
  const asked = open.length + openHeadings.length;
  const keep = async () => {
    const id = await reading.keep();
    if (id) await navigate(`/doughs/${id}`);
  };
  return (
    <section className="card stack" aria-label={words.whatWasUnderstood}>
      <div className={css.readHead}>
        <Field id="title" label={words.name} problem={refused.find((p) => p.field === 'name')?.reason}>
          <Input id="title" size="large" value={reading.name} onChange={(e) => reading.setName(e.target.value)} />
        </Field>
        <Field id="language" label={words.readAs}>
          <Select
            id="language"
            value={recipe.language}
            onChange={reading.setLanguage}
            options={languages.map(([value, label]) => ({ value, label }))}
          />
        </Field>
      </div>
      {recipe.names.length > 0 && (
        <Field id="which" label={words.recipesInThisPage(recipe.names.length)}>
          <Select
            id="which"
            value={reading.which}
            onChange={reading.setWhich}
            options={recipe.names.map((label, value) => ({ value, label }))}
          />
        </Field>
      )}
      <p className="tight">
        <b className="num">{recipe.understood}</b> {words.understood}
        {asked > 0 && (
          <>
            , <b className="late num">{asked}</b> {words.stillToBeTold}
          </>
        )}
        {recipe.exact && words.writtenByThisHouseEvery}
      </p>
      <Questions reading={reading} />
      {recipe.sections.map((s, i) => (
        <div key={i}>
          {(s.kind || s.isAsked || recipe.sections.length > 1) && (
            <h2 className={`small-head ${css.sectionHead}`}>{s.name || words.dough}</h2>
          )}
          {linesOf(reading.places, i).map((line) => (
            <ReadLine key={line[0]?.key} line={line} reading={reading} />
          ))}
        </div>
      ))}
      <RecipeSays reading={reading} />
      {refused
        .filter((p) => p.field !== 'name')
        .map((p) => (
          <p className="problem" role="alert" key={p.field + p.code}>
            {p.reason}
          </p>
        ))}
      <button className="button do" onClick={() => void keep()}>
        {words.keepThisDough}
        {asked > 0 && <small>{words.whatIsStillToBe}</small>}
      </button>
    </section>
  );
}

// The rows of each line together.
function linesOf(places: Place[], section: number): Place[][] {
  const lines = new Map<string, Place[]>();
  for (const p of places.filter((q) => q.section === section)) lines.set(p.line, [...(lines.get(p.line) ?? []), p]);
  return [...lines.values()];
}
