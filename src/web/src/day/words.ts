// What is said of the day. Whether it is said, and with which figures, is decided where it is shown.

// In several places.
export const asItWouldBe = 'As it would be';
export const asItIs = 'As it is';
export const layTheDayOutSo = 'Lay the day out so';

// Away
export const nobodyIn = 'Nobody in';
export const upSooner = 'Up sooner:';
export const asUsual = 'as usual';
export const awayForAWhile = 'Away for a while';
export const from = (day: string) => `${day} from`;
export const awayFrom = 'Away from';
export const to = 'to';
export const awayUntil = 'Away until';
export const notAwayAt = (at: string) => `Not away at ${at}`;
export const inAfterAll = 'in after all';
export const fromOneTimeToA = 'From one time to a later one.';

// BenchOfTheDay
export const nothingIsUnderWay = 'Nothing is under way.';

// BenchSheet
export const nothingIsPlanned = 'Nothing is planned';
export const print = 'Print';
export const contains = (title: string, allergens: string) => `${title} contains ${allergens}.`;
export const inTheCold = 'In the cold:';
export const bestUntilUseBy = (name: string, what: string, day: string, day2: string) =>
  `${name}, ${what}, best until ${day}, use by ${day2}`;

// CalendarCard
export const calendar = 'Calendar';
export const theDayAsAFile = 'The day as a file';
export const withAlarms = ', with alarms.';
export const toSubscribeToOnThe = 'To subscribe to on the house network';
export const aCalendarThatStaysUp = 'A calendar that stays up to date wants the house network: start Jolly Knot with';
export const houseTrue = '--house true';
export const andAPassphrase = 'and a passphrase.';

// DayPage
export const wantedAt = (at: string) => `, wanted at ${at}`;
export const fromTo = (title: string, at: string, at2: string, wanted: string) => `${title} from ${at} to ${at2}${wanted}`;
export const theDay = 'The day';
export const benchSheet = 'Bench sheet';
export const asItWasBefore = 'As it was before';
export const toTheBench = 'To the bench';
export const asItWouldBeTitle = (title: string) => `As it would be. ${title}`;
export const nothingIsPlannedYet = 'Nothing is planned.';
export const chooseADough = 'Choose a dough';
export const andLayItOut = 'and lay it out.';
export const whatTheOvensDo = 'What the ovens do';
export const toAt = (at: string, at2: string) => `${at} to ${at2}`;
export const heatsFrom = (at: string) => `, heats from ${at}`;
export const toTitle = (title: string, at: string, at2: string) => `${title}: ${at} to ${at2}`;
export const whyItBeginsAtReady = (at: string, at2: string) => `Why it begins at ${at}: ready ${at2}`;
export const wanted = (at: string) => `, wanted ${at}`;
export const andTheseLeaveNoSlack = ', and these leave no slack.';
export const waitsForTheRestOf = ' · waits for the rest of the day';

// Draft
export const late = (span: string) => `${span} late`;
export const inTime = 'in time';
export const breadWaits = (span: string) => `bread waits ${span}`;
export const nothingWaits = 'nothing waits';
export const fromToAt = (at: string, at2: string) => `from ${at} to ${at2}`;
export const lookingForABetterOne = 'Looking for a better one …';
export const takeTheLastChangeBack = 'Take the last change back';
export const leaveAllAsItIs = 'Leave all as it is';
export const nothingElseMoves = 'Nothing else moves.';
export const still = 'Still';

// HandsTable
export const whatTheHandsDo = 'What the hands do';
export const atItsTime = (text: string, title: string) => `${text}, ${title}: at`;
export const anyTime = (text: string, title: string) => `${text}, ${title}: any time`;
export const pinned = 'pinned';
export const slack = (span: string) => `${span} slack`;

// Making
export const wantedAtLabel = 'Wanted at';
export const wantedAtTitle = (title: string) => `${title}: wanted at`;
export const machine = 'Machine';
export const oven = 'Oven';
export const proof = 'Proof';
export const ovenName = (name: string) => `Oven, ${name}`;
export const howFresh = 'How fresh';
export const inTheFridgeFirstH = 'In the fridge first, h';
export const asSoonAsCanBe = 'As soon as can be';
export const riseInABowl = 'Rise in a bowl';
export const oneTrayLess = 'One tray less';

// Troubles
export const otherwise = (text: string) => `Otherwise: ${text}`;
export const leaveItAsItIs = 'Leave it as it is';
export const theDayWouldGoBetter = 'The day would go better so';
export const andMore = (count: number) => `and ${count} more`;
export const inOneAnothersWay = 'In one another’s way';
export const andMoreLikeThese = (count: number) => `and ${count} more like these`;
export const whatWouldDo = 'What would do';
export const laidOutAnew = 'Laid out anew';
export const oneChangeThatWouldDo = 'One change that would do';
export const oneChange = 'One change that would do:';
export const theDayOf = (bakes: string) => `The day: ${bakes}; what hands and ovens do is in the tables below`;
