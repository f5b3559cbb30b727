// Figures of a scale: whole units, shown in what the household reads.
import type { Schemas } from '../api/http';

type Scale = Schemas['ScaleUnitView'];

export const figure = (scale: Scale, units: number) => (units * scale.perStep).toFixed(scale.digits);
export const weight = (scale: Scale, units: number) => `${figure(scale, units)} ${scale.unit}`;
