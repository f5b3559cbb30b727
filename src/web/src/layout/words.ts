// What is said at the lay-out. Whether it is said, and with which figures, is decided where it is shown.

// In several places.
export const secondProof = 'Second proof';
export const loads = (loads: number) => `${loads} loads`;

// Beside
export const besideTheRestOfThe = 'Beside the rest of the day';
export const whatWouldMove = 'What would move';
export const still = (left: string) => `Still: ${left}`;
export const layTheDayOutAround = 'Lay the day out around it';
export const startReady = (at: string, at2: string) => `start ${at}, ready ${at2}`;

// Choices
export const choices = 'Choices';
export const dough = 'Dough';
export const kitchen = (name: string) => `Kitchen ${name}`;
export const oven = 'Oven';
export const withoutAScaleCupsAnd = 'Without a scale: cups and spoons';
export const itIsMeantSo = 'It is meant so';
export const when = 'When';
export const startNow = 'Start now';
export const readyBy = 'Ready by';
export const howFresh = 'How fresh';
export const machine = 'Machine';
export const program = 'Program';
export const programName = (name: string) => `program ${name}`;
export const timer = 'Timer';
export const beginsAtOnce = 'begins at once';
export const onItsTimerHLater = (h: number) => `on its timer, ${h} h later`;
export const scaleItToFit = 'Scale it to fit';
export const scaledTo = (scaled: string) => `Scaled to ${scaled} %.`;
export const undo = 'Undo';
export const inTheFridgeFirst = 'In the fridge first';
export const notInTheFridgeFirst = 'not in the fridge first';
export const hInTheFridgeFirst = (h: number) => `${h} h in the fridge first`;
export const bloomTheYeastFirst = 'Bloom the yeast first';
export const holdAThirdOfThe = 'Hold a third of the liquid back';
export const soda = 'Soda';
export const inTheBoilingPot = 'in the boiling pot';
export const plainBoilThenADip = 'plain boil, then a dip';
export const kneadedMin = 'Kneaded, min';
export const risesInItsBowlMin = 'Rises in its bowl, min';
export const theBowlStands = 'The bowl stands';
export const whereTheBowlStands = 'Where the bowl stands';
export const untilItHas = 'Until it has';
export const foldedTimes = 'Folded, times';
export const not = 'not';
export const everyMin = 'every, min';
export const afterTheCycle = 'After the cycle';
export const minInABowl = (bulk: number) => `${bulk} min in a bowl`;
export const minutesInTheBowl = 'Minutes in the bowl';

// CutList
export const cut = (i: number) => `Cut ${i}`;
export const becomes = (mark: string) => `Becomes${mark}`;
export const keptInTheFridge = 'kept in the fridge';
export const leaveOutCut = (i: number) => `Leave out cut ${i}`;
export const pieces = (mark: string) => `Pieces${mark}`;
export const kept = (capital: string) => `${capital} kept`;
export const each = (long: string, mark: string) => `${long} each${mark}`;
export const shareKept = 'Share kept';
export const ovenWashPan = (shown: string, name: string, pan: string) => `Oven, wash, pan: ${shown}, ${name}${pan}`;
export const ovenWashPan2 = 'Oven, wash, pan';
export const anotherShape = 'Another shape';
export const keepSomeCold = 'Keep some cold';
export const theDough = (said: string) => `The dough: ${said}`;

// CutMore
export const shapedIntoTheFridge = 'shaped, into the fridge';
export const shapedIntoTheFreezer = 'shaped, into the freezer';
export const aCross = 'a cross';
export const oneLong = 'one long';
export const baked = (mark: string) => `Baked${mark}`;
export const withTheRest = 'with the rest';
export const anotherDay = (label: string) => `another day: ${label}`;
export const bakedIn = (mark: string) => `Baked in${mark}`;
export const ovenName = (name: string, mark: string) => `Oven ${name}${mark}`;
export const min = (likely: number) => `${likely} min:`;
export const softer = 'softer';
export const crisper = 'crisper';
export const wash = (mark: string) => `Wash${mark}`;
export const pan = (mark: string) => `Pan${mark}`;
export const nothingHereHoldsIt = 'nothing here holds it';
export const fridgeFirst = (mark: string) => `Fridge first${mark}`;
export const hBakedLater = (cold: number) => `${cold} h, baked later`;
export const set = 'Set';
export const long = (length: string, mark: string) => `Long, ${length}${mark}`;
export const rolled = (length: string, mark: string) => `Rolled, ${length}${mark}`;
export const ring = (length: string, mark: string) => `Ring, ${length}${mark}`;
export const slashed = (mark: string) => `Slashed${mark}`;
export const ballsRestMin = (mark: string) => `Balls rest, min${mark}`;
export const itGets = (mark: string) => `It gets${mark}`;

// CutsThatDoNotAddUp
export const leaveTheDoughAsIt = 'Leave the dough as it is written';
export const scaleTheDoughToThese = 'Scale the dough to these';
export const keepTheRestCold = 'Keep the rest cold';
export const fewerOfTheLast = 'Fewer of the last';
export const moreOfTheLast = 'More of the last';

