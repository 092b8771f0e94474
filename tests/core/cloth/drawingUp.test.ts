import assert from 'node:assert/strict';
import test from 'node:test';
import { keepOffBody, shirtZMm } from '../../../src/core/cloth/forces/body.ts';
import { arch, pressToShirt, smoothDown, squeeze, usualLayerMm, yielding } from '../../../src/core/cloth/forces/fingers.ts';
import { Leaves } from '../../../src/core/cloth/forces/leaves.ts';
import { centrePanel, KnotPlace, layDown, settle } from '../../../src/core/cloth/forces/place.ts';
import { Pull } from '../../../src/core/cloth/forces/pull.ts';
import { followFreedom, takeAway } from '../../../src/core/cloth/forces/tighten.ts';
import { activePath, type LooseStrand, standingPath } from '../../../src/core/cloth/mesh/loosePath.ts';
import { type ClothMesh, layLoose } from '../../../src/core/cloth/mesh/mesh.ts';
import { parseKnot } from '../../../src/core/index.ts';
import type { Vec3 } from '../../../src/core/numeric/vector.ts';
import { flat, grid, noJitter, twoLayers } from '../../support/layers.ts';

const closed = Number.POSITIVE_INFINITY;
const heldRows = 2;

/** A strip along x whose height is a wave of `waveMm`, and another far off. */
function waving(waveMm: number, heightMm: number, rowMm: number): ClothMesh {
  const points = Array.from({ length: 481 }, (_, i): Vec3 => [i / 2, 0, heightMm * Math.cos((Math.PI * i) / waveMm)]);
  const line: LooseStrand = {
    points,
    normals: points.map((): Vec3 => [0, 0, 1]),
    parts: points.map(() => 'turn' as const),
    moves: points.map(() => 1),
  };
  return layLoose([line, flat(-300)], { rowMm, columns: 3 }, 24, noJitter);
}

/** How much lower the crest in the middle is after `steps` steps of a pull, mm. */
function drawnIn(mesh: ClothMesh, steps: number, pullMm2: number, bendLengthMm: number): number {
  const crest = 3 * (mesh.columns * Math.round((mesh.active.rows - 1) / 2) + 1) + 2;
  const before = mesh.position[crest] ?? 0;
  const pull = new Pull(mesh, mesh.active, heldRows);
  for (let i = 0; i < steps; i++) pull.step(pullMm2, pullMm2 / 10, bendLengthMm, 10);
  return before - (mesh.position[crest] ?? 0);
}

test('a bend goes in by the pull over its radius in a step, however far the rows lie apart', () => {
  const [waveMm, heightMm, pullMm2] = [120, 1, 0.5];
  const curvature = heightMm * ((2 * Math.PI) / waveMm) ** 2;
  for (const rowMm of [2, 4, 8]) {
    const way = drawnIn(waving(waveMm, heightMm, rowMm), 1, pullMm2, 0);
    assert.ok(Math.abs(way / (pullMm2 * curvature) - 1) < 0.06, `${rowMm} mm: ${way}`);
  }
});

test('stiff cloth goes in faster where it is bent sharply, and hardly differs where it is bent widely', () => {
  const faster = (waveMm: number) =>
    drawnIn(waving(waveMm, 1, 2), 1, 0.2, 5) / drawnIn(waving(waveMm, 1, 2), 1, 0.2, 0) / (1 + (5 * 2 * Math.PI) ** 2 / waveMm ** 2);
  // Against a straight line tension and stiffness work the same way: κ and b²κ″ add up.
  for (const waveMm of [40, 120]) assert.ok(Math.abs(faster(waveMm) - 1) < 0.1, `${waveMm} mm`);
});

