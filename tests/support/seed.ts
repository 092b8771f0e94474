import fc from 'fast-check';

/**
 * Every run of a commit's tests draws the same cases, so that a commit which passed goes on passing.
 * `SEED=7 RUNS=2000 npm test core` draws others, and more of them.
 */
fc.configureGlobal({ seed: Number(process.env.SEED ?? 1), ...(process.env.RUNS ? { numRuns: Number(process.env.RUNS) } : {}) });
