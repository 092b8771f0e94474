import assert from 'node:assert/strict';
import test from 'node:test';
import { crossings } from '../../../src/core/cloth/check/crossings.ts';
import { knotPrint, sameKnot } from '../../../src/core/cloth/check/topology.ts';
import { type Hands, usualHands } from '../../../src/core/cloth/forces/fingers.ts';
import { type ClothMesh, layLoose } from '../../../src/core/cloth/mesh/mesh.ts';
import { referenceTying } from '../../../src/core/cloth/reference.ts';
import { type Setting, Simulation, type TyingRequest, usualSetting } from '../../../src/core/cloth/simulate.ts';
import { tieInCloth } from '../../../src/core/cloth/tieInCloth.ts';
import { enumerateKnots, formatKnot, parseKnot } from '../../../src/core/index.ts';
import { knotsInManner } from '../../../src/core/knot/manners.ts';
import type { Vec3 } from '../../../src/core/numeric/vector.ts';
import { measureCloth } from '../../../src/core/seen/measure.ts';
import { fabrics } from '../../../src/core/tie/fabrics.ts';
import { flat, noJitter } from '../../support/layers.ts';

const oriental = referenceTying(parseKnot('Lo Ri Co T'));
const after = (steps: number, seed = 0) => {
  const simulation = new Simulation({ ...oriental, seed });
  simulation.run(steps);
  return simulation;
};

test('a longer knot and thinner cloth take more steps, with hands that do as much over all of them', () => {
  const setting = (word: string, thicknessMm = oriental.tie.thicknessMm) =>
    usualSetting({ knot: parseKnot(word), tie: { ...oriental.tie, thicknessMm } });
  const usual = setting('Li Ro Li Co T');
  assert.ok(setting('Li Co Ri Lo Ci Ro Li Co T').steps > usual.steps);
  assert.deepEqual(setting('Li Ro Li Co T', 2 * oriental.tie.thicknessMm), usual);
  const over = ({ steps, hands }: Setting, hand: keyof Hands) => steps * hands[hand];
  const longer = setting('Li Ro Li Co T', oriental.tie.thicknessMm / 2);
  assert.ok(longer.steps > 1.2 * usual.steps);
  for (const hand of ['squeezeMm', 'smoothMm', 'pressMm'] as const) assert.ok(Math.abs(over(longer, hand) / over(usual, hand) - 1) < 0.01);
});

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
  simulation.run(400);
  assert.ok(length() < 0.6 * loose);
  // Cloth folded to less than half of its width lies more than 4 mm thick.
  assert.ok(simulation.deepestMm < 1.6, `${simulation.deepestMm} mm`);
  assert.ok(sameKnot(print, knotPrint(simulation.mesh, oriental.knot)));
  assert.equal(simulation.progress, 400 / usualSetting(oriental).steps);
});

/** Hasty: tight enough to tell whether a knot stays the knot it is. */
const hasty: Setting = { grid: { rowMm: 12, columns: 5 }, steps: 350, pull: 1, hands: usualHands };

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

test('a knot of stiffer cloth, and one between other leaves, come out otherwise, by little', () => {
  const halfWindsor = referenceTying(parseKnot('Li Ro Ci Lo Ri Co T'));
  const of = (changed: Partial<TyingRequest>) => {
    const tied = tieInCloth({ ...halfWindsor, ...changed });
    assert.ok(tied.kind === 'tied');
    return measureCloth(tied.mesh);
  };
  const usual = of({});
  const cotton: { stiffness: number } = fabrics.cotton;
  const own = cotton.stiffness;
  const takeUpAt = (stiffness: number) => {
    cotton.stiffness = stiffness;
    return of({ tie: { ...halfWindsor.tie, fabric: 'cotton' } }).takeUpMm;
  };
  try {
    const [limp, stiff] = [takeUpAt(0.1), takeUpAt(1)];
    assert.notEqual(limp, stiff, 'stiffness by itself is felt');
    assert.ok(Math.abs(stiff / limp - 1) < 0.1, `${limp} mm in limp cloth, ${stiff} in stiff`);
  } finally {
    cotton.stiffness = own;
  }
  const cutaway = of({ collar: { collarPointMm: 70, collarSpreadMm: 130, tieSpaceMm: 10 } });
  assert.ok(cutaway.topMm > usual.topMm - 1, `${cutaway.topMm} ${usual.topMm}`);
  assert.ok(Math.abs(cutaway.takeUpMm - usual.takeUpMm) > 0.1, 'the collar is felt');
});

