// What is said at the first opening. Whether it is said, and with which figures, is decided where it is shown.

// FirstQuestions
export const whatDoesTheDoughCycle = 'What does the dough cycle say it takes?';
export const whatDoYouMeasureWith = 'What do you measure with?';
export const howHotDoesTheOven = 'How hot does the oven get?';
export const whichOfTheseDoYou = 'Which of these do you own?';
export const whenIsSomebodyUp = 'When is somebody up?';
export const yourKitchen = 'Your kitchen';
export const ofAt = (at: number, count: number) => `${at} of ${count}`;
export const back = 'Back';
export const skipAsUsual = 'Skip: as usual';
export const skipAll = 'Skip all';
export const itBeginsByStandingStill = 'It begins by standing still';
export const cycle = 'Cycle';
export const orInMinutes = 'or, in minutes';
export const soLong = 'So long';
export const orItsTable = 'or type the table its maker gives';
export const scaleGramsC = 'Scale: grams, °C';
export const scaleOuncesF = 'Scale: ounces, °F';
export const cupsAndSpoonsF = 'Cups and spoons, °F';
export const cupsAndSpoonsC = 'Cups and spoons, °C';
export const measures = 'Measures';
export const itHasAFanAnd = 'It has a fan, and I use it';
export const twoTraysAtOnce = 'Two trays at once';
export const topOfTheDial = 'Top of the dial';
export const traysAndTins = 'Trays and tins';
export const thatIsAll = 'That is all';
export const up = 'Up';
export const fromTo = (oclock: string, oclock2: string) => `${oclock} to ${oclock2}`;

// KitchenDrawn
export const yourKitchenAsKnownSo = 'Your kitchen as known so far';
export const toHeat = (heat: string) => `to ${heat}`;
export const cupsAndSpoons = 'cups and spoons';
export const scale = 'scale';
export const somebodyIsUp = 'somebody is up';
export const usually = ', usually';
export const minPartsAsUsual = (name: string, total: number) => `${name}: ${total} min, parts as usual`;
export const noTrayYetAnyWill = 'no tray yet: any will do';
