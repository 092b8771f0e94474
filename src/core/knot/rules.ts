import { type Frame, swapsSides } from './frame.ts';
import { type Finish, fewestMoves, type Move, type Region, twoFingersMm } from './knot.ts';
import type { Spoken } from './read.ts';
import { KnotWordError } from './wordError.ts';

const sideNames: Readonly<Record<Region, string>> = { L: 'left', C: 'centre', R: 'right' };

const purposes: Readonly<Record<Finish, string>> = {
  tuck: 'so that it can be tucked',
  open: 'so that the blade can drop over the front',
  collar: 'so that the end can go under the collar',
};

const narrowestLooseMm = 20;
const widestLooseMm = 60;

/** What cannot be combined: which end ties, how it is finished, and what is held loose. */
export function refuseManner({ active, finish, loose }: Spoken): void {
  if (active === 'narrow' && finish === 'open') {
    throw new KnotWordError('manner', 'With the tail tying, a panel would leave the tail hanging in front: end with T or H.');
  }
  if (active === 'blade' && finish === 'collar') {
    throw new KnotWordError('manner', 'The blade can’t be hidden under the collar: begin with N, or end with T or D.');
  }
  if (!loose) return;
  if (active === 'blade') {
    throw new KnotWordError('loose', 'With the blade tying, every turn is drawn tight: loose turns are for the tail.', loose.from);
  }
  if (loose.diameterMm < narrowestLooseMm || loose.diameterMm > widestLooseMm) {
    throw new KnotWordError(
      'loose',
      `Loose turns are held ${narrowestLooseMm} to ${widestLooseMm} mm wide: two fingers are about ${twoFingersMm}.`,
      loose.from,
    );
  }
}

/** Checks the rules in the order a hand would meet them. Messages use the side as it was written. */
export function refuseIllegal(moves: readonly Move[], { moves: spoken, finish, active }: Spoken, frame: Frame): void {
  const [first] = moves;
  if (!first) throw new KnotWordError('empty', 'There are no moves in it. A knot starts like Li Ro …');

  if (first.region !== 'L') {
    const wanted = swapsSides(frame) ? 'right' : 'left';
    const written = sideNames[spoken[0]?.region ?? 'C'];
    const hint = first.region === 'R' ? ' In the other view it may be right: swap left and right.' : '';
    throw new KnotWordError(
      'first-move',
      `Move 1 goes to the ${written}, but in this view the ${active === 'narrow' ? 'tail' : 'blade'} starts there or above: the first move goes to the ${wanted}.${hint}`,
      1,
    );
  }

  moves.forEach((move, i) => {
    const before = moves[i - 1];
    if (!before) return;
    const side = sideNames[spoken[i]?.region ?? 'C'];
    if (before.region === move.region) {
      throw new KnotWordError('same-region', `Move ${i + 1} stays at the ${side}: each move goes to another region.`, i + 1);
    }
    if (before.direction === move.direction) {
      const written = move.direction === 'i' ? 'in' : 'out';
      throw new KnotWordError(
        'alternation',
        `Move ${i + 1} goes ${written} again: moves alternate in and out, since an end in front can only go behind next.`,
        i + 1,
      );
    }
  });

  const h = moves.length;
  const last = moves[h - 1];
  const fewest = fewestMoves[finish];
  if (h < fewest) {
    throw new KnotWordError('too-few-moves', `${h} ${h === 1 ? 'move does' : 'moves do'} not make a knot: ${fewest} is the fewest.`);
  }
  if (last?.region !== 'C' || last.direction !== 'o') {
    throw new KnotWordError('last-move', `Move ${h} must be Co, up and out through the throat, ${purposes[finish]}.`, h);
  }
  if (finish !== 'tuck') return;
  const band = moves[h - 2];
  const bandFrom = moves[h - 3];
  if (band?.region === 'C' || bandFrom?.region === 'C') {
    throw new KnotWordError(
      'front-band',
      `Move ${h - 1} must cross the front from one side to the other, so that the tuck has a fresh band to pass through.`,
      h - 1,
    );
  }
}
