// What is said of the proof. Whether it is said, and with which figures, is decided where it is shown.

// ProofCurve
export const proof = 'Proof';
export const inAt = 'In at';
export const theyHoldUntilAbout = '; they hold until about';
export const readyFromTo = (at: string, at2: string) => `; ready from ${at} to ${at2}`;
export const grownOfWanted = (riseNow: number, wantedRise: number, until: string) =>
  `Grown ${riseNow} % of ${wantedRise} % wanted${until}`;
export const wanted = 'wanted';
export const lineAsReckonedFromYour = 'Line: as reckoned from your looks. Band: four doughs in five. Green: ready.';
export const readyBetween = 'Ready between';
export const and = 'and';
export const itDoesNotGetThere = 'It does not get there where it stands.';
export const theDoughIsAt = (heat: string, place: string, heat2: string) => `${heat} ${place}; the dough is at ${heat2}.`;

// Size
export const itFillsOfItsTin = (percent: string) => `It fills ${percent} of its tin`;
export const itIsWiderThanSet = (percent: string, percent2: string) =>
  `It is ${percent} wider than set down, ${percent2} is wanted`;
