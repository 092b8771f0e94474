import assert from 'node:assert/strict';
import test from 'node:test';
import fc from 'fast-check';
import { cardCaution, cardLines, cardNotes } from '../../../src/core/guide/card.ts';
import { dimpleWays, dimpleWaysFor } from '../../../src/core/guide/dimples.ts';
import { finishingOf } from '../../../src/core/guide/finishing.ts';
import { readElsewhere } from '../../../src/core/guide/fromElsewhere.ts';
import { guideOf, inWordsAlone, saysIn } from '../../../src/core/guide/guide.ts';
import { holdsOf } from '../../../src/core/guide/holds.ts';
import { beganAs, knotsSeenAs, type Points, statesSeen } from '../../../src/core/guide/lost.ts';
import { movesTold } from '../../../src/core/guide/movesTold.ts';
import { frameFrom, type Seat, seatCodes, sideFrom, startSide } from '../../../src/core/guide/seat.ts';
import { pullsOpen, untyingOf } from '../../../src/core/guide/untying.ts';
import { formatKnot, parseKnot, stepsOf, supposeTie } from '../../../src/core/index.ts';
import { knotsInManner, mannerCodes } from '../../../src/core/knot/manners.ts';
import { passesOf } from '../../../src/core/knot/passes.ts';
import { anyFrame, anyKnot } from '../../support/arbitrary.ts';

const silk = supposeTie({ lengthMm: 1470, bladeMm: 85, thicknessMm: 3.2 });
const windsor = parseKnot('Li Co Ri Lo Ci Ro Li Co T');
const habits = { tightens: 'blade', keeper: 'before', button: 'first', tucks: 'buttons' } as const;
const finishing = { tie: silk, dimple: 'centred', habits, reachesKeeper: true } as const;
const anySeat = fc.constantFrom(...seatCodes);
const anySide = fc.constantFrom('left' as const, 'right' as const);

test('a side is named by whose it is: the client’s other side where one faces them, the same from behind', () => {
  assert.equal(sideFrom('mirror', 'left'), 'your left');
  assert.equal(sideFrom('facing', 'left'), 'your left, the client’s right');
  assert.equal(sideFrom('behind', 'left'), 'your left, the client’s left');
  assert.equal(startSide('facing', 'right'), 'left');
  assert.equal(startSide('behind', 'right'), 'right');
});

test('every move is told with the side, the pass and the visible side of the one list of steps', () => {
  fc.assert(
    fc.property(anyKnot, anySeat, anySide, (knot, seat, blade) => {
      const steps = stepsOf(knot, frameFrom(seat, blade));
      const told = movesTold(knot, { seat, blade, pins: 'left' });
      assert.equal(told.length, steps.length);
      told.forEach((each, i) => {
        const step = steps[i]!;
        assert.equal(each.move, step.move);
        if (step.to !== 'centre') {
          assert.ok(each.say.includes(sideFrom(seat, step.to)), each.say);
          assert.ok(each.rests.includes(sideFrom(seat, step.to)), each.rests);
          assert.match(each.say, step.pass === 'front' ? /across the front/ : /behind/);
          assert.match(each.shown, step.shows === 'face' ? /’s face shows/ : /’s seam side shows/);
        } else assert.match(each.say, step.pass === 'front' ? /down through the throat/ : /up through the throat/);
      });
    }),
  );
});

test('seen from behind the words are those of the mirror, with whose side it is; facing, every side is the other one', () => {
  const say = (seat: Seat) => movesTold(windsor, { seat, blade: 'right', pins: 'left' }).map((each) => each.say);
  assert.deepEqual(
    say('behind').map((text) => text.replaceAll(/, the client’s (left|right)/g, '')),
    say('mirror'),
  );
  const swapped = say('mirror').map((text) =>
    text.replaceAll(/your (left|right)/g, (_, side) => `your ${side === 'left' ? 'right' : 'left'}`),
  );
  assert.deepEqual(
    say('facing').map((text) => text.replaceAll(/, the client’s (left|right)/g, '')),
    swapped,
  );
});

test('one hand pins from first to last; or hands change on side moves and stay on centre moves', () => {
  const pinned = holdsOf('left', 'blade', 'right', ['left', 'centre', 'right']);
  assert.match(pinned.start, /left hand pins/);
  assert.ok(pinned.moves.every((text) => /left hand pins; your right hand makes/.test(text)));
  const changing = holdsOf('changes', 'blade', 'right', ['left', 'centre', 'left', 'right']);
  assert.match(changing.moves[0]!, /Hands change: your left hand takes the blade, your right hand pins/);
  assert.match(changing.moves[1]!, /Hands stay: your left hand/);
  assert.match(changing.moves[2]!, /Your left hand keeps/);
  assert.match(changing.moves[3]!, /Hands change: your right hand/);
});

