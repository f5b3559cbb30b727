// What is said in the kitchen. Whether it is said, and with which figures, is decided where it is shown.

// In several places.
export const nightAndQuietHours = 'Night and quiet hours';
export const length = 'Length';
export const yourOwnIngredient = 'Your own ingredient';
export const allergens = 'Allergens';
export const leaveIt = 'Leave it';
export const usedBy = (usedBy: string) => `Used by: ${usedBy}.`;
export const scale = 'Scale';
export const phonesAndTablets = 'Phones and tablets';
export const cupsAndSpoons = 'Cups and spoons';
export const whereItRises = (name: string) => `Where it rises: ${name}`;
export const griddle = 'Griddle';
export const prices = 'Prices';
export const whereYourBreadIsKept = 'Where your bread is kept';

// Household
export const theHousehold = 'The household';
export const howFastDoughRisesAt = 'how fast dough rises, at what heat water boils, every figure and time';
export const aboveTheSeaM = 'Above the sea, m';
export const theDayWhichWakesNobody = 'the day, which wakes nobody unasked';
export const upFromH = 'Up from, h';
export const nothingToDoAtNight = 'Nothing to do at night';
export const machinesFromH = 'Machines from, h';
export const quietHoursNoMachineRuns = 'Quiet hours: no machine runs';
export const untilH = 'until, h';
export const mass = 'Mass';
export const heat = 'Heat';
export const clock = 'Clock';
export const amPm = 'am, pm';
export const timeZone = 'Time zone';
export const asEachScreenSays = 'As each screen says';

// IngredientEditor
export const does = 'Does';
export const water = 'Water, %';
export const fat = 'Fat, %';
export const sugar = 'Sugar, %';
export const milkSolids = 'Milk solids, %';
export const thirstExtraWaterPer100 = 'Thirst: extra water per 100 g';
export const drinksOfItsWeight = 'Drinks, % of its weight';
export const gAUsCup = 'g a US cup';
export const gATeaspoon = 'g a teaspoon';
export const gEach = 'g each';
export const yourOwnWeighedCupG = 'Your own weighed cup, g';
export const spoils = 'spoils';
export const keptInTheFridge = 'kept in the fridge';
export const honeyNotForBabies = 'honey: not for babies';
export const rawInFatItKeeps = 'raw in fat it keeps few days';
export const priceKnown = 'price known';
export const aPackCosts = 'A pack costs';
export const andHolds = 'and holds';
export const keep = 'Keep';
export const forgetYours = 'Forget yours';

// KitchenPage
export const kept = 'Kept';
export const notKeptSeeBelow = 'Not kept: see below';
export const theKitchenServerDoesNot = 'The kitchen server does not answer; not kept yet';
export const kitchen = 'Kitchen';
export const pantryAndPrices = 'Pantry and prices';
export const theWholeKitchen = 'The whole kitchen';
export const theMachines = 'the machines';
export const theOvens = 'the ovens';
export const traysAndTins = 'trays and tins';
export const theProofingPlaces = 'the proofing places';
export const thePrices = 'the prices';
export const theNight = 'the night';
export const meanwhileSomebodyElseChangedWhich = (fields: string) => `Meanwhile somebody else changed ${fields}. Which holds?`;
export const takeTheirs = 'Take theirs';
export const keepMine = 'Keep mine';

// Learned
export const learnedHere = 'Learned here';
export const nothingYet = (nothing: string) => `Nothing yet: ${nothing}.`;
export const forgetIt = 'Forget it';
export const lessLong = 'less long';
export const breadTakes = (than: string) => `Bread takes ${than}`;
export const breadTakesAsLongAs = 'bread takes as long as usual';
export const preheatBakeTimesWhatThe = 'preheat, bake times, what the day can do at once';
export const doughRises = (than: string) => `Dough rises ${than}`;
export const doughRisesAsFastAs = 'dough rises as fast as it is warm';
export const whenToLookWhenTo = 'when to look, when to heat the oven, the day';
export const rises = (than: string) => `rises ${than}`;
export const oneBake = 'one bake';
export const bakes = (bakes: number) => `${bakes} bakes`;
export const theLastOn = (day: string) => `, the last on ${day}`;
export const knownFrom = (bakes: string, last: string) => `From ${bakes}${last}.`;
export const asUsual = 'as usual';
export const thanUsual = (percent: number, more: string) => `${percent} % ${more} than usual`;

