import type { Knot } from '../knot/knot.ts';
import { stepsOf } from '../knot/steps.ts';
import { type GuideStep, saysIn } from './guide.ts';
import { frameFrom, type Seat } from './seat.ts';
import { pullsOpen, whyNotDrag } from './undoing.ts';

/** What a card has room for of a step. */
export interface CardLine {
  readonly mark: string;
  readonly whole: string;
  readonly short: string;
  readonly step: GuideStep;
}

/** The steps that a card has pictures of: laying on, every move, the finish up to the collar. */
export function cardLines(knot: Knot, steps: readonly GuideStep[], seat: Seat, blade: 'left' | 'right'): CardLine[] {
  const texts = stepsOf(knot, frameFrom(seat, blade)).map(({ text }) => text);
  let move = 0;
  return steps.flatMap((step) => {
    if (
      step.kind === 'finish' &&
      step.finish.code !== 'tuck' &&
      step.finish.code !== 'panel' &&
      step.finish.code !== 'hide' &&
      step.finish.code !== 'slide'
    )
      return [];
    const short =
      step.kind === 'move' ? (texts[move++] ?? '') : step.kind === 'finish' ? (shortFinish[step.finish.code] ?? '') : 'blade on its side';
    return [{ mark: step.kind === 'move' ? step.told.move : step.title, whole: saysIn(step), short, step }];
  });
}

const shortFinish: Readonly<Partial<Record<string, string>>> = {
  tuck: 'down through the front band',
  panel: 'let it drop over the front',
  hide: 'hide the rest under the collar',
  slide: 'up to the button, slowly',
};

/** What stands below the pictures: dimple, undoing and storage. */
export function cardNotes(knot: Knot, steps: readonly GuideStep[]): string[] {
  const dimple = steps.find((step) => step.kind === 'finish' && step.finish.code === 'dimple');
  return [
    ...(dimple ? [`${dimple.title}: ${saysIn(dimple)}`] : []),
    `Undo: ${pullsOpen(knot) ?? `make the moves the other way round, last one first. ${whyNotDrag}`}`,
    'Afterwards: roll it up from the tail or hang it, and give it a day’s rest. Never store it knotted.',
  ];
}

/** Said on every card, whoever takes it home. */
export const cardCaution =
  'Never tighter than one finger’s room. Never leave a child alone with a tied tie; at play a breakaway tie. Near machinery: no tie, or a breakaway tie; the workplace’s own rules come first.';
