import fc from 'fast-check';
import { enumerateKnots, type Frame, frames, type Knot, supposeTie, type Tie } from '../../src/core/index.ts';

export const anyKnot: fc.Arbitrary<Knot> = fc.constantFrom(...enumerateKnots(9));
export const anyFrame: fc.Arbitrary<Frame> = fc.constantFrom(...frames);

/** Ties as they are sold, from slim to wide and thin to thick. */
export const anyTie: fc.Arbitrary<Tie> = fc
  .record({
    lengthMm: fc.integer({ min: 1350, max: 1650 }),
    bladeMm: fc.integer({ min: 45, max: 105 }),
    thicknessMm: fc.double({ min: 1.5, max: 5.5, noNaN: true }),
  })
  .map(supposeTie);
