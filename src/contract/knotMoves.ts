import type Joi from 'joi';
import { formatKnot, KnotWordError, parseKnot } from '../core/index.ts';

/** Longer, as text, than any knot that a tie is long enough for. */
export const longestMoves = 400;

/** Reads a knot’s moves and keeps them in their canonical form; what is no knot is told why. */
export function canonicalMoves(moves: string | null, helpers: Joi.CustomHelpers): unknown {
  if (moves === null) return null;
  if (moves.length > longestMoves) return helpers.message({ custom: `A knot’s moves are at most ${longestMoves} characters long.` });
  try {
    return formatKnot(parseKnot(moves));
  } catch (error) {
    // Told as it is: what was sent is no template.
    if (error instanceof KnotWordError)
      return helpers.message({ custom: '{#told}' }, { told: `“${moves.replaceAll('\0', '')}” is not a knot: ${error.message}` });
    throw error;
  }
}
