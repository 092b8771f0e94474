import assert from 'node:assert/strict';
import test from 'node:test';
import { crossings } from '../../../src/core/cloth/check/crossings.ts';
import { knotPrint, sameKnot } from '../../../src/core/cloth/check/topology.ts';
import { referenceTying } from '../../../src/core/cloth/reference.ts';
import { Simulation, usualSetting } from '../../../src/core/cloth/simulate.ts';
import { tieInCloth } from '../../../src/core/cloth/tieInCloth.ts';
import { enumerateKnots, formatKnot, parseKnot } from '../../../src/core/index.ts';
import { knotsInManner } from '../../../src/core/knot/manners.ts';
import { measureCloth } from '../../../src/core/seen/measure.ts';

const oriental = referenceTying(parseKnot('Lo Ri Co T'));
const after = (steps: number, seed = 0) => {
  const simulation = new Simulation({ ...oriental, seed });
  simulation.run(steps);
  return simulation;
};

test('the same word, tie and seed give the same mesh, bit for bit; another seed another one', () => {
  const one = after(150).mesh.position;
  assert.deepEqual(after(150).mesh.position, one);
  assert.notDeepEqual(after(150, 1).mesh.position, one);
  assert.ok(one.every(Number.isFinite));
});

test('every word is laid as the knot it is: mirror-free prints tell words apart, and the way it is laid by a hair does not', () => {
  const laid = (word: string, seed = 0) => knotPrint(new Simulation({ ...referenceTying(parseKnot(word)), seed }).mesh, parseKnot(word));
  assert.ok(sameKnot(laid('Li Ro Li Co T'), laid('Li Ro Li Co T', 7)));
  assert.ok(!sameKnot(laid('Li Ro Li Co T'), laid('Lo Ri Co T')));
  assert.ok(!sameKnot(laid('Li Ro Ci Lo Ri Co T'), laid('Li Ro Ci Ro Li Co T')), 'the sisters differ in what is left when drawn out');
});

test('loosely laid, hardly any cloth goes through other cloth, for every word and family', () => {
  for (const knot of [...enumerateKnots(8), ...knotsInManner('open', 6), ...knotsInManner('narrow', 6)]) {
    assert.ok(crossings(new Simulation(referenceTying(knot)).mesh) <= 12, formatKnot(knot));
  }
});

test('drawing up takes cloth away, keeps layers apart, and changes nothing of the knot', () => {
  const simulation = new Simulation(oriental);
  const print = knotPrint(simulation.mesh, oriental.knot);
  const length = () => simulation.mesh.active.rest.reduce((sum, each) => sum + each, 0);
  const loose = length();
  simulation.run(500);
  assert.ok(length() < 0.6 * loose);
  assert.ok(simulation.deepestMm < 1);
  assert.ok(sameKnot(print, knotPrint(simulation.mesh, oriental.knot)));
  assert.equal(simulation.progress, 500 / usualSetting(oriental.knot).steps);
});

/** Hasty: tight enough to tell whether a knot stays the knot it is. */
const hasty = { grid: { rowMm: 10, columns: 7 }, steps: 500, pull: 1 } as const;

test('no short word becomes another knot while it is drawn up, in any family, however hastily', () => {
  for (const knot of [...enumerateKnots(6), ...knotsInManner('open', 5), ...knotsInManner('narrow', 5)]) {
    const simulation = new Simulation(referenceTying(knot), hasty);
    const print = knotPrint(simulation.mesh, knot);
    while (!simulation.isTied) simulation.run(80);
    assert.ok(sameKnot(print, knotPrint(simulation.mesh, knot)), formatKnot(knot));
  }
});

test('a word read in a mirror, with the blade on the other side, is the same knot and the same mesh', () => {
  const mirrored = parseKnot('Ro Li Co T', { view: 'own', blade: 'left' });
  const other = new Simulation(referenceTying(mirrored));
  other.run(60);
  assert.deepEqual(other.mesh.position, after(60).mesh.position);
});

test('laid as in a mirror the cloth comes out as in a mirror, bit for bit, in every family and with its dimple', () => {
  const words = ['Lo Ri Co T', 'Li Co Ri Lo Ci Ro Li Co T', 'Li Ro Li Co D', 'N Lo Ri Co H', 'N Li Co Ri Lo Ci (Ro Li Co) T'];
  for (const word of words) {
    const request = referenceTying(parseKnot(word));
    const [one, other] = [new Simulation(request, hasty), new Simulation({ ...request, side: -1 }, hasty)];
    for (const simulation of [one, other]) simulation.run(360);
    const { columns, count } = one.mesh;
    const off = one.mesh.position.findIndex((value, i) => {
      const [vertex, axis] = [Math.floor(i / 3), i % 3];
      const row = Math.floor(vertex / columns);
      const across = row * columns + (columns - 1 - (vertex - row * columns));
      return value !== (axis === 0 ? -1 : 1) * (other.mesh.position[3 * across + axis] ?? Number.NaN);
    });
    assert.equal(off, -1, `${word}: ${off} of ${3 * count}`);
  }
});

test('wider and thicker cloth makes a larger knot that takes up more', () => {
  const { tie } = oriental;
  const of = (changed: Partial<typeof tie>) => {
    const tied = tieInCloth({ ...oriental, tie: { ...tie, ...changed } });
    assert.ok(tied.kind === 'tied');
    return measureCloth(tied.mesh);
  };
  const [usual, wide, thick] = [of({}), of({ bladeMm: 105, neckMm: 44 }), of({ thicknessMm: 5 })];
  for (const larger of [wide, thick]) assert.ok(larger.takeUpMm > usual.takeUpMm);
  assert.ok(wide.heightMm > usual.heightMm && thick.depthMm > usual.depthMm);
});

test('cloth pushed through other cloth is found', () => {
  const { mesh } = after(700);
  assert.equal(crossings(mesh), 0);
  // The standing end is pushed forward through the band that lies before it.
  for (let v = mesh.standing.first; v < mesh.count; v++) mesh.position[3 * v + 2] = (mesh.position[3 * v + 2] ?? 0) + 14;
  assert.ok(crossings(mesh) > 0);
});

test('the oriental comes out clean, of a size that cloth has', () => {
  const tied = tieInCloth(oriental);
  assert.equal(tied.kind, 'tied');
  if (tied.kind !== 'tied') return;
  const measures = measureCloth(tied.mesh);
  const near = (value: number, expected: number, by: number, what: string) =>
    assert.ok(Math.abs(value - expected) <= by, `${what}: ${value}`);
  near(measures.topMm, 46, 5, 'top');
  near(measures.heightMm, 42, 5, 'height');
  near(measures.depthMm, 28, 4, 'depth');
  assert.ok(measures.tiltDeg > 4, 'it leans to the wearer’s right');
  assert.ok(measures.topMm > measures.bottomMm);
});

test('it can be stopped, and what never comes out clean is refused', () => {
  let asked = 0;
  assert.deepEqual(tieInCloth(oriental, undefined, { shouldStop: () => asked++ > 2 }), { kind: 'stopped' });
  const shares: number[] = [];
  const torn = tieInCloth(
    oriental,
    { grid: { rowMm: 25, columns: 3 }, steps: 200, pull: 300 },
    { onProgress: (share) => shares.push(share) },
  );
  assert.ok(torn.kind === 'refused');
  // So few steps do not draw it up.
  const loose = tieInCloth(oriental, { ...usualSetting(oriental.knot), steps: 30 });
  assert.deepEqual(loose, { kind: 'refused', why: 'never-drawn-up' });
  assert.ok(shares.length >= 12 && shares.every((share) => share > 0 && share <= 1));
});
