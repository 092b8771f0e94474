import assert from 'node:assert/strict';
import test from 'node:test';
import { usualHands } from '../../../src/core/cloth/forces/fingers.ts';
import { referenceTying } from '../../../src/core/cloth/reference.ts';
import { type Setting, Simulation, type TyingRequest } from '../../../src/core/cloth/simulate.ts';
import { enumerateKnots, formatKnot, parseKnot } from '../../../src/core/index.ts';

/** The first place at which a knot laid the one way and as in a mirror is not the same as in a mirror, to the bit; -1 where there is none. */
function firstUnlike(request: TyingRequest, setting: Setting, steps: number): number {
  const [one, other] = [new Simulation(request, setting), new Simulation({ ...request, side: -1 }, setting)];
  for (const simulation of [one, other]) simulation.run(steps);
  const { columns } = one.mesh;
  return one.mesh.position.findIndex((value, i) => {
    const [vertex, axis] = [Math.floor(i / 3), i % 3];
    const row = Math.floor(vertex / columns);
    const across = row * columns + (columns - 1 - (vertex - row * columns));
    return value !== (axis === 0 ? -1 : 1) * (other.mesh.position[3 * across + axis] ?? Number.NaN);
  });
}

test('laid as in a mirror the cloth comes out as in a mirror, bit for bit, in every family and with its dimple', () => {
  const words = ['Lo Ri Co T', 'Li Co Ri Lo Ci Ro Li Co T', 'Li Ro Li Co D', 'N Lo Ri Co H', 'N Li Co Ri Lo Ci (Ro Li Co) T'];
  const coarse: Setting = { grid: { rowMm: 12, columns: 5 }, steps: 350, pull: 1, hands: usualHands };
  for (const word of words) assert.equal(firstUnlike(referenceTying(parseKnot(word)), coarse, 250), -1, word);
});

test('so does every classic word, to the end, on a coarse grid', () => {
  const coarse: Setting = { grid: { rowMm: 20, columns: 5 }, steps: 120, pull: 1, hands: usualHands };
  for (const knot of enumerateKnots(9)) assert.equal(firstUnlike(referenceTying(knot), coarse, 120), -1, formatKnot(knot));
});
