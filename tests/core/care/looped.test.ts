import assert from 'node:assert/strict';
import test from 'node:test';
import { afterWear, loopedInWords } from '../../../src/core/care/afterWear.ts';
import { handsBreadthMm, headGirthMm, loopedRoom } from '../../../src/core/care/looped.ts';
import { completeRequest } from '../../../src/core/index.ts';
import { planKnot } from '../../../src/core/plan/plan.ts';
import { question } from '../../support/ties.ts';

const request = completeRequest(question);
const roomFor = (moves: string, changes: Partial<typeof request> = {}) => {
  const asked = { ...request, ...changes };
  return loopedRoom(planKnot(asked, moves), asked);
};
const cm = (mm: number) => `${Math.round(mm / 10)} cm`;

test('what the loop gains over the head the tail loses below the knot', () => {
  const plan = planKnot(request, 'Li Ro Li Co T');
  const loopMm = request.client.neckMm + request.shirt.collarAllowanceMm;
  const room = loopedRoom(plan, request);
  assert.equal(room.end, 'tail');
  assert.ok(Math.abs(room.leftMm - (plan.tail.dropMm - plan.shape.heightMm - (headGirthMm - loopMm))) < 1e-9);
  assert.equal(room.holds, room.leftMm >= handsBreadthMm);
  assert.ok(room.sdMm > plan.tip.sdMm);
});

test('a longer tie keeps its loop where a usual one loses it, and a neck as wide as the head needs no letting down', () => {
  const longer = { ...request.tie, lengthMm: request.tie.lengthMm + 200, neckAtMm: request.tie.neckAtMm + 60 };
  assert.ok(roomFor('Li Ro Li Co T', { tie: longer }).leftMm > roomFor('Li Ro Li Co T').leftMm + 100);
  const plan = planKnot(request, 'Li Ro Li Co T');
  const wide = loopedRoom(plan, { ...request, client: { ...request.client, neckMm: 600 } });
  assert.ok(Math.abs(wide.leftMm - (plan.tail.dropMm - plan.shape.heightMm)) < 1e-9);
});

test('it is told whether the loop keeps, with what is left and what it costs this fabric', () => {
  const room = { end: 'tail', sdMm: 30 } as const;
  assert.match(
    loopedInWords('satin', { ...room, leftMm: 130, holds: true }, cm),
    /13 cm of the tail stays .* the loop keeps\. .*dull lines/,
  );
  assert.match(
    loopedInWords('knit', { ...room, leftMm: 40, holds: false }, cm),
    /4 cm .*less than a hand’s breadth \(9 cm\).*undo it\. .*grows/,
  );
  assert.match(loopedInWords('wool', { ...room, leftMm: -20, holds: false }, cm), /would be drawn out of the knot: undo it/);
});

test('after wear each fabric is stored its own way, and none knotted', () => {
  assert.match(afterWear('knit'), /never hang it.*2 days’ rest.*Never store it knotted/);
  assert.match(afterWear('woven-silk'), /a day’s rest/);
});
