// What is said at the oven. Whether it is said, and with which figures, is decided where it is shown.

// Finish
export const outOfTheOven = 'Out of the oven';
export const labelsToPrint = 'Labels to print';
export const about = (mass: string) => `, about ${mass}`;
export const each = ' each';
export const notCutBefore = (at: string) => `Not cut before ${at}.`;
export const inTheFridge = 'In the fridge';
export const baggedWhenCold = 'Bagged when cold';
export const until = (kept: string, day: string) => `${kept} until ${day}`;
export const sliced = 'sliced ';
export const inTheFreezerUntil = (sliced: string, day: string) => `, ${sliced}in the freezer until ${day}`;
export const slices = 'Slices';
export const wideAboutEach = (length: string, mass: string) => `${length} wide, about ${mass} each`;
export const cutAt = (marks: string) => `Cut at ${marks}`;
export const inTheFreezerItStands = 'In the freezer. It stands on the first screen until it is eaten.';
export const howManyToFreeze = (what: string) => `How many ${what} to freeze`;
export const freeze = (pieces: number, what: string) => `Freeze ${pieces} ${what}`;
export const freezeIt = 'Freeze it';

// InOven
export const inTheOven = 'In the oven';
export const likelyDoneAtOutBy = (at: string, at2: string) =>
  `Likely done at ${at}, out by ${at2}. They are done by their look: a probe is no use in bread so thin.`;
export const probe = (unit: string) => `Probe, ${unit}`;
export const inTheMiddleEnterAgain = (heat: string) => `${heat} in the middle? Enter again if so.`;
export const readTheStandInProbe = 'Read the stand-in probe';
export const everyMinute = 'every minute';
export const atTheTime = (from: string) => `at ${from}`;
export const betweenAnd = (from: string, to: string) => `between ${from} and ${to}`;
export const theCrustIsLookedAt = (at: string) => `; the crust is looked at from ${at}`;
export const doneInside = (when: string, crust: string) => `Done inside ${when}${crust}.`;
export const oneMoreReadingTwoMinutes = 'One more reading, two minutes on, says when it is done.';
export const likelyDoneAtOutByAt = (at: string, at2: string) => `Likely done at ${at}, out by ${at2}.`;
export const notReadYet = 'not read yet';
export const theMiddleShouldReachProbe = (heat: string, readings: string) =>
  `The middle should reach ${heat}. Probe: ${readings}`;
export const notYet = 'not yet';
export const softBreads = 'soft breads';
export const crustyBreads = 'crusty breads';
export const outNow = 'out now';
export const colourCard = 'Colour card';

// Labels
export const labels = 'Labels';
export const print = 'Print';
export const baked = (day: string) => `Baked ${day}.`;
export const keepColdUse = 'Keep cold; use';
export const best = 'Best';
export const keptBy = (kept: string, day: string) => `${kept} by ${day}.`;
export const forSaleOrAPublic = 'For sale or a public table, rules differ by place: ask your local food authority first.';

// PotBeat
export const allThrough = 'All through.';
export const thePot = 'The pot';
export const secondsLeft = (seconds: number) => `${seconds} s`;
export const theFirstAreInCount = 'The first are in: count';
export const stopCounting = 'Stop counting';
export const soonerNext = 'Sooner: next';
export const atTimesThePace = (houseSpeed: number) => `at ${houseSpeed} times the pace`;
