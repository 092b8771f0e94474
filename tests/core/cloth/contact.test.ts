import assert from 'node:assert/strict';
import test from 'node:test';
import { Contacts } from '../../../src/core/cloth/contact/contacts.ts';
import type { LooseStrand, Part } from '../../../src/core/cloth/mesh/loosePath.ts';
import { type ClothMesh, layLoose } from '../../../src/core/cloth/mesh/mesh.ts';
import { randomFrom } from '../../../src/core/cloth/mesh/random.ts';
import type { Vec3 } from '../../../src/core/numeric/vector.ts';
import { allDepths } from '../../support/allContacts.ts';
import { flat, grid, heights, layerMm, mean, noJitter, twoLayers } from '../../support/layers.ts';

test('layers too near are pushed apart to their thickness, and those far enough are left alone', () => {
  for (const gap of [0.9, 1.8, 2.3]) {
    const mesh = twoLayers(gap);
    const contacts = new Contacts(mesh, 0);
    contacts.follow();
    for (let pass = 0; pass < 40; pass++) contacts.pass();
    const apart = mean(heights(mesh, mesh.standing.first, mesh.count)) - mean(heights(mesh, 0, mesh.standing.first));
    assert.ok(Math.abs(apart - layerMm) < 0.1, `${gap} became ${apart}`);
    assert.ok(contacts.deepest < 0.1);
  }
  const far = twoLayers(3);
  const contacts = new Contacts(far, 0);
  contacts.follow();
  contacts.pass();
  assert.deepEqual(far.position, twoLayers(3).position);
});

test('pressed layers that slide are held back by as much as they grip, and together go on as they went', () => {
  const slid = (grip: number) => {
    const mesh = twoLayers(1.8);
    for (let i = 3 * mesh.standing.first; i < mesh.position.length; i += 3) mesh.position[i] = (mesh.position[i] ?? 0) + 0.3;
    const contacts = new Contacts(mesh, grip);
    contacts.follow();
    contacts.pass();
    const way = (from: number, to: number) =>
      mean(Array.from({ length: to - from }, (_, v) => (mesh.position[3 * (from + v)] ?? 0) - (mesh.before[3 * (from + v)] ?? 0)));
    const [lower, upper] = [way(0, mesh.standing.first), way(mesh.standing.first, mesh.count)];
    return { apart: upper - lower, together: way(0, mesh.count) };
  };
  const [none, some, more] = [slid(0), slid(0.2), slid(0.4)];
  assert.ok(none.apart > 0.29 && some.apart < none.apart - 0.01 && more.apart < some.apart - 0.01 && more.apart > 0);
  assert.ok(Math.abs(none.together - more.together) < 1e-6);
});

test('no cloth passes through other cloth, however fast it is thrown at it', () => {
  const mesh = twoLayers(6);
  const upper = 3 * mesh.standing.first;
  // The upper strip is the larger and does not give, so that none of the lower can go round it.
  for (let i = upper; i < mesh.position.length; i += 3) {
    mesh.position[i] = 30 + 1.6 * ((mesh.position[i] ?? 0) - 30);
    mesh.position[i + 1] = 1.6 * (mesh.position[i + 1] ?? 0);
  }
  const contacts = new Contacts(mesh, 0);
  const above = mesh.position.slice(upper);
  for (let step = 0; step < 60; step++) {
    mesh.position.set(above, upper);
    mesh.before.set(mesh.position);
    for (let i = 2; i < upper; i += 3) mesh.position[i] = (mesh.position[i] ?? 0) + 0.8;
    contacts.follow();
    contacts.pass();
    contacts.keepRoom();
  }
  const highest = Math.max(...heights(mesh, 0, mesh.standing.first));
  assert.ok(highest < 6, `${highest}`);
  assert.ok(contacts.touching > 0);
});

test('thicker cloth keeps off further, each layer by its own half', () => {
  const mesh = twoLayers(1.5);
  mesh.half.fill(2, mesh.standing.first);
  const contacts = new Contacts(mesh, 0);
  contacts.follow();
  for (let pass = 0; pass < 80; pass++) contacts.pass();
  const apart = mean(heights(mesh, mesh.standing.first, mesh.count)) - mean(heights(mesh, 0, mesh.standing.first));
  assert.ok(Math.abs(apart - (2 + layerMm / 2)) < 0.15, `${apart}`);
});

