// What a dough is, in figures.
import type { Schemas } from '../api/http';
import { percent, useUnits } from '../parts/units';
import { DoughBar } from './DoughBar';

export function Facts({ formula }: { formula: Schemas['FormulaView'] }) {
  const { mass } = useUnits();
  const working = Math.abs(formula.workingHydration - formula.hydration) > 0.0005;
  return (
    <>
      <div className="facts">
        <span>
          <span className="big num">{mass(formula.total)}</span>dough
        </span>
        <span>
          <span className="big num">{percent(formula.hydration)}</span>hydration
        </span>
      </div>
      <DoughBar rows={formula.rows} />
      <table className="plain">
        <tbody>
          {(
            [
              ['Flour', mass(formula.flour)],
              ['Comes out of the pan', mass(formula.yield)],
              ...(working ? ([['The hands feel', `${percent(formula.workingHydration)} water`]] as const) : []),
              ['Salt', percent(formula.salt)],
              ['Yeast, as instant', percent(formula.yeast, 2)],
              ['Sugar', percent(formula.sugar)],
              ['Fat', percent(formula.fat)],
              ...(formula.milkSolids > 0 ? ([['Milk solids', percent(formula.milkSolids)]] as const) : []),
              ['Kind', formula.isRich ? 'rich' : 'lean'],
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
      {formula.contains && <p className="tight">Contains {formula.contains}.</p>}
    </>
  );
}
