import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { calibrationFrom, calibrationOf } from '../../../src/core/fitbook/calibration.ts';
import { clientEffect, type Mix, priorSd, usualPriors } from '../../../src/core/fitbook/effects.ts';
import { after, nothingKnown, reckon } from '../../../src/core/fitbook/known.ts';
import { learn, observationsOf, shareMix, tipMix } from '../../../src/core/fitbook/learn.ts';
import { enoughRecords, spreadsFrom } from '../../../src/core/fitbook/spreads.ts';
import type { LearnRecord } from '../../../src/core/index.ts';
import { normalFrom, randomFrom } from '../../../src/core/numeric/random.ts';

const anyRecord: fc.Arbitrary<LearnRecord> = fc.record({
  stylist: fc.constantFrom('s1', 's2'),
  client: fc.constantFrom('c1', 'c2', 'c3', null),
  tie: fc.constantFrom('t1', 't2', 't3'),
  knot: fc.constantFrom('k1', 'k2'),
  takeUpMm: fc.double({ min: 80, max: 380, noNaN: true }),
  tipErrorMm: fc.double({ min: -45, max: 45, noNaN: true }),
  dropMeasured: fc.boolean(),
  noiseMm: fc.constantFrom(10, 20),
  openBy: fc.constantFrom(0, -0.6),
  crossedBy: fc.constantFrom(0, -1.2),
});

/**
 * Best linear unbiased prediction written out over the records, as a textbook has it: the covariance of every two tyings,
 * solved by plain elimination.
 */
function oracle(records: readonly LearnRecord[], mix: Mix): { mean: number; variance: number } {
  const common = (a: Mix, b: Mix) =>
    a.reduce(
      (sum, [name, by]) =>
        sum + b.filter(([other]) => other === name).reduce((s, [, with_]) => s + by * with_ * priorSd(name, usualPriors) ** 2, 0),
      0,
    );
  const seen = records.map((record) => ({ of: tipMix(record), value: record.tipErrorMm, sd: record.noiseMm ?? 10 }));
  const rows = seen.map((a, i) => [...seen.map((b, j) => common(a.of, b.of) + (i === j ? a.sd ** 2 : 0)), a.value, common(a.of, mix)]);
  const n = rows.length;
  for (let i = 0; i < n; i++) {
    for (let r = 0; r < n; r++) {
      if (r === i) continue;
      const share = (rows[r]?.[i] ?? 0) / (rows[i]?.[i] ?? 1);
      for (let c = i; c < n + 2; c++) (rows[r] as number[])[c] = (rows[r]?.[c] ?? 0) - share * (rows[i]?.[c] ?? 0);
    }
  }
  const solved = (column: number) => rows.map((row, i) => (row[n + column] ?? 0) / (row[i] ?? 1));
  const along = seen.map(({ of }) => common(of, mix));
  return {
    mean: solved(0).reduce((sum, value, i) => sum + value * (along[i] ?? 0), 0),
    variance: common(mix, mix) - solved(1).reduce((sum, value, i) => sum + value * (along[i] ?? 0), 0),
  };
}

test('means and spreads are those of the textbook, for everyone known or new', () => {
  fc.assert(
    fc.property(fc.array(anyRecord, { minLength: 1, maxLength: 14 }), anyRecord, fc.boolean(), (records, next, fresh) => {
      const asked = fresh ? { ...next, tie: 'new', client: next.client && 'new' } : next;
      const book = learn(records);
      fc.pre(book.blunders.length === 0);
      const { mean, variance } = oracle(records, tipMix(asked));
      const { meanMm, sdMm } = book.predict(asked);
      assert.ok(Math.abs(meanMm - mean) < 1e-7, `${meanMm} for ${mean}`);
      assert.ok(Math.abs(sdMm - Math.sqrt(variance + 100)) < 1e-7, `${sdMm} for ${Math.sqrt(variance + 100)}`);
    }),
  );
});

test('learnt one after the other is learnt all at once', () => {
  fc.assert(
    fc.property(fc.array(anyRecord, { minLength: 2, maxLength: 10 }), anyRecord, (records, next) => {
      const book = learn(records);
      fc.pre(book.blunders.length === 0);
      const half = learn(records.slice(0, 2));
      const names = [...new Set(records.flatMap((record) => tipMix(record).map(([name]) => name)))];
      const known = after(half.known(names), observationsOf(records.slice(2), usualPriors));
      const { mean, variance } = reckon(known, tipMix(next));
      const all = book.predict(next);
      assert.ok(Math.abs(mean - all.meanMm) < 1e-7);
      assert.ok(Math.abs(Math.sqrt(variance + 100) - all.sdMm) < 1e-7);
    }),
  );
});