test('any pull is stable: the strongest leaves a straight line between the held ends, and those stay', () => {
  const mesh = waving(60, 8, 4);
  const held = mesh.position.slice(0, 3 * heldRows * mesh.columns);
  drawnIn(mesh, 40, 1e6, 5);
  assert.ok(mesh.position.every(Number.isFinite));
  assert.ok(held.every((value, i) => Math.abs(value - (mesh.position[i] ?? 0)) < 1e-6));
  const rows = Array.from({ length: mesh.active.rows }, (_, row) => mesh.position[3 * (mesh.columns * row + 1) + 2] ?? 0);
  assert.ok(Math.max(...rows) - Math.min(...rows) < 8.2, 'no higher than it was');
  const middle = rows.slice(10, -10);
  const bends = middle.slice(1, -1).map((z, i) => Math.abs(z - ((middle[i] ?? 0) + (middle[i + 2] ?? 0)) / 2));
  assert.ok(Math.max(...bends) < 0.05, 'straight');
});

test('rows that are pressed go in by the small share that pressed cloth takes', () => {
  const [free, pressed] = [waving(120, 1, 4), waving(120, 1, 4)];
  pressed.active.freedom.fill(0);
  const [fast, slow] = [drawnIn(free, 1, 0.1, 0), drawnIn(pressed, 1, 0.1, 0)];
  assert.ok(Math.abs(fast / slow - 10) < 0.2, `${fast} and ${slow}`);
});

test('rest lengths follow the cloth by little at a time, even out, keep their sum, and never fall below what is held open', () => {
  const mesh = waving(1e9, 0, 6);
  const { active } = mesh;
  active.rest.fill(12);
  takeAway(mesh, active, 6, undefined);
  assert.ok(
    active.rest.every((rest) => Math.abs(rest - 0.99 * 12) < 1e-9),
    'a hundredth at most',
  );
  for (let row = 20; row < active.rows; row++)
    for (let c = 0; c < mesh.columns; c++)
      mesh.position[3 * (row * mesh.columns + c)] = (mesh.position[3 * (row * mesh.columns + c)] ?? 0) + 5;
  const lies = 6 * (active.rows - 1) + 5;
  for (let i = 0; i < 200; i++) takeAway(mesh, active, 6, undefined);
  const sum = active.rest.reduce((all, rest) => all + rest, 0);
  assert.ok(Math.abs(sum * 1.005 - lies) < 0.01, `${sum} for ${lies}`);
  assert.ok((active.rest[19] ?? 0) < 8, 'the gap is shared out');
  const least = new Float64Array(active.rows).fill(7);
  for (let i = 0; i < 50; i++) takeAway(mesh, active, 6, least);
  assert.ok(active.rest.every((rest) => rest >= 7));
});

test('what is pressed loses its freedom, with the rows about it, and gains it back slowly; what hangs below keeps it, loose turns have none', () => {
  const mesh = twoLayers(10);
  const isPressed = new Uint8Array(mesh.count);
  isPressed.fill(1, 4 * grid.columns, 5 * grid.columns);
  const { freedom } = mesh.active;
  for (let i = 0; i < 30; i++) followFreedom(mesh, mesh.active, grid.rowMm, isPressed, -1000, closed);
  assert.deepEqual([...freedom.slice(2, 7)], [0, 0, 0, 0, 0]);
  assert.equal(freedom[1], 1);
  isPressed.fill(0);
  followFreedom(mesh, mesh.active, grid.rowMm, isPressed, -1000, closed);
  assert.ok((freedom[4] ?? 0) > 0 && (freedom[4] ?? 0) < 0.05);
  for (let i = 0; i < 30; i++) followFreedom(mesh, mesh.active, grid.rowMm, isPressed, -1000, 1);
  assert.ok(
    freedom.slice(0, -1).every((each) => each === 0),
    'turns that are held open',
  );
  isPressed.fill(1);
  for (let i = 0; i < 200; i++) followFreedom(mesh, mesh.active, grid.rowMm, isPressed, 1000, closed);
  assert.equal(freedom[mesh.active.leavesAt], 1, 'what hangs below the knot');
});

