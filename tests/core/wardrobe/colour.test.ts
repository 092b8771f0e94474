import assert from 'node:assert/strict';
import test from 'node:test';
import { judgeColour } from '../../../src/core/wardrobe/colourCriterion.ts';
import { judgeTie, type Outfit } from '../../../src/core/wardrobe/judgeTie.ts';
import { question, tieA } from '../../support/ties.ts';

const { tie: _, ...dressed } = question;
const outfit: Outfit = { question: dressed, shirtColour: '#f6f7f9' };

/** The judgement of colours that are known. */
function judged(cloth: Parameters<typeof judgeColour>[0], shirt: string) {
  const judgement = judgeColour(cloth, shirt);
  assert.ok(judgement);
  return judgement;
}

test('a colour that was never entered is not judged, and the others share its part', () => {
  assert.equal(judgeColour({ colours: [] }, '#f6f7f9'), undefined);
  assert.equal(judgeColour({ colours: ['#1f2d52'] }, null), undefined);
  const known = judgeTie(outfit, { ...tieA, colours: ['#1f2d52'] });
  const unknown = judgeTie({ ...outfit, shirtColour: null }, { ...tieA, colours: ['#1f2d52'] });
  assert.ok(known.reasons.some(({ code }) => code === 'colour'));
  assert.ok(!unknown.reasons.some(({ code }) => code === 'colour'));
  assert.deepEqual([unknown.colours, unknown.feasible], [null, true]);
  const { knot, lapel } = { knot: 2 / 3, lapel: 1 / 3 };
  assert.ok(unknown.score > known.score - 0.25 && unknown.score <= knot + lapel);
});

test('colours are judged in words', () => {
  assert.deepEqual(
    [judged({ colours: ['#1f2d52'] }, '#f6f7f9').verdict, judged({ colours: ['#1f2d52'] }, '#f6f7f9').text],
    ['good', 'Darker than the shirt: dressy and safe; cooler in tone.'],
  );
  assert.match(judged({ colours: ['#e9dfc6'] }, '#26304a').text, /^Lighter than the shirt: casual; warmer in tone\.$/);
  assert.equal(judged({ colours: ['#f4f5f7'] }, '#f6f7f9').verdict, 'poor');
  assert.match(judged({ colours: ['#7d5a5a'] }, '#5a7a6a').text, /^About as light as the shirt: only its colour sets it apart/);
});

test('dressy is liked best, then casual, then by colour only, then not told apart', () => {
  const scores = [
    judged({ colours: ['#1f2d52'] }, '#f6f7f9'),
    judged({ colours: ['#e9dfc6'] }, '#26304a'),
    judged({ colours: ['#7d5a5a'] }, '#5a7a6a'),
    judged({ colours: ['#f4f5f7'] }, '#f6f7f9'),
  ].map(({ score }) => score);
  assert.deepEqual(
    scores,
    scores.toSorted((a, b) => b - a),
  );
});

test('the ground of a pattern counts more than what is on it', () => {
  const navyGround = judged({ colours: ['#1f2d52', '#ffffff'] }, '#f6f7f9').colours.contrast;
  const whiteGround = judged({ colours: ['#ffffff', '#1f2d52'] }, '#f6f7f9').colours.contrast;
  assert.ok(navyGround > 2 * whiteGround);
});

test('length in one sentence: all knots, some, or none', () => {
  const length = (lengthMm: number) => judgeTie(outfit, { ...tieA, lengthMm, colours: ['#1f2d52'] }).reasons[0]!;
  assert.match(length(1430).text, /^Long enough, and not too long, for every knot asked for\.$/);
  assert.match(length(1530).text, /of 15 knots work with it; the shorter ones leave too much tail\.$/);
  assert.match(length(1270).text, /of 15 knots work with it; the longer ones need a longer tie\.$/);
  assert.match(length(1900).text, /^Too long for every knot/);
  assert.match(length(1000).text, /^Too short for every knot/);
});

test('without a jacket the lapel says nothing, and the score is still one of one', () => {
  const bare = judgeTie({ ...outfit, question: { ...dressed, jacket: null } }, { ...tieA, colours: ['#1f2d52'] });
  assert.equal(bare.widerThanLapelMm, undefined);
  assert.ok(!bare.reasons.some(({ code }) => code === 'lapel'));
  assert.ok(bare.score > 0.5 && bare.score <= 1);
});
