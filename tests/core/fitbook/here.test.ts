import assert from 'node:assert/strict';
import test from 'node:test';
import { uncalibrated } from '../../../src/core/fitbook/calibration.ts';
import { findings, looks } from '../../../src/core/fitbook/findings.ts';
import { calibrationHere, type LearntHere, nothingLearnt, untaught } from '../../../src/core/fitbook/here.ts';
import { overviewOf } from '../../../src/core/fitbook/overview.ts';
import { bookSays, knownOfClient } from '../../../src/core/fitbook/says.ts';
import { asSeen, shapeLearnt } from '../../../src/core/fitbook/shapes.ts';
import { learntBook } from '../../../src/core/fitbook/shelf.ts';
import { seenOnStand, teachesMost } from '../../../src/core/fitbook/stand.ts';
import { errorOf, learnRecordOf, type RecordedTying } from '../../../src/core/fitbook/tying.ts';
import { completeRequest, type LearnRecord, learn, parseKnot, takeUp } from '../../../src/core/index.ts';
import { planKnot } from '../../../src/core/plan/plan.ts';
import { supposeTie } from '../../../src/core/tie/tie.ts';
import { question } from '../../support/ties.ts';

const moves = 'Li Ro Li Co T';
const request = completeRequest(question);
const dropMm = request.client.frontDropMm ?? 0;

/** A client whose tips have ended so much lower, in one tie, a number of times. */
function taught(lowerMm: number, times: number, { drop = dropMm, measured = true } = {}): LearntHere {
  const record: LearnRecord = {
    ...{ stylist: 's', client: 'c', tie: 't', knot: moves, takeUpMm: 187, tipErrorMm: lowerMm, dropMeasured: measured },
  };
  const records = Array.from({ length: times }, (_, i) => ({ ...record, tipErrorMm: lowerMm + 4 * Math.cos(i) }));
  const book = learntBook({ records, ids: [], lookedBack: [] });
  return { ...book.here({ client: { id: 'c', drop: { meanMm: drop, measured } }, hands: ['s'], ties: ['t', 'u'] }), stylist: 's' };
}
const planned = (learnt: LearntHere, tie = 't', of = request) =>
  planKnot({ ...of, calibration: calibrationHere(learnt, [], of, tie) }, moves);

test('a book that knows nothing changes nothing', () => {
  assert.equal(calibrationHere(nothingLearnt, [], request, 't'), request.calibration);
  assert.deepEqual(untaught(request).calibration, uncalibrated);
});

test('tips that ended low start lower and surer: most in the same tie, less in another, and the plan still aims where it aimed', () => {
  const learnt = taught(30, 7);
  const plain = planKnot(request, moves);
  const same = planned(learnt);
  const other = planned(learnt, 'u');
  assert.ok(same.start.tailDropMm > other.start.tailDropMm && other.start.tailDropMm > plain.start.tailDropMm);
  assert.ok(same.tip.sdMm < other.tip.sdMm && other.tip.sdMm < plain.tip.sdMm);
  assert.ok(Math.abs(same.tip.dropMm - plain.tip.dropMm) < 1e-9);
});

test('what is said of it has the amount and how many tyings, the weightiest first', () => {
  const said = bookSays(taught(30, 7), 't', moves, 187);
  assert.ok(said.length > 1 && said.every(({ tyings }) => tyings === 7));
  assert.deepEqual(
    said.map(({ lowerMm }) => Math.abs(lowerMm)),
    said.map(({ lowerMm }) => Math.abs(lowerMm)).toSorted((a, b) => b - a),
  );
  assert.ok(said.every(({ lowerMm }) => lowerMm > 0));
  assert.deepEqual(bookSays(nothingLearnt, 't', moves, 187), []);
  assert.equal(knownOfClient(taught(30, 7))?.tyings, 7);
});

test('a tape used after it was learnt against an estimate narrows it; another taped drop is one that nothing is known of', () => {
  const estimated = completeRequest({ ...question, client: { ...question.client, frontDropMm: 450, frontDropHow: 'estimate' } });
  const learnt = taught(25, 6, { drop: 450, measured: false });
  const taped = completeRequest({ ...question, client: { ...question.client, frontDropMm: 430 } });
  const before = calibrationHere(learnt, [], estimated, 't').client;
  const after = calibrationHere(learnt, [], taped, 't').client;
  assert.ok((after.sdMm ?? 99) <= (before.sdMm ?? 0) + 1e-9);
  assert.ok(after.meanMm < before.meanMm, 'most of what was learnt lay in the drop, and the tape has it now');
  const trousers = completeRequest({ ...question, client: { ...question.client, frontDropMm: dropMm - 40 } });
  assert.deepEqual(calibrationHere(taught(25, 6), [], trousers, 't').client, request.calibration.client);
});

