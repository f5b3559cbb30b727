// What is said at loading. Whether it is said, and with which figures, is decided where it is shown.

// LoadPage
export const howItIsLoaded = 'How it is loaded';
export const machine = 'Machine';
export const program = 'Program';
export const bloomTheYeastFirst = 'Bloom the yeast first';
export const holdAThirdOfThe = 'Hold a third of the liquid back';
export const thePanIsCold = 'The pan is cold';
export const straightFromTheFridge = 'Straight from the fridge';
export const kitchen = (name: string) => `Kitchen ${name}`;
export const liquidMeasured = (name: string) => `Liquid measured ${name}`;
export const afterWarming = 'after warming';
export const timerStartInHours = 'Timer start in, hours';
export const startAtOnce = 'start at once';
export const theLiquid = 'The liquid';
export const theLiquidTheMachineWarms = 'the liquid; the machine warms the rest';
export const theLiquidForADough = (heat: string) => `the liquid, for a dough of ${heat}`;
export const inTheMicrowaveThenMeasure = 'in the microwave, then measure';
export const boilingWaterTheRestCold = 'boiling water, the rest cold';
export const asFarAsTheYeast = (heat: string) =>
  `As far as the yeast allows: the dough will be ${heat}. Rinsing the pan hot helps.`;
export const atToToBloomThe = (heat: string, heat2: string) => `at ${heat} to ${heat2}, to bloom the yeast in`;
export const heldBackForTheCheck = 'held back for the check';
export const loadList = 'Load list';
export const inThisOrder = 'In this order';
export const weighIn = 'weigh in';
export const scaleShows = 'scale shows';
export const withThePan = 'with the pan';
export const atTheBeep = 'At the beep';
export const minAfterTheStart = (beep: number) => `, ${beep} min after the start`;
export const thePan = 'The pan';

// Pan
export const thePanFromAbove = (said: string) => `The pan from above. ${said}.`;
export const fromAboveOnTop = (covers: string) => `From above: ${covers} on top.`;
