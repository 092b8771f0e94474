import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import test from 'node:test';
import { gunzipSync } from 'node:zlib';
import { Box3, BufferGeometry, type Group, Mesh, type MeshPhysicalMaterial, Vector3 } from 'three';
import { readyFolder } from '../../scripts/cloth/readyFolder.ts';
import { neckRadiusMm, shirtZMm } from '../../src/core/cloth/forces/body.ts';
import { unpackCloth } from '../../src/core/cloth/mesh/compact.ts';
import { collarStyles } from '../../src/core/collar/styles.ts';
import { collarWorn } from '../../src/core/collar/worn.ts';
import { rgbOf } from '../../src/core/colour/rgb.ts';
import { broadestAt, onFront } from '../../src/core/jacket/lapels.ts';
import { frontEdge, openingAt } from '../../src/core/jacket/opening.ts';
import { placeOn } from '../../src/core/numeric/bezier.ts';
import { frontEdges } from '../../src/core/seen/front.ts';
import { fabricCodes } from '../../src/core/tie/fabrics.ts';
import { reliefs } from '../../src/scene/cloth/relief.ts';
import { Strip, stripOf } from '../../src/scene/cloth/strip.ts';
import { stripTextures } from '../../src/scene/cloth/stripTexture.ts';
import { laidUnder } from '../../src/scene/cloth/underLeaves.ts';
import { collarOf, leafWorn, raisedCollarOf } from '../../src/scene/wearer/collar.ts';
import { lapels, shirtFront } from '../../src/scene/wearer/torso.ts';

const read = (code: string) => unpackCloth(gunzipSync(readFileSync(join(readyFolder, `${code}.bin.gz`))));
const fourInHand = read('4.1');
const striped = { fabric: 'woven-silk', pattern: 'stripe', colours: ['#203060', '#e0d0a0'] } as const;

function meshesOf(group: Group): Mesh[] {
  const found: Mesh[] = [];
  group.traverse((each) => {
    if (each instanceof Mesh) found.push(each);
  });
  return found;
}

test('every fabric has a surface between its hollows and its heights, and open or slubbed ones are rougher than satin', () => {
  const rough = (relief: (typeof reliefs)['satin']) => {
    const heights = Array.from({ length: 400 }, (_, i) => relief((i % 20) * 0.37, Math.floor(i / 20) * 0.41));
    assert.ok(heights.every((height) => height > -0.3 && height < 1.3));
    return Math.max(...heights) - Math.min(...heights);
  };
  for (const code of fabricCodes) assert.ok(rough(reliefs[code]) >= rough(reliefs.satin), code);
  for (const code of ['knit', 'grenadine', 'wool', 'linen'] as const) assert.ok(rough(reliefs[code]) > 0.3, code);
});

test('a strip of cloth is dyed in its pattern, and shows the seam on its other side', () => {
  const { face, seamSide } = stripTextures(striped, 40, 90);
  const { width, height, data } = face.image as { width: number; height: number; data: Uint8Array };
  const lightOf = (bytes: Uint8Array, x: number, y: number) => bytes[4 * (y * width + x)] ?? 0;
  const all = Array.from({ length: height }, (_, y) => lightOf(data, Math.floor(width / 4), y));
  assert.ok(Math.max(...all) > 150 && Math.min(...all) < 60, 'both colours are there');
  const back = (seamSide.image as { data: Uint8Array }).data;
  assert.ok(lightOf(back, Math.floor(width / 2), 20) < lightOf(back, 4, 20), 'the seam is darker than the ground');
  assert.deepEqual(rgbOf('#ff8001'), [255, 128, 1]);
});

test('a knot is shown as it is, and as in a mirror where the blade starts on the left', () => {
  const [facing, mirrored] = ([-1, 1] as const).map((side) => stripOf(fourInHand.active, fourInHand.columns, striped, side));
  assert.ok(facing && mirrored);
  const [one, other] = [facing, mirrored].map((group) => new Box3().setFromObject(group));
  assert.ok(one && other);
  assert.ok(Math.abs(one.min.x + other.max.x) < 1e-3 && Math.abs(one.max.x + other.min.x) < 1e-3);
  assert.equal(one.max.y, other.max.y);
  assert.equal(meshesOf(facing).length, 2, 'a face and a seam side');
});

