import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { Contacts } from '../../../src/core/cloth/contact/contacts.ts';
import { keepOffBody, neckPin, neckRadiusMm, shirtZMm } from '../../../src/core/cloth/forces/body.ts';
import { creaseOf } from '../../../src/core/cloth/forces/dimple.ts';
import { sweep } from '../../../src/core/cloth/forces/elastic.ts';
import { foldingOf, setWidths } from '../../../src/core/cloth/forces/folds.ts';
import { Pins } from '../../../src/core/cloth/forces/pins.ts';
import { activePath, type LooseStrand, standingPath } from '../../../src/core/cloth/mesh/loosePath.ts';
import { layLoose } from '../../../src/core/cloth/mesh/mesh.ts';
import { randomFrom } from '../../../src/core/cloth/mesh/random.ts';
import { parseKnot } from '../../../src/core/index.ts';
import { widthAt } from '../../../src/core/tie/width.ts';
import { anyKnot } from '../../support/arbitrary.ts';
import { flat, grid, heights, layerMm, mean, noJitter, twoLayers } from '../../support/layers.ts';
import { tieA } from '../../support/ties.ts';

const closed = Number.POSITIVE_INFINITY;

test('a strip is laid as long, as wide and as flat as was asked', () => {
  const mesh = twoLayers(10);
  assert.equal(mesh.count, (mesh.active.rows + mesh.standing.rows) * grid.columns);
  const across = Array.from({ length: mesh.count }, (_, v) => mesh.position[3 * v + 1] ?? 0);
  assert.ok(Math.abs(Math.max(...across) - Math.min(...across) - 24) < 1e-9);
  assert.equal(mesh.active.rows, 11);
  assert.ok(heights(mesh, 0, mesh.standing.first).every((z) => z === 0));
  assert.ok(mesh.normal.every((value, i) => Math.abs(Math.abs(value) - (i % 3 === 2 ? 1 : 0)) < 1e-9));
});

test('the ends are held where they were laid at first, and where they belong at last, as wide as the tie', () => {
  const knot = parseKnot('Li Ro Li Co T');
  const mesh = layLoose([activePath(knot), standingPath(knot)], grid, 26, noJitter);
  const laid = mesh.position.slice();
  const pins = new Pins(mesh, knot);
  pins.hold(mesh, 0);
  assert.ok(mesh.position.every((value, i) => Math.abs(value - (laid[i] ?? 0)) < 1e-9));
  mesh.active.width.fill(60);
  pins.hold(mesh, 1);
  const edge = (row: number, axis: number) =>
    (mesh.position[3 * ((row + 1) * grid.columns - 1) + axis] ?? 0) - (mesh.position[3 * row * grid.columns + axis] ?? 0);
  assert.ok(Math.abs(Math.abs(edge(0, 1)) - 60) < 1e-6, 'an arm stands upright along the neck');
  assert.ok(Math.abs(Math.hypot(edge(mesh.active.rows - 1, 0), edge(mesh.active.rows - 1, 1), edge(mesh.active.rows - 1, 2)) - 60) < 1e-6);
  assert.equal(Math.sign(mesh.position[0] ?? 0), Math.sign(neckPin(1)[0]));
});

test('a strip across another keeps off it as well', () => {
  const upright: LooseStrand = {
    points: [
      [30, 0, -30],
      [30, 0, 30],
    ],
    normals: [
      [1, 0, 0],
      [1, 0, 0],
    ],
    parts: ['turn', 'turn'],
    moves: [1, 1],
  };
  const mesh = layLoose([flat(0), upright], { rowMm: 3, columns: 9 }, 24, noJitter);
  mesh.half.fill(layerMm / 2);
  const contacts = new Contacts(mesh, 0);
  contacts.follow();
  contacts.pass();
  assert.ok(contacts.deepest > 0, 'it stands in the way');
});

test('a stretched strip draws together, one too narrow spreads, a flat one at rest does not stir', () => {
  const still = twoLayers(10);
  still.active.width.fill(24);
  const before = still.position.slice();
  sweep(still, still.active, undefined, closed);
  assert.ok(still.position.every((value, i) => Math.abs(value - (before[i] ?? 0)) < 1e-9));
  const stretched = twoLayers(10);
  stretched.active.rest.fill(4);
  for (let i = 0; i < 400; i++) sweep(stretched, stretched.active, undefined, closed);
  const xs = Array.from({ length: stretched.standing.first }, (_, v) => stretched.position[3 * v] ?? 0);
  assert.ok(Math.max(...xs) - Math.min(...xs) < 46);
  const narrow = twoLayers(10);
  narrow.active.width.fill(34);
  for (let i = 0; i < 600; i++) sweep(narrow, narrow.active, undefined, closed);
  const ys = Array.from({ length: narrow.standing.first }, (_, v) => narrow.position[3 * v + 1] ?? 0);
  assert.ok(Math.max(...ys) - Math.min(...ys) > 28);
});

test('sweeps and passes move nothing as a whole: what one point gives another takes', () => {
  const mesh = twoLayers(1.2);
  const centre = () => [0, 1, 2].map((axis) => mean(Array.from({ length: mesh.count }, (_, v) => mesh.position[3 * v + axis] ?? 0)));
  const before = centre();
  mesh.active.rest.fill(3);
  const contacts = new Contacts(mesh, 0);
  contacts.follow();
  for (let i = 0; i < 20; i++) {
    sweep(mesh, mesh.active, undefined, closed);
    contacts.pass();
  }
  centre().forEach((value, axis) => {
    assert.ok(Math.abs(value - (before[axis] ?? 0)) < 1e-9);
  });
});

