import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { collarFill } from '../../../src/core/collar/fill.ts';
import { collarStyles } from '../../../src/core/collar/styles.ts';
import { differencesInWords } from '../../../src/core/knotMap/compare.ts';
import { type MapAxis, type MappedKnot, mapAxes, mappedKnots, signedLean } from '../../../src/core/knotMap/mappedKnots.ts';
import { similarTo } from '../../../src/core/knotMap/similar.ts';
import { zoneFor } from '../../../src/core/knotMap/zone.ts';
import { leanDegOf } from '../../../src/core/tying/shape.ts';
import { anyTie } from '../../support/arbitrary.ts';
import { question, tieB } from '../../support/ties.ts';

const field = mappedKnots(question);
const named = (name: string) => field.find(({ title }) => title === name)!;

test('the map holds every knot to nine moves once, each with a code and a title of its own', () => {
  assert.equal(field.length, 85);
  assert.equal(new Set(field.map(({ code }) => code)).size, 85);
  assert.equal(new Set(field.map(({ title }) => title)).size, 85);
});

test('every axis gives a figure for every knot, and words for it', () => {
  for (const axis of Object.values(mapAxes)) {
    for (const knot of field) {
      assert.ok(Number.isFinite(axis.of(knot)));
      assert.doesNotMatch(axis.say(axis.of(knot), 'cm'), /NaN|undefined/);
    }
  }
  const lean: MapAxis = mapAxes.lean;
  assert.equal(lean.say(20, 'cm'), 'clearly to the wearer’s right');
  assert.equal(lean.say(-10, 'cm'), 'slightly to the wearer’s left');
});

test('the lean has a side, and is the core’s own otherwise', () => {
  for (const knot of field) assert.equal(signedLean(knot), leanDegOf(knot.plan.shape));
  assert.ok(field.some((knot) => signedLean(knot) > 13) && field.some((knot) => signedLean(knot) < -13));
});

test('the zone ends where a knot of usual proportions shows the band, and where it swamps; it widens with the opening', () => {
  const of = (collar: (typeof collarStyles)[keyof typeof collarStyles]) => zoneFor(collar, field)!;
  const semi = of(collarStyles['semi-spread']);
  const inside = field.filter(({ plan: { shape } }) => shape.topMm > semi.fromMm + 1.5 && shape.topMm < semi.toMm - 1.5);
  assert.ok(inside.length >= 3);
  for (const { plan } of inside) {
    const { fill } = collarFill(collarStyles['semi-spread'], plan.shape);
    assert.ok(fill > 0.2 && fill < 0.37, `${fill}`);
  }
  assert.ok(of(collarStyles.cutaway).fromMm > semi.fromMm && semi.fromMm > of(collarStyles.point).fromMm);
  assert.equal(zoneFor(collarStyles.point, []), undefined);
});

test('the zone moves with the tie: thicker cloth, the same collar', () => {
  fc.assert(
    fc.property(anyTie, (tie) => {
      const zone = zoneFor(collarStyles['wide-spread'], mappedKnots({ ...question, tie }))!;
      assert.ok(zone.fromMm > 10 && zone.toMm < 160 && zone.fromMm < zone.toMm);
    }),
    { numRuns: 15 },
  );
});

test('a step leads to a knot that is a little more of it, and otherwise as like as there is', () => {
  const steps = {
    larger: ({ plan: { shape } }: MappedKnot) => shape.topMm,
    smaller: ({ plan: { shape } }: MappedKnot) => -shape.topMm,
    moreLevel: (each: MappedKnot) => -Math.abs(signedLean(each)),
    fewerMoves: ({ plan: { properties } }: MappedKnot) => -properties.moves,
  };
  for (const [step, of] of Object.entries(steps) as [keyof typeof steps, (each: MappedKnot) => number][]) {
    const led = field.flatMap((knot) => {
      const next = similarTo(knot, field)[step];
      return next ? [of(next) - of(knot)] : [];
    });
    assert.ok(led.length > 20 && led.length < field.length, `${step}: a step from most knots, none from the last`);
    assert.ok(
      led.every((more) => more > 0),
      step,
    );
  }
  const { larger } = similarTo(named('Four-in-hand'), field);
  assert.ok(larger!.plan.shape.topMm - named('Four-in-hand').plan.shape.topMm < 8, 'a little larger, not the largest');
  const sizes = field.map(({ plan: { shape } }) => shape.topMm);
  const largest = field.find(({ plan: { shape } }) => shape.topMm === Math.max(...sizes))!;
  assert.equal(similarTo(largest, field).larger, undefined);
});

test('differences are told in words, turn round with the pair, and are none for a knot with itself', () => {
  const [small, full] = [named('Four-in-hand'), named('Windsor')];
  const up = differencesInWords(full, small, 'cm').join('; ');
  assert.match(up, /wider at the top/);
  assert.match(up, /four moves more/);
  assert.match(up, /takes up 16\.\d cm more/);
  assert.match(up, /starts 16\.\d cm higher/);
  assert.match(differencesInWords(small, full, 'cm').join('; '), /narrower at the top.*four moves fewer/);
  for (const knot of field) assert.deepEqual(differencesInWords(knot, knot, 'in'), []);
  assert.match(differencesInWords(named('Half-Windsor'), named('Half-Windsor, pulls open'), 'cm').join(), /does not pull open/);
});

test('a slimmer, thinner tie makes every knot of the map smaller', () => {
  const thin = new Map(mappedKnots({ ...question, tie: tieB }).map((knot) => [knot.code, knot]));
  for (const knot of field) assert.ok(thin.get(knot.code)!.plan.shape.topMm < knot.plan.shape.topMm);
});
