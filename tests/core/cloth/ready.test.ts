import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import test from 'node:test';
import { gunzipSync } from 'node:zlib';
import { readyFolder } from '../../../scripts/cloth/readyFolder.ts';
import { studied } from '../../../scripts/cloth/study.ts';
import { readyKnots } from '../../../scripts/cloth/tieAll.ts';
import type { ClothIndex } from '../../../src/contract/clothIndex.ts';
import { crossings } from '../../../src/core/cloth/check/crossings.ts';
import { knotPrint, sameKnot } from '../../../src/core/cloth/check/topology.ts';
import { measureNormals } from '../../../src/core/cloth/forces/elastic.ts';
import { unpackCloth } from '../../../src/core/cloth/mesh/compact.ts';
import { referenceTie, referenceTying } from '../../../src/core/cloth/reference.ts';
import { Simulation } from '../../../src/core/cloth/simulate.ts';
import { enumerateKnots, formatKnot, parseKnot, takeUp } from '../../../src/core/index.ts';
import { knotCode } from '../../../src/core/knot/code.ts';
import { measureCloth } from '../../../src/core/seen/measure.ts';
import { meshFrom } from '../../support/clothMesh.ts';

const index = JSON.parse(readFileSync(join(readyFolder, 'index.json'), 'utf8')) as ClothIndex;
const hang = { loopMm: 420, tailMm: 350 };
const ready = readyKnots.flatMap((knot) => {
  const code = knotCode(knot);
  const kept = index.knots[code];
  return kept ? [{ knot, code, kept, mesh: meshFrom(unpackCloth(gunzipSync(readFileSync(join(readyFolder, `${code}.bin.gz`))))) }] : [];
});

test('all classic words to nine moves are there, and none was refused', () => {
  assert.deepEqual(index.refused, {});
  const codes = new Set(ready.map(({ code }) => code));
  for (const knot of enumerateKnots(9)) assert.ok(codes.has(knotCode(knot)), formatKnot(knot));
});

test('what is kept is the knot its word says, as it came out of packing, and no cloth goes through other cloth', () => {
  for (const { knot, mesh } of ready) {
    const laid = knotPrint(new Simulation(referenceTying(knot)).mesh, knot);
    assert.ok(sameKnot(laid, knotPrint(mesh, knot)), formatKnot(knot));
    assert.ok(crossings(mesh) <= 2, `${formatKnot(knot)}: a tenth of a millimetre may bring two layers to touch, no more`);
  }
});

test('of a tucked knot the front shows most of all the band, but for one whose turns are held open', () => {
  const tucked = ready.filter(({ knot: { finish } }) => finish === 'tuck');
  const others = tucked.filter(({ knot, code, kept }) => {
    assert.equal(kept.shown.length, knot.moves.length, code);
    assert.ok(Math.abs(kept.shown.reduce((sum, share) => sum + share, 0) - 1) < 0.05, code);
    const band = kept.shown[knot.moves.length - 2] ?? 0;
    return Math.max(...kept.shown) > band || band < 0.3 || (kept.shown[0] ?? 1) > 0.45;
  });
  assert.deepEqual(
    others.map(({ code }) => code),
    ['n10.49-8'],
  );
});

test('the named knots are as large, and lean as much, as they were found to when the cloth was last set', () => {
  const found = [
    ['Li Ro Li Co T', 196, 42, -2],
    ['Lo Ci Lo Ri Co T', 209, 43, 2],
    ['Li Ro Ci Lo Ri Co T', 244, 47, 2],
    ['Lo Ri Lo Ci Ro Li Co T', 318, 51, -23],
    ['Li Co Ri Lo Ci Ro Li Co T', 377, 50, -3],
  ] as const;
  for (const [word, clothMm, heightMm, tiltDeg] of found) {
    const measures = index.knots[knotCode(parseKnot(word))]?.measures;
    assert.ok(measures);
    assert.ok(Math.abs(measures.takeUpMm / clothMm - 1) < 0.06, `${word}: ${measures.takeUpMm} mm of cloth`);
    assert.ok(Math.abs(measures.heightMm - heightMm) < 3, `${word}: ${measures.heightMm} mm high`);
    assert.ok(Math.abs(measures.tiltDeg - tiltDeg) < 4, `${word}: ${measures.tiltDeg}°`);
  }
});