test('nothing stays in the neck or behind the shirt, and pins lie on the neck', () => {
  const mesh = twoLayers(10);
  for (let i = 0; i < mesh.position.length; i += 3) {
    mesh.position[i + 1] = i % 2 === 0 ? -60 : 30;
    mesh.position[i + 2] = shirtZMm - 10;
  }
  for (let i = 0; i < 60; i++) keepOffBody(mesh, 1);
  for (let i = 0; i < mesh.position.length; i += 3) {
    const [x, y, z] = [mesh.position[i] ?? 0, mesh.position[i + 1] ?? 0, mesh.position[i + 2] ?? 0];
    if (y < 0) assert.ok(z > shirtZMm - (x * x) / 420 - 0.01);
    else assert.ok(Math.hypot(x, z - (shirtZMm - neckRadiusMm)) > neckRadiusMm - 0.01);
  }
  for (const side of [1, -1] as const) {
    const [x, , z] = neckPin(side);
    assert.equal(Math.sign(x), side);
    assert.ok(Math.abs(Math.hypot(x, z - (shirtZMm - neckRadiusMm)) - neckRadiusMm) < 1e-9);
  }
});

test('rows are as wide as the tie is there, times their fold; while it is loose the blade is as wide as it will be', () => {
  const mesh = layLoose([activePath(parseKnot('Li Ro Li Co T')), standingPath(parseKnot('Li Ro Li Co T'))], grid, 26, noJitter);
  const folding = foldingOf(mesh, 'tuck');
  assert.ok([...folding.active, ...folding.standing].every((fold) => fold >= 0.41 && fold <= 1));
  setWidths(mesh, tieA, { activeFromMm: 795, standingFromMm: 1025, knotMm: 220 }, folding);
  assert.ok(Math.abs((mesh.active.width[0] ?? 0) - widthAt(tieA, 795) * (folding.active[0] ?? 0)) < 1e-9);
  assert.ok((mesh.active.width.at(-1) ?? 0) > 60, 'the blade hangs broad');
  assert.ok((mesh.standing.width.at(-1) ?? 0) < 30);
});

test('a loose path runs the word’s moves in order, outward, and ends as the knot does', () => {
  fc.assert(
    fc.property(anyKnot, (knot) => {
      const { points, moves, parts } = activePath(knot);
      const inMoves = moves.filter((move) => move > 0);
      assert.deepEqual(
        inMoves,
        inMoves.toSorted((a, b) => a - b),
      );
      assert.equal(inMoves.at(-1), knot.moves.length);
      assert.ok(parts.includes('band') && parts.includes('tuck'));
      assert.ok((points.at(-1)?.[1] ?? 0) < -150, 'the blade hangs down');
      assert.equal(parts[0], 'arm');
    }),
  );
  assert.ok(!activePath(parseKnot('Li Ro Li Co D')).parts.includes('band'));
  for (const [word, side] of [
    ['N Li Ro Li Co H', 1],
    ['N Lo Ri Co H', -1],
  ] as const) {
    const [x, , z] = activePath(parseKnot(word)).points.at(-1) ?? [0, 0, 0];
    assert.ok(side * x > 60 && z > 10, `${word}: the end goes on over the top, and lies before the arm on that side`);
  }
});

test('creases are laid where they are wanted, one, a hair off, two, or none', () => {
  const knot = parseKnot('Li Ro Li Co T');
  const mesh = layLoose([activePath(knot), standingPath(knot)], { rowMm: 6, columns: 9 }, 26, noJitter);
  assert.equal(creaseOf(parseKnot('Li Ro Li Co D'), mesh, 'centred', 85), undefined, 'an open front has none');
  const of = (dimple: Parameters<typeof creaseOf>[2], bladeMm = 85) => creaseOf(knot, mesh, dimple, bladeMm);
  assert.equal(of('none'), undefined);
  const centred = of('centred')?.offset ?? new Float64Array(0);
  const lowest = [...centred].indexOf(Math.min(...centred));
  assert.equal(lowest, 4);
  assert.ok(Math.abs((centred[3] ?? 0) - (centred[5] ?? 0)) < 1e-9, 'the middle one is even');
  const [slim = 0, usual = 0] = [of('centred', 42.5)?.offset[lowest], centred[lowest]];
  assert.ok(usual < 0 && Math.abs(slim / usual - 0.5) < 1e-9, 'half as deep in a blade half as wide');
  const off = of('off-centre')?.offset ?? new Float64Array(0);
  assert.ok(Math.abs((off[3] ?? 0) - (off[5] ?? 0)) > 0.01);
  assert.notDeepEqual(of('double')?.offset, centred);
  const crease = of('centred');
  assert.ok(crease && crease.firstRow < crease.lastRow && crease.lastRow < mesh.active.rows);
});

test('numbers from a seed are its own, and spread over the whole range', () => {
  const draw = (seed: number) => {
    const next = randomFrom(seed);
    return Array.from({ length: 400 }, next);
  };
  assert.deepEqual(draw(5), draw(5));
  assert.notDeepEqual(draw(5), draw(6));
  assert.ok(draw(5).every((value) => value >= 0 && value < 1));
  assert.ok(Math.abs(mean(draw(5)) - 0.5) < 0.05);
});
