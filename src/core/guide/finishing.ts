import type { Moment } from '../cloth/steps/moment.ts';
import type { Finish, Knot } from '../knot/knot.ts';
import type { DimpleLiking, DressingHabits } from '../plan/habits.ts';
import type { Tie } from '../tie/tie.ts';
import { type DimpleWayCode, dimpleWays, dimpleWaysFor } from './dimples.ts';
import { endsOf } from './ends.ts';

/** The picture that belongs to a step: a moment of the tying, under a collar that is up or turned down. */
export interface Shows {
  readonly moment: Moment;
  readonly collar: 'raised' | 'down';
}

export type FinishCode = 'tuck' | 'panel' | 'hide' | 'dimple' | 'compact' | 'slide' | 'arch' | 'collar' | 'keeper' | 'snug' | 'pin';

/** One step of the finish: what is done, how it should look, and what goes wrong most often with what helps. */
export interface FinishStep {
  readonly code: FinishCode;
  readonly title: string;
  readonly say: string;
  readonly looks: string;
  readonly wrong: string;
  readonly remedy: string;
  readonly shows: Shows;
}

/** What the finish follows. */
export interface Finishing {
  readonly knot: Knot;
  readonly tie: Pick<Tie, 'fabric' | 'thicknessMm' | 'bladeMm'>;
  readonly dimple: DimpleLiking;
  /** The way the dimple is laid; the one that suits the cloth best where none was chosen. */
  readonly way?: DimpleWayCode | undefined;
  readonly habits: Pick<DressingHabits, 'tightens' | 'keeper' | 'button' | 'tucks'>;
  readonly reachesKeeper: boolean;
}

const drawn = (share: number, up: 0 | 1, collar: Shows['collar'] = 'raised'): Shows => ({ moment: { of: 'drawn', share, up }, collar });
const finished: Shows = { moment: { of: 'finished' }, collar: 'raised' };

/** Only a blade that comes out of a band has a dimple to lay. */
export function hasDimple({ active, finish }: Pick<Knot, 'active' | 'finish'>): boolean {
  return active === 'blade' && finish === 'tuck';
}

/** The steps after the last move, in the order of whoever ties. */
export function finishingOf(finishing: Finishing): FinishStep[] {
  const { knot, habits, dimple, tie } = finishing;
  const way = finishing.way ?? dimpleWaysFor(tie)[0] ?? 'pinch';
  const lays = hasDimple(knot) && dimple !== 'none';
  const dimpleSteps = lays ? [dimpleStep(way, dimple, knot)] : hasDimple(knot) ? [flat] : [];
  const isBefore = lays && dimpleWays[way].when === 'before';
  const keeper = knot.finish === 'collar' ? [] : [keeperStep(finishing)];
  return [
    ...(isBefore ? dimpleSteps : []),
    through[knot.finish](endsOf(knot).works),
    ...(isBefore ? [] : dimpleSteps),
    ...(habits.tightens === 'blade' ? [compact(knot), slide(knot)] : [slide(knot), compact(knot)]),
    ...(lays ? [arch] : []),
    collarDown,
    ...(habits.keeper === 'before' ? keeper : []),
    snug(habits.button),
    ...(habits.keeper === 'after' ? keeper : []),
    pin,
  ];
}

const through: Readonly<Record<Finish, (works: string) => FinishStep>> = {
  tuck: (works) => ({
    code: 'tuck',
    title: 'Tuck',
    say: `Take the ${works} down through the front band, behind the finger that kept it open.`,
    looks: `The band lies flat over every layer, and the ${works} comes out from under it.`,
    wrong: `The ${works} catches a layer besides the band, or layers show beside it.`,
    remedy: 'Draw it back out, spread the band, and go in again behind the finger.',
    shows: finished,
  }),
  open: (works) => ({
    code: 'panel',
    title: 'Let it drop',
    say: `Let the ${works} fall over the knot, as a plain panel down the middle.`,
    looks: 'The panel hangs straight and hides the knot.',
    wrong: 'The panel hangs askew.',
    remedy: 'Lift it, centre the last turn at the throat under it, and let it fall again.',
    shows: finished,
  }),
  collar: (works) => ({
    code: 'hide',
    title: 'Hide the rest',
    say: `Take the ${works} up behind the knot and hide what is left under the collar.`,
    looks: 'Nothing of it shows below the knot or above the collar.',
    wrong: 'It slips out under the leaf.',
    remedy: 'Fold it once more and lay it flat on the neck loop. A button-down collar holds it best.',
    shows: finished,
  }),
};

