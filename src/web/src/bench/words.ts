// What is said at the bench. Whether it is said, and with which figures, is decided where it is shown.

// In several places.
export const heard = 'Heard';
export const takeBack = 'Take back';
export const skip = 'Skip';
export const keep = 'Keep';
export const byEye = 'By eye';
export const answers = 'Answers';
export const asPlanned = 'as planned';

// Alarms
export const andMore = (more: number) => `and ${more} more`;

// Controls
export const controls = 'Controls';
export const nothingYet = 'nothing yet';
export const putItBack = 'Put it back';
export const notThisOne = 'Not this one';
export const speaking = 'Speaking';
export const speak = 'Speak';

// CycleWatch
export const itStandsStill = 'It stands still';
export const standsStill = 'stands still';
export const itKneads = 'It kneads';
export const itBeeps = 'It beeps';
export const itRestsTheDoughRises = 'It rests, the dough rises';
export const itPressesTheDoughDown = 'It presses the dough down';
export const pressesTheDoughDown = 'presses the dough down';
export const whatDoes = (machine: string) => `What ${machine} does`;
export const howGoesAboutItIs = (machine: string) =>
  `How ${machine} goes about it is only assumed. Touch what it begins, as it begins it.`;
export const seen = 'Seen:';
export const fromMinute = (begins: string, at: number) => `${begins} from minute ${at}`;
export const notSoTakeItBack = 'Not so: take it back';

// EvenOut
export const evenThemOut = 'Even them out';
export const take = 'Take';
export const fromNoPressItUnder = (name: string, name2: string) => `from no. ${name}, press it under no. ${name2}.`;
export const done = 'Done';

// Frame
export const now = 'Now';
export const ready = (title: string, what: string, at: string) => `${title} · ${what} · ready ${at}`;
export const thisPicture = 'This picture';
export const moreToBeCarefulOf = 'More to be careful of';

// KneadIn
export const aSpoonOfFlourKneaded = 'A spoon of flour kneaded in';
export const soFarOnTheTable = (kneaded: string) => `So far on the table: ${kneaded}.`;

// Measure
export const measuredThere = 'Measured there …';
export const itIsThere = (unit: string) => `It is there, ${unit}`;
export const yes = (heat: string) => `Yes, ${heat}`;
export const whereWasExpected = (heat: string, heat2: string) => `${heat} where ${heat2} was expected?`;

// MoveIt
export const itStandsSomewhereElseNow = 'It stands somewhere else now';
export const itStandsSomewhereElse = 'It stands somewhere else now …';

// NewSteps
export const knownSinceThisWasLaid = (steps: string) => `Known since this was laid out: ${steps}.`;
export const addThem = 'Add them';

// Over
export const wasStopped = (title: string) => `${title} was stopped.`;
export const eatenAndKept = (title: string) => `${title}: eaten and kept.`;
export const seeItInTheLogbook = 'See it in the logbook';
export const takeBackShort = (short: string) => `Take back: ${short}`;

// Pieces
export const betweenLightestAndHeaviest = (name: string, weight: string) => `${name}: ${weight} between lightest and heaviest`;
export const minInTheOven = (apart: string, bakeBetween: string) => `${apart}, ${bakeBetween} min in the oven`;
export const goodEnoughShapeOn = (said: string) => `${said}. Good enough: shape on.`;

// ScaleHands
export const standInScale = 'Stand-in scale:';
export const noFigure = 'no figure';
export const putOnABitMuch = 'Put on a bit much';
export const putOn = (mass: string) => `Put on ${mass}`;
export const add = (g: number) => `Add ${g}`;
export const pinch = (g: number) => `Pinch ${g}`;
export const liftAllOff = 'Lift all off';
export const tare = 'Tare';

// ShapeHelp
export const justTouchingWhenGrown = 'just touching when grown';
export const apartTheDashesShowThem = 'apart; the dashes show them grown';
export const across = 'across';
export const long = 'long';
export const rolledTo = (length: string, across: string, rolled: string) => `${length} ${across}, rolled to ${rolled}`;
export const aRectangleOfBy = (length: string, length2: string) => `A rectangle of ${length} by ${length2}`;
export const springsBack = 'Springs back?';
export const rest = (span: string) => `Rest ${span}`;
export const restedRollOn = 'Rested. Roll on.';
export const resting = (countdown: string) => `Resting ${countdown}`;
export const enough = 'Enough';

// Since
export const noNow = 'no, now';

// StarButtons
export const rating = 'Rating';
export const ofN = (n: number, most: number) => `${n} of ${most}`;

// Station
export const pinchOff = (figure: string) => `pinch off ${figure}`;
export const addFigure = (figure: string) => `add ${figure}`;
export const onTheScale = (figure: string, unit: string) => `On the scale: ${figure} ${unit}`;
export const target = 'Target';
export const nothingFromTheScale = 'nothing from the scale';
export const wanted = 'wanted';
export const allWeighed = 'all weighed';
export const untaredReckonedWithoutIt = (under: string) => `Untared: ${under}. Reckoned without it.`;
export const noScaleType = 'No scale? Type';
export const grams = 'grams';
export const ounces = 'ounces';
export const takeGoodOnesByItself = 'take good ones by itself';
export const left = (figure: string, unit: string) => `${figure} ${unit} left`;
export const onThePan = (beside: number) => ` · ${beside} on the pan`;
export const itBelongsToTheLast = 'It belongs to the last one';
export const weighingThisOneAgain = 'Weighing this one again.';
export const leaveIt = 'Leave it';
export const toComeAbout = (name: string, figure: string, unit: string) => `${name}: to come, about ${figure} ${unit}`;
export const over = 'over';
export const under = 'under';
export const besideItsOwn = (overOrUnder: string, figure: string, unit: string) => `, ${overOrUnder} its ${figure} ${unit}`;

