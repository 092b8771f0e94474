import Joi from 'joi';
import { type Attempt, mostAttempts } from '../core/start/attempts.ts';
import { stateCodes } from '../core/start/reading.ts';
import { canonicalMoves, longestMoves } from './knotMoves.ts';
import { longestLine } from './records/kinds/kindOf.ts';
import { worded } from './worded.ts';

const mm = (limit: number) => Joi.number().strict().min(-limit).max(limit).required();

/** The tyings of a fitting, as they were worked out where they were seen. */
export const attemptsSchema = worded(
  Joi.array()
    .items(
      Joi.object<Attempt>({
        moves: Joi.string().max(longestMoves).custom(canonicalMoves).required(),
        tie: Joi.string().max(longestLine).required(),
        tailMm: mm(2000),
        state: Joi.any()
          .valid(...stateCodes)
          .required(),
        tipOffMm: mm(1000),
        tailEndMm: mm(2000).allow(null),
        takeUpMm: mm(2000),
        errorMm: mm(2000),
        noiseMm: Joi.number().strict().min(1).max(200).required(),
      }),
    )
    .max(mostAttempts)
    .default([]),
  { 'array.max': `A fitting keeps ${mostAttempts} tyings at most.`, '*': 'A tying of the fitting can’t be read.' },
);
