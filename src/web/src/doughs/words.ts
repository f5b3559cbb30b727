// What is said in the book of doughs. Whether it is said, and with which figures, is decided where it is shown.

// In several places.
export const aDough = 'A dough';
export const pieces = 'Pieces';
export const flour = 'Flour';
export const called = 'Called';
export const dough = 'Dough';
export const yourOwnDough = 'Your own dough';
export const name = 'Name';
export const ingredient = 'Ingredient';
export const layOutABake = 'Lay out a bake';
export const readARecipe = 'Read a recipe';
export const water = (percent: string) => `${percent} water`;
export const onTop = 'on top';
export const notMine = 'not mine';

// ChangeIt
export const scaleByPieces = 'Scale by pieces';
export const scaleByDough = 'Scale by dough';
export const scaleByFlour = 'Scale by flour';
export const scaleToATin = 'Scale to a tin';
export const scaleToAMachinesLimit = 'Scale to a machine’s limit';
export const anotherHydration = 'Another hydration';
export const anotherYeast = 'Another yeast';
export const starterInsteadOfYeast = 'Starter instead of yeast';
export const anotherFlour = 'Another flour';
export const driedMilkAndWaterFor = 'Dried milk and water for milk';
export const oilForButter = 'Oil for butter';
export const aShareOfItFor = 'A share of it for another use';
export const aPart = (name: string) => `${name}, a part`;
export const sunflowerOil = 'sunflower oil';
export const choose = 'Choose';
export const changeIt = 'Change it';
export const how = 'How';
export const each = (massWord: string) => `${massWord} each`;
export const ofFlour = (massWord: string) => `${massWord} of flour`;
export const outOfThePan = (massWord: string) => `${massWord} out of the pan`;
export const tin = 'Tin';
export const machine = 'Machine';
export const hydration = 'Hydration, %';
export const yeast = 'Yeast';
export const starter = 'Starter';
export const ofTheFlour = '% of the flour';
export const insteadOf = 'Instead of';
export const oil = 'Oil';
export const share = 'Share, %';
export const keepEggsWholeWhereThey = 'Keep eggs whole where they nearly are';
export const keepItAsADough = 'Keep it as a dough of its own';
export const takeThis = 'Take this';
export const leaveIt = 'Leave it';
export const hydrationHeading = 'Hydration';
export const beforeAndAfter = 'Before and after';
export const before = 'Before';
export const after = 'After';

// CostCard
export const whatItCosts = 'What it costs';
export const madeAs = 'As';
export const eachPiece = 'each';
export const theBatch = 'the batch';
export const savedAgainstTheShop = 'saved against the shop';
export const dearerThanTheShop = 'dearer than the shop';
export const ingredientsKwh = (money: string, energy: string, money2: string) => `Ingredients ${money}, ${energy} kWh ${money2}`;
export const theShopAsksEach = (money: string) => `; the shop asks ${money} each`;
export const theMachineIsPaidFor = (paidBackAfter: number) => ` The machine is paid for after ${paidBackAfter} such bakes.`;
export const withoutNoPriceInThe = (unpriced: string) => `Without ${unpriced}: no price in the`;
export const pantry = 'pantry';

// DoughBar
export const byWeight = (said: string) => `By weight: ${said}`;

// DoughPage
export const theDough = 'The dough';
export const whatYouCallIt = 'What you call it';
export const mixedByHandInA = 'Mixed by hand in a bowl, not by a machine';
export const loadedInThisOrderWhatever = 'Loaded in this order, whatever the machine’s';
export const methodAndNotes = 'Method and notes';
export const whatThisDoughIs = 'What this dough is';
export const percentagesHydrationAndWeight = 'Percentages, hydration and weight appear as you type.';
export const somebodyElseKeptAnotherVersion = 'Somebody else kept another version of this dough meanwhile.';
export const keepMineOverIt = 'Keep mine over it';
export const takeTheirs = 'Take theirs';
export const keepAndLayOut = 'Keep and lay out';
export const keep = 'Keep';
export const backToWhatIsKept = 'Back to what is kept';
export const beginWithAnEmptyOne = 'Begin with an empty one';
export const takeTheChangeBack = 'Take the change back';
export const loadIt = 'Load it';
export const takeItAlong = 'Take it along:';
export const text = 'text';
export const markdown = 'Markdown';
export const recipeFile = 'recipe file';
export const withAllItsVersions = 'with all its versions';

