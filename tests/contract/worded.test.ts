import assert from 'node:assert/strict';
import { test } from 'node:test';
import Joi from 'joi';
import { check } from '../../src/contract/check.ts';
import { worded } from '../../src/contract/worded.ts';

const told = (schema: Joi.Schema, input: unknown) => check(schema, input).faults?.map(({ path, message }) => `${path}: ${message}`) ?? [];

test('a field is told in its own words, what is around it in its own', () => {
  const schema = worded(
    Joi.object({
      width: worded(Joi.number(), { 'number.base': (value) => `${value} is no width.` }),
      length: Joi.number(),
    }),
    { '*': 'Something of the tie is wrong.', 'object.base': 'That is no tie.' },
  );
  assert.deepEqual(told(schema, { width: 'wide', length: 'long' }), ['width: wide is no width.', 'length: Something of the tie is wrong.']);
  assert.deepEqual(told(schema, 7), [': That is no tie.']);
  assert.deepEqual(told(schema, { width: 7 }), []);
});

test('later words go before earlier ones, which still speak where they have nothing to say', () => {
  const schema = worded(worded(Joi.string().max(3).required(), { 'string.max': 'Too long.', 'any.required': 'Missing.' }), {
    'string.max': 'At most three letters.',
  });
  assert.deepEqual([told(schema, 'four'), told(schema, undefined)], [[': At most three letters.'], [': Missing.']]);
});

test('a check that words its own refusal is heard', () => {
  const schema = worded(
    Joi.any().custom((_, helpers) => helpers.message({ custom: 'Not today.' })),
    { '*': 'Wrong.' },
  );
  assert.deepEqual(told(schema, 1), [': Not today.']);
});