test('a plan’s calibration says of a tip what the book says', () => {
  fc.assert(
    fc.property(fc.array(anyRecord, { minLength: 1, maxLength: 12 }), anyRecord, (records, asked) => {
      const next = { ...asked, client: asked.client ?? 'c1', openBy: 0, crossedBy: 0 };
      const book = learn(records);
      const client = clientEffect(next.client, next.dropMeasured);
      const names = book.every().map(({ name }) => name);
      const known = book.known(names);
      const about = { stylist: next.stylist, client, clientId: next.client, tie: next.tie, loopSdMm: 0 };
      const { takeUp, hand, client: drop } = calibrationOf(calibrationFrom(known, about), next.knot);
      const spoken = names.includes(client);
      const meanMm = hand.meanMm + drop.meanMm - next.takeUpMm * takeUp.share;
      assert.ok(Math.abs(meanMm - book.predict(next).meanMm) < 1e-7);
      const dropVariance = spoken ? (drop.sdMm ?? Number.NaN) ** 2 : priorSd(client, usualPriors) ** 2;
      // A hand that no record spoke of is as far off as hands are.
      const handKnown = names.includes(`hand/${next.stylist}`);
      const offset = dropVariance + (handKnown ? hand.sdMm ** 2 : spoken ? 0 : usualPriors.hand ** 2);
      const variance = offset + (takeUp.sd * next.takeUpMm) ** 2 - 2 * next.takeUpMm * (takeUp.along?.offsetMm ?? 0) + 100;
      assert.ok(Math.abs(Math.sqrt(variance) - book.predict(next).sdMm) < 1e-6, `${Math.sqrt(variance)} for ${book.predict(next).sdMm}`);
    }),
  );
});

test('the reference of one minute on a stand: the same tie and knot from 12% to about 5, another knot of it to about 10', () => {
  const stand: LearnRecord = { stylist: 's', client: null, tie: 't', knot: 'k', takeUpMm: 187, tipErrorMm: -20, dropMeasured: false };
  const { known } = learn([stand, stand]);
  const sdOf = (tie: string, knot: string) =>
    Math.sqrt(reckon(known(['stylist/s', 'tie/t', 'knot/k', 'hand/s']), shareMix('s', tie, knot)).variance);
  const before = Math.sqrt(reckon(nothingKnown(), shareMix('s', 't', 'k')).variance);
  assert.ok(before > 0.12 && before < 0.123);
  assert.ok(sdOf('t', 'k') < 0.07, `${sdOf('t', 'k')}`);
  assert.ok(sdOf('t', 'another') < sdOf('another', 'another'));
  assert.ok(sdOf('t', 'another') < 0.11 && sdOf('t', 'another') > sdOf('t', 'k'));
});

/** A studio whose records the model itself would have made. */
function made(count: number, sds: { client: number; tie: number; tying: number }, seed: number) {
  const random = randomFrom(seed);
  const normal = normalFrom(random);
  const pick = (n: number) => Math.floor(random() * n);
  const of = (n: number, sd: number) => Array.from({ length: n }, () => sd * normal());
  const truth = { client: of(60, sds.client), hand: of(6, 10), stylist: of(6, 0.06), tie: of(40, sds.tie), knot: of(10, 0.08) };
  return Array.from({ length: count }, (): LearnRecord => {
    const [client, person, tie, knot] = [pick(60), pick(6), pick(40), pick(10)];
    const takeUpMm = 120 + 230 * random();
    const share = (truth.stylist[person] ?? 0) + (truth.tie[tie] ?? 0) + (truth.knot[knot] ?? 0);
    return {
      ...{ stylist: `s${person}`, client: `c${client}`, tie: `t${tie}`, knot: `k${knot}`, takeUpMm, dropMeasured: false },
      tipErrorMm: (truth.client[client] ?? 0) + (truth.hand[person] ?? 0) - takeUpMm * share + sds.tying * normal(),
    };
  });
}

test('a blunder of half a metre is told apart and hardly moves the rest', () => {
  const records = made(120, { client: 20, tie: 0.07, tying: 10 }, 5);
  const [, , , , , sixth] = records;
  assert.ok(sixth);
  const clean = learn(records);
  assert.equal(clean.blunders.length, 0);
  const spoiled = learn(records.map((record, i) => (i === 5 ? { ...record, tipErrorMm: record.tipErrorMm + 500 } : record)));
  assert.deepEqual(
    spoiled.blunders.map(({ at }) => at),
    [5],
  );
  const without = learn(records.filter((_, i) => i !== 5));
  const moved = Math.abs(spoiled.predict(sixth).meanMm - without.predict(sixth).meanMm);
  assert.ok(moved < 2, `${moved}`);
});

test('a slip that the priors alone would allow is told apart once a client is known', () => {
  const known: LearnRecord = { stylist: 's', client: 'c', tie: 't', knot: 'k', takeUpMm: 190, tipErrorMm: 4, dropMeasured: true };
  const records = Array.from({ length: 12 }, (_, i) => ({ ...known, tipErrorMm: 4 + 6 * Math.cos(i * 2.3) }));
  const book = learn([...records, { ...known, tipErrorMm: 74 }]);
  assert.deepEqual(
    book.blunders.map(({ at }) => at),
    [12],
  );
  assert.ok(Math.abs(book.predict(known).meanMm - learn(records).predict(known).meanMm) < 1.5);
});

test('the same records in the same order give the same figures, bit for bit', () => {
  const records = made(150, { client: 20, tie: 0.07, tying: 10 }, 8);
  assert.deepEqual(learn(records).every(), learn(structuredClone(records)).every());
});

test('spreads are asked of enough records only, and then come near the truth', () => {
  const truth = { client: 32, tie: 0.035, tying: 6 };
  const records = made(700, truth, 11);
  assert.equal(spreadsFrom(records.slice(0, enoughRecords - 1)), usualPriors);
  const found = spreadsFrom(records);
  assert.ok(Math.abs(found.client / truth.client - 1) < 0.25, `${found.client}`);
  assert.ok(Math.abs(found.tie / truth.tie - 1) < 0.3, `${found.tie}`);
  assert.ok(Math.abs(found.tying / truth.tying - 1) < 0.12, `${found.tying}`);
  // Six hands are too few to ask.
  assert.equal(found.stylist, usualPriors.stylist);
});