// Doughs
export const isPutAway = (name: string) => `${name} is put away.`;
export const bringItBack = 'Bring it back';
export const doughs = 'Doughs';
export const namesAndIngredients = 'names and ingredients';
export const nothingInTheBookHas = (search: string) => `Nothing in the book has “${search}” in it.`;
export const ofShowMore = (count: number, total: number) => `${count} of ${total}: show more`;
export const putAway = (count: number) => `Put away: ${count}`;
export const bringBack = (name: string) => `Bring ${name} back`;
export const bringItBackShort = 'Bring back';
export const hydrationMass = (mass: string, percent: string) => `${mass} · ${percent} hydration ·`;
export const rich = 'rich';
export const lean = 'lean';
export const byHand = ' · by hand';
export const withParts = (parts: string) => ` · with ${parts}`;
export const load = 'Load';
export const putAwayName = (name: string) => `Put ${name} away`;
export const putItAway = 'Put away';

// Facts
export const doughFigure = 'dough';
export const hydrationFigure = 'hydration';
export const comesOutOfThePan = 'Comes out of the pan';
export const theHandsFeel = 'The hands feel';
export const salt = 'Salt';
export const yeastAsInstant = 'Yeast, as instant';
export const sugar = 'Sugar';
export const fat = 'Fat';
export const milkSolids = 'Milk solids';
export const kind = 'Kind';
export const contains = (contains: string) => `Contains ${contains}.`;

// GoodFor
export const whatItIsGoodFor = 'What it is good for';
export const goodForNoneOfThese = 'Good for none of these as it is';
export const likeTo = (name: string, percent: string, percent2: string) => `${name} like ${percent} to ${percent2}`;
export const waterToTheHands = (percent: string, suits: string) => `${percent} water to the hands. ${suits}.`;
export const more = 'more';
export const less = 'less';

// PartsEditor
export const hands = 'Hands';
export const hob = 'Hob';
export const cooling = 'Cooling';
export const aPartOfItsOwn = 'A part';
export const part = 'Part';
export const when = 'When';
export const min = (label: string) => `${label}, min`;
export const altogether = (mass: string) => `${mass} altogether`;
export const removeThisPart = 'Remove this part';
export const addAFillingToppingWash = 'Add a filling, topping, wash or butter';

// Questions
export const intoTheDough = 'the dough';
export const theBath = 'the bath';
export const toBeTold = 'To be told';
export const whatIsFor = (name: string) => `What is “${name}” for?`;
export const tellsTwoAmounts = (ingredient: string, text: string) => `${ingredient}: “${text}” tells two amounts.`;

// ReadLine
export const inTheDough = 'in the dough';
export const brushedOn = 'brushed on';
export const brushedOnHot = 'brushed on hot';
export const inTheBath = 'in the bath';
export const underIt = 'under it';
export const optional = 'optional, ';
export const leftOutKeptAsA = (ingredient: string) => `left out, kept as a note: ${ingredient}`;
export const putIt = 'put it';
export const putIn = 'in';
export const back = 'back';
export const correct = (words: string) => `Correct ${words}`;
export const atTheBeep = ', at the beep';
export const doesSpoil = (ingredient: string) => `Does ${ingredient} spoil`;
export const spoils = 'spoils';
export const keeps = 'keeps';
export const whatContains = (ingredient: string) => `What ${ingredient} contains`;
export const containsNoAllergen = 'contains no allergen';
export const containsWhat = 'contains?';
export const untilItIsToldAllergens = 'Until it is told, allergens and keeping are not known.';
export const gramsOf = (written: string) => `Grams of ${written}`;
export const whatIs = (written: string) => `What ${written} is`;
export const whereGoes = (written: string) => `Where ${written} goes`;
export const leaveOut = 'leave out';

