// What is said in the picture of the day. Whether it is said, and with which figures, is decided where it is shown.

// StrandPicture
export const machine = 'Machine';
export const hands = 'Hands';
export const proof = 'Proof';
export const oven = 'Oven';
export const rack = 'Rack';
export const table = 'Table';
export const nobodyUp = 'nobody up';
export const on = (at: string) => `on ${at}`;
export const ovenOn = (at: string, heat: string) => `on ${at} · ${heat}`;
export const window = (from: string, until: string) => `${from} to ${until}`;
export const ovenOnAt = (at: string) => `oven on at ${at}`;
export const readyAt = (count: number, at: string) => `${count} ready at ${at}`;
