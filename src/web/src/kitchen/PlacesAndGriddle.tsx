// The household's own places to proof, and its griddle.
import { newId } from '../api/http';
import { Add, Drop, listOf, Name, Num, NumOrNone, Section, Tick } from './form';
import type { Part } from './KitchenPage';

export function PlacesAndGriddle({ k, usual, change }: Part) {
  const places = listOf(k.places, (p) => change({ places: p }));
  const { griddle } = k;
  return (
    <Section title="Places to proof, and the griddle">
      {places.all.map((p, i) => (
        <div className="kit line" key={p.id}>
          <Name label="The dough is …" at={`places[${i}].name`} value={p.name} set={(name) => places.put(i, { name })} />
          <Num
            label="Steady at"
            of="temperature"
            at={`places[${i}].steady`}
            value={p.steady ?? usual.place.steady}
            set={(steady) => places.put(i, { steady })}
          />
          <NumOrNone label="Trays at once" at={`places[${i}].trays`} value={p.trays} set={(trays) => places.put(i, { trays })} />
          <Drop what={p.name} drop={() => places.drop(i)} />
        </div>
      ))}
      <Add what="a place" add={() => places.add({ ...usual.place, id: newId() })} />
      <div className="kit">
        <Tick on={griddle != null} set={(on) => change({ griddle: on ? usual.griddle : null })}>
          a griddle
        </Tick>
        {griddle && (
          <>
            <Num
              label="Griddle long"
              of="length"
              at="griddle.length"
              value={griddle.length}
              set={(length) => change({ griddle: { ...griddle, length } })}
            />
            <Num
              label="Griddle wide"
              of="length"
              at="griddle.width"
              value={griddle.width}
              set={(width) => change({ griddle: { ...griddle, width } })}
            />
          </>
        )}
      </div>
    </Section>
  );
}
