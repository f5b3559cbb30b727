// What a program does, and what the machine holds.
import type { Schemas } from '../api/http';
import { useUnits } from '../parts/units';
import * as words from './words';

const phaseWords: Record<Schemas['PhaseKind'], string> = {
  warm: 'warm',
  knead: 'knead',
  rise: 'rise',
  'knock-back': words.knockBack,
};

export function MachineLine({ machine, program }: { machine: Schemas['MachineView']; program: string | null | undefined }) {
  const { mass } = useUnits();
  const set = machine.programs.find((p) => p.name === program) ?? machine.programs[0];
  const phases = set?.phases.map((p) => `${phaseWords[p.kind]} ${Math.round(p.length / 60)}`).join(' · ');
  return (
    <span className="muted">
      {!machine.byHand && `Program ${set?.name}: ${phases} min${set?.pulled ? words.thenPulled : ''}. `}
      {words.upToFlourDough(mass(machine.flourLimit), mass(machine.doughLimit))}
    </span>
  );
}
