import assert from 'node:assert/strict';
import test from 'node:test';
import type { FittingResult } from '../../src/contract/fitting.ts';
import { cameOut } from '../../src/islands/records/cameOut.ts';

const result = (changes: Partial<FittingResult> = {}): FittingResult => ({
  tipOffMm: -12,
  tries: 1,
  findings: [],
  counts: true,
  figures: { takeUpMm: 187, aimOffMm: -12, aboveMm: 13, belowMm: 12 },
  ...changes,
});

test('how a fitting came out is told against the aim of its day, with what else was found', () => {
  assert.deepEqual(cameOut(result(), 'cm'), { tip: 'as aimed', within: true, rest: '' });
  assert.deepEqual(cameOut(result({ tipOffMm: 10 }), 'cm'), { tip: '2.2 cm below the aim', within: false, rest: '' });
  assert.equal(cameOut(result({ tipOffMm: 0 }), 'cm').within, true, 'the edge of the tolerance is right');
  assert.equal(cameOut(result({ tipOffMm: -26 }), 'cm').within, false);
  assert.deepEqual(cameOut(result({ tipOffMm: null, tries: 3, findings: ['no-dimple'], counts: false }), 'in'), {
    tip: '',
    within: true,
    rest: 'attempt 3; no dimple; not learnt from',
  });
});