function dimpleStep(way: DimpleWayCode, liking: DimpleLiking, { moves }: Knot): FinishStep {
  const { say, because, when } = dimpleWays[way];
  return {
    code: 'dimple',
    title: 'Dimple',
    say: `${say} ${liking === 'centred' ? 'Lay it in the middle.' : 'A hair beside the middle looks tied, not made.'}`,
    looks: `One fold under the knot, and the cloth full on both sides. Best laid so here: ${because}.`,
    wrong: 'Two folds, or the fold is gone once the knot is drawn up.',
    remedy: 'Lay it before the last tightening, keep a finger in it, and tighten from behind.',
    shows: when === 'before' ? { moment: { of: 'moves', done: moves.length }, collar: 'raised' } : drawn(0.5, 0),
  };
}

const flat: FinishStep = {
  code: 'dimple',
  title: 'No dimple',
  say: 'Spread the blade flat as it comes out of the band, and keep it flat while it is drawn down.',
  looks: 'The blade leaves the knot as one flat panel.',
  wrong: 'The cloth bulges under the knot.',
  remedy: 'Draw the fullness up into the band from behind, or lay a dimple after all.',
  shows: drawn(0.5, 0),
};

function compact(knot: Knot): FinishStep {
  const { works } = endsOf(knot);
  return {
    code: 'compact',
    title: 'Draw the knot up',
    say: knot.loose
      ? 'Draw up the inner turns only; the outer ones stay open around the fingers.'
      : `Hold the knot at its sides and draw the ${works} down, with a small twist of the thumb under the top band. Squeeze the bottom corners.`,
    looks: 'Every layer is covered, the top is level, nothing hangs out below.',
    wrong: 'The knot leans, or is drawn to one side.',
    remedy: 'Loosen it, bring the standing end under the middle, and draw in small wiggles.',
    shows: drawn(1, 0),
  };
}

function slide(knot: Knot): FinishStep {
  const { stands } = endsOf(knot);
  return {
    code: 'slide',
    title: 'Slide it up',
    say: `Hold the ${stands} and slide the knot up to the button, slowly. With a client: ask first. Stop at any discomfort.`,
    looks: 'No gap at the throat, and one finger still passes between collar and neck.',
    wrong: 'A gap stays at the throat.',
    remedy: `Hold the ${stands} taut, not the knot, and walk it up from side to side.`,
    shows: drawn(1, 1),
  };
}

const arch: FinishStep = {
  code: 'arch',
  title: 'Arch',
  say: 'Lift the blade a little under the knot, so that it curves forward before it falls.',
  looks: 'A small forward curve under the knot.',
  wrong: 'The tie lies dead flat, or the curve pulls the knot forward.',
  remedy: 'Hold the knot with two fingers while the blade is lifted.',
  shows: drawn(1, 1),
};

const collarDown: FinishStep = {
  code: 'collar',
  title: 'Collar down',
  say: 'Turn the collar down from the nape forward, fingers pressing the tie band under it. Fasten button-down points and a back button.',
  looks: 'The tie band is hidden all round, and the knot’s upper corners lie under the leaves.',
  wrong: 'The band shows at the sides, or the collar stands away.',
  remedy: 'Press the band down at the nape and begin again there. If it still shows, the knot is too small for this collar.',
  shows: drawn(1, 1, 'down'),
};

function keeperStep({ habits, reachesKeeper }: Finishing): FinishStep {
  const short = {
    keeper: 'The tail is too short for the keeper: let it hang behind the blade.',
    buttons: 'The tail is too short for the keeper: slip it between the two buttons below the collar button.',
    anywhere: 'The tail is too short for the keeper: hide it in the shirt front.',
  } as const;
  return {
    code: 'keeper',
    title: 'Tail',
    say: reachesKeeper ? 'Take the tail through the keeper on the back of the blade.' : short[habits.tucks],
    looks: 'The tail lies behind the blade and does not show.',
    wrong: 'The tail comes out at a side.',
    remedy: 'Untwist it, and lay it straight down before the blade falls over it.',
    shows: drawn(1, 1, 'down'),
  };
}

function snug(button: DressingHabits['button']): FinishStep {
  return {
    code: 'snug',
    title: 'Snug once more',
    say: `${button === 'last' ? 'Fasten the top button now, and snug' : 'Snug'} the knot up once more. Never tighter than one finger’s room.`,
    looks: 'The knot stands centred at the button, and the collar points touch the shirt.',
    wrong: 'The collar bunches.',
    remedy: 'Give the loop a finger’s breadth, and lay the points flat.',
    shows: drawn(1, 1, 'down'),
  };
}

const pin: FinishStep = {
  code: 'pin',
  title: 'Pin or bar',
  say: 'A tie pin or bar, where one is worn, comes last.',
  looks: 'It sits level, and holds blade and tail to the shirt.',
  wrong: 'The blade is pulled flat, and the arch is gone.',
  remedy: 'Lift a little cloth above it.',
  shows: drawn(1, 1, 'down'),
};