test('what presses a row takes the freedom of as much cloth about it, however far the rows lie apart', () => {
  for (const rowMm of [2, 5, 10]) {
    const mesh = twoLayers(10, rowMm);
    const isPressed = new Uint8Array(mesh.count);
    const pressedRow = Math.floor(mesh.active.rows / 2);
    isPressed.fill(1, pressedRow * grid.columns, (pressedRow + 1) * grid.columns);
    for (let i = 0; i < 30; i++) followFreedom(mesh, mesh.active, rowMm, isPressed, -1000, closed);
    const unfree = mesh.active.freedom.filter((each) => each < 1).length;
    assert.equal(unfree, 1 + 2 * Math.round(10 / rowMm), `${rowMm} mm`);
  }
});

const knot = parseKnot('Li Ro Li Co T');
const laid = () => layLoose([activePath(knot), standingPath(knot)], { rowMm: 10, columns: 7 }, 26, noJitter);

/** What two fingers do to the loose winding in a step: how far each coordinate went, mm. */
function squeezed(sectionMm2: number, squeezeMm = 1.8, change: (mesh: ClothMesh) => void = () => undefined) {
  const mesh = laid();
  change(mesh);
  const before = mesh.position.slice();
  const place = new KnotPlace();
  place.measure(mesh);
  squeeze(mesh, place, sectionMm2, squeezeMm);
  return { mesh, before, place, ways: before.map((was, i) => (mesh.position[i] ?? 0) - was) };
}

const usualMm2 = 67.5;

test('fingers squeeze a knot narrower, a fuller tie harder and from further out, and nothing outside it', () => {
  const { mesh, before, place, ways } = squeezed(usualMm2);
  for (let i = 0; i < ways.length; i += 3) {
    const way = ways[i] ?? 0;
    const aside = (before[i] ?? 0) - place.middleMm;
    assert.ok(way * aside <= 0 && Math.abs(way) <= Math.abs(aside), 'toward the middle, and not past it');
    assert.ok(ways[i + 1] === 0 && ways[i + 2] === 0);
    const y = before[i + 1] ?? 0;
    const isOutside = i < 3 * mesh.active.entersAt * mesh.columns || i >= 3 * mesh.standing.first || y > place.topMm + 5;
    if (isOutside) assert.equal(Math.abs(way), 0);
  }
  const hardest = (all: Float64Array) => Math.max(...all.map(Math.abs));
  assert.ok(hardest(ways) > 0);
  assert.ok(hardest(squeezed(2 * usualMm2).ways) > 1.5 * hardest(ways), 'twice the cloth, much harder');
  const reach = (all: Float64Array) =>
    Math.min(...before.filter((_, i) => i % 3 === 0 && all[i] !== 0).map((x) => Math.abs(x - place.middleMm)));
  assert.ok(reach(squeezed(2 * usualMm2).ways) > reach(ways), 'and from further out');
  assert.ok(squeezed(usualMm2, 0).ways.every((way) => way === 0));
});

test('a slimmer tie is squeezed no softer than the usual one', () => {
  const strength = ({ ways }: { ways: Float64Array }) => ways.reduce((sum, way) => sum + Math.abs(way), 0);
  const usual = strength(squeezed(usualMm2));
  assert.ok(usual > 0 && Math.abs(strength(squeezed(usualMm2 / 2)) / usual - 1) < 0.02);
});

test('hands yield where cloth lies too deep in other cloth, thinner cloth sooner, and press on with all their strength where it does not', () => {
  assert.equal(yielding(0, usualLayerMm), 1);
  assert.equal(yielding(1, usualLayerMm), 1);
  const [deep, deeper] = [yielding(2, usualLayerMm), yielding(4, usualLayerMm)];
  assert.ok(deep < 1 && Math.abs(deeper / deep - 0.5) < 1e-9, 'twice as deep, half as hard');
  assert.ok(Math.abs(yielding(2, usualLayerMm / 2) / deep - 0.5) < 1e-9);
});

