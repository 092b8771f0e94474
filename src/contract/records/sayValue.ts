import type { Field } from '../fields/field.ts';
import { nothing } from '../fields/fieldKind.ts';
import { kindOf } from '../fields/fieldKinds.ts';
import type { Say } from '../lengths.ts';

/** What stands in a field, in words; references are told by their title where `titleOf` knows it. */
export function sayValue(field: Field, value: unknown, say: Say, titleOf: (id: string) => string | undefined = () => undefined): string {
  if (value === null || value === undefined || value === '')
    return ('optional' in field && typeof field.optional === 'string' && field.optional) || nothing;
  return kindOf(field).say(field, value, { say, titleOf });
}
