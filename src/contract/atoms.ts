import Joi from 'joi';
import { buttonRangeMm, type Measure, measures, mostButtons, mostWidths } from '../core/measures/measures.ts';
import { lengthOf, type Say } from './lengths.ts';
import { worded } from './worded.ts';

/** The smallest checks, each worded once. */

export const someColour = worded(Joi.string().pattern(/^#[0-9a-f]{6}$/), {
  'string.pattern.base': 'A colour is written as # and six hexadecimal digits.',
  'string.base': 'A colour is written as # and six hexadecimal digits.',
  'any.required': 'A colour is missing.',
});

export function identifier(label: string): Joi.StringSchema {
  return worded(
    Joi.string()
      .guid()
      // However it is spelled, it is the same one.
      .custom((id: string) => id.toLowerCase()),
    {
      'string.guid': `${label} is not a valid identifier.`,
      'string.base': `${label} is not a valid identifier.`,
      'any.required': `${label} has no identifier.`,
    },
  );
}

/** Words. */
export function text(label: string, longest: number): Joi.StringSchema {
  return worded(Joi.string().max(longest).pattern(/\0/, { invert: true }), {
    'any.required': `${label} is missing.`,
    'string.base': `${label} is missing.`,
    'string.empty': `${label} is missing.`,
    'string.max': `${label} is longer than ${longest} characters.`,
    'string.pattern.invert.base': `${label} holds a character that can’t be stored.`,
  });
}

/** Words that must say something: a name. */
export function title(label: string, longest: number): Joi.StringSchema {
  return worded(text(label, longest).pattern(/\S/).required(), { 'string.pattern.base': `${label} is missing.` });
}

export function oneOf(label: string, values: readonly string[]): Joi.AnySchema {
  return worded(Joi.any().valid(...values), {
    'any.only': `${label} must be one of: ${values.join(', ')}.`,
    'any.required': `${label} is missing.`,
  });
}

/** A shirt's buttons, from the first below the collar. */
export function buttons(say: Say): Joi.ArraySchema {
  const { min, max } = buttonRangeMm;
  const range = `Each button must be ${say(min)} to ${say(max)} below the collar button.`;
  return worded(
    Joi.array()
      .items(worded(Joi.number().strict().min(min).max(max), { 'number.base': range, 'number.min': range, 'number.max': range }))
      .min(1)
      .max(mostButtons),
    {
      'array.base': 'The buttons must be a list of lengths.',
      'array.min': 'A shirt has at least one button below the collar.',
      'array.max': `A shirt has at most ${mostButtons} buttons.`,
      'any.required': 'The buttons are missing.',
    },
  );
}

/** Widths measured along a tie. */
export function profile(say: Say): Joi.ArraySchema {
  const at: Measure = { label: 'The place of a measured width', minMm: 1, maxMm: measures.tie.lengthMm.maxMm, how: '' };
  const width: Measure = { label: 'A measured width', minMm: measures.tie.neckMm.minMm, maxMm: measures.tie.bladeMm.maxMm, how: '' };
  return worded(
    Joi.array()
      .items(Joi.object({ atMm: lengthOf(at, say).required(), widthMm: lengthOf(width, say).required() }))
      .max(mostWidths)
      .unique('atMm'),
    {
      'array.max': `Enter at most ${mostWidths} widths along a tie.`,
      'array.unique': 'Two widths are entered at the same place.',
      'array.base': 'The measured widths must be a list.',
    },
  );
}
