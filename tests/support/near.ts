import assert from 'node:assert/strict';

/** Asserts that `actual` lies within `share` (0.005 = half a per cent) of `expected`. */
export function near(actual: number, expected: number, share: number, what: string): void {
  assert.ok(Math.abs(actual - expected) <= share * Math.abs(expected), `${what}: ${actual} is not within ${share * 100} % of ${expected}`);
}
