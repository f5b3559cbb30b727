// What a program does, and what the machine holds.
import type { Schemas } from '../api/http';
import { useUnits } from '../parts/units';
import * as words from './words';

export function MachineLine({ machine, program }: { machine: Schemas['MachineView']; program: string | null | undefined }) {
  const { mass } = useUnits();
  const set = machine.programs.find((p) => p.name === program) ?? machine.programs[0];
  const phases = set?.phases.map((p) => `${words.phases[p.kind]} ${Math.round(p.length / 60)}`).join(' · ');
  return (
    <span className="muted">
      {set &&
        !machine.byHand &&
        (set.pulled ? words.programPulled(set.name, phases ?? '') : words.programOf(set.name, phases ?? ''))}
      {words.upToFlourDough(mass(machine.flourLimit), mass(machine.doughLimit))}
    </span>
  );
}