// MachineCard
export const knockBack = 'knock back';
export const howMuchFitsInWhen = 'how much fits in, when it beeps and is checked, when the dough comes out';
export const flourUpTo = 'Flour up to';
export const doughUpTo = 'Dough up to';
export const paddles = 'Paddles';
export const emptyPan = 'Empty pan';
export const kneadingWarms = 'Kneading warms';
export const costWhenBought = 'Cost when bought';
export const goesInFirst = 'Goes in first';
export const display = 'Display';
export const timeLeft = 'time left';
export const timeOfDay = 'time of day';
export const countsDownFromMin = 'Counts down from, min';
export const program = (count: number) => `program ${count}`;
export const addAProgram = 'Add a program';
export const aProgram = 'Program';
export const phase = (i: number) => `Phase ${i}`;
export const minutesOfPhase = (i: number) => `Minutes of phase ${i}`;
export const removePhase = (i: number) => `Remove phase ${i}`;
export const addAPhase = 'Add a phase';
export const min = (total: number) => `${total} min`;
export const beep = 'beep';
export const addInBeepMinutesInto = 'Add-in beep, minutes into kneading';
export const none = 'none';
export const minIntoKneading = 'min into kneading';
export const runsOnPulledOutHere = 'runs on: pulled out here';
export const programName = (name: string) => `program ${name}`;

// OnTheWorktop
export const noScale = 'no scale';
export const wholeFiguresToWeighTo = 'whole figures to weigh to, and when a piece is good';
export const scaleShowsStepsOf = 'Scale shows steps of';
export const leaveAlone = 'Leave alone';
export const or = 'or, %';
export const potHobAndMicrowave = 'Pot, hob and microwave';
export const howManyBoilAtOnce = 'how many boil at once, when the pot goes on, warming milk';
export const pot = 'Pot';
export const potAcross = 'Pot across';
export const filledWithLitres = 'Filled with, litres';
export const hobW = 'Hob, W';
export const microwaveW = 'Microwave, W';
export const ringForRounds = 'Ring for rounds';
export const howManyASheetGives = 'how many a sheet gives';
export const bowlsWeighedEmpty = 'Bowls, weighed empty';
export const theScaleWhereOneWas = 'the scale, where one was not set to zero';
export const empty = 'Empty';
export const addABowl = 'Add a bowl';

// OthersOfTheHouse
export const onlyThisMachineIsAnswered = 'Only this machine is answered. For the house network, start with';
export const jollyPassphraseJollyStartHouse = 'JOLLY_PASSPHRASE="…" ./jolly start --house true';
export const andAPassphraseOfFour = 'and a passphrase of four words or more.';
export const theAddressAsAPicture = (address: string) => `The address as a picture: ${address}`;
export const holdThePhonesCameraTo = 'Hold the phone’s camera to this, or go to';
export const itTakesTheHousesCertificate = 'It takes the house’s certificate there, once, and is asked for the passphrase.';
export const devices = 'Devices';
export const thisOne = ', this one';
export const cameLastSeen = (at: string, at2: string) => `: came ${at}, last seen ${at2}`;
export const logOut = 'Log out';
export const sendAway = (name: string) => `Send away: ${name}`;
export const sendItAway = 'Send away';
export const andCallsAlsoWhileAnother = 'and calls also while another page is in front';
export const butMayNotCallWhile = 'but may not call while another page is in front: its browser was told no';
export const andWillBeAskedAt = 'and will be asked, at the first Start, whether it may call while another page is in front';
export const andCannotCallWhileAnother = 'and cannot call while another page is in front';
export const thisDeviceRingsWhileThe = (behind: string) => `This device rings while the page is open, ${behind}. It`;
export const opens = 'opens';
export const doesNotOpen = 'does not open';
export const withoutTheServerForA = 'without the server. For a phone that sleeps,';
export const theDayAsACalendar = 'the day as a calendar';
export const hasAlarmsOfItsOwn = 'has alarms of its own.';

// Oven
export const dialFrom = 'Dial from';
export const to = 'to';
export const heatsAMinute = 'Heats a minute';
export const coolsAMinute = 'Cools a minute';
export const insideWide = 'Inside wide';
export const deep = 'deep';
export const racks = 'Racks';
export const dialMarked = 'Dial marked';
export const withFan = 'with fan';

