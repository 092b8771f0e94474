import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { plan, supposeTie } from '../../../src/core/index.ts';
import { buyingBrief } from '../../../src/core/wardrobe/buyingBrief.ts';
import { judgeTie, type Outfit } from '../../../src/core/wardrobe/judgeTie.ts';
import { knotsInWords } from '../../../src/core/wardrobe/knotsInWords.ts';
import { bestTiesFirst, judgeTies } from '../../../src/core/wardrobe/rankTies.ts';
import { sharedWindow } from '../../../src/core/wardrobe/sharedWindow.ts';
import { anyTie } from '../../support/arbitrary.ts';
import { question, tieA, tieB } from '../../support/ties.ts';

const { tie: _, ...withoutTie } = question;
const outfit: Outfit = { question: withoutTie, shirtColour: '#f6f7f9' };
const navy = ['#1f2d52'];

test('a tie is judged by its best knot, its length, its width and its colours', () => {
  const judged = judgeTie(outfit, { ...tieA, colours: navy });
  assert.equal(judged.best.moves, plan(question).knots[0]?.moves);
  assert.equal(judged.widerThanLapelMm, 0);
  assert.equal(judged.colours?.reading, 'dressy');
  assert.deepEqual(judged.reasons.map(({ code }) => code).sort(), ['collar-fill', 'colour', 'lapel', 'length']);
  const knots = plan(question).knots;
  assert.equal(judged.landing, knots.filter(({ feasible }) => feasible).length);
  assert.equal(judged.asked, knots.length);
});

test('the same tie in a colour that cannot be told from the shirt is worth less', () => {
  assert.ok(judgeTie(outfit, { ...tieA, colours: navy }).score > judgeTie(outfit, { ...tieA, colours: ['#f2f3f6'] }).score);
});

test('a tie lost on the lapel is worth less than one that goes with it', () => {
  const slim = { ...tieB, colours: navy };
  const on = (lapelMm: number) => judgeTie({ ...outfit, question: { ...withoutTie, jacket: { lapelMm } } }, slim).score;
  assert.ok(on(62) > on(85) && on(85) > on(105));
});

test('a tie far too long is said to be, with by how much, and comes last', () => {
  const long = { ...tieB, lengthMm: 1900, thicknessMm: 1.6, colours: navy };
  const judged = judgeTie(outfit, long);
  assert.equal(judged.feasible, false);
  assert.equal(judged.score, 0);
  assert.match(judged.reasons[0]!.text, /^Too long for every knot, by at least [\d.]+ cm\.$/);
  const ranked = bestTiesFirst([
    ...judgeTies(outfit, [
      { ...long, id: 'long' },
      { ...tieA, colours: navy, id: 'right' },
    ]),
  ]);
  assert.deepEqual(
    ranked.map(({ id }) => id),
    ['right', 'long'],
  );
});

test('ties are judged one by one, and can be left off in the middle', () => {
  const ties = Array.from({ length: 10 }, (_, i) => ({ ...tieA, bladeMm: 70 + i, colours: navy, id: `${i}` }));
  const seen: string[] = [];
  for (const { id } of judgeTies(outfit, ties)) {
    seen.push(id);
    if (seen.length === 3) break;
  }
  assert.deepEqual(seen, ['0', '1', '2']);
});

test('a tie bought by the brief works, fills the collar, and goes with the lapel', () => {
  const brief = buyingBrief(outfit);
  const good = brief.cells.filter(({ lengthMm }) => lengthMm);
  assert.ok(good.length > 20);
  for (const { bladeMm, thicknessMm, lengthMm, knots } of good) {
    const { min, max } = lengthMm!;
    for (const length of [min, max]) {
      const tie = supposeTie({ lengthMm: length, bladeMm, thicknessMm });
      const serving = plan({ ...question, tie }).knots.filter(
        ({ names, feasible, collar, tail }) =>
          knots.includes(names[0] ?? '') && feasible && tail.reachesKeeper && collar.fill >= 0.22 && collar.fill <= 1 / 3,
      );
      assert.ok(serving.length > 0, `${length} × ${bladeMm} × ${thicknessMm}`);
    }
    assert.ok(Math.abs(bladeMm - 85) <= 25.4);
  }
});

test('thicker ties of one width serve narrower, and no tie that swamps the collar is advised', () => {
  const brief = buyingBrief({ ...outfit, question: { ...withoutTie, shirt: { collarPointMm: 75, collarSpreadMm: 70, tieSpaceMm: 5 } } });
  const widest = (thicknessMm: number) =>
    Math.max(0, ...brief.cells.filter((cell) => cell.thicknessMm === thicknessMm && cell.lengthMm).map(({ bladeMm }) => bladeMm));
  assert.ok(widest(1.5) > widest(2.5) && widest(2.5) >= widest(3.5));
  assert.equal(widest(5.5), 0);
});

test('the colour window lies a clear step from the shirt', () => {
  const white = buyingBrief(outfit);
  assert.ok(white.darkestOfLight! > 70 && white.darkestOfLight! < 80);
  assert.equal(white.lightestOfDark, undefined);
  const dark = buyingBrief({ ...outfit, shirtColour: '#20252c' });
  assert.equal(dark.darkestOfLight, undefined);
  assert.ok(dark.lightestOfDark! < 40);
});

test('scores lie between nothing and one for any tie', () => {
  fc.assert(
    fc.property(anyTie, (tie) => {
      const { score, feasible } = judgeTie(outfit, { ...tie, colours: navy });
      assert.ok(score >= 0 && score <= 1);
      assert.equal(score > 0, feasible);
    }),
    { numRuns: 60 },
  );
});

test('what one brief shares with another outfit is a share, all of it with itself', () => {
  const brief = buyingBrief(outfit);
  assert.equal(sharedWindow(brief, brief), 1);
  const pointed = buyingBrief({ ...outfit, question: { ...withoutTie, shirt: { ...question.shirt, collarSpreadMm: 70, tieSpaceMm: 5 } } });
  const share = sharedWindow(brief, pointed);
  assert.ok(share >= 0 && share < 0.6, `a point collar wants other ties: ${share}`);
  const none = buyingBrief({ ...outfit, question: { ...withoutTie, jacket: { lapelMm: 160 }, rules: { lapelRule: 'match' } } });
  assert.equal(sharedWindow(none, brief), 0);
});

test('every named knot is told for a tie: where it starts, or what hinders it', () => {
  const told = knotsInWords(outfit, { ...tieA, colours: navy });
  assert.equal(told.length, plan(question).knots.length);
  for (const { works, text } of told)
    assert.match(text, works ? /^tail tip at .* of the collar edge$/ : /runs out of tie by|leaves the tail .* too long/);
  const long = knotsInWords(outfit, { ...tieB, lengthMm: 1900, colours: navy });
  assert.ok(long.every(({ works }) => !works));
});
