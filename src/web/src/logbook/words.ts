// What is said in the logbook. Whether it is said, and with which figures, is decided where it is shown.

// Logbook
export const logbook = 'Logbook';
export const noBakeIsOverYet = 'No bake is over yet. The first one will be here when it is eaten.';
export const toToday = 'To today';
export const doughBreadNoteDay = 'dough, bread, note, day';
export const which = 'Which';
export const all = 'All';
export const goodOnes = 'Good ones';
export const noBakeThatIsOver = 'No bake that is over is like this.';
export const stopped = ' · stopped';
export const onTime = 'on time';
export const late = 'late';
export const early = 'early';
export const spread = (weight: string) => ` · spread ${weight}`;
export const showOlderOnes = 'Show older ones';
export const of5 = (n: number) => `${n} of 5`;

// LogbookPage
export const notOverYet = 'not over yet';
export const versionOfTheDough = (version: number) => `version ${version} of the dough`;
export const sameAgain = 'Same again';
export const asAFile = 'As a file';
export const planAndWhatHappened = 'Plan and what happened';
export const step = 'Step';
export const plan = 'plan';
export const was = 'was';
export const min = 'min';
export const skipped = 'skipped';
export const notDone = 'not done';
export const weights = 'Weights';
export const dough = 'Dough';
export const notWeighed = 'not weighed';
export const aboutExpectedAddedAtThe = (mass: string, added: string) => `, about ${mass} expected. Added at the check: ${added}.`;
export const noPieceWasWeighed = 'No piece was weighed.';
export const weightsParts = (parts: string) => `Weights: ${parts}`;
export const fromToSpread = (figure: string, weight: string, weight2: string) =>
  `From ${figure} to ${weight}: spread ${weight2}.`;
export const betweenTheLightestAndThe = (bakeBetween: string) =>
  ` Between the lightest and the heaviest lie ${bakeBetween} min in the oven.`;
export const theBread = 'The bread';
export const keptOfIt = 'Kept of it';
export const madeIntoAnotherBake = 'made into another bake';
export const since = (day: string, at: string) => ` since ${day} ${at}`;
export const sayHowItWas = 'Say how it was';
export const putItOtherwise = 'Put it otherwise';
export const howItWas = 'How it was';
export const forNextTime = 'For next time';
export const keep = 'Keep';

// Photo
export const thisCannotBeShownAs = 'This cannot be shown as a picture.';
export const pictureOfTheBread = 'Picture of the bread';
export const anotherPicture = 'Another picture';
export const addAPicture = 'Add a picture';
export const removeIt = 'Remove it';