/** A strip that goes there and comes back over itself, and one across it; crumpled, so that they lie in each other. */
function crumpled(seed: number): ClothMesh {
  const up: Vec3 = [0, 0, 1];
  const there: LooseStrand = {
    points: [
      [0, 0, 0],
      [60, 0, 0],
      [62, 0, 3],
      [60, 0, 6],
      [0, 4, 5],
    ],
    normals: [up, up, [1, 0, 0], [0, 0, -1], [0, 0, -1]],
    parts: Array(5).fill('turn') as Part[],
    moves: Array(5).fill(1) as number[],
  };
  const across: LooseStrand = {
    points: [
      [30, -45, 3],
      [30, 45, 2],
    ],
    normals: [up, up],
    parts: ['turn', 'turn'],
    moves: [1, 1],
  };
  const mesh = layLoose([there, across], grid, 24, noJitter);
  mesh.half.fill(layerMm / 2);
  shake(mesh, randomFrom(seed), 4);
  return mesh;
}

function shake({ position }: ClothMesh, random: () => number, mm: number): void {
  for (let i = 0; i < position.length; i++) position[i] = (position[i] ?? 0) + mm * (random() - 0.5);
}

/** Less deep than this it may count as touching or not. */
const hardlyMm = 1e-5;

function holdsToAll(contacts: Contacts, depths: readonly number[]): void {
  const surely = depths.filter((depth) => depth > hardlyMm).length;
  const perhaps = depths.filter((depth) => depth > -hardlyMm).length;
  assert.ok(contacts.touching >= surely && contacts.touching <= perhaps, `${contacts.touching}, and ${surely} to ${perhaps}`);
  assert.ok(Math.abs(contacts.deepest - Math.max(0, ...depths)) < 1e-9);
}

test('what touches is what every point against every triangle finds, however the cloth goes on from there', () => {
  for (const seed of [1, 2]) {
    const mesh = crumpled(seed);
    const contacts = new Contacts(mesh, 0);
    const random = randomFrom(seed);
    let most = 0;
    for (let step = 0; step < 20; step++) {
      mesh.before.set(mesh.position);
      // Now and then it is thrown, else it hardly stirs.
      shake(mesh, random, step % 6 === 0 ? 3 : 0.3);
      contacts.follow();
      const depths = allDepths(mesh);
      contacts.pass();
      holdsToAll(contacts, depths);
      most = Math.max(most, contacts.touching);
    }
    assert.ok(most > 50, `${most}`);
  }
});

test('an odd number of points, one strewn far off, and a face without any extent change nothing of that', () => {
  const mesh = layLoose([flat(0, 60), flat(1.5, 54)], grid, 24, noJitter);
  assert.equal(mesh.count % 2, 1);
  mesh.half.fill(layerMm / 2);
  mesh.position.set([50_000, -80_000, 20_000], 3 * (mesh.count - 1));
  for (const v of [1, grid.columns, grid.columns + 1]) mesh.position.copyWithin(3 * v, 0, 3);
  const contacts = new Contacts(mesh, 0);
  const depths = allDepths(mesh);
  contacts.follow();
  contacts.pass();
  holdsToAll(contacts, depths);
  assert.ok(contacts.touching > 50);
  assert.ok(mesh.position.every(Number.isFinite));
});

test('however many touch there is room for them', () => {
  const mesh = layLoose([flat(0, 900), flat(1.2, 900)], { rowMm: 3, columns: 9 }, 24, noJitter);
  mesh.half.fill(layerMm / 2);
  const contacts = new Contacts(mesh, 0);
  contacts.follow();
  contacts.pass();
  assert.ok(contacts.touching > 9000, `${contacts.touching}`);
  assert.ok(Math.abs(contacts.deepest - 1.2) < 1e-9);
  for (let pass = 0; pass < 20; pass++) contacts.pass();
  const apart = mean(heights(mesh, mesh.standing.first, mesh.count)) - mean(heights(mesh, 0, mesh.standing.first));
  assert.ok(Math.abs(apart - layerMm) < 0.1, `${apart}`);
});

test('a point is pressed where it or its triangle is, and where it touches nothing it is not', () => {
  const mesh = layLoose([flat(0, 120), flat(1.8, 30)], grid, 24, noJitter);
  mesh.half.fill(layerMm / 2);
  const contacts = new Contacts(mesh, 0);
  contacts.follow();
  contacts.pass();
  for (let v = 0; v < mesh.count; v++) {
    const x = mesh.position[3 * v] ?? 0;
    // The shorter strip lies over the first 30 mm, and presses by a row more.
    if (x < 28) assert.equal(contacts.isPressed[v], 1, `at ${x} mm`);
    if (x > 40) assert.equal(contacts.isPressed[v], 0, `at ${x} mm`);
  }
});

test('cloth whose rows lie far apart does not push itself', () => {
  const mesh = twoLayers(20, 15);
  const before = mesh.position.slice();
  const contacts = new Contacts(mesh, 0);
  contacts.follow();
  for (let pass = 0; pass < 5; pass++) contacts.pass();
  assert.equal(contacts.touching, 0);
  assert.deepEqual(mesh.position, before);
});