test('the front band turns its face to the one who looks, on both sides', () => {
  for (const side of [-1, 1] as const) {
    const [mesh] = meshesOf(stripOf(fourInHand.active, fourInHand.columns, striped, side));
    assert.ok(mesh && mesh.geometry instanceof BufferGeometry);
    const [position, normal] = [mesh.geometry.getAttribute('position'), mesh.geometry.getAttribute('normal')];
    const fine = 2 * (fourInHand.columns - 1) + 1;
    const band = fourInHand.active.parts.flatMap((part, row) => (part === 'band' ? [row] : []));
    const row = band.toSorted((a, b) => {
      const x = (each: number) => Math.abs(position.getX(2 * each * fine + Math.floor(fine / 2)));
      return x(a) - x(b);
    })[0];
    assert.ok(row !== undefined && normal.getZ(2 * row * fine + Math.floor(fine / 2)) > 0.5, `side ${side}`);
  }
});

test('a collar’s points stand as far apart and as low as they were measured', () => {
  for (const [name, collar] of Object.entries(collarStyles)) {
    const box = new Box3();
    for (const leaf of meshesOf(collarOf(collar, '#ffffff')).slice(0, 2)) {
      const at = leaf.geometry.getAttribute('position');
      const points = Array.from({ length: at.count }, (_, i) => new Vector3().fromBufferAttribute(at, i));
      const lowest = points.reduce((low, point) => (point.y < low.y ? point : low));
      box.expandByPoint(lowest);
    }
    const depth = Math.sqrt(collar.collarPointMm ** 2 - ((collar.collarSpreadMm - collar.tieSpaceMm) / 2) ** 2);
    assert.ok(Math.abs(box.max.x - box.min.x - collar.collarSpreadMm) < 8, `${name}: ${box.max.x - box.min.x}`);
    assert.ok(Math.abs(-box.min.y - depth) < 5, `${name}: ${box.min.y} for ${depth}`);
  }
});

test('seen from the front a leaf has the lines that every drawing has', () => {
  for (const [name, collar] of Object.entries(collarStyles)) {
    const { tip, edge, fold } = collarWorn(collar, neckRadiusMm);
    const [leaf] = meshesOf(collarOf(collar, '#ffffff'));
    assert.ok(leaf);
    const at = leaf.geometry.getAttribute('position');
    const points = Array.from({ length: at.count }, (_, i) => new Vector3().fromBufferAttribute(at, i));
    for (const [what, [x, down]] of [
      ['its point', tip],
      ['half-way along its lower edge', placeOn(edge, 0.5)],
      ['where its fold begins', placeOn(fold[0], 0)],
      ['the side of its fold', placeOn(fold[1], 1)],
    ] as const) {
      const nearest = Math.min(...points.map((point) => Math.hypot(point.x - x, point.y + down)));
      assert.ok(nearest < 3, `${name}, ${what}: ${nearest.toFixed(1)} mm off`);
    }
  }
});

test('the fronts of a jacket part where its edge is reckoned to run, and its lapel is broadest where it is measured', () => {
  const front = frontEdge({ worn: 'closed', buttoningMm: 330 }, 395, 450);
  const [lapel] = meshesOf(lapels({ colour: '#202830', lapelKind: 'notch', lapelMm: 90, front }));
  assert.ok(lapel);
  const at = lapel.geometry.getAttribute('position');
  const points = Array.from({ length: at.count }, (_, i) => new Vector3().fromBufferAttribute(at, i));
  for (const down of [60, 120, 180]) {
    const roll = Math.min(...points.filter(({ y }) => Math.abs(y + down) < 4).map(({ x }) => x));
    assert.ok(Math.abs(roll - openingAt(front, down)) < 4, `${down} mm down: ${roll}`);
  }
  const [x, down] = onFront(front)(broadestAt, 90);
  assert.ok(Math.min(...points.map((point) => Math.hypot(point.x - x, point.y + down))) < 4);
});

