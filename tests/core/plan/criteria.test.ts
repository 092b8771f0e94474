import assert from 'node:assert/strict';
import test from 'node:test';
import { type KnotPlan, type PlanQuestion, plan } from '../../../src/core/index.ts';
import { leanWord } from '../../../src/core/plan/criteria/symmetry.ts';
import { question, tieA, tieB } from '../../support/ties.ts';

const knots = (changes: Partial<PlanQuestion> = {}) => plan({ ...question, ...changes, taste: { ...changes.taste, knots: 'all' } }).knots;
const find = (word: string, changes: Partial<PlanQuestion> = {}): KnotPlan => knots(changes).find(({ moves }) => moves === word)!;
const said = (knot: KnotPlan, code: string) => knot.reasons.find((reason) => reason.code === code)!;

const fourInHand = 'Li Ro Li Co T';
const leaning = 'Lo Ri Lo Ci Ro Li Co T';
const windsor = 'Li Co Ri Lo Ci Ro Li Co T';
const point = { ...question.shirt, collarSpreadMm: 70, tieSpaceMm: 5 };
const cutaway = { ...question.shirt, collarSpreadMm: 150, tieSpaceMm: 12 };

test('collar fill by thirds: well, a little large, swamped, a little small, too small', () => {
  const verdicts = [
    [find(fourInHand), 'good', /^Sits well in the semi-spread collar: covers 30%/],
    [find('Li Ro Ci Lo Ri Co T'), 'fair', /^A little large for the semi-spread collar: covers 36%/],
    [find(windsor), 'poor', /^Swamps the semi-spread collar: covers 39%/],
    [find(fourInHand, { shirt: point }), 'poor', /^Swamps the point collar: covers 46%/],
    [find(fourInHand, { shirt: cutaway }), 'fair', /^A little small for the cutaway collar: covers 21%/],
    [find(fourInHand, { shirt: cutaway, tie: tieB }), 'poor', /^Too small for the cutaway collar: covers 1\d% of the collar edge/],
  ] as const;
  for (const [knot, verdict, text] of verdicts) {
    assert.equal(said(knot, 'collar-fill').verdict, verdict);
    assert.match(said(knot, 'collar-fill').text, text);
  }
});

test('the band beside a knot is told in millimetres; fastened points hold it, a client may accept it', () => {
  const small = find('Lo Ri Co T', { shirt: cutaway });
  assert.equal(said(small, 'band').verdict, 'poor');
  assert.match(said(small, 'band').text, /^The tie band shows 0\.\d cm on either side of the knot/);
  assert.equal(said(find(windsor, { shirt: cutaway }), 'band'), undefined, 'nothing to say of what is covered');
  assert.equal(said(find('Lo Ri Co T', { shirt: { ...cutaway, pointsHeld: true } }), 'band'), undefined);
  const accepted = find('Lo Ri Co T', { shirt: cutaway, liking: { neckBand: 'tolerated' } });
  assert.equal(said(accepted, 'band').verdict, 'good');
  assert.ok(accepted.score > small.score);
});

test('a tie with a broad neck looks out under the collar at the back', () => {
  const broad = find(fourInHand, { tie: { ...tieA, neckMm: 60, tailMm: 62 } });
  assert.equal(said(broad, 'band').verdict, 'poor');
  assert.match(said(broad, 'band').text, /at the back/);
});

test('collar fill by class says the size it is and the size it should be', () => {
  const taste = { collarRule: 'proportion' } as const;
  assert.match(
    said(find(fourInHand, { taste, shirt: point }), 'collar-fill').text,
    /^A small knot, 4\.3 cm across, for a point collar: the right/,
  );
  const wrong = said(find(fourInHand, { taste, shirt: cutaway }), 'collar-fill');
  assert.equal(wrong.verdict, 'poor');
  assert.match(wrong.text, /for a cutaway collar, which wants a large one/);
  assert.equal(said(find('Li Ro Ci Lo Ri Co T', { taste, shirt: cutaway }), 'collar-fill').verdict, 'fair');
});

