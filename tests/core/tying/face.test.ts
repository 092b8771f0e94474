import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { type KnotShape, parseKnot, plan, takeUp } from '../../../src/core/index.ts';
import { layersOf, shownLayers, topLayer } from '../../../src/core/tying/face.ts';
import { isWithin, outlineOf } from '../../../src/core/tying/outline.ts';
import { anyKnot, anyTie } from '../../support/arbitrary.ts';
import { question } from '../../support/ties.ts';

const { knots } = plan({ ...question, taste: { knots: 'all', manner: 'any' } });
const shapeOf = (word: string): KnotShape => takeUp(parseKnot(word), question.tie, { loopMm: 420, tailMm: 350 }).shape;

test('the outline runs once round the knot, as wide and as high as its measures', () => {
  fc.assert(
    fc.property(anyKnot, anyTie, (knot, tie) => {
      const { shape, takeUpMm } = takeUp(knot, tie, { loopMm: 420, tailMm: 350 });
      // Past the blade's own tip there is no band to draw.
      fc.pre(takeUpMm < tie.lengthMm - 420 - 350 - tie.bladeMm);
      const outline = outlineOf(shape);
      const across = outline.map(([x]) => x);
      assert.ok(Math.abs(Math.max(...across) - Math.min(...across) - shape.topMm) < 1e-9);
      assert.ok(Math.max(...outline.map(([, y]) => y)) <= shape.heightMm * 1.02 + 0.04 * shape.topMm);
      assert.ok(isWithin([0, shape.heightMm / 2], outline));
      assert.ok(!isWithin([shape.topMm, shape.heightMm / 2], outline));
      // Twice the signed area of a polygon that crosses itself nowhere is near that of its trapezium.
      const twice = outline.reduce((sum, [x, y], i) => {
        const [x2, y2] = outline[(i + 1) % outline.length]!;
        return sum + x * y2 - x2 * y;
      }, 0);
      const trapezium = (shape.topMm + shape.bottomMm) * shape.heightMm;
      assert.ok(Math.abs(Math.abs(twice) / trapezium - 1) < 0.25);
    }),
  );
});

test('the passes in front are its layers, and shares of the face add up to no more than the whole', () => {
  for (const { moves, shape } of knots) {
    const knot = parseKnot(moves);
    const layers = layersOf(knot, shape, 'right');
    const front = knot.moves.filter(({ direction }) => direction === 'i').length;
    assert.equal(layers.length, front + (knot.finish === 'collar' ? 0 : 1), moves);
    const shown = shownLayers(knot, shape, 'right');
    const total = shown.reduce((sum, { share }) => sum + share, 0);
    assert.ok(total > 0.4 && total <= 1 + 1e-9, `${moves}: ${total}`);
    assert.ok(shown.every(({ share }, i) => share > 0 && share <= (shown[i - 1]?.share ?? 1)));
  }
});

test('the last front band is most of a tucked face and the panel of an open one', () => {
  for (const { moves, shape } of knots) {
    const knot = parseKnot(moves);
    const [largest] = shownLayers(knot, shape, 'right');
    if (knot.finish === 'open') assert.equal(largest?.place, 'panel', moves);
    if (knot.finish === 'tuck') assert.deepEqual([largest?.place, largest?.move], ['band', knot.moves.length - 1], moves);
  }
});

test('what is covered does not show: of two bands in one place only the later one', () => {
  const word = 'Li Ro Li Ro Li Co T';
  const bands = shownLayers(parseKnot(word), shapeOf(word), 'right').filter(({ place }) => place === 'band');
  assert.deepEqual(
    bands.filter(({ share }) => share > 0.02).map(({ move }) => move),
    [5],
  );
});

test('turns over an arm show on the shoulder that arm is on, and change sides with the blade', () => {
  const word = 'Li Ro Ci Lo Ri Co T';
  const places = (blade: 'right' | 'left') =>
    layersOf(parseKnot(word), shapeOf(word), blade).flatMap(({ place }) => (place.endsWith('shoulder') ? [place] : []));
  assert.deepEqual(places('right'), ['right shoulder']);
  assert.deepEqual(places('left'), ['left shoulder']);
});

test('what lies on top is the last band, or the panel that falls over it', () => {
  for (const { moves: word } of knots) {
    const knot = parseKnot(word);
    const top = layersOf(knot, shapeOf(word), 'right').findLast(({ place }) => place === 'band' || place === 'panel');
    assert.deepEqual(topLayer(knot, shapeOf(word)), top, word);
  }
});
