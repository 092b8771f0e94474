import assert from 'node:assert/strict';
import test from 'node:test';
import { type KnotPlan, type PlanQuestion, plan } from '../../../src/core/index.ts';
import { dressCodes } from '../../../src/core/plan/dressCodes.ts';
import { schools } from '../../../src/core/plan/schools.ts';
import { judgeTie } from '../../../src/core/wardrobe/judgeTie.ts';
import { question, tieA } from '../../support/ties.ts';

const find = (word: string, changes: Partial<PlanQuestion> = {}): KnotPlan =>
  plan({ ...question, ...changes }).knots.find(({ moves }) => moves === word)!;
const said = (knot: KnotPlan, code: string) => knot.reasons.find((reason) => reason.code === code);
const fourInHand = 'Li Ro Li Co T';
const windsor = 'Li Co Ri Lo Ci Ro Li Co T';

test('a dress code is judged by tie and knot, and only where it was said', () => {
  assert.equal(said(find(windsor), 'dress'), undefined);
  const dressed = (dressCode: keyof typeof dressCodes, tie = {}) =>
    said(find(windsor, { occasion: { dressCode }, tie: { ...tieA, ...tie } }), 'dress')!;
  assert.deepEqual([dressed('formal').verdict, dressed('formal').text], ['good', 'Right for a formal occasion: woven silk, solid.']);
  const knitted = dressed('formal', { fabric: 'knit', pattern: 'check' });
  assert.deepEqual([knitted.verdict, knitted.text], ['poor', 'For a formal occasion, the tie (knit, check) reads too relaxed.']);
  assert.equal(dressed('relaxed', { fabric: 'knit', pattern: 'check' }).verdict, 'good');
  const satin = dressed('relaxed', { fabric: 'satin' });
  assert.equal(satin.verdict, 'poor');
  assert.match(satin.text, /^More formal than a relaxed occasion asks for/);
  assert.match(dressed('uniform').text, /the service’s current regulation decides/);
});

test('where patterns are prescribed a tie is as prescribed or speaks against it, whatever the knot; silent where they are not', () => {
  assert.equal(said(find(windsor), 'prescribed'), undefined);
  const held = (patterns: 'solid' | 'striped' | 'quiet', pattern: 'solid' | 'stripe' | 'dots' | 'check') =>
    find(fourInHand, { occasion: { patterns }, tie: { ...tieA, pattern } });
  assert.equal(said(held('striped', 'stripe'), 'prescribed')?.text, 'Pattern as prescribed: stripe.');
  const against = held('solid', 'dots');
  assert.deepEqual(
    [said(against, 'prescribed')?.verdict, said(against, 'prescribed')?.text],
    ['poor', 'Prescribed: solid only; this tie has a neat pattern.'],
  );
  assert.ok(against.score < 0.6 * held('quiet', 'dots').score, 'it falls far behind');
  const { score, reasons } = judgeTie(
    { question: { ...question, occasion: { patterns: 'solid' } }, shirtColour: null },
    { ...tieA, pattern: 'check', colours: [] },
  );
  const free = judgeTie({ question, shirtColour: null }, { ...tieA, pattern: 'check', colours: [] });
  assert.ok(score < free.score && reasons.some(({ code }) => code === 'prescribed'), 'told where ties are judged, too');
});

test('a leaning knot is the less formal of two in the same tie', () => {
  const at = (word: string) => said(find(word, { occasion: { dressCode: 'formal' } }), 'dress')!.verdict;
  assert.equal(at(windsor), 'good');
  const leaning = plan({ ...question, occasion: { dressCode: 'formal' } }).knots.find(
    (knot) => said(knot, 'symmetry')?.text.startsWith('Leans clearly') === true,
  );
  assert.ok(leaning, 'one of the named knots leans clearly');
  assert.equal(said(leaning, 'dress')!.verdict, 'poor');
});

