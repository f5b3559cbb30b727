// What is said in the frame round all views. Whether it is said, and with which figures, is decided where it is shown.

// app
export const thereIsNoSuchPage = 'There is no such page';
export const theDayIsWhereIt = 'The day is where it was.';
export const toThePage = 'To the page';
export const whatIsCalling = 'What is calling';
export const theComputersClockWasPut = (span: string) =>
  `The computer’s clock was put back ${span}. Bakes go on by the second; times shown here are ahead of it by that much.`;
export const jollyKnot = 'Jolly Knot';
export const main = 'Main';
export const today = 'Today';
export const doughs = 'Doughs';
export const plaits = 'Plaits';
export const kitchen = 'Kitchen';
export const logbook = 'Logbook';
export const kitchenName = (name: string, heat: string) => `${name} · kitchen ${heat}`;
export const thisPage = 'This page';
export const jollyKnotWasUpdatedWhile = 'Jolly Knot was updated while this page was open. What you typed stays.';
export const loadItAnew = 'Load it anew';
export const notKept = (said: string) => `Not kept: ${said}`;
export const tryAgain = 'Try again';
export const leaveIt = 'Leave it';
export const theKitchenServerDoesNot =
  'The kitchen server does not answer. What was kept is safe; what you tell now is sent when it is back.';
