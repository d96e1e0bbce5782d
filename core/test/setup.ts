import fc from 'fast-check';

// `npm test` tries the same cases every time, so that a green day stays green; `npm run prove` looks for new ones.
if (process.env.ESCALE_RUNS === undefined) fc.configureGlobal({ seed: 20_261_124 });
else fc.configureGlobal({ numRuns: 100 * Number(process.env.ESCALE_RUNS) });
