import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { CellGrid } from '../../../src/core/cloth/contact/cellGrid.ts';
import { Contacts } from '../../../src/core/cloth/contact/contacts.ts';
import { Faces } from '../../../src/core/cloth/contact/faces.ts';
import { nearestOnTriangle } from '../../../src/core/cloth/contact/nearest.ts';
import { NearPairs } from '../../../src/core/cloth/contact/nearPairs.ts';
import { heights, layerMm, mean, twoLayers } from '../../support/layers.ts';

/** Whole hundredths of a millimetre: flat and pointlike triangles come up, lengths too small to be squared do not. */
const hundredths = (most: number) => fc.integer({ min: -100 * most, max: 100 * most }).map((number) => number / 100);
const places = (most: number, least: number, length = least) =>
  fc.array(fc.tuple(hundredths(most), hundredths(most), hundredths(most)), { minLength: least, maxLength: length });

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

test('the nearest point of a triangle is nowhere further than any other of it', () => {
  fc.assert(
    fc.property(
      fc.array(hundredths(20), { minLength: 12, maxLength: 12 }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (numbers, s, t) => {
        const p = Float64Array.from(numbers);
        const [x, y, z] = numbers.slice(9) as [number, number, number];
        const share = new Float64Array(3);
        const square = nearestOnTriangle(p, x, y, z, 0, 3, 6, share);
        const [u, v] = s + t > 1 ? [1 - s, 1 - t] : [s, t];
        const squareTo = (weights: readonly number[]) =>
          [x, y, z].reduce(
            (sum, at, axis) => sum + (at - weights.reduce((all, weight, corner) => all + weight * (p[3 * corner + axis] ?? 0), 0)) ** 2,
            0,
          );
        assert.ok(square <= squareTo([1 - u - v, u, v]) + 1e-6);
        assert.ok(Math.abs(square - squareTo([...share])) < 1e-6);
        assert.ok(Math.abs(share.reduce((sum, each) => sum + each, 0) - 1) < 1e-9 && share.every((each) => each >= -1e-9));
      },
    ),
  );
});

test('on the shelf every point stands in one place, and all that are near a place in its runs', () => {
  fc.assert(
    fc.property(
      places(60, 1, 80),
      places(80, 1),
      fc.integer({ min: 1, max: 30 }),
      fc.integer({ min: 1, max: 40 }),
      (all, [place], cellMm, reach) => {
        const shelf = new CellGrid(all.length);
        shelf.lay(Float64Array.from(all.flat()), cellMm);
        assert.deepEqual(
          [...shelf.points].sort((a, b) => a - b),
          all.map((_, i) => i),
        );
        const found = new Set<number>();
        const range = (axis: 0 | 1 | 2) => [-reach, reach].map((off) => shelf.cellAt(axis, (place?.[axis] ?? 0) + off)) as [number, number];
        const [[fromX, toX], [fromY, toY], [fromZ, toZ]] = [range(0), range(1), range(2)];
        for (let x = fromX; x <= toX; x++)
          for (let y = fromY; y <= toY; y++) {
            const run = shelf.runAt(x, y);
            for (let k = shelf.start[run + fromZ] ?? 0; k < (shelf.start[run + toZ + 1] ?? 0); k++) found.add(shelf.points[k] ?? -1);
          }
        all.forEach((point, i) => {
          if (point.every((mm, axis) => Math.abs(mm - (place?.[axis] ?? 0)) <= reach)) assert.ok(found.has(i));
        });
      },
    ),
  );
});

test('points strewn far apart are shelved in fewer, larger cells', () => {
  const shelf = new CellGrid(2);
  shelf.lay(Float64Array.from([-5000, -5000, -5000, 5000, 5000, 5000]), 0.5);
  assert.deepEqual([...shelf.points], [0, 1]);
  assert.deepEqual([...shelf.at], [-5000, -5000, -5000, 5000, 5000, 5000]);
});

test('a point is never nearer to a face than its box tells, and over a flat one just as near', () => {
  const share = new Float64Array(3);
  fc.assert(
    fc.property(places(10, 4), places(30, 1), (corners, [place]) => {
      const mesh = twoLayers(10);
      const { columns, position } = mesh;
      [0, 1, columns, columns + 1].forEach((v, i) => {
        position.set(corners[i] ?? [], 3 * v);
      });
      const [x, y, z] = place ?? [0, 0, 0];
      const faces = new Faces(mesh);
      faces.outdate();
      const [first, second] = [0, 3].map((t) => {
        const [a, b, c] = [0, 1, 2].map((corner) => 3 * (faces.corners[t + corner] ?? 0)) as [number, number, number];
        return Math.sqrt(nearestOnTriangle(position, x, y, z, a, b, c, share));
      }) as [number, number];
      assert.ok(faces.leastApart(0, x, y, z) <= Math.min(first, second) + 1e-6);
    }),
  );
  const flatFaces = new Faces(twoLayers(10));
  flatFaces.outdate();
  assert.ok(Math.abs(flatFaces.leastApart(0, 3, -10, 7) - 7) < 1e-9);
});

test('near pairs are all those within reach, but no point with a face of its own rows or just beside it in the cloth', () => {
  for (const rowMm of [6, 15]) {
    const mesh = twoLayers(3, rowMm);
    const near = new NearPairs(mesh);
    near.follow();
    const strandOf = (v: number) => (v < mesh.standing.first ? 0 : 1);
    let across = 0;
    for (let k = 0; k < near.count; k++) {
      const v = near.ends[2 * (near.point[k] ?? 0)] ?? 0;
      const a = near.faces.corners[6 * (near.face[k] ?? 0)] ?? 0;
      if (strandOf(v) !== strandOf(a)) across++;
      else {
        const rows = Math.floor(v / mesh.columns) - Math.floor(a / mesh.columns);
        const besideMm = rowMm * Math.max(-rows, rows - 1);
        assert.ok(besideMm >= 1.5 * ((mesh.half[v] ?? 0) + (mesh.half[a] ?? 0)), `rows ${rowMm} mm apart: ${rows}`);
      }
    }
    assert.ok(across > mesh.count, 'each point is near some face of the other layer');
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
