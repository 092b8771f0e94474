import assert from 'node:assert/strict';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import test from 'node:test';
import { gunzipSync } from 'node:zlib';
import { checkedTies, checkStep } from '../../../scripts/cloth/checkSteps.ts';
import { stepsFolder } from '../../../scripts/cloth/readyFolder.ts';
import { knotsWithSteps } from '../../../scripts/cloth/settleSteps.ts';
import { clothSourceHash } from '../../../scripts/cloth/sourceHash.ts';
import type { StepsIndex } from '../../../src/contract/clothIndex.ts';
import { crossings } from '../../../src/core/cloth/check/crossings.ts';
import { wrongOrders } from '../../../src/core/cloth/check/passOrder.ts';
import { stepFaults } from '../../../src/core/cloth/check/stepFaults.ts';
import { shirtZMm } from '../../../src/core/cloth/forces/body.ts';
import { measureNormals } from '../../../src/core/cloth/forces/elastic.ts';
import { packCloth, type SeenCloth, type SeenStrand, seenOf, unpackCloth } from '../../../src/core/cloth/mesh/compact.ts';
import { referenceSteps } from '../../../src/core/cloth/reference.ts';
import { between } from '../../../src/core/cloth/steps/between.ts';
import { drawingUp } from '../../../src/core/cloth/steps/drawingUp.ts';
import { lowered } from '../../../src/core/cloth/steps/lowered.ts';
import { frameAt, type Moment, momentBetween } from '../../../src/core/cloth/steps/moment.ts';
import { framesAMove, packSequence, type TyingSequence, unpackSequence } from '../../../src/core/cloth/steps/sequence.ts';
import { settle } from '../../../src/core/cloth/steps/settle.ts';
import { tieInCloth } from '../../../src/core/cloth/tieInCloth.ts';
import { enumerateKnots, formatKnot, parseKnot } from '../../../src/core/index.ts';
import { knotCode } from '../../../src/core/knot/code.ts';
import { meshFrom } from '../../support/clothMesh.ts';

const index = JSON.parse(readFileSync(join(stepsFolder, 'index.json'), 'utf8')) as StepsIndex;
const readySteps = (code: string) => unpackSequence(gunzipSync(readFileSync(join(stepsFolder, `${code}.bin.gz`))));
const windsor = parseKnot('Li Co Ri Lo Ci Ro Li Co T');
const halfWindsor = parseKnot('Li Ro Ci Lo Ri Co T');

test('every step of the words to five moves and of the everyday ones, in three ties, is the word’s', () => {
  const words = [...enumerateKnots(5), halfWindsor, windsor];
  let checked = 0;
  for (const knot of words) {
    const ties = knot.moves.length > 5 ? checkedTies.slice(0, 1) : checkedTies;
    for (const tie of ties) {
      for (let done = 0; done <= knot.moves.length + 1; done++) {
        const { step, faults } = checkStep(knot, tie, done);
        assert.deepEqual(faults, [], step);
        checked++;
      }
    }
  }
  assert.ok(checked > 90, `${checked} steps`);
});

test('cloth that lies the wrong way is found: a winding turned front to back, and an end on the other side', () => {
  const done = 3;
  const { mesh } = settle(referenceSteps(halfWindsor), done);
  assert.deepEqual(stepFaults(mesh, halfWindsor, done), []);
  const { position } = mesh;
  for (let i = 2; i < position.length; i += 3) position[i] = -position[i]!;
  measureNormals(mesh, mesh.active);
  const turned = stepFaults(mesh, halfWindsor, done);
  assert.ok(turned.includes('wrong-order') && turned.includes('end-elsewhere'), turned.join());
  assert.ok(wrongOrders(mesh, halfWindsor).length > 2);
  const aside = settle(referenceSteps(halfWindsor), 1).mesh;
  for (let i = 0; i < aside.position.length; i += 3) aside.position[i] = -aside.position[i]!;
  measureNormals(aside, aside.active);
  assert.ok(stepFaults(aside, halfWindsor, 1).includes('end-elsewhere'));
});

test('the same question gives the same step, bit for bit', () => {
  const [one, other] = [settle(referenceSteps(halfWindsor), 2.5), settle(referenceSteps(halfWindsor), 2.5)];
  assert.deepEqual(one.frame.active.position, other.frame.active.position);
  assert.deepEqual(one.mesh.position, other.mesh.position);
});