// StepList
export const allSteps = (title: string) => `${title}: all steps`;
export const plan = (at: string) => `plan ${at}`;
export const doIt = 'Do';
export const yesGiveThisBakeUp = 'Yes, give this bake up';
export const giveThisBakeUp = 'Give this bake up …';

// StillToCome
export const stillToCome = 'Still to come';
export const readyWhat = (what: string) => `${what} ready`;
export const allOfTheSteps = 'All steps';
export const theRecipeSaysHere = 'The recipe says here';
export const whatTheRecipeSays = 'What the recipe says';
export const later = 'later';
export const sooner = 'sooner';
export const thanPlanned = 'than planned';

// WithoutScale
export const ruler = 'Ruler';
export const rollAnEvenLogIts = (unit: string) => `Roll an even log. Its length, ${unit}`;
export const cutAt = (starts: string) => `Cut at ${starts}`;
export const aBallOf = (length: string) => `a ball of ${length}`;
export const aStrand = ' a strand';
export const each = ' each';
export const about = (name: string, size: string, each: string) => `${name}: about ${size}${each}`;
export const inCount = (count: number) => `in ${count}`;
export const aTreeOfCuts = (steps: string) => `A tree of cuts: ${steps}`;

// Divided
export const allDivided = 'All divided';
export const takenAsSoonAsIt = 'taken as soon as it stands still';
export const putItOnTheScale = 'put it on the scale, or type it';
export const whereIsWantedAgainIf = (weight: string, weight2: string) => `${weight} where ${weight2} is wanted? Again if so`;
export const spaceOrEnter = (weight: string) => `${weight}, Space or Enter`;
export const divideBy = 'Divide by';
export const byScale = 'By scale';
export const byRuler = 'By ruler';

// Felt
export const howItFeels = 'How it feels';
export const noMoreDosesIsA = (added: string) => `No more doses: ${added} is a lot. Likelier a slip:`;
export const soFarHydrationInThe = (added: string, percent: string, mass: string) =>
  `So far ${added}: ${percent} hydration, ${mass} in the pan.`;
export const liquid = 'Liquid';
export const pouredIn = (liquid: string) => `${liquid} poured in`;
export const waterAdded = 'Water added';
export const flourAdded = (name: string) => `Flour added, ${name}`;
export const added = 'Added';
export const leaveItAlone = 'Leave it alone';
export const itHardlyKneadsAnyMore = 'It hardly kneads any more: this is the last.';
export const thenWaitMinAndLook = (wait: number) => `Then wait ${wait} min and look again`;
export const aDoseHelpsUntilAbout = (at: string) => `; a dose helps until about ${at}.`;
export const aSpoonOfMore = (ofIt: string) => `A spoon of ${ofIt} more`;
export const aSpoon = '+ a spoon';
export const n1Spoon = '1 spoon';
export const spoons = (spoons: number) => `${spoons} spoons`;
export const minBeforeTheNext = (wait: number) => `${wait} min before the next`;

// Looked
export const reckonedGrownWanted = (asGrown: string, asGrown2: string) => `Reckoned: ${asGrown} grown, ${asGrown2} wanted.`;
export const poked = 'Poked';
export const whateverItsSize = 'Whatever its size';

// NotYet
export const inShort = (short: string) => `${short} in`;
export const then = (at: string, short: string) => `then, ${at}: ${short}`;
export const nowShort = (short: string) => `${short} now?`;
export const itIsNow = (short: string) => `${short} now`;
export const beforeItsTime = 'Before its time';
export const thatIsBeforeItsTime = (span: string) => `That is ${span} before its time.`;
export const notYet = 'Not yet';
export const theTimeItEnds = (at: string) => `${at}, the time it ends`;
export const theDisplayShouldShow = (shown: string) => `The display should show ${shown}.`;

// Reviewed
export const forNextTime = 'For next time';

// TakenOut
export const inABowl = (span: string) => `${span} in a bowl`;
export const inABowlWouldDouble = (span: string) => `${span} in a bowl would double it.`;
export const howFarItHasGrown = 'How far it has grown';
export const andThen = 'And then';
export const itIsOutHowDoes = 'It is out. How does it feel?';

// Weighed
export const asOnTheScale = 'as on the scale';
export const whereWasPlanned = (said: string, said2: string) => `${said} where ${said2} was planned?`;
export const theScaleWasNotTared = (under: string) => `The scale was not tared: under it is ${under}. That leaves`;
export const reallyIn = (unit: string) => `Really in, ${unit}`;
export const jollyKnot = 'Jolly Knot';
export const eachOne = (cut: string) => `each: ${cut}`;
export const apart = (parts: string) => `apart: ${parts}`;
export const commaThen = ', then ';
export const minLeft = (left: string) => `${left} min left`;
export const yesItIs = (mass: string) => `Yes, ${mass}`;