test('both fingers press with the same strength, however much lies under each, and at one height, so that they turn no knot', () => {
  // More cloth on the one side, and lower.
  const { before, place, ways } = squeezed(usualMm2, 1.8, ({ position }) => {
    for (let i = 0; i < position.length; i += 3) {
      const [x = 0, y = 0] = [position[i], position[i + 1]];
      if (x < 0 && y > 0) position[i] = x / 2;
    }
  });
  const finger = (side: 1 | -1) => {
    let [strength, turning] = [0, 0];
    for (let i = 0; i < ways.length; i += 3) {
      if (Math.sign((before[i] ?? 0) - place.middleMm) !== side) continue;
      strength += Math.abs(ways[i] ?? 0);
      turning += Math.abs(ways[i] ?? 0) * (before[i + 1] ?? 0);
    }
    return { strength, heightMm: turning / strength };
  };
  const [left, right] = [finger(-1), finger(1)];
  for (const { strength } of [left, right]) assert.ok(Math.abs(strength / 1.8 - 1) < 0.02, `${strength}`);
  assert.ok(Math.abs(left.heightMm - right.heightMm) < 3, `${left.heightMm} and ${right.heightMm} mm`);
});

test('a thumb smooths down what stands above the band, with one strength, and nothing else', () => {
  const mesh = laid();
  const { first, entersAt, parts } = mesh.active;
  const place = new KnotPlace();
  place.measure(mesh);
  const [from, to] = [3 * (first + entersAt * mesh.columns), 3 * (first + parts.indexOf('band') * mesh.columns)];
  // Every other row of the first turns stands up, by as much as a pile does.
  for (let i = from; i < to; i += 3)
    if (Math.floor((i - from) / 3 / mesh.columns) % 2 === 0) mesh.position[i + 1] = place.topMm + 8 + ((i / 3) % 20);
  const before = mesh.position.slice();
  smoothDown(mesh, place, 2.4);
  let strength = 0;
  before.forEach((was, i) => {
    const down = was - (mesh.position[i] ?? 0);
    strength += down;
    if (i % 3 !== 1 || i < from || i >= to || was <= place.topMm + 8) assert.equal(down, 0);
    else assert.ok(down > 0 && down < 0.1, `${down} mm`);
  });
  assert.ok(Math.abs(strength / 2.4 - 1) < 0.01, `${strength}`);
  const after = mesh.position.slice();
  smoothDown(mesh, new KnotPlace(), 2.4);
  assert.deepEqual(mesh.position, after, 'before hands have hold of it');
});

test('the blade is held out just below the knot that it comes out of, and nothing else is', () => {
  const mesh = laid();
  const place = new KnotPlace();
  place.measure(mesh);
  const before = mesh.position.slice();
  arch(mesh, place, 1);
  const moved = [...before.keys()].filter((i) => mesh.position[i] !== before[i]);
  assert.ok(moved.length > 0);
  const from = mesh.active.first + mesh.active.parts.indexOf('tuck') * mesh.columns;
  const to = mesh.active.first + mesh.active.rows * mesh.columns;
  for (const i of moved) {
    const v = Math.floor(i / 3);
    assert.ok(i % 3 === 2 && (mesh.position[i] ?? 0) > (before[i] ?? 0), 'straight out');
    assert.ok(v >= from && v < to, 'of the blade only');
    assert.ok((before[3 * v + 1] ?? 0) < place.bottomMm + 15, 'below the knot');
  }
});

test('a knot is slid whole to the button and its lower part to the shirt, and its ends stay where they are held', () => {
  const mesh = laid();
  for (let i = 0; i < mesh.position.length; i += 3) {
    mesh.position[i] = (mesh.position[i] ?? 0) + 12;
    mesh.position[i + 2] = (mesh.position[i + 2] ?? 0) + 30;
  }
  mesh.before.set(mesh.position);
  const start = mesh.position.slice();
  const place = new KnotPlace();
  place.measure(mesh);
  const first = { ...place };
  for (let i = 0; i < 800; i++) {
    settle(mesh, place, 1);
    place.measure(mesh);
  }
  assert.ok(first.topMm < -20 && Math.abs(place.topMm - 6) < 0.5, `${first.topMm} to ${place.topMm}`);
  assert.ok(Math.abs(place.middleMm) < Math.abs(first.middleMm));
  assert.ok(first.gapMm > 20 && Math.abs(place.gapMm - 7) < 1, `${first.gapMm} to ${place.gapMm}`);
  assert.ok(
    mesh.position.every((value, i) => Math.abs(value - (mesh.before[i] ?? 0)) < 1e-9),
    'without being set in motion',
  );
  for (let i = 0; i < 3 * mesh.columns; i++) assert.equal(mesh.position[i], start[i]);
});