test('a frame holds all of the tie: the same rows at every step, from the nape to both tips', () => {
  const request = referenceSteps(windsor);
  const [first, later] = [settle(request, 0).frame, settle(request, 5).frame];
  for (const which of ['active', 'standing'] as const) {
    assert.equal(first[which].rows, later[which].rows);
    assert.ok(widthOf(first, which, 0) > 20, 'a band around the neck');
    assert.ok(widthOf(first, which, first[which].rows - 1) < 2, 'a point at its end');
  }
  const cloth = (frame: SeenCloth) => [...frame.active.rest, ...frame.standing.rest].reduce((sum, mm) => sum + mm, 0);
  assert.ok(Math.abs(cloth(first) - request.tie.lengthMm) < 1, `${cloth(first)} mm of ${request.tie.lengthMm}`);
  assert.ok(Math.abs(cloth(later) - request.tie.lengthMm) < 1);
  const napes = (['active', 'standing'] as const).map((which) => middleOf(first, which, 0));
  assert.ok(Math.hypot(...[0, 1, 2].map((axis) => napes[0]![axis]! - napes[1]![axis]!)) < 6, 'both arms meet at the nape');
});

test('the drawing-up ends in the very knot that the choice shows', () => {
  const request = { ...referenceSteps(parseKnot('Lo Ri Co T')), standingMm: 350 };
  const tied = tieInCloth(request);
  assert.equal(tied.kind, 'tied');
  if (tied.kind !== 'tied') return;
  const own = seenOf(tied.mesh);
  const frames = drawingUp(request);
  assert.ok(frames.length >= 2, `${frames.length} frames`);
  const last = frames.at(-1)!;
  for (const which of ['active', 'standing'] as const) {
    const stride = 3 * own.columns;
    const from = last[which].position.findIndex(
      (_, i) => i % stride === 0 && last[which].position.subarray(i, i + stride).every((value, k) => value === own[which].position[k]),
    );
    assert.ok(from >= 0, 'its own rows are in it');
    assert.deepEqual(last[which].position.slice(from, from + own[which].position.length), own[which].position);
  }
});

test('every named knot has its steps ready, by the code as it is, each with its movement within its bytes', () => {
  assert.equal(index.source, clothSourceHash('steps'), 'run `npm run cloth steps`');
  const files = new Set(readdirSync(stepsFolder));
  for (const knot of knotsWithSteps) {
    const code = knotCode(knot);
    assert.ok(files.has(`${code}.bin.gz`), formatKnot(knot));
    const { bytes } = index.knots[code]!;
    assert.ok(bytes < (knot.moves.length > 9 ? 75_000 : 60_000), `${formatKnot(knot)}: ${bytes} bytes`);
    const { moving, finished, drawn } = readySteps(code);
    assert.equal(moving.length, knot.moves.length * framesAMove + 1);
    assert.equal(finished === undefined, knot.finish === 'open');
    // What is hidden, or was held open, is shown from where it lies as it will.
    assert.equal(drawn.length, knot.finish === 'collar' ? 2 : knot.loose ? 3 : 4, formatKnot(knot));
  }
});

test('a sequence comes out of its bytes to a tenth of a millimetre, a knot by itself to half of that', () => {
  const frame = settle(referenceSteps(halfWindsor), 1).frame;
  const sequence: TyingSequence = { moving: [frame], finished: frame, drawn: [] };
  const back = unpackSequence(packSequence(sequence));
  assert.equal(back.drawn.length, 0);
  for (const again of [back.moving[0]!, back.finished!])
    again.active.position.forEach((mm, i) => {
      assert.ok(Math.abs(mm - frame.active.position[i]!) <= 0.1001);
    });
  unpackCloth(packCloth(frame)).active.position.forEach((mm, i) => {
    assert.ok(Math.abs(mm - frame.active.position[i]!) <= 0.0501);
  });
  assert.throws(() => unpackSequence(packCloth(frame).subarray(1)), /no tying|no knot/);
});

test('between two steps the cloth is where it goes through; what is not settled is not shown', () => {
  const { moving, finished, drawn } = readySteps(knotCode(halfWindsor));
  const sequence = { moving, finished, drawn };
  const done = (at: number): Moment => ({ of: 'moves', done: at });
  assert.equal(frameAt(sequence, done(2)), moving[8]);
  const [from, to] = [moving[8]!, moving[9]!];
  const half = frameAt(sequence, momentBetween(done(2), done(3), 0.125))!;
  half.active.position.forEach((mm, i) => {
    assert.ok(Math.abs(mm - (from.active.position[i]! + to.active.position[i]!) / 2) < 1e-9);
  });
  const gaps = { ...sequence, moving: moving.map((frame, i) => (i % 4 === 0 ? frame : undefined)), drawn: [] };
  assert.equal(frameAt(gaps, done(2.4)), undefined);
  assert.equal(frameAt(gaps, { of: 'drawn', share: 1, up: 1 }), undefined);
  assert.equal(frameAt({ ...sequence, finished: undefined }, { of: 'finished' }), moving.at(-1));
  assert.equal(frameAt(sequence, { of: 'drawn', share: 1, up: 1 }), drawn.at(-1));
});

