import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { formatKnot, parseKnot, stepsOf } from '../../../src/core/index.ts';
import { swapsSides } from '../../../src/core/knot/frame.ts';
import { anyFrame, anyKnot } from '../../support/arbitrary.ts';

test('the steps of a Four-in-hand, in the wearer’s mirror and facing the client', () => {
  const knot = parseKnot('Li Ro Li Co T');
  assert.deepEqual(stepsOf(knot), [
    { move: 'Li', to: 'left', pass: 'front', shows: 'face', text: 'across the front to the left' },
    { move: 'Ro', to: 'right', pass: 'behind', shows: 'seam', text: 'behind to the right' },
    { move: 'Li', to: 'left', pass: 'front', shows: 'face', text: 'across the front to the left' },
    { move: 'Co', to: 'centre', pass: 'behind', shows: 'seam', text: 'up and out through the throat' },
  ]);
  assert.deepEqual(
    stepsOf(knot, { view: 'facing', blade: 'right' }).map(({ move, to }) => [move, to]),
    [
      ['Ri', 'right'],
      ['Lo', 'left'],
      ['Ri', 'right'],
      ['Co', 'centre'],
    ],
  );
});

test('one entry a move in every frame; only left and right change between frames, and the moves are those that are written', () => {
  fc.assert(
    fc.property(anyKnot, anyFrame, (knot, frame) => {
      const [steps, own] = [stepsOf(knot, frame), stepsOf(knot)];
      assert.equal(steps.map(({ move }) => move).join(' '), formatKnot(knot, frame).replace(/ T$/, ''));
      const mirrored = { left: 'right', right: 'left', centre: 'centre' } as const;
      steps.forEach(({ to, pass, shows }, i) => {
        const same = own[i]!;
        assert.equal(to, swapsSides(frame) ? mirrored[same.to] : same.to);
        assert.deepEqual([pass, shows], [same.pass, same.shows]);
        assert.equal(shows, pass === 'front' ? 'face' : 'seam');
      });
    }),
  );
});
