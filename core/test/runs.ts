/** How often a property is tried: as said in `npm test`, ten times as often in `npm run prove`. */
export const runs = (n: number) => n * Number(process.env.ESCALE_RUNS ?? 1);
