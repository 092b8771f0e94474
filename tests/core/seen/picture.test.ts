import assert from 'node:assert/strict';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import test from 'node:test';
import { gunzipSync } from 'node:zlib';
import { clothSourceHash } from '../../../scripts/cloth/sourceHash.ts';
import { readyKnots } from '../../../scripts/cloth/tieAll.ts';
import { root } from '../../../scripts/machine/paths.ts';
import type { ClothIndex } from '../../../src/contract/clothIndex.ts';
import { packCloth, seenOf, unpackCloth } from '../../../src/core/cloth/mesh/compact.ts';
import { referenceTying } from '../../../src/core/cloth/reference.ts';
import { tieInCloth } from '../../../src/core/cloth/tieInCloth.ts';
import { enumerateKnots, parseKnot } from '../../../src/core/index.ts';
import { knotCode } from '../../../src/core/knot/code.ts';
import { paintCloth } from '../../../src/core/seen/picture.ts';
import { weaves } from '../../../src/core/seen/weave.ts';
import { patternCodes } from '../../../src/core/tie/patterns.ts';
import { smallPicture } from '../../support/pictureRequest.ts';

const folder = join(root, 'public', 'cloth');
const read = (code: string) => gunzipSync(readFileSync(join(folder, `${code}.bin.gz`)));
const index = JSON.parse(readFileSync(join(folder, 'index.json'), 'utf8')) as ClothIndex;

test('the ready meshes come from the cloth’s code as it is now; run npm run cloth after changing it', () => {
  assert.equal(index.source, clothSourceHash());
  const codes = readyKnots.map(knotCode);
  assert.deepEqual(new Set([...Object.keys(index.knots), ...Object.keys(index.refused)]), new Set(codes));
  assert.equal(
    readdirSync(folder).length,
    Object.keys(index.knots).length + 3,
    'a file for each, the index, the small pictures and the steps',
  );
  const bytes = enumerateKnots(9).reduce((sum, knot) => sum + (index.knots[knotCode(knot)]?.bytes ?? 0), 0);
  assert.ok(bytes < 400_000, `${bytes} bytes`);
  assert.deepEqual(new Set(index.atlas.codes), new Set(Object.keys(index.knots)));
});

test('tied anew, a ready mesh comes out the same, byte for byte', () => {
  const tied = tieInCloth(referenceTying(parseKnot('Lo Ri Co T')));
  assert.ok(tied.kind === 'tied');
  assert.deepEqual(packCloth(seenOf(tied.mesh)), new Uint8Array(read('3.1')));
  const unpacked = unpackCloth(packCloth(seenOf(tied.mesh)));
  const exact = seenOf(tied.mesh).active.position;
  assert.ok(exact.every((value, i) => Math.abs(value - (unpacked.active.position[i] ?? 0)) <= 0.051));
});

test('every ready mesh can be read, and bytes of something else cannot', () => {
  for (const code of Object.keys(index.knots)) {
    const { active, standing, columns } = unpackCloth(read(code));
    assert.ok(active.rows > 40 && standing.rows > 20 && columns % 2 === 1);
    assert.ok(
      active.position.every((value) => Math.abs(value) < 400),
      code,
    );
  }
  assert.throws(() => unpackCloth(new Uint8Array([1, 2, 3])), /no knot/);
});

const fourInHand = unpackCloth(read('4.1'));
const covered = (pixels: Uint8ClampedArray) => pixels.filter((_, i) => i % 4 === 3 && pixels[i] === 255).length;

test('a picture shows the knot; onlooker and mirror see it the other way round', () => {
  const facing = paintCloth(fourInHand, smallPicture);
  const own = paintCloth(fourInHand, { ...smallPicture, facing: false });
  const { widthPx, heightPx } = smallPicture;
  assert.ok(covered(facing) > 0.1 * widthPx * heightPx && covered(facing) < 0.9 * widthPx * heightPx);
  let same = 0;
  for (let y = 0; y < heightPx; y++)
    for (let x = 0; x < widthPx; x++) if (facing[4 * (y * widthPx + x) + 3] === own[4 * (y * widthPx + widthPx - 1 - x) + 3]) same++;
  assert.ok(same > 0.995 * widthPx * heightPx);
});

test('turned, it is seen from another side; a stripe brings in the second colour', () => {
  assert.notEqual(covered(paintCloth(fourInHand, { ...smallPicture, turnDeg: 90 })), covered(paintCloth(fourInHand, smallPicture)));
  const light = (weave: typeof smallPicture.weave) =>
    paintCloth(fourInHand, { ...smallPicture, weave }).reduce((sum, value, i) => (i % 4 === 0 ? sum + value : sum), 0);
  assert.ok(light(weaves.stripe) > 1.05 * light(weaves.solid));
});

test('patterns repeat along the cloth, and all but plain show two colours', () => {
  for (const code of patternCodes) {
    const seen = new Set<number>();
    for (let across = -40; across <= 40; across++) for (let along = 0; along < 120; along++) seen.add(weaves[code](across, along));
    assert.equal(seen.size, code === 'solid' ? 1 : 2, code);
  }
});