const named = ready.filter(({ knot }) => studied.includes(formatKnot(knot)));

test('of the twelve named knots at least ten are as wide at their top as the plan has them, to a tenth, and none is off by a sixth', () => {
  assert.equal(named.length, 12);
  const off = named.map(({ knot, kept }) => Math.abs(kept.measures.topMm / takeUp(knot, referenceTie, hang).shape.topMm - 1));
  assert.ok(off.filter((share) => share <= 0.1).length >= 10, `${off.map((share) => share.toFixed(2))}`);
  assert.ok(Math.max(...off) < 1 / 6, `${Math.max(...off)}`);
});

test('down each blade runs the one dimple that was laid, from the knot’s lower edge on, and below the knot the blade stands out', () => {
  for (const { knot, code, mesh } of named) {
    const { position, columns, active } = mesh;
    const at = (row: number, column: number, axis: number) => position[3 * (active.first + row * columns + column) + axis] ?? 0;
    const middle = Math.floor(columns / 2);
    const band = active.parts.flatMap((part, row) => (part === 'band' ? [row] : []));
    const bottom = Math.min(
      ...band.map((row) => Math.min(...Array.from({ length: columns }, (_, c) => (Math.abs(at(row, c, 0)) < 12 ? at(row, c, 1) : 0)))),
    );
    const blade = Array.from({ length: active.rows }, (_, row) => row).slice(active.parts.indexOf('tuck'));
    const rowAt = (y: number) => blade.toSorted((a, b) => Math.abs(at(a, middle, 1) - y) - Math.abs(at(b, middle, 1) - y))[0] ?? 0;
    for (const below of [4, 12, 22]) {
      const row = rowAt(bottom - below);
      const z = Array.from({ length: columns }, (_, c) => at(row, c, 2));
      const depth = (c: number) => Math.min(Math.max(...z.slice(0, c)), Math.max(...z.slice(c + 1))) - (z[c] ?? 0);
      // Kept heights are rounded: two columns may lie equally deep.
      const valleys = z.flatMap((here, c) => (here < (z[c - 1] ?? here) && here <= (z[c + 1] ?? here) && depth(c) > 0.7 ? [depth(c)] : []));
      assert.equal(valleys.length, 1, `${formatKnot(knot)} (${code}), ${below} mm below: ${valleys.map((mm) => mm.toFixed(1))}`);
    }
    const [from, to] = [rowAt(bottom), rowAt(bottom - 70)];
    const straight = (row: number) => at(from, middle, 2) + ((row - from) / (to - from)) * (at(to, middle, 2) - at(from, middle, 2));
    const out = Math.max(...blade.filter((row) => row > from && row < to).map((row) => at(row, middle, 2) - straight(row)));
    assert.ok(out > 1.5, `${formatKnot(knot)}: ${out.toFixed(1)} mm`);
  }
});

test('measured again, every kept knot is as large as its list says', () => {
  for (const { code, kept, mesh } of ready) {
    measureNormals(mesh, mesh.active);
    const again = measureCloth(mesh);
    for (const key of ['topMm', 'bottomMm', 'heightMm', 'depthMm'] as const)
      assert.ok(Math.abs(again[key] - kept.measures[key]) < 2, `${code} ${key}: ${again[key]} for ${kept.measures[key]}`);
    assert.ok(Math.abs(again.tiltDeg - kept.measures.tiltDeg) < 4, `${code}: ${again.tiltDeg}° for ${kept.measures.tiltDeg}°`);
  }
});

test('knots have the sizes that knots have, and more moves take up more cloth', () => {
  for (const { code, kept } of ready) {
    const { topMm, heightMm, depthMm, takeUpMm } = kept.measures;
    assert.ok(topMm > 20 && topMm < 110 && heightMm > 20 && heightMm < 130 && depthMm > 10 && depthMm < 75, code);
    assert.ok(takeUpMm > 50 && takeUpMm < 1000, code);
  }
  const mean = (moves: number) => {
    const all = ready.filter(({ knot }) => knot.finish === 'tuck' && knot.active === 'blade' && knot.moves.length === moves);
    return all.reduce((sum, { kept }) => sum + kept.measures.takeUpMm, 0) / all.length;
  };
  for (let moves = 4; moves <= 9; moves++) assert.ok(mean(moves) > mean(moves - 1), `${moves} moves`);
});
