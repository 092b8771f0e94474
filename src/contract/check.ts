import type Joi from 'joi';
import type { Fault } from '../core/measures/faults.ts';

export type Checked<T> = { readonly value: T; readonly faults?: never } | { readonly value?: never; readonly faults: readonly Fault[] };

const longestMessage = 240;

/** Runs a schema and collects every fault. Unknown fields are dropped, so that later versions can add some. */
export function check<T>(schema: Joi.Schema<T>, input: unknown): Checked<T> {
  const { value, faults } = read(schema, input);
  return faults.length === 0 ? { value: value as T } : { faults };
}

/** The same, with what could be read of an input that is at fault: empty fields are left out of it. */
export function read(schema: Joi.Schema, input: unknown): { readonly value: unknown; readonly faults: readonly Fault[] } {
  const { value, error } = schema.validate(input, { abortEarly: false, stripUnknown: true, convert: false });
  return {
    value,
    faults: (error?.details ?? []).map(({ path, message }) => ({
      path: path.join('.'),
      message: message.length > longestMessage ? `${message.slice(0, longestMessage)}…` : message,
    })),
  };
}