test('a dimple: cloth that keeps a fold under a knot narrower than the blade; silent where none is wanted', () => {
  const small = said(find(fourInHand), 'dimple')!;
  assert.deepEqual([small.verdict, /^Takes a dimple well: woven silk, and the blade is \d\.\d times/.test(small.text)], ['good', true]);
  const knit = said(find(fourInHand, { tie: { ...tieA, fabric: 'knit' } }), 'dimple')!;
  assert.deepEqual([knit.verdict, /knit keeps only a soft fold/.test(knit.text)], ['fair', true]);
  assert.match(said(find(fourInHand, { tie: { ...tieA, pattern: 'large' } }), 'dimple')!.text, /lost on the large motif/);
  assert.equal(said(find(fourInHand, { liking: { dimple: 'none' } }), 'dimple'), undefined);
  // The same tie drawn up into a broader foot leaves less to fold.
  const times = (word: string) => Number(/is (\d\.\d) times/.exec(said(find(word), 'dimple')!.text)?.[1]);
  assert.ok(times(fourInHand) > times(windsor));
});

test('how far a tie fills the opening of a buttoned jacket', () => {
  const opening = (bladeMm: number, buttoningMm: number, worn: 'open' | 'closed' = 'closed') =>
    said(
      find(fourInHand, {
        jacket: { lapelMm: 85, worn, buttoningMm },
        tie: { ...tieA, bladeMm, tailMm: Math.min(48, bladeMm), neckMm: Math.min(34, bladeMm * 0.5) },
      }),
      'opening',
    );
  assert.equal(opening(85, 330, 'open'), undefined, 'nothing to fill');
  assert.match(opening(85, 330)!.text, /^Fills \d+% of the jacket’s opening halfway down\./);
  const share = (bladeMm: number) => Number(/(\d+)%/.exec(opening(bladeMm, 330)!.text)?.[1]);
  assert.ok(share(45) < share(85), 'a slim tie fills less of it');
  assert.match(opening(30, 200)!.text, /^Fills only/);
});

test('a motif is told where it lands, and what hides it', () => {
  const motif = (motifMm: number | null, jacket: PlanQuestion['jacket'] = null) =>
    said(find(fourInHand, { tie: { ...tieA, motifMm }, jacket }), 'motif');
  assert.equal(motif(null), undefined);
  assert.deepEqual(motif(150)!.text, 'The motif sits 30 cm below the collar button, in sight.');
  assert.equal(motif(430)!.verdict, 'poor', 'under the knot');
  assert.match(motif(60, { lapelMm: 85, worn: 'closed', buttoningMm: 320 })!.text, /hidden by the buttoned jacket/);
  assert.match(motif(150, { lapelMm: 85, waistcoat: true })!.text, /hidden by the waistcoat/);
});

test('a tie stands out against what it is worn with, or recedes into it', () => {
  const { tie: _, ...outfit } = question;
  const judged = (colour: string, jacketColour: string | null, trousersColour: string | null = null) =>
    judgeTie({ question: outfit, shirtColour: '#ffffff', jacketColour, trousersColour }, { ...tieA, colours: [colour] }).reasons.find(
      ({ code }) => code === 'colour-with-rest',
    );
  assert.equal(judged('#223344', null), undefined, 'nothing to hold it against');
  assert.deepEqual(judged('#223344', '#243447')?.text, 'Recedes into the jacket.');
  assert.equal(judged('#c01818', '#14161c')?.text, 'Stands out against the jacket.');
  assert.equal(judged('#223344', '#243447', '#d8cfb8')?.text, 'Recedes into the jacket; stands out against the trousers.');
});

test('every school says who would choose it, and every dress code asks for something it can get', () => {
  for (const { schools: each } of Object.values(schools))
    for (const { says, chosenBy } of Object.values(each)) {
      assert.match(says, /\.$/);
      assert.match(chosenBy, /^For .+\.$/);
    }
  for (const { formality } of Object.values(dressCodes)) if (formality) assert.ok(formality[0] < formality[1]);
});
