import assert from 'node:assert/strict';
import test from 'node:test';
import { neckPin, neckRadiusMm, shirtZMm } from '../../../src/core/cloth/forces/body.ts';
import { measureNormals } from '../../../src/core/cloth/forces/elastic.ts';
import type { LooseStrand, Part } from '../../../src/core/cloth/mesh/loosePath.ts';
import { type ClothMesh, layLoose } from '../../../src/core/cloth/mesh/mesh.ts';
import { parseKnot } from '../../../src/core/index.ts';
import type { Vec3 } from '../../../src/core/numeric/vector.ts';
import { measureCloth } from '../../../src/core/seen/measure.ts';
import { leanDegOf } from '../../../src/core/tying/shape.ts';
import { stanceOf } from '../../../src/core/tying/stance.ts';

const wideMm = 40;

/** A working strand of flat cloth that faces the front, and a hanging end that does not count. */
function facingCloth(parts: readonly Part[], line: readonly Vec3[]): ClothMesh {
  const strand = (of: readonly Part[], points: readonly Vec3[]): LooseStrand => ({
    points: [...points],
    normals: points.map((): Vec3 => [0, 0, 1]),
    parts: [...of],
    moves: points.map(() => 1),
  });
  const hanging: Vec3[] = [
    [0, -60, 0],
    [0, -200, 0],
  ];
  const mesh = layLoose([strand(parts, line), strand(['hang', 'hang'], hanging)], { rowMm: 3, columns: 9 }, wideMm, () => 0);
  measureNormals(mesh, mesh.active);
  return mesh;
}

/** A band across the front that rises by so many degrees. */
function band(degrees: number, lengthMm = 60, root: readonly Vec3[] = []): ClothMesh {
  const rise = Math.tan((degrees * Math.PI) / 180);
  const half = (lengthMm / 2) * Math.cos((degrees * Math.PI) / 180);
  const points: Vec3[] = [-1, -0.5, 0, 0.5, 1].map((end) => [end * half, end * half * rise, 10]);
  return facingCloth([...root.map((): Part => 'turn'), ...points.map((): Part => 'band')], [...root, ...points]);
}

test('the tilt is the band’s own, with its sign', () => {
  for (const degrees of [-25, -8, 0, 12, 30]) assert.ok(Math.abs(measureCloth(band(degrees)).tiltDeg - degrees) < 0.5, `${degrees}`);
});

test('widths and height are those of the cloth that is seen, and what hangs does not count', () => {
  const { topMm, bottomMm, heightMm, depthMm, leftMm, rightMm } = measureCloth(band(0));
  assert.ok(Math.abs(topMm - 60) < 0.5);
  assert.ok(Math.abs(bottomMm - 60) < 0.5);
  assert.ok(Math.abs(heightMm - wideMm) < 0.5);
  assert.ok(depthMm < 0.5);
  assert.ok(Math.abs(leftMm - 30) < 0.5 && Math.abs(rightMm - 30) < 0.5);
});

test('cloth that comes down to the knot from an arm is not yet its face', () => {
  const rooted = measureCloth(
    band(0, 60, [
      [-110, 60, 5],
      [-60, 35, 5],
    ]),
  );
  assert.ok(rooted.leftMm < 70, `${rooted.leftMm}`);
});

test('an end that is led away up under the collar is not of the knot, and one that falls over it is', () => {
  const knot = (end: readonly Vec3[]): ClothMesh => {
    // The first 16 mm count to the arm.
    const turn: Vec3[] = [-46, -30, 0, 30].map((x) => [x, 0, 10]);
    const throat: Vec3[] = [
      [0, 55, -4],
      [-40, 0, -6],
    ];
    const last: Vec3[] = [-30, 0, 30].map((x) => [x, 0, 14]);
    const parts = [turn, throat, last, end].flatMap((points, i) =>
      points.map((): Part => (['turn', 'throat', 'turn', 'top'] as const)[i] ?? 'top'),
    );
    return facingCloth(parts, [...turn, ...throat, ...last, ...end]);
  };
  const ledAway = measureCloth(
    knot([
      [60, 6, 5],
      [100, 40, 0],
    ]),
  );
  assert.ok(Math.abs(ledAway.heightMm - wideMm) < 8, `${ledAway.heightMm} mm high`);
  assert.ok(ledAway.topMm > 55 && ledAway.topMm < 120, `${ledAway.topMm} mm wide`);
  const falling = measureCloth(
    knot([
      [10, 20, 14],
      [0, -70, 16],
    ]),
  );
  assert.ok(falling.heightMm > wideMm + 15, `${falling.heightMm} mm high`);
});

