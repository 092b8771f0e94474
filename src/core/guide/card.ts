import { afterWear } from '../care/afterWear.ts';
import type { Knot } from '../knot/knot.ts';
import type { FabricCode } from '../tie/fabrics.ts';
import type { FinishCode } from './finishing.ts';
import { type GuideStep, saysIn } from './guide.ts';
import { pullsOpen, whyNotDrag } from './untying.ts';

/** What a card has room for of a step. */
export interface CardLine {
  readonly mark: string;
  readonly whole: string;
  readonly short: string;
  readonly step: GuideStep;
}

/** The steps that a card has pictures of: laying on, every move, and of the finish what changes the picture. */
export function cardLines(steps: readonly GuideStep[]): CardLine[] {
  return steps.flatMap((step): CardLine[] => {
    const whole = saysIn(step);
    if (step.kind === 'lay') return [{ mark: step.title, whole, short: 'hangs on its own side', step }];
    if (step.kind === 'move') return [{ mark: step.told.move, whole, short: step.told.text, step }];
    const short = shortFinish[step.finish.code];
    return short === undefined ? [] : [{ mark: step.title, whole, short, step }];
  });
}

const shortFinish: Readonly<Partial<Record<FinishCode, string>>> = {
  tuck: 'down through the front band',
  panel: 'let it drop over the front',
  hide: 'hide the rest under the collar',
  slide: 'up to the button, slowly',
};

/** What stands below the pictures: dimple, untying and storage. */
export function cardNotes(knot: Knot, steps: readonly GuideStep[], fabric: FabricCode): string[] {
  const dimple = steps.find((step) => step.kind === 'finish' && step.finish.code === 'dimple');
  return [
    ...(dimple ? [`${dimple.title}: ${saysIn(dimple)}`] : []),
    `Untie: ${pullsOpen(knot) ?? `make the moves the other way round, last one first. ${whyNotDrag}`}`,
    `Afterwards: ${afterWear(fabric)}`,
  ];
}

/** Said on every card, whoever takes it home. */
export const cardCaution =
  'Never tighter than one finger’s room. Never leave a child alone with a tied tie; at play a breakaway tie. Near machinery: no tie, or a breakaway tie; the workplace’s own rules come first.';
