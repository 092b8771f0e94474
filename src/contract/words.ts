import type Joi from 'joi';
import { formatKnot, KnotWordError, parseKnot } from '../core/index.ts';

/** Reads a knot's word and keeps it in its canonical form; what is no knot is told why. */
export function canonicalWord(word: string | null, helpers: Joi.CustomHelpers): unknown {
  if (word === null) return null;
  try {
    return formatKnot(parseKnot(word));
  } catch (error) {
    if (error instanceof KnotWordError) return helpers.message({ custom: `“${word}” is no knot: ${error.message}` });
    throw error;
  }
}