test('a knot that is not slid up hangs lower, by its knot and by what hangs, and its neck stays where it is', () => {
  const sequence = readySteps(knotCode(halfWindsor));
  const [low, up] = [0, 1].map((share) => frameAt(sequence, { of: 'drawn', share: 1, up: share })!);
  const enters = up!.active.parts.lastIndexOf('arm') + 1;
  assert.ok(middleOf(low!, 'active', enters + 4)[1]! < middleOf(up!, 'active', enters + 4)[1]! - 30);
  assert.deepEqual(middleOf(low!, 'active', 0), middleOf(up!, 'active', 0));
  const tuckedThenDrawn = momentBetween({ of: 'finished' }, { of: 'drawn', share: 0.5, up: 0 }, 0.5);
  assert.ok(tuckedThenDrawn.of === 'drawn' && tuckedThenDrawn.share < 0.5, 'from the band on it is drawn up');
});

test('what is hidden under the collar lies round the neck to its tip, out of sight, and stays there while the knot is slid up', () => {
  // The one of ten moves leaves too little to reach the neck’s side.
  const hiding = knotsWithSteps.filter(({ finish, moves }) => finish === 'collar' && moves.length < 10);
  let looked = 0;
  const [armMm, tipMm] = [150, 30];
  for (const knot of hiding) {
    const { finished, drawn } = readySteps(knotCode(knot));
    for (const cloth of [finished!, ...drawn]) {
      const { parts, rest, rows, position } = cloth.active;
      const middle = 3 * Math.floor(cloth.columns / 2);
      const below = lowered(cloth, 1).active.position;
      // Between the knot and the neck's side it may lie looser; from there on it is out of sight.
      const last = rest.slice(parts.indexOf('hang')).reduce((sum, mm) => sum + mm, 0) - tipMm;
      let past = 0;
      for (let row = parts.indexOf('hang'); row < rows; row++) {
        const at = 3 * row * cloth.columns + middle;
        if (past > Math.max(armMm, last)) {
          looked++;
          assert.ok((position[at + 2] ?? 0) < shirtZMm - 20, `${formatKnot(knot)}, ${past} mm past the knot: ${position[at + 2]}`);
          if (cloth !== finished) assert.equal(below[at + 1], position[at + 1]);
        }
        past += rest[row] ?? 0;
      }
    }
  }
  assert.ok(looked > 100);
});

test('on its way down through the band the end is lifted, goes in tip first and is drawn through; what is wound stays', () => {
  for (const knot of [parseKnot('Li Ro Li Co T'), halfWindsor, windsor]) {
    const sequence = readySteps(knotCode(knot));
    const [last, through] = [sequence.moving.at(-1)!, sequence.finished!];
    const [hangs, tucked]: [Moment, Moment] = [{ of: 'moves', done: knot.moves.length }, { of: 'finished' }];
    const at = (share: number) => frameAt(sequence, momentBetween(hangs, tucked, share))!;
    assert.deepEqual([at(0), at(1)], [last, through]);
    const from = through.active.parts.indexOf('top');
    const lifted = at(0.2);
    for (let row = 0; row < from; row++)
      assert.deepEqual(middleOf(lifted, 'active', row), middleOf(last, 'active', row), 'nothing that is wound has moved');
    const tip = through.active.rows - 1;
    const height = (share: number) => middleOf(at(share), 'active', tip)[1]!;
    assert.ok(height(0.2) > height(0) + 100 && height(0.4) > height(0.2) + 100, 'the tip is lifted');
    const [throat] = [middleOf(through, 'active', from)[1]!];
    assert.ok(Math.abs(height(0.4) - throat) < 32, `the tip goes in at the throat, ${height(0.4) - throat} mm from it`);
    for (const [a, b] of [
      [0.45, 0.6],
      [0.6, 0.8],
      [0.8, 0.95],
    ] as const)
      assert.ok(height(b) < height(a) - 30, `drawn down from ${a} to ${b}`);
    // As much cloth as there is: neither stretched nor lost, other than by what turns tightly.
    for (const share of [0.5, 0.7, 0.9]) {
      const frame = at(share);
      const lengths = Array.from({ length: tip - from }, (_, i) => {
        const [a, b] = [middleOf(frame, 'active', from + i), middleOf(frame, 'active', from + i + 1)];
        return Math.hypot(...a.map((mm, axis) => mm - b[axis]!)) / through.active.rest[from + i]!;
      });
      const mean = lengths.reduce((sum, each) => sum + each, 0) / lengths.length;
      assert.ok(mean > 0.9 && mean < 1.1, `${mean} at ${share}`);
    }
    // The band, and the end on its way beneath it: one does not go through the other, as it would straight from here to there.
    const throughBand = (frame: SeenCloth) => {
      const { parts } = through.active;
      const band = rowsOf(frame, parts.indexOf('band'), parts.lastIndexOf('band') + 1);
      const end = rowsOf(frame, from + 3, tip + 1);
      const alone = (strand: SeenStrand) => crossings(meshFrom({ ...frame, active: strand, standing: rowsOf(frame, 0, 2) }));
      return crossings(meshFrom({ ...frame, active: band, standing: end })) - alone(band) - alone(end);
    };
    const straight = Math.max(...[0.6, 0.8].map((share) => throughBand(between(last, through, share))));
    const led = Math.max(...[0.5, 0.6, 0.8].map((share) => throughBand(at(share))));
    assert.ok(led <= throughBand(through) + 2 && straight > led + 6, `${led} places, ${straight} straight on`);
  }
  const open = readySteps('h3.1');
  assert.equal(frameAt({ ...open, finished: undefined }, { of: 'moves', done: 3.5 }), open.moving.at(-1), 'a panel has no band');
});