test('nothing is slid before hands take hold of it', () => {
  const mesh = laid();
  const before = mesh.position.slice();
  settle(mesh, new KnotPlace(), 1);
  const place = new KnotPlace();
  place.measure(mesh);
  settle(mesh, place, 0);
  assert.deepEqual(mesh.position, before);
});

test('a panel that falls over the knot is kept to the middle as it is, and the knot under it is let be', () => {
  const open = parseKnot('Li Ro Li Co D');
  const mesh = layLoose([activePath(open), standingPath(open)], { rowMm: 10, columns: 7 }, 26, noJitter);
  const { first, parts } = mesh.active;
  const panelAt = 3 * (first + parts.indexOf('tuck') * mesh.columns);
  for (let i = panelAt; i < 3 * mesh.standing.first; i += 3) mesh.position[i] = (mesh.position[i] ?? 0) + 20;
  const before = mesh.position.slice();
  const width = (at: Float64Array) => (at[panelAt + 3 * (mesh.columns - 1)] ?? 0) - (at[panelAt] ?? 0);
  for (let i = 0; i < 300; i++) centrePanel(mesh, 1);
  const middles = Array.from(
    { length: mesh.active.rows - parts.indexOf('tuck') },
    (_, row) => mesh.position[panelAt + 3 * (row * mesh.columns + 3)] ?? 0,
  );
  assert.ok(middles.every((x) => Math.abs(x) < 0.1));
  assert.ok(Math.abs(width(mesh.position) - width(before)) < 1e-9);
  assert.deepEqual(mesh.position.slice(0, panelAt), before.slice(0, panelAt));
  assert.deepEqual(mesh.position.slice(3 * mesh.standing.first), before.slice(3 * mesh.standing.first));
});

test('turns that are held open are laid down where they stand up from the knot, and nothing else is', () => {
  const loose = parseKnot('N Li Co Ri Lo Ci (Ro Li Co) T');
  const mesh = layLoose([activePath(loose), standingPath(loose)], { rowMm: 10, columns: 7 }, 26, noJitter);
  const before = mesh.position.slice();
  const { first, moves } = mesh.active;
  const from = loose.loose?.from ?? 0;
  layDown(mesh, from, 1);
  before.forEach((was, i) => {
    const move = moves[Math.floor((i / 3 - first) / mesh.columns)] ?? 0;
    const way = (mesh.position[i] ?? 0) - was;
    const stands = i % 3 === 1 && move >= from && was > 20;
    assert.ok(stands ? way < 0 && way > -1 : way <= 0 && way > -1 && (way === 0 || i % 3 === 1), `${i}: ${way}`);
    if (move < from) assert.equal(way, 0);
  });
});

test('a hand presses what lies before the shirt toward it, hardly, and not what hangs far below', () => {
  const mesh = twoLayers(10);
  mesh.position.set([0, 0, 5, 0, -200, 5, 0, 0, shirtZMm - 1]);
  pressToShirt(mesh, 0.009);
  assert.ok((mesh.position[2] ?? 0) < 5 && (mesh.position[2] ?? 0) > 4.99);
  assert.equal(mesh.position[5], 5);
  assert.equal(mesh.position[8], shirtZMm - 1);
});