const tying: RecordedTying = {
  ...{ id: 'a', source: 'fitting', clientId: 'c', tieId: 't', knot: moves, personId: 'p', neck: 'facing', end: 'tail' },
  ...{ setMm: 400, tipOffMm: 20, topMm: null, bottomMm: null, heightMm: null, depthMm: null, lean: null },
  figures: { takeUpMm: 187, reckonedOffMm: -12, setMm: 400, dropMm: 450, dropMeasured: 0 },
};

test('a corrected tip or start is learnt as corrected; a tip that was never seen is not learnt', () => {
  assert.equal(errorOf(tying), 32);
  assert.equal(errorOf({ ...tying, tipOffMm: 0 }), 12);
  assert.equal(errorOf({ ...tying, setMm: 410 }), 44, 'the tail hung lower, so the tip should have been 12 higher');
  assert.equal(learnRecordOf({ ...tying, tipOffMm: null }, undefined), undefined);
});

test('a record is told against the drop as it is known now, a client who ties has a hand of their own, nobody shares a missing tie', () => {
  assert.equal(learnRecordOf(tying, { meanMm: 460, measured: true })?.tipErrorMm, 42);
  const taped = { ...tying, figures: { ...tying.figures, dropMeasured: 1 } };
  assert.equal(learnRecordOf(taped, { meanMm: 460, measured: true })?.tipErrorMm, 32, 'other trousers, both taped');
  assert.equal(learnRecordOf({ ...tying, neck: 'self' }, undefined)?.stylist, 'client:c');
  assert.notEqual(
    learnRecordOf({ ...tying, tieId: null }, undefined)?.tie,
    learnRecordOf({ ...tying, id: 'b', tieId: null }, undefined)?.tie,
  );
  assert.equal(learnRecordOf({ ...tying, source: 'stand' }, undefined)?.client, null);
});

test('a knot that came out wider is planned wider, in this tie most', () => {
  const wide = { ...tying, topMm: 60, lean: 'clear-right' as const, figures: { ...tying.figures, topMm: 50, leanDeg: 1 } };
  const records = [1, 2, 3].flatMap((i) => learnRecordOf({ ...wide, id: `${i}` }, undefined) ?? []);
  const { here } = learntBook({ records, ids: [], lookedBack: [] });
  const { looks: seen } = here({ client: null, hands: [], ties: ['t', 'u'] });
  const same = shapeLearnt(seen, 't');
  const other = shapeLearnt(seen, 'u');
  const { shape } = planKnot(request, moves);
  assert.ok(asSeen(shape, same, moves).topMm > 1.1 * shape.topMm);
  assert.ok(asSeen(shape, other, moves).topMm < asSeen(shape, same, moves).topMm);
  assert.ok(asSeen(shape, same, moves).tiltDeg > shape.tiltDeg + 5);
  assert.equal(asSeen(shape, undefined, moves), shape);
});

test('bottom and depth go by the calliper: the bottom with the width and by its own share, the depth by itself', () => {
  const figures = { ...tying.figures, topMm: 50, bottomMm: 30, heightMm: 45, depthMm: 16 };
  const learnt = (seen: Partial<RecordedTying>) => {
    const records = [1, 2, 3].flatMap((i) => learnRecordOf({ ...tying, ...seen, figures, id: `${i}` }, undefined) ?? []);
    const { looks } = learntBook({ records, ids: [], lookedBack: [] }).here({ client: null, hands: [], ties: ['t'] });
    return shapeLearnt(looks, 't');
  };
  const { shape } = planKnot(request, moves);
  const wider = asSeen(shape, learnt({ topMm: 60 }), moves);
  assert.ok(Math.abs(wider.bottomMm / shape.bottomMm - wider.topMm / shape.topMm) < 1e-9, 'as much wider below as above');
  const open = asSeen(shape, learnt({ topMm: 60, bottomMm: 42 }), moves);
  assert.ok(open.bottomMm / shape.bottomMm > 1.05 * (open.topMm / shape.topMm));
  const deep = asSeen(shape, learnt({ depthMm: 25 }), moves);
  assert.ok(deep.depthMm > 1.4 * shape.depthMm && deep.topMm === shape.topMm && deep.bottomMm === shape.bottomMm);
  // What was kept before either was measured says nothing of them.
  const before = asSeen(shape, { top: 0.1, height: 0, leanDeg: 0 }, moves);
  assert.equal(before.depthMm, shape.depthMm);
  assert.ok(Math.abs(before.bottomMm - 1.1 * shape.bottomMm) < 1e-9);
});

