// What is said at shaping. Whether it is said, and with which figures, is decided where it is shown.

// PanPicture
export const byWith = (name: string, length: string, length2: string, count: number) =>
  `${name}, ${length} by ${length2}, with ${count}`;

// PlaitTrainer
export const plaitTrainer = 'Plait trainer';
export const theFarHalf = 'The far half';
export const after = (say: string) => `After: ${say}`;
export const back = 'Back';
export const nextMove = 'Next move';
export const ofAt = (at: number, last: number) => `${at} of ${last}`;
export const placesCountFromTheLeft = (word: string) => ` · ${word}; places count from the left`;
export const leftHanded = 'Left-handed';
export const fromTheMiddle = 'From the middle';
export const aMoveEveryS = (s: number) => `A move every ${s}\u00a0s`;

// PlaitsPage
export const threeStrands = 'Three strands';
export const four = 'Four';
export const six = 'Six';
export const twist = 'Twist';
export const coil = 'Coil';
export const knot = 'Knot';
export const pretzel = 'Pretzel';
export const yourOwn = 'Your own';
export const plaitsAndKnots = 'Plaits and knots';
export const which = 'Which';
export const strands = 'Strands';
export const movesOverAndOverPlace = 'Moves, over and over: place, over or under each neighbour, commas between moves';