test('a leaf’s edge runs outward from the button to its tip, and below it there is none', () => {
  const usual = new Leaves();
  assert.ok(usual.edgeMm(14) > 0 && usual.edgeMm(14) < 8);
  for (let y = 40; y > -45; y -= 5) assert.ok(usual.edgeMm(y - 5) > usual.edgeMm(y), `at ${y} mm`);
  assert.ok(usual.edgeMm(40) < 0);
  assert.equal(usual.edgeMm(-60), Number.POSITIVE_INFINITY);
  const point = new Leaves({ collarPointMm: 85, collarSpreadMm: 75, tieSpaceMm: 6 });
  const cutaway = new Leaves({ collarPointMm: 70, collarSpreadMm: 130, tieSpaceMm: 10 });
  for (const y of [5, -10, -20]) assert.ok(point.edgeMm(y) < usual.edgeMm(y) && usual.edgeMm(y) < cutaway.edgeMm(y), `at ${y} mm`);
  assert.ok(Number.isFinite(point.edgeMm(-60)), 'its points hang lower');
});

test('the collar’s leaves press back what stands out of them and leave the opening between them alone', () => {
  const mesh = twoLayers(10);
  const at = (x: number, y: number, z: number) => {
    mesh.position.fill(0);
    mesh.position.set([x, y, z]);
    for (let i = 0; i < 200; i++) new Leaves().press(mesh, 1);
    return mesh.position[2] ?? 0;
  };
  const high = shirtZMm + 60;
  for (const side of [1, -1]) {
    const pressed = at(side * 45, -10, high);
    assert.ok(pressed < shirtZMm + 25 && pressed > shirtZMm, `${pressed}`);
  }
  assert.equal(at(8, -30, high), high, 'between the leaves');
  assert.equal(at(45, -80, high), high, 'below the tips');
  assert.equal(at(60, 30, high), high, 'above the fold');
  assert.equal(at(45, -10, shirtZMm + 2), shirtZMm + 2, 'what lies below a leaf is let be');
  const later = twoLayers(10);
  later.position[2] = high;
  const before = later.position.slice();
  new Leaves().press(later, 0);
  assert.deepEqual(later.position, before);
});

test('a leaf that is pressed gives, on its own side only, and lies back once nothing presses it', () => {
  const leaves = new Leaves();
  const [x, y] = [40, -20];
  const front = (side: 1 | -1) => leaves.frontMm(side * x, y) ?? Number.NaN;
  const flatMm = front(1);
  assert.equal(front(-1), flatMm);
  assert.equal(leaves.frontMm(5, y), undefined, 'between the leaves there is none');
  const mesh = twoLayers(10);
  // Cloth that stands firm under the right one.
  const press = () => {
    mesh.position.fill(0);
    mesh.position.set([x, y, flatMm + 3]);
    leaves.press(mesh, 1);
  };
  press();
  const first = (mesh.position[2] ?? 0) - flatMm;
  for (let i = 0; i < 400; i++) press();
  const lifted = front(1) - flatMm;
  assert.ok(lifted > 1 && lifted < 3, `lifted by ${lifted} mm`);
  assert.equal(front(-1), flatMm);
  assert.ok((mesh.position[2] ?? 0) - flatMm > first, 'so it presses less');
  mesh.position.fill(0);
  for (let i = 0; i < 4000; i++) leaves.press(mesh, 1);
  assert.ok(front(1) - flatMm < 0.05, `${front(1) - flatMm} mm are left`);
});

test('cloth that is pressed against the shirt slides as far as its grip lets it, and freely where it touches nothing', () => {
  const mesh = twoLayers(10);
  /** How far a point gets that is moved 1 mm aside and pressed into the shirt by so much, mm. */
  const slid = (deepMm: number, grip: number) => {
    mesh.position.fill(0);
    mesh.before.fill(0);
    mesh.before.set([0, -60, shirtZMm]);
    mesh.position.set([1, -60, shirtZMm - deepMm]);
    keepOffBody(mesh, 1, grip);
    return mesh.position[0] ?? 0;
  };
  assert.equal(slid(0.4, 0), 1);
  assert.equal(slid(-0.4, 0.3), 1);
  assert.ok(Math.abs(slid(0.4, 0.3) - (1 - 0.3 * 0.2)) < 1e-3, `${slid(0.4, 0.3)}`);
  assert.ok(Math.abs(slid(40, 0.3)) < 1e-9, 'held fast where it is pressed hard');
});
