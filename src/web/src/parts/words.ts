// What is said in the parts that all views share. Whether it is said, and with which figures, is decided where it is shown.

// In several places.
export const tryAgain = 'Try again';

// Broken
export const cannotBeShownEverythingThat = (what: string) => `${what} cannot be shown. Everything that was told is kept.`;

// Keys
export const spaceEnter = 'Space, Enter';
export const doesWhatTheBigControl = 'Does what the big control says; so does a foot switch or a remote';
export const takesTheLastStepBack = 'Takes the last step back';
export const beginsToTypeAWeight = 'Begins to type a weight';
export const goesFromOneControlTo = 'Goes from one control to the next';
export const moveWhatIsHeldBy = 'Move what is held by a time, later or sooner';
export const thisList = 'This list';
export const keys = 'Keys';
export const close = 'Close';

// Loading
export const oneMoment = 'One moment.';
export const theKitchenServerDoesNot = 'The kitchen server does not answer. Nothing kept was lost.';
export const toTheDay = 'To the day';

// NumberInput
export const thatIsNoNumber = 'That is no number';
export const ofLong = (long: string) => ` of ${long}`;

// ScaleHere
export const aScaleAtThisDevice = 'A scale at this device';
export const theScaleIsRead = (from: string) => `The scale is read ${from}.`;
export const readTheScale = (name: string) => `Read the scale ${name}`;

// Search
export const search = 'Search';
export const searchOfIt = (ofIt: string) => `Search ${ofIt}`;

// Unheard
export const toldNotYetHeardKept = (count: number, unheard: string) =>
  `${count} told, not yet heard: ${unheard}. Kept in this browser until the kitchen server answers.`;
export const meanwhileSomebodyTold = 'Meanwhile somebody told:';
export const youTold = 'You told:';
export const mineHoldsToo = 'Mine holds too';
export const leaveMine = 'Leave mine';

// kept
export const inTheFreezer = 'in the freezer';
export const outOfTheFreezer = 'out of the freezer';
export const inTheFridge = 'in the fridge';
export const thrownAway = 'thrown away';

// useArrival
export const today = 'Today';
export const readARecipe = 'Read a recipe';
export const weighIn = 'Weigh in';
export const dough = 'Dough';
export const doughs = 'Doughs';
export const plaits = 'Plaits';
export const pantry = 'Pantry';
export const kitchen = 'Kitchen';
export const benchSheet = 'Bench sheet';
export const theDay = 'The day';
export const layOut = 'Lay out';
export const bench = 'Bench';
export const labels = 'Labels';
export const aBake = 'A bake';
export const logbook = 'Logbook';
export const nowhere = 'Nowhere';
