// What a dough is, in figures.
import type { Schemas } from '../api/http';
import { percent, useUnits } from '../parts/units';
import { DoughBar } from './DoughBar';
import * as words from './words';

export function Facts({ formula }: { formula: Schemas['FormulaView'] }) {
  const { mass } = useUnits();
  const working = Math.abs(formula.workingHydration - formula.hydration) > 0.0005;
  return (
    <>
      <div className="facts">
        <span>
          <span className="big num">{mass(formula.total)}</span>
          {words.doughFigure}
        </span>
        <span>
          <span className="big num">{percent(formula.hydration)}</span>
          {words.hydrationFigure}
        </span>
      </div>
      <DoughBar rows={formula.rows} />
      <table className="plain">
        <tbody>
          {(
            [
              [words.flour, mass(formula.flour)],
              [words.comesOutOfThePan, mass(formula.yield)],
              ...(working ? ([[words.theHandsFeel, words.water(percent(formula.workingHydration))]] as const) : []),
              [words.salt, percent(formula.salt)],
              [words.yeastAsInstant, percent(formula.yeast, 2)],
              [words.sugar, percent(formula.sugar)],
              [words.fat, percent(formula.fat)],
              ...(formula.milkSolids > 0 ? ([[words.milkSolids, percent(formula.milkSolids)]] as const) : []),
              [words.kind, formula.isRich ? 'rich' : 'lean'],
            ] as const
          ).map(([what, value]) => (
            <tr key={what}>
              <td>{what}</td>
              <td className="num">{value}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {formula.checks.map((c) => (
        <p key={c.code} className="caution tight">
          {c.reason}
        </p>
      ))}
      {formula.contains && <p className="tight">{words.contains(formula.contains)}</p>}
    </>
  );
}
