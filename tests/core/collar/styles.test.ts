import assert from 'node:assert/strict';
import test from 'node:test';
import { classOf } from '../../../src/core/collar/collar.ts';
import { collarFill } from '../../../src/core/collar/fill.ts';
import { collarStyles } from '../../../src/core/collar/styles.ts';
import { parseKnot, takeUp } from '../../../src/core/index.ts';
import { contradictions } from '../../../src/core/measures/consistency.ts';
import { measures } from '../../../src/core/measures/measures.ts';
import { completeRequest } from '../../../src/core/plan/request.ts';
import { question, tieA } from '../../support/ties.ts';

test('every named collar lies within the ranges and contradicts nothing', () => {
  for (const [code, { label: _, pointsHeld: __, ...style }] of Object.entries(collarStyles)) {
    for (const [key, mm] of Object.entries(style)) {
      const { minMm, maxMm } = measures.shirt[key as keyof typeof measures.shirt];
      assert.ok(mm >= minMm && mm <= maxMm, `${code} ${key}`);
    }
    assert.deepEqual(contradictions(completeRequest({ ...question, shirt: style }), String), [], code);
  }
});

test('the four that stylists class by opening are of the class they are named for', () => {
  const classes = { point: 'point', 'semi-spread': 'semi-spread', 'wide-spread': 'wide spread', cutaway: 'cutaway' } as const;
  for (const [code, label] of Object.entries(classes)) assert.equal(classOf(collarStyles[code as keyof typeof classes]).label, label);
});

test('from the narrowest named opening to the widest, one knot fills less and less', () => {
  const { shape } = takeUp(parseKnot('Li Ro Li Co'), tieA, { loopMm: 420, tailMm: 412.9 });
  const fills = (['point', 'semi-spread', 'wide-spread', 'cutaway'] as const).map((code) => collarFill(collarStyles[code], shape).fill);
  assert.deepEqual(
    fills,
    fills.toSorted((a, b) => b - a),
  );
});

test('fastened points are those of button-down, tab and pin', () => {
  const held = Object.entries(collarStyles).filter(([, { pointsHeld }]) => pointsHeld);
  assert.deepEqual(held.map(([code]) => code).sort(), ['button-down', 'pin', 'tab']);
});
