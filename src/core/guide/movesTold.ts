import type { Knot } from '../knot/knot.ts';
import { type Pass, passesOf } from '../knot/passes.ts';
import { type Side, type Step, stepsOf } from '../knot/steps.ts';
import type { DressingHabits } from '../plan/habits.ts';
import { endsOf } from './ends.ts';
import { holdsOf } from './holds.ts';
import { frameFrom, type Seat, sideFrom, startSide } from './seat.ts';

/** Who ties, from where, and how. */
export interface Teller {
  readonly seat: Seat;
  /** The wearer's side on which the blade hangs at the start. */
  readonly blade: 'left' | 'right';
  readonly pins: DressingHabits['pins'];
}

/** One move as it is told to hands that make it. */
export interface ToldMove extends Step {
  /** Which end, over or under what, and where to. */
  readonly say: string;
  /** Which side of the cloth shows now, and where the end rests: what tells that the move was right. */
  readonly shown: string;
  readonly rests: string;
  readonly hold: string;
  /** What to mind just here. */
  readonly mind: string | null;
}

/** Every move of a knot, told from where it is followed. */
export function movesTold(knot: Knot, { seat, blade, pins }: Teller): ToldMove[] {
  const { works, stands } = endsOf(knot);
  const steps = stepsOf(knot, frameFrom(seat, blade));
  const passes = passesOf(knot);
  const holds = holdsOf(
    pins,
    works,
    startSide(seat, blade),
    steps.map(({ to }) => to),
  );
  return steps.map((step, i) => ({
    ...step,
    say: `${step.text.startsWith('loosely') ? 'Loosely, around two fingers: ' : ''}${sayPass(passes[i] as Pass, step.to, works, stands, seat, i)}`,
    shown: shownAt(step, works),
    rests: restsAt(step, steps[i + 1]?.to, stands, seat),
    hold: holds.moves[i] ?? '',
    mind: mind(knot, i),
  }));
}

/** What the hands do before the first move. */
export function holdAtStart(knot: Knot, { seat, blade, pins }: Teller): string {
  return holdsOf(pins, endsOf(knot).works, startSide(seat, blade), []).start;
}

function sayPass({ spoke, side }: Pass, to: Side, works: string, stands: string, seat: Seat, before: number): string {
  if (to === 'centre')
    return side === 'front'
      ? `Lift the ${works} over the front and take it down through the throat.`
      : `Bring the ${works} from behind up through the throat and over the front.`;
  const where = sideFrom(seat, to);
  if (spoke === 'tail')
    return side === 'front'
      ? `Take the ${works} across the front of ${before === 0 ? `the ${stands}` : 'everything so far'} to ${where}.`
      : `Take the ${works} behind the ${stands} to ${where}.`;
  return side === 'front' ? `Bring the ${works} down across the front to ${where}.` : `Take the ${works} behind, and out to ${where}.`;
}

/** At the throat an end turns over: held up it still shows the side it came with, fallen it shows the other. */
function shownAt({ to, pass, shows }: Step, works: string): string {
  if (to !== 'centre') return `The ${works}’s ${shows === 'face' ? 'face' : 'seam side'} shows.`;
  return pass === 'behind'
    ? `Held up, the ${works} shows its seam side; fallen over the front, its face.`
    : `Over the front the ${works} shows its face; hanging behind, its seam side.`;
}

function restsAt({ to, pass }: Step, next: Side | undefined, stands: string, seat: Seat): string {
  if (to !== 'centre') return `It rests on ${sideFrom(seat, to)}, against the chest.`;
  if (pass === 'behind') return 'It hangs down the front, over what is tied.';
  return `It hangs behind${next && next !== 'centre' ? `, and shows beside the ${stands} on ${sideFrom(seat, next)}` : ''}.`;
}

/** What goes wrong most often just here, said before it does. */
function mind({ moves, finish, loose }: Knot, i: number): string | null {
  const last = moves.length - 1;
  if (loose && i + 1 === loose.from) return 'From here on the turns stay open: hold them around two fingers.';
  if (finish === 'tuck' && i === last - 1) return 'This is the front band. It must cover every layer, and a finger must fit under it.';
  if (i === last && finish === 'tuck') return 'Before the tuck, pinch the knot shut and look where the tip falls.';
  if (i === 0) return 'Lay it flat, without a twist.';
  if (moves[i]?.region === 'C') return 'Keep the turn flat, as one side of a triangle.';
  return null;
}