test('the tail: through the keeper, nearly level, missing it, too short to tuck', () => {
  assert.match(said(find('Li Ro Ci Lo Ri Co T'), 'tail').text, /goes through the keeper and stays hidden/);
  const level = knots({ tie: { ...tieA, lengthMm: 1490 } }).find(({ tail, tip }) => tail.hidden && tip.dropMm - tail.dropMm <= 40)!;
  assert.match(said(level, 'tail').text, /ends nearly level with the blade/);
  const missing = said(find(windsor, { tie: { ...tieA, keeperMm: 200 } }), 'tail');
  assert.equal(missing.verdict, 'fair');
  assert.match(missing.text, /misses the keeper by 2\.8 cm: slip it between two shirt buttons/);
  const stub = find(windsor, { tie: { ...tieA, lengthMm: 1350, neckAtMm: 770 }, shirt: { ...question.shirt, buttonsMm: [300, 400] } });
  assert.equal(said(stub, 'tail').verdict, 'poor');
  assert.match(said(stub, 'tail').text, /too short to tuck away/);
});

test('missing the keeper by more is liked less', () => {
  const score = (keeperMm: number) => find(windsor, { tie: { ...tieA, keeperMm } }).score;
  assert.ok(score(230) > score(190) && score(190) > score(150));
});

test('landing says how often and how far off; under a waistcoat a miss is hidden', () => {
  const plain = find(fourInHand);
  assert.match(said(plain, 'landing').text, /^First try: 1 in 3 within tolerance \(±2\.6 cm\)\.$/);
  const waistcoat = find(fourInHand, { jacket: { lapelMm: 85, waistcoat: true } });
  assert.match(said(waistcoat, 'landing').text, /The waistcoat hides the tip\.$/);
  assert.equal(said(waistcoat, 'landing').verdict, 'good');
  const wide = find(fourInHand, { aim: { offsetMm: 0, aboveMm: 40, belowMm: 40 } });
  assert.equal(said(wide, 'landing').verdict, 'good');
  const narrow = find(windsor, { aim: { offsetMm: 0, aboveMm: 5, belowMm: 0 } });
  assert.equal(said(narrow, 'landing').verdict, 'poor');
});

test('lean is told in words only, and a directional pattern costs nothing', () => {
  assert.deepEqual([0, 9.9, -10, 17.9, -18, 30].map(leanWord), ['level', 'level', 'slight', 'slight', 'clear', 'clear']);
  assert.equal(said(find(windsor), 'symmetry').text, 'Sits level.');
  assert.match(said(find(fourInHand), 'symmetry').text, /^Leans slightly/);
  assert.match(said(find(leaning), 'symmetry').text, /^Leans clearly/);
  assert.equal(said(find(leaning), 'symmetry').verdict, 'fair');
  const striped = said(find(leaning, { tie: { ...tieA, pattern: 'stripe' } }), 'symmetry');
  assert.deepEqual(striped, said(find(leaning), 'symmetry'));
  assert.match(said(find(fourInHand, { shirt: cutaway }), 'symmetry').text, /The open collar hides it\.$/);
  for (const { reasons } of knots()) for (const { code, text } of reasons) if (code === 'symmetry') assert.doesNotMatch(text, /\d/);
});

test('ease counts moves, inside-out starts, turning back, and names', () => {
  assert.equal(said(find(fourInHand), 'ease').text, 'Four moves.');
  assert.equal(said(find('Lo Ri Co T'), 'ease').text, 'Three moves, starts inside out.');
  assert.match(said(find('Lo Ci Lo Ci Lo Ri Co T'), 'ease').text, /^Seven moves, starts inside out.*has no everyday name\.$/);
  assert.equal(said(find(fourInHand), 'ease').verdict, 'good');
  assert.equal(said(find('Lo Ci Lo Ci Lo Ri Lo Ri Co T'), 'ease').verdict, 'poor');
});

test('the lapel: a match, within an inch, lost, overblown', () => {
  const on = (lapelMm: number) => said(find(fourInHand, { jacket: { lapelMm } }), 'lapel');
  assert.match(on(85).text, /: they match\.$/);
  assert.match(on(100).text, /1\.5 cm narrower than the lapel, within an inch\.$/);
  assert.match(on(120).text, /3\.5 cm narrower than the lapel: the tie looks lost\.$/);
  assert.equal(on(120).verdict, 'poor');
  assert.match(on(55).text, /3 cm wider than the lapel: the tie looks overblown\.$/);
  assert.equal(on(55).verdict, 'fair');
});

test('what rules a knot out stands in its refusal, with a code and in words', () => {
  const all = knots({ client: { heightMm: 2030, neckMm: 470, frontDropMm: 600 } });
  assert.ok(all.some(({ feasible }) => !feasible));
  for (const { feasible, refusal, reasons } of all) {
    assert.equal(refusal === null, feasible);
    assert.equal(/^Won’t work: /.test(refusal?.text ?? ''), !feasible);
    if (refusal) assert.equal(reasons.find(({ code }) => code === 'tail')?.text, refusal.text);
  }
});
