/** A seed for what is chosen anew. */
export const newSeed = (): number => Math.floor(Math.random() * 2 ** 31);