test('the finish follows the habits: which pull first, the keeper before or after the last snug, the top button', () => {
  const codes = (changes: object) => finishingOf({ knot: windsor, ...finishing, ...changes }).map(({ code }) => code);
  assert.deepEqual(codes({}), ['tuck', 'dimple', 'compact', 'slide', 'arch', 'collar', 'keeper', 'snug', 'pin']);
  assert.deepEqual(codes({ habits: { ...habits, tightens: 'tail', keeper: 'after' } }), [
    ...['tuck', 'dimple', 'slide', 'compact', 'arch', 'collar', 'snug', 'keeper', 'pin'],
  ]);
  assert.deepEqual(codes({ way: 'edges' }).slice(0, 2), ['dimple', 'tuck'], 'folded edges go in already folded');
  const flat = finishingOf({ knot: windsor, ...finishing, dimple: 'none' });
  assert.ok(!flat.some(({ code }) => code === 'arch') && flat.some(({ wrong }) => /bulges/.test(wrong)));
  const last = finishingOf({ knot: windsor, ...finishing, habits: { ...habits, button: 'last' } });
  assert.match(last.find(({ code }) => code === 'snug')!.say, /top button now/);
  const short = finishingOf({ knot: windsor, ...finishing, reachesKeeper: false });
  assert.match(short.find(({ code }) => code === 'keeper')!.say, /too short.*two buttons/);
});

test('open fronts, tails that tie and ends under the collar have a finish of their own, and no dimple is laid from a band they have not', () => {
  for (const code of mannerCodes) {
    const knot = knotsInManner(code, 6).at(-1)!;
    const steps = guideOf(knot, { seat: 'mirror', blade: 'right', pins: 'left' }, finishing);
    const finishes = steps.flatMap((step) => (step.kind === 'finish' ? [step.finish.code] : []));
    assert.equal(finishes.includes('dimple'), code === 'classic', code);
    assert.ok(finishes.includes(knot.finish === 'open' ? 'panel' : knot.finish === 'collar' ? 'hide' : 'tuck'), code);
    assert.equal(finishes.includes('keeper'), knot.finish !== 'collar');
    for (const step of steps) {
      const words = inWordsAlone(step);
      assert.ok(words.startsWith(saysIn(step)) && !/undefined|null|\.\./.test(words), words);
    }
  }
});

test('the way a dimple is laid suits the cloth: smooth silk is folded before it goes in, thick cloth is pressed', () => {
  assert.equal(dimpleWaysFor({ fabric: 'satin', thicknessMm: 2, bladeMm: 85 })[0], 'edges');
  assert.equal(dimpleWaysFor({ fabric: 'wool', thicknessMm: 5, bladeMm: 80 })[0], 'finger');
  assert.equal(dimpleWaysFor({ fabric: 'woven-silk', thicknessMm: 2.6, bladeMm: 80 })[0], 'pinch');
  assert.equal(new Set(dimpleWaysFor({ fabric: 'linen', thicknessMm: 3, bladeMm: 70 })).size, Object.keys(dimpleWays).length);
});

test('whoever is lost is found from what each state looks like, nearest to where they thought to be', () => {
  fc.assert(
    fc.property(anyKnot, fc.nat(), (knot, seed) => {
      const done = 1 + (seed % knot.moves.length);
      const { region, side } = passesOf(knot)[done - 1]!;
      const points: Points = region === 'C' ? (side === 'front' ? 'behind' : 'front') : region;
      const face = region === 'C' ? side === 'behind' : side === 'front';
      const found = statesSeen(knot, { points, shows: face ? 'face' : 'seam' }, done);
      assert.equal(found[0]?.done, done, formatKnot(knot));
      assert.ok(found.every((state) => state.bands >= 0 && state.bands <= state.done));
    }),
  );
  const oriental = parseKnot('Lo Ri Co T');
  const strange = { points: 'behind', shows: 'seam' } as const;
  assert.deepEqual(statesSeen(oriental, strange), []);
  const others = knotsSeenAs(strange, oriental, 3);
  assert.equal(others.length, 3);
  assert.ok(others.every((knot) => statesSeen(knot, strange).length > 0));
});