test('from the end through its band to where the knot is drawn up the cloth moves without a jump, as one piece', () => {
  const sequence = readySteps(knotCode(halfWindsor));
  const [tucked, loose]: [Moment, Moment] = [{ of: 'finished' }, { of: 'drawn', share: 0.32, up: 0 }];
  const at = (share: number) => frameAt(sequence, momentBetween(tucked, loose, share))!;
  assert.equal(at(0), sequence.finished);
  const shares = Array.from({ length: 21 }, (_, i) => i / 20);
  const most = (a: SeenCloth, b: SeenCloth) =>
    Math.max(
      ...(['active', 'standing'] as const).flatMap((which) =>
        Array.from({ length: a[which].rows }, (_, row) => {
          const [from, to] = [middleOf(a, which, row), middleOf(b, which, row)];
          return Math.hypot(...from.map((mm, axis) => mm - to[axis]!));
        }),
      ),
    );
  const whole = most(at(0), at(0.999));
  assert.ok(whole > 40, `${whole} mm: it is drawn up`);
  // Each of twenty parts of the way is one twentieth of it.
  for (let i = 1; i < 20; i++) assert.ok(most(at(shares[i - 1]!), at(shares[i]!)) < whole / 15, `at ${shares[i]}`);
  // It ends as the knot that is drawn up from there, though that has rows of its own.
  const [mixed, own] = [at(0.999), at(1)];
  for (const which of ['active', 'standing'] as const) {
    for (let row = 0; row < mixed[which].rows; row++) {
      const here = middleOf(mixed, which, row);
      const nearest = Math.min(
        ...Array.from({ length: own[which].rows }, (_, other) => {
          const there = middleOf(own, which, other);
          return Math.hypot(...here.map((mm, axis) => mm - there[axis]!));
        }),
      );
      assert.ok(nearest < 8, `${which}, row ${row}: ${nearest} mm off`);
    }
  }
  assert.deepEqual(momentBetween(loose, tucked, 1), tucked, 'and back');
});

function rowsOf({ columns, active }: SeenCloth, from: number, to: number): SeenStrand {
  return {
    rows: to - from,
    parts: active.parts.slice(from, to),
    rest: active.rest.slice(from, to - 1),
    position: active.position.slice(3 * columns * from, 3 * columns * to),
  };
}

function middleOf({ columns, ...strands }: SeenCloth, which: 'active' | 'standing', row: number): number[] {
  const i = 3 * (row * columns + Math.floor(columns / 2));
  return [...strands[which].position.subarray(i, i + 3)];
}

function widthOf({ columns, ...strands }: SeenCloth, which: 'active' | 'standing', row: number): number {
  const { position } = strands[which];
  const [a, b] = [3 * row * columns, 3 * (row * columns + columns - 1)];
  return Math.hypot(...[0, 1, 2].map((axis) => position[a + axis]! - position[b + axis]!));
}
