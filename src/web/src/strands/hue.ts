// Strands have so many colours; after them they begin anew.
const hues = 4;

/** The colour of a bake, the same in every picture and table. */
export const hueOf = (bake: number) => `hue-${bake % hues}`;