test('what was done so far is this knot as far as it agrees, and otherwise the beginning of another', () => {
  const half = parseKnot('Li Ro Ci Lo Ri Co T');
  const made = (word: string, moves: number) => passesOf(parseKnot(word)).slice(0, moves);
  assert.deepEqual(beganAs(made('Li Ro Ci Lo Ri Co T', 4), half, 3).isOwn, true);
  const sister = beganAs(made('Li Ro Ci Ro Li Co T', 4), half, 5);
  assert.equal(sister.isOwn, false);
  assert.equal(sister.agrees, 3);
  assert.equal(formatKnot(sister.others[0]!), 'Li Ro Ci Ro Li Co T', 'the one with a name stands first');
  assert.equal(beganAs(made('Li Co Li Co Li Co Li Ro Li Co T', 7), half, 3).others.length, 0);
});

test('a knot is untied by its own moves the other way round, down to the tie hanging loose', () => {
  fc.assert(
    fc.property(anyKnot, anySeat, anySide, (knot, seat, blade) => {
      const steps = untyingOf(knot, seat, blade);
      assert.deepEqual(
        steps.map(({ done }) => done),
        [null, knot.moves.length, ...Array.from({ length: knot.moves.length }, (_, i) => knot.moves.length - 1 - i)],
      );
      const last = passesOf(knot)[0]!;
      assert.match(steps.at(-1)!.say, last.side === 'front' ? /back across the front/ : /back behind/);
      assert.ok(steps.at(-1)!.say.includes(sideFrom(seat, startSide(seat, blade))), 'back to where the blade hung');
    }),
  );
  assert.match(pullsOpen(windsor) ?? '', /pulls open/);
  assert.equal(pullsOpen(parseKnot('Lo Ri Co T')), null);
});

test('moves written for any view are read as the same knot, with all views they can have been written for', () => {
  fc.assert(
    fc.property(anyKnot, anyFrame, (knot, frame) => {
      const read = readElsewhere(formatKnot(knot, frame));
      assert.equal(formatKnot(read.knot), formatKnot(knot));
      assert.equal(read.writtenFor.length, 2);
      assert.ok(read.writtenFor.some(({ view, blade }) => view === frame.view && blade === frame.blade));
    }),
  );
  assert.throws(() => readElsewhere('Li Lo Co T'));
});

test('a card has a picture for every move and its tuck, says it in short and in whole, and warns', () => {
  const steps = guideOf(windsor, { seat: 'mirror', blade: 'left', pins: 'right' }, finishing);
  const lines = cardLines(steps);
  assert.deepEqual(
    lines.map(({ mark }) => mark),
    ['Lay it on', 'Ri', 'Co', 'Li', 'Ro', 'Ci', 'Lo', 'Ri', 'Co', 'Tuck', 'Slide it up'],
  );
  assert.ok(lines.every(({ short, whole }) => short.length > 0 && short.length < whole.length));
  assert.match(cardNotes(windsor, steps, 'woven-silk').join(' '), /Dimple: .*Untie: .*pulls open.*day’s rest/);
  assert.match(cardCaution, /one finger’s room.*child.*breakaway/);
});

test('where the tail ties it is the tail that hangs on the side the moves start from, and the blade that stands still', () => {
  const knot = knotsInManner('narrow', 6).at(-1)!;
  for (const seat of seatCodes) {
    for (const blade of ['right', 'left'] as const) {
      const steps = guideOf(knot, { seat, blade, pins: 'changes' }, finishing);
      const side = startSide(seat, blade);
      const [lay, first] = steps;
      assert.ok(lay?.kind === 'lay' && lay.say.includes(`The tail hangs on ${sideFrom(seat, side)}`), saysIn(lay!));
      assert.ok(lay.hold.includes(`Your ${side} hand holds the tail`));
      assert.ok(first?.kind === 'move' && first.told.to !== 'centre' && first.told.to !== side, 'the first move leaves that side');
    }
  }
});

test('loose turns are told to be held open, and where they begin is said at that move', () => {
  const knot = knotsInManner('narrow', 6).find(({ loose }) => loose)!;
  const told = movesTold(knot, { seat: 'mirror', blade: 'right', pins: 'left' });
  told.forEach(({ say, mind }, i) => {
    assert.equal(say.startsWith('Loosely'), i + 1 >= knot.loose!.from, say);
    assert.equal(/stay open/.test(mind ?? ''), i + 1 === knot.loose!.from);
  });
});

test('a finger is left under the front band, the knot is pinched before the tuck, and every turn at the throat is kept flat', () => {
  fc.assert(
    fc.property(anyKnot, (knot) => {
      const minded = movesTold(knot, { seat: 'facing', blade: 'right', pins: 'left' }).map(({ mind }) => mind ?? '');
      assert.match(minded.at(-2)!, /finger must fit under it/);
      assert.match(minded.at(-1)!, /pinch/);
      minded.slice(1, -2).forEach((mind, i) => {
        assert.equal(/flat/.test(mind), knot.moves[i + 1]!.region === 'C');
      });
    }),
  );
});