test('once the collar is folded down no cloth comes out above it; what lies under its leaves comes out from under their edges by and by; what hangs is not moved', () => {
  const collar = collarStyles['semi-spread'];
  const leaf = leafWorn(collar);
  const { top, bottom } = frontEdges(fourInHand);
  const raisedMm = -top;
  const laid = laidUnder(fourInHand, leaf, raisedMm);
  let [moved, under] = [0, 0];
  for (const which of ['active', 'standing'] as const) {
    const [was, now] = [fourInHand[which].position, laid[which].position];
    fourInHand[which].parts.forEach((part, row) => {
      for (let v = row * fourInHand.columns; v < (row + 1) * fourInHand.columns; v++) {
        const [x, y, z] = [0, 1, 2].map((axis) => now[3 * v + axis] ?? 0) as [number, number, number];
        const [high, before] = [was[3 * v + 1] ?? 0, was[3 * v + 2] ?? 0];
        if (before !== z) moved++;
        assert.ok(z <= before && y <= high, 'nothing is drawn forward or up');
        const up = y + raisedMm;
        const depth = leaf.depthAt(x, up);
        if (high < bottom && (part === 'tuck' || part === 'hang')) {
          assert.equal(before, z);
          continue;
        }
        if (part !== 'band')
          assert.ok(up < Math.max(5, leaf.foldAt(x, before)), `${part} ${row} at ${x}, ${up} comes out above the collar`);
        if (depth !== undefined) {
          under++;
          assert.ok(z <= depth - 1, `${part} ${row}: ${z} before ${depth}`);
        } else if (before !== z) {
          const side = x < 0 ? -1 : 1;
          const isBeside = Array.from({ length: 8 }, (_, step) => leaf.depthAt(x + side * 2 * step, up)).some((each) => each !== undefined);
          assert.ok(isBeside, `${part} ${row} at ${x}, ${y} is beside no leaf`);
        }
      }
    });
  }
  assert.ok(moved > 0 && under > 0);
  assert.equal(leaf.depthAt(0, 0), undefined, 'the opening is open');
});

test('an end that is hidden lies under the leaves and does not come out above the collar', () => {
  const leaf = leafWorn(collarStyles['semi-spread']);
  const hidden = read('h7.9-5');
  const raisedMm = 3 - frontEdges(hidden).top;
  const { active } = laidUnder(hidden, leaf, raisedMm);
  for (let v = active.parts.indexOf('top') * hidden.columns; v < active.rows * hidden.columns; v++) {
    const [x, y, z] = [0, 1, 2].map((axis) => active.position[3 * v + axis] ?? 0) as [number, number, number];
    const depth = leaf.depthAt(x, y + raisedMm);
    if (depth !== undefined && y > frontEdges(hidden).top) assert.ok(z < depth, `at ${x}, ${y} it lies over the leaf`);
  }
  const highest = Math.max(...active.position.filter((_, i) => i % 3 === 1 && i >= active.parts.indexOf('top') * 3 * hidden.columns));
  assert.ok(highest + raisedMm < 55, `${highest + raisedMm} mm above the button`);
});

test('shirt and jacket are of their colours; buttons out of sight are left out, and a wider lapel is wider', () => {
  const colourOf = (group: Group) => {
    const [first] = meshesOf(group);
    assert.ok(first);
    return (first.material as MeshPhysicalMaterial).color.getHexString();
  };
  assert.equal(colourOf(shirtFront('#aabbcc', [])), 'aabbcc');
  assert.equal(meshesOf(shirtFront('#aabbcc', [70, 160, 900])).length, meshesOf(shirtFront('#aabbcc', [])).length + 2);
  const front = frontEdge({ worn: 'open', buttoningMm: null }, 395, 450);
  for (const lapelKind of ['notch', 'peak', 'shawl'] as const) {
    const reach = (lapelMm: number) =>
      new Box3().setFromObject(meshesOf(lapels({ colour: '#202830', lapelKind, lapelMm, front }))[0] as Mesh).max.x;
    assert.ok(reach(110) > reach(75) + 20, lapelKind);
  }
});