test('wider cloth makes a larger knot, and thicker cloth a fuller one that takes up more', () => {
  const fourInHand = referenceTying(parseKnot('Li Ro Li Co T'));
  const of = (changed: Partial<TyingRequest['tie']>) => {
    const tied = tieInCloth({ ...fourInHand, tie: { ...fourInHand.tie, ...changed } });
    assert.ok(tied.kind === 'tied');
    return measureCloth(tied.mesh);
  };
  const [usual, wide, thick] = [of({}), of({ bladeMm: 105, neckMm: 44 }), of({ thicknessMm: 5 })];
  for (const larger of [wide, thick])
    assert.ok(larger.takeUpMm > usual.takeUpMm && larger.topMm > usual.topMm && larger.depthMm > usual.depthMm);
  assert.ok(wide.heightMm > 1.1 * usual.heightMm && thick.takeUpMm > 1.1 * usual.takeUpMm);
});

test('cloth pushed through other cloth is found', () => {
  const simulation = new Simulation(referenceTying(parseKnot('Li Ro Li Co T')));
  simulation.run(simulation.setting.steps);
  const { mesh } = simulation;
  assert.equal(crossings(mesh), 0);
  // The standing end is pushed forward through the band that lies before it.
  for (let v = mesh.standing.first; v < mesh.count; v++) mesh.position[3 * v + 2] = (mesh.position[3 * v + 2] ?? 0) + 14;
  assert.ok(crossings(mesh) > 0);
});

/** A strip that runs along x, turns upward by so much on a small round, and goes on straight; another one is far off. */
function turning(turnDeg: number, radiusMm: number): ClothMesh {
  const headings = [
    ...Array<number>(60).fill(0),
    ...Array.from({ length: 90 }, (_, i) => (turnDeg * (i + 1)) / 90),
    ...Array<number>(60).fill(turnDeg),
  ];
  const onRound = ((turnDeg * Math.PI) / 180 / 90) * radiusMm;
  let [x, z] = [0, 0];
  const points: Vec3[] = [];
  const normals: Vec3[] = [];
  headings.forEach((degrees, i) => {
    const heading = (degrees * Math.PI) / 180;
    points.push([x, 0, z]);
    normals.push([-Math.sin(heading), 0, Math.cos(heading)]);
    const step = i >= 60 && i < 150 ? onRound : 0.5;
    x += step * Math.cos(heading);
    z += step * Math.sin(heading);
  });
  const line = { points, normals, parts: points.map(() => 'turn' as const), moves: points.map(() => 1) };
  return layLoose([line, flat(-300)], { rowMm: 1, columns: 3 }, 24, noJitter);
}

test('a fold that goes through itself within 14 mm is found, and a sharp crease is none', () => {
  assert.ok(crossings(turning(270, 2)) > 0);
  assert.equal(crossings(turning(180, 0.5)), 0);
});

test('the oriental comes out clean, of a size that cloth has', () => {
  const tied = tieInCloth(oriental);
  assert.equal(tied.kind, 'tied');
  if (tied.kind !== 'tied') return;
  const measures = measureCloth(tied.mesh);
  const near = (value: number, expected: number, by: number, what: string) =>
    assert.ok(Math.abs(value - expected) <= by, `${what}: ${value}`);
  near(measures.topMm, 40, 5, 'top');
  near(measures.heightMm, 39, 5, 'height');
  near(measures.depthMm, 21, 4, 'depth');
  assert.ok(measures.tiltDeg > 4, 'it leans to the wearer’s right');
  assert.ok(measures.topMm > measures.bottomMm);
});

test('it can be stopped, and what never comes out clean is refused', () => {
  let asked = 0;
  assert.deepEqual(tieInCloth(oriental, undefined, { shouldStop: () => asked++ > 2 }), { kind: 'stopped' });
  const shares: number[] = [];
  const torn = tieInCloth(
    oriental,
    { grid: { rowMm: 25, columns: 3 }, steps: 200, pull: 300, hands: usualHands },
    { onProgress: (share) => shares.push(share) },
  );
  assert.ok(torn.kind === 'refused');
  // So few steps do not draw it up.
  const loose = tieInCloth(oriental, { ...usualSetting(oriental), steps: 30 });
  assert.deepEqual(loose, { kind: 'refused', why: 'never-drawn-up' });
  assert.ok(shares.length >= 12 && shares.every((share) => share > 0 && share <= 1));
});
