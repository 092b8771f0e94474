import type { Knot } from '../knot/knot.ts';
import { knotProperties } from '../knot/properties.ts';
import { endsOf } from './ends.ts';
import { type Finishing, type FinishStep, finishingOf, type Shows } from './finishing.ts';
import { holdAtStart, movesTold, type Teller, type ToldMove } from './movesTold.ts';
import { sideFrom, startSide } from './seat.ts';

/** One step of a tying, in the order of the hands. */
export type GuideStep =
  | {
      readonly kind: 'lay';
      readonly title: string;
      readonly say: string;
      readonly hold: string;
      readonly mind: string;
      readonly shows: Shows;
    }
  | { readonly kind: 'move'; readonly title: string; readonly told: ToldMove; readonly shows: Shows }
  | { readonly kind: 'finish'; readonly title: string; readonly finish: FinishStep; readonly shows: Shows };

/** A knot's whole tying, from the tie around the neck to the pin: pictures, words, cards and checks all read this. */
export function guideOf(knot: Knot, teller: Teller, finishing: Omit<Finishing, 'knot'>): GuideStep[] {
  const told = movesTold(knot, teller);
  return [
    lay(knot, teller),
    ...told.map(
      (each, i): GuideStep => ({
        kind: 'move',
        title: `Move ${i + 1}`,
        told: each,
        shows: { moment: { of: 'moves', done: i + 1 }, collar: 'raised' },
      }),
    ),
    ...finishingOf({ knot, ...finishing }).map(
      (finish): GuideStep => ({ kind: 'finish', title: finish.title, finish, shows: finish.shows }),
    ),
  ];
}

function lay(knot: Knot, teller: Teller): GuideStep {
  const { works, stands } = endsOf(knot);
  const side = sideFrom(teller.seat, startSide(teller.seat, teller.blade));
  return {
    kind: 'lay',
    title: 'Lay it on',
    say: `Collar up, tie around it, ${knotProperties(knot).startSeam === 'in' ? 'seam to the shirt' : 'seam outward'}. The ${works} hangs on ${side}.`,
    hold: holdAtStart(knot, teller),
    mind: knot.loose
      ? `The ${stands} is at its length now and stays so. Lay its dimple before the first move.`
      : 'Lay it flat, and feel the seam where it can’t be seen.',
    shows: { moment: { of: 'moves', done: 0 }, collar: 'raised' },
  };
}

/** What is to be done in a step, in one or two sentences. */
export function saysIn(step: GuideStep): string {
  return step.kind === 'move' ? step.told.say : step.kind === 'finish' ? step.finish.say : step.say;
}

/** All that there is to know of a step without its picture. */
export function inWordsAlone(step: GuideStep): string {
  switch (step.kind) {
    case 'lay':
      return `${step.say} ${step.hold} ${step.mind}`;
    case 'move': {
      const { say, shown, rests, hold, mind } = step.told;
      return [say, shown, rests, hold, mind].filter(Boolean).join(' ');
    }
    case 'finish': {
      const { say, looks, wrong, remedy } = step.finish;
      return `${say} ${looks} If not (${wrong.charAt(0).toLowerCase()}${wrong.slice(1).replace(/\.$/, '')}): ${remedy}`;
    }
  }
}