// ReadRecipe
export const english = 'English';
export const german = 'German';
export const french = 'French';
export const spanish = 'Spanish';
export const italian = 'Italian';
export const everyLineIsWeighedAs =
  'Every line is weighed as you paste it. What cannot be weighed is asked, and nothing is dropped.';
export const leftOver = 'Left over';
export const methodAndNotesKeptWhole = 'Method and notes, kept whole';
export const thisFileIsLargerThan = 'This file is larger than any recipe. Nothing was changed.';
export const theRecipe = 'The recipe';
export const pasteARecipeTextA = 'Paste a recipe: text, a page, or a recipe file';
export const softRolls480GStrong = 'Soft rolls\n\n480 g strong white flour\n1¼ cups (300 ml) whole milk, lukewarm\n1 egg\n…';
export const orOpenAFile = 'or open a file';
export const whatWasUnderstood = 'What was understood';
export const readAs = 'Read as';
export const recipesInThisPage = (count: number) => `${count} recipes in this page`;
export const understood = 'understood';
export const stillToBeTold = 'still to be told';
export const writtenByThisHouseEvery = ' · written by this house: every figure is exact';
export const keepThisDough = 'Keep this dough';
export const whatIsStillToBe = 'what is still to be told goes into its notes';

// RecipeSays
export const loafTin = 'loaf tin';
export const roundTin = 'round tin';
export const squareTin = 'square tin';
export const tinWithHollows = 'tin with hollows';
export const waterOnAHotTray = 'water on a hot tray';
export const onARack = 'on a rack';
export const inACloth = 'in a cloth';
export const inTheOvenSwitchedOff = 'in the oven, switched off';
export const fromTo = (shown: string, shown2: string, unit: string) => `${shown} to ${shown2} ${unit}`;
export const shape = 'Shape';
export const rest = 'Rest';
export const secondProof = 'Second proof';
export const inTheBathASide = 'In the bath, a side';
export const oven = 'Oven';
export const bake = 'Bake';
export const doughProgram = 'Dough program';
export const pan = 'Pan';
export const stands = 'Stands';
export const brushedWith = 'Brushed with';
export const steam = 'Steam';
export const cools = 'Cools';
export const theRecipeSays = 'The recipe says';

// RowsEditor
export const bakers = 'Baker’s';
export const atBeep = 'At beep';
export const remove = 'Remove';
export const strongWhiteFlour = 'strong white flour';
export const waterExample = 'water';
export const massOf = (massWord: string, what: string, i: number) => `${massWord} of ${what} ${i}`;
export const row = (i: number) => `Row ${i}`;
export const atTheBeepIngredient = (ingredient: string) => `${ingredient} at the beep`;
export const rowSooner = (i: number) => `Row ${i} sooner`;
export const ofWhat = (what: string) => ` of ${what}`;
export const removeRow = (i: number, named: string) => `Remove row ${i}${named}`;
export const anotherRow = 'Another row';
export const whatDoes = (ofIt: string) => `What ${ofIt} does`;
export const whatDoesItDoIn = 'What does it do in the dough?';

// Starters
export const doughsToBeginWith = 'Doughs to begin with';
export const ready = (becomes: string, at: string) => `${becomes}, ready ${at}`;
export const pasteItAsItStands = 'Paste it as it stands';

// Versions
export const versions = 'Versions';
export const now = 'now';
export const backTo = (version: number) => `Back to ${version}`;

// draft
export const filling = 'Filling';
export const topping = 'Topping';
export const wash = 'Wash';
export const flavouredButter = 'Flavoured butter';
export const bath = 'Bath';
export const underTheDough = 'Under the dough';
export const onThePan = 'on the pan';
export const whileShaping = 'while shaping';
export const beforeTheProof = 'before the proof';
export const beforeTheOven = 'before the oven';
export const lastMinutesOfTheBake = 'last minutes of the bake';
export const hotFromTheOven = 'hot from the oven';
export const whenCold = 'when cold';
export const somethingElse = 'something else';
export const withFan = (heat: string) => `${heat}, fan`;