test('cloth that lies on the shirt lies before placket and buttons, and under a jacket the shirt reaches up between leaf and lapel', () => {
  const [plain, under] = [false, true].map((isUnderJacket) => shirtFront('#ffffff', [70, 160], isUnderJacket));
  assert.ok(plain && under);
  assert.ok(new Box3().setFromObject(plain).max.z < shirtZMm);
  const besideNeck = (group: Group) => {
    const at = meshesOf(group)[0]?.geometry.getAttribute('position');
    assert.ok(at);
    return Math.max(...Array.from({ length: at.count }, (_, i) => (Math.abs(Math.abs(at.getX(i)) - 66) < 6 ? at.getY(i) : -Infinity)));
  };
  assert.ok(besideNeck(under) > besideNeck(plain) + 20);
});

test('a collar turned up stands around the neck to the height of its leaf, inside the tie, and opens as wide as it is cut', () => {
  const box = (style: keyof typeof collarStyles) => {
    const group = raisedCollarOf(collarStyles[style], '#ffffff');
    assert.equal(meshesOf(group).length, 2);
    return new Box3().setFromObject(group);
  };
  const [point, cutaway] = [box('point'), box('cutaway')];
  for (const each of [point, cutaway]) {
    assert.ok(each.max.y > 80 && each.max.y < 130, `${each.max.y} mm high`);
    assert.ok(Math.abs(each.min.x + each.max.x) < 1e-3, 'both leaves alike');
  }
  const front = (style: keyof typeof collarStyles) => {
    const [leaf] = meshesOf(raisedCollarOf(collarStyles[style], '#ffffff'));
    const at = leaf!.geometry.getAttribute('position');
    // The first point of the last row is the leaf's end.
    const last = at.count - 49;
    return new Vector3().fromBufferAttribute(at, last);
  };
  assert.ok(front('cutaway').x > front('point').x + 10, 'a cutaway’s points stand further back');
  assert.ok(front('point').y > front('cutaway').y + 15, 'and lower');
});

test('a strip can be laid again: the same cloth in other places; turned round across it keeps its pattern in a mirrored picture', () => {
  const strip = new Strip(striped, { wideMm: 90, longMm: 800, liningMm: 100 });
  strip.lay(fourInHand.active, fourInHand.columns, -1);
  const [mesh] = meshesOf(strip.group);
  const before = [...mesh!.geometry.getAttribute('position').array];
  const moved = { ...fourInHand.active, position: fourInHand.active.position.map((mm, i) => (i % 3 === 1 ? mm - 10 : mm)) };
  strip.lay(moved, fourInHand.columns, -1);
  const after = mesh!.geometry.getAttribute('position').array;
  assert.ok(before.every((mm, i) => Math.abs((after[i] ?? 0) - (i % 3 === 1 ? mm - 10 : mm)) < 1e-3));
  const other = new Strip(striped, { wideMm: 90, longMm: 800, isTurned: true });
  other.lay(moved, fourInHand.columns, 1);
  const [uv, turned] = [mesh!.geometry.getAttribute('uv').array, meshesOf(other.group)[0]!.geometry.getAttribute('uv').array];
  for (let i = 0; i < uv.length; i += 2) assert.ok(Math.abs((uv[i] ?? 0) + (turned[i] ?? 0) - 1) < 1e-5);
});

test('the other side of an end is lined, lighter than the cloth is behind', () => {
  const { seamSide } = stripTextures(striped, 40, 200, 60);
  const { width, height, data } = seamSide.image as { width: number; height: number; data: Uint8Array };
  const mean = (from: number, to: number) => {
    let sum = 0;
    for (let y = from; y < to; y++) sum += data[4 * (y * width + 5)]!;
    return sum / (to - from);
  };
  assert.ok(mean(Math.floor(0.8 * height), height) > mean(0, Math.floor(0.5 * height)) + 20);
});