/** A strand from the neck's side over the neck to the button, once round a finger of this radius where that is not 0, and down. */
function worn(side: 1 | -1, fingerMm: number): LooseStrand {
  const [, rise] = neckPin(side);
  const over = Array.from({ length: 40 }, (_, i): Vec3 => {
    const left = 1 - i / 40;
    const angle = left * ((95 * Math.PI) / 180);
    return [side * neckRadiusMm * Math.sin(angle), left * rise, shirtZMm - neckRadiusMm * (1 - Math.cos(angle))];
  });
  const round = Array.from({ length: fingerMm > 0 ? 60 : 0 }, (_, i): Vec3 => {
    const angle = (i / 60) * 2 * Math.PI;
    return [0, fingerMm * (Math.cos(angle) - 1), shirtZMm + fingerMm * Math.sin(angle)];
  });
  const down: Vec3[] = [
    [0, 0, shirtZMm],
    [0, -150, shirtZMm],
  ];
  const points = [...over, ...round, ...down];
  const parts = [...over.map((): Part => 'arm'), ...round.map((): Part => 'turn'), 'hang' as const, 'hang' as const];
  return { points, normals: points.map((): Vec3 => [0, 0, 1]), parts, moves: points.map(() => 0) };
}

test('a tie that only hangs takes up no cloth, and one laid round a finger as much as goes round it', () => {
  const takeUp = (fingerMm: number) =>
    measureCloth(layLoose([worn(1, fingerMm), worn(-1, 0)], { rowMm: 2, columns: 5 }, wideMm, () => 0)).takeUpMm;
  assert.ok(Math.abs(takeUp(0)) < 3, `${takeUp(0)}`);
  for (const fingerMm of [10, 16]) assert.ok(Math.abs(takeUp(fingerMm) - takeUp(0) - 2 * Math.PI * fingerMm) < 4, `${takeUp(fingerMm)}`);
});

test('a longer band makes a wider knot of the same height', () => {
  const [short, long] = [measureCloth(band(0, 45)), measureCloth(band(0, 75))];
  assert.ok(Math.abs(long.topMm - short.topMm - 30) < 0.5);
  assert.ok(Math.abs(long.heightMm - short.heightMm) < 0.5);
});

test('the order of the words by their lean is the one that people feel', () => {
  const lean = (word: string) => Math.abs(leanDegOf(stanceOf(parseKnot(word)) ?? { tiltDeg: Number.NaN, overhangDeg: Number.NaN }));
  const [fourInHand, nicky, halfWindsor] = ['Li Ro Li Co T', 'Lo Ci Ro Li Co T', 'Li Ro Ci Lo Ri Co T'].map(lean) as [
    number,
    number,
    number,
  ];
  assert.ok(fourInHand > 10, `the Four-in-hand leans: ${fourInHand}°`);
  assert.ok(nicky < 10 && halfWindsor < 10, `the nicky and the Half-Windsor are level: ${nicky}° and ${halfWindsor}°`);
});

test('callipers are laid along the upper edge of a knot that leans', () => {
  const [level, leaning] = [measureCloth(band(0)), measureCloth(band(18))];
  for (const key of ['topMm', 'heightMm', 'depthMm'] as const)
    assert.ok(Math.abs(leaning[key] - level[key]) < 1, `${key}: ${leaning[key]} for ${level[key]}`);
});