// LayOut
export const theDoughOfThisBake = 'The dough of this bake is not in the book any more.';
export const layOut = (name: string) => `Lay out ${name}`;
export const theBakeAsPlanned = 'The bake as planned';

// MachineLine
export const phases = { warm: 'warm', knead: 'knead', rise: 'rise', 'knock-back': 'knock back' };
export const programOf = (name: string, phases: string) => `Program ${name}: ${phases} min. `;
export const programPulled = (name: string, phases: string) => `Program ${name}: ${phases} min, then pulled. `;
export const planIt = (at: string) => `Plan it: start at ${at}`;
export const startThisBake = 'Start this bake';
export const best = (pan: string) => `best: ${pan}`;
export const and = ' and ';
export const oneLoad = '1 load';
export const upToFlourDough = (mass: string, mass2: string) => `Up to ${mass} flour, ${mass2} dough.`;

// Result
export const somebodyWouldBeUpAt = (at: string, what: string) => `Somebody would be up at ${at}: ${what}.`;
export const readyByInstead = (day: string, at: string) => `Ready by ${day} ${at} instead`;
export const result = 'Result';
export const yourBrowserWillAskOnce = 'Your browser will ask, once, whether this device may call you when something is due.';
export const the = (name: string) => `The ${name}`;
export const waits = 'waits';
export const wait = 'wait';
export const forTheOven = (span: string) => `${span} for the oven`;
export const overProofedByThen = ': over-proofed by then.';
export const laterLoads = 'Later loads';
export const strandsOf = (pieces: number, mass: string) => `${pieces} strands of ${mass}`;
export const ofAboutDough = (mass: string) => `of about ${mass} dough`;
export const laterThanWanted = (span: string) => `${span} later than wanted`;
export const readyStart = (day: string, at: string) => `ready ${day}, start ${at}`;
export const itDoesNotRiseHere = 'it does not rise here';
export const secondProof2 = 'second proof';
export const bakeLookAt = (span: string) => `bake, look at ${span}`;
export const recipeHere = (heat: string, heat2: string) => `recipe ${heat}, here ${heat2}`;
export const bake = 'Bake';
export const recipe = (lasting: string) => `recipe ${lasting}`;
export const reckoned = (span: string) => `reckoned ${span}`;
export const both = (span: string) => `both ${span}`;
export const whoseTime = (what: string) => `${what}: whose time`;
export const thickWithARingOf = (length: string, length2: string) => `${length} thick, with a ring of ${length2}:`;
export const fromTheSheet = 'from the sheet';
export const fromTheScraps = (scraps: string) => `, ${scraps} from the scraps`;
export const over = (mass: string) => `${mass} over.`;
export const weighInInThisOrder = 'Weigh in, in this order';
export const ingredient = 'Ingredient';
export const weighIn = 'weigh in';
export const inThe = (into: string) => `in the ${into}`;
export const writeItIntoTheRecipe = 'Write it into the recipe';
export const atTheBeep = (addIns: string) => `At the beep: ${addIns}.`;
export const forEach = (mass: string) => `, ${mass} for each`;
export const worthACaution = 'Worth a caution';
export const whereTheyGo = 'Where they go';
export const theRecipeSays = (panSaid: string) => `The recipe says: ${panSaid}.`;
export const nothingInTheKitchenHolds = (name: string) => `Nothing in the kitchen holds the ${name}.`;
export const theyWouldFillARound = (length: string) => `· they would fill a round tin of ${length}`;
export const oneTrayIsEnough = 'One tray is enough';
export const closerTogetherLongerSoftWhere = (span: string) => `closer together: ${span} longer, soft where they touch`;
export const whenYourHandsAreWanted = 'When your hands are wanted';
export const handsIn = (span: string, visits: number) => `Hands ${span} in ${visits}`;
export const visit = 'visit';
export const visits = 'visits';
export const longestFreeGap = (span: string) => `, longest free gap ${span}.`;

// WaysList
export const greasedFilm = 'greased film';
export const dampCloth = 'damp cloth';
export const dryCloth = 'dry cloth';
export const trayAndHotWater = 'tray and hot water';
export const porousStones = 'porous stones';
export const onARackCrisp = 'on a rack: crisp';
export const underAClothSoft = 'under a cloth: soft';
export const inTheCoolingOven = 'in the cooling oven';
export const waitTheirTurn = 'wait their turn';
export const shapedLater = 'shaped later';
export const heldCoolFirst = 'held cool first';
export const beforeTheProof = (label: string) => `${label} before the proof`;
export const howYouDoItCover = 'How you do it: cover, surface, steam, cooling';
export const coveredWith = 'Covered with';
export const washed = 'Washed';
export const scored = 'Scored';
export const steam = 'Steam';
export const asUsual = 'as usual';
export const cools = 'Cools';
export const asItsCrustWants = 'as its crust wants';
export const butteredWhileHot = 'Buttered while hot';
