import Joi from 'joi';
import { check } from '../../contract/check.ts';
import { worded } from '../../contract/worded.ts';
import { type MannerCode, mannerCodes } from '../../core/knot/manners.ts';
import { invalid } from './problem.ts';

const defaultMoves = 9;
/** 5,461 knots; a longer list is of no use over the wire. */
const mostMoves = 15;

const schema = worded(Joi.number().integer().min(3).max(mostMoves), { '*': `maxMoves must be a whole number from 3 to ${mostMoves}.` });

/** Reads `maxMoves` from a query. */
export function checkMaxMoves(query: URLSearchParams): number {
  const text = query.get('maxMoves');
  if (text === null) return defaultMoves;
  const { value, faults } = check<number>(schema, text.trim() === '' ? Number.NaN : Number(text));
  if (faults) throw invalid(faults.map(({ message }) => ({ path: 'maxMoves', message })));
  return value;
}

/** Reads `manner`, the family of knots, from a query. */
export function checkManner(query: URLSearchParams): MannerCode {
  const text = query.get('manner') ?? 'classic';
  const code = mannerCodes.find((each) => each === text);
  if (!code) throw invalid([{ path: 'manner', message: `manner must be one of: ${mannerCodes.join(', ')}.` }]);
  return code;
}