// PantryPage
export const pantry = 'Pantry';
export const search = 'Search';
export const aCupOfFlourIs = 'A cup of flour is';
export const spoonedInAndLevelled = 'spooned in and levelled';
export const dippedAndLevelled = 'dipped and levelled';
export const usCupOf237Ml = 'US: cup of 237 mL';
export const metricCupOf250Ml = 'metric: cup of 250 mL';
export const ukImperialPints = 'UK: imperial pints';
export const australiaSpoonOf20Ml = 'Australia: spoon of 20 mL';
export const ingredients = 'Ingredients';
export const ingredient = 'Ingredient';
export const gACup = 'g a cup';
export const price = 'Price';
export const wordsLearned = 'Words learned';
export const wordsLearnedFromYourRecipes = 'Words learned from your recipes';
export const isWords = (words: string, name: string) => `${words}” is ${name}`;
export const forget = 'forget';
export const edit = (name: string) => `Edit ${name}`;
export const yours = 'yours';
export const forCost = (cost: string, mass: string) => `${cost} for ${mass}`;

// PlaceAndGriddle
export const theDoughIs = 'The dough is …';
export const steadyAt = 'Steady at';
export const traysAtOnce = 'Trays at once';
export const howManyLieOnIt = 'how many lie on it at once';
export const aGriddle = 'a griddle';
export const griddleLong = 'Griddle long';
export const griddleWide = 'Griddle wide';

// Prices
export const whatABakeCostsBeside = 'what a bake costs, beside the shop';
export const electricityAKwh = 'Electricity, a kWh';
export const theShop = (name: string) => `The shop: ${name}`;

// Things
export const add = (what: string) => `Add ${what}`;
export const whatIsInIt = 'What is in it';
export const upToFlour = (mass: string, program: string) => `up to ${mass} flour · ${program}`;
export const aMachine = 'a machine';
export const toHeat = (heat: string) => `to ${heat}`;
export const anOven = 'an oven';
export const aTrayOrTin = 'a tray or tin';
export const noGriddle = 'No griddle';
export const aPlaceToRise = 'a place to rise';
export const householdAndUnits = 'Household and units';
export const roomsAndUnits = 'Rooms and units';
export const notKept = (name: string) => `${name}: not kept`;
export const standsStill = 'stands still';
export const knocksBack = 'knocks back';
export const beepAt = (beep: number) => `beep at ${beep}`;
export const potAndHob = 'Pot and hob';
export const ring = 'Ring';
export const bowls = 'Bowls';
export const until = (clock: string) => `until ${clock}`;
export const handsToBeHad = 'hands to be had';
export const somebodyIsUpUsual = 'somebody is up: usual';
export const fromClock = (clock: string) => `from ${clock}`;

// Tin
export const roundTin = 'round tin';
export const squareTin = 'square tin';
export const loafTin = 'loaf tin';
export const manyHollows = 'many hollows';
export const bakingStone = 'baking stone';
export const howManyLieInIt = 'how many lie in it, what dough it wants, how far that rises';
export const shape = 'Shape';
export const across = 'Across';
export const width = 'Width';
export const depth = 'Depth';
export const hollows = 'Hollows';
export const channels = 'Channels';
export const mlEach = 'mL each';

// WhereItIsKept
export const mbGbAreFreeBeside = (size: string, free: string) => `${size} MB. ${free} GB are free beside it.`;
export const lastCopyInAllIn = (at: string, count: number) => `Last copy: ${at}; ${count} in all, in its folder “copies”.`;
export const noCopyYet = 'No copy yet.';
export const oneIsMadeEachDay = 'One is made each day, and before each update.';
export const makeACopyNow = 'Make a copy now';
export const putACopyBack = 'Put a copy back';
export const copyOf = (at: string) => `Copy of ${at}`;
export const setAside = (at: string) => `Set aside ${at}`;
export const itIsPutBackThe = 'It is put back. The kitchen opens anew …';
export const copies = 'Copies';
export const mb = (called: string, size: string) => `${called}, ${size} MB`;
export const everythingAsItIsNow = 'Everything as it is now is set aside, and can be put back the same way.';
export const putItBack = 'Put it back';
export const putBack = (called: string) => `Put back: ${called}`;
export const putBackShort = 'Put back';
export const itIsBeingRead = 'It is being read …';
export const theKitchenOpensAnew = (said: string) => `${said} The kitchen opens anew …`;
export const everythingToTakeAlong = 'Everything to take along';
export const doughsBakesAndKitchenAs =
  'Doughs, bakes and kitchen as one file, with tables for a spreadsheet. One from elsewhere is merged, nothing doubled.';
export const takeEverythingAlong = 'Take everything along';
export const bringAFile = 'Bring a file';

// form
export const usual = 'usual';
export const name = 'Name';
export const remove = (what: string) => `Remove ${what}`;