test('on a stand the take-up is what is left of the length; what would teach most is worn most and known least', () => {
  const tie = supposeTie(question.tie);
  const hang = { loopMm: 420, tailMm: 410 };
  const { takeUpMm } = takeUp(parseKnot(moves), tie, hang);
  const tipMm = tie.lengthMm - 420 - 410 - takeUpMm * 1.1;
  const seen = seenOnStand(moves, tie, { ...hang, tipMm });
  assert.ok(Math.abs(seen.errorMm + 0.1 * takeUpMm) < 1e-9, 'it took up more, so the tip hung higher');
  const known = learn([{ stylist: 's', client: null, tie: 'a', knot: moves, takeUpMm: 187, tipErrorMm: 3, dropMeasured: false }]).known([
    'tie/a',
    `knot/${moves}`,
    'stylist/s',
  ]);
  const ties = ['a', 'b'].map((id) => ({ id, wearings: 3 }));
  assert.equal(teachesMost(known, 's', ties, [moves])?.tie, 'b');
  assert.equal(
    teachesMost(
      known,
      's',
      [
        { id: 'b', wearings: 0 },
        { id: 'd', wearings: 40 },
      ],
      [moves],
    )?.tie,
    'd',
  );
  assert.equal(teachesMost(known, 's', [], [moves]), undefined);
});

test('looked back on: first tries by month, bands that held, and a second attempt is no first try', () => {
  const figures = { takeUpMm: 187, aimOffMm: -12, aboveMm: 13, belowMm: 12, plannedOffMm: -12, plannedSdMm: 10 };
  const one = { source: 'fitting' as const, clientId: 'c', tieId: 't', knot: moves, personId: null, figures };
  const all = [
    { ...one, id: '1', doneOn: '2026-10-02', tipOffMm: -10, tries: 1 },
    { ...one, id: '2', doneOn: '2026-10-09', tipOffMm: 20, tries: 1 },
    { ...one, id: '3', doneOn: '2026-11-01', tipOffMm: -12, tries: 2 },
    { ...one, id: '4', doneOn: '2026-11-02', tipOffMm: null, tries: 1 },
  ];
  const { months, bands, groups } = overviewOf(learn([]), [], all);
  assert.deepEqual(
    months.map(({ month, tyings, within }) => [month, tyings, within]),
    [
      ['2026-10', 2, 1],
      ['2026-11', 1, 0],
    ],
  );
  assert.deepEqual([bands.told, bands.held], [3, 2]);
  assert.deepEqual([groups.tie[0]?.tyings, groups.person.length], [3, 0]);
});

test('every finding is looked for in exactly one place', () => {
  const looked = Object.values(looks).flatMap(({ findings: each }): readonly string[] => each);
  assert.deepEqual(looked.toSorted(), Object.keys(findings).toSorted());
});

test('of a wardrobe without end only the ties tied most are told, so what crosses the wire stays small', () => {
  const many = Array.from({ length: 300 }, (_, i) => i);
  const records = many.flatMap((i) =>
    Array.from(
      { length: i === 299 ? 3 : 1 },
      (): LearnRecord => ({ stylist: 's', client: 'c', tie: `t${i}`, knot: moves, takeUpMm: 187, tipErrorMm: 5, dropMeasured: true }),
    ),
  );
  const { here } = learntBook({ records, ids: [], lookedBack: [] });
  const { known } = here({ client: null, hands: ['s'], ties: many.map((i) => `t${i}`) });
  const ties = known.effects.filter((name) => name.startsWith('tie/'));
  assert.ok(ties.length < 150, `${ties.length}`);
  assert.ok(ties.includes('tie/t299'));
  const begun = teachesMost(
    known,
    's',
    many.map((i) => ({ id: `t${i}`, wearings: i })),
    [moves],
  );
  assert.equal(Number(begun?.tie.slice(1)) > 250, true, 'only what is worn often is weighed');
});

test('the book says which of a client’s fittings it has learnt from, each once, the latest last; of nobody else’s', () => {
  const record = { stylist: 's', tie: 't', knot: moves, takeUpMm: 187, tipErrorMm: 4, dropMeasured: true };
  const of = (client: string | null) => ({ ...record, client });
  const book = learntBook({
    records: [of('a'), of('b'), of('a'), of('a'), of(null)],
    ids: ['f1', 'f2', 'f3', 'f1', 'stand'],
    lookedBack: [],
  });
  const fittings = (id: string) => book.here({ client: { id, drop: { meanMm: 450, measured: true } }, hands: [], ties: [] }).fittings;
  assert.deepEqual([fittings('a'), fittings('b'), fittings('c')], [['f3', 'f1'], ['f2'], []]);
});
