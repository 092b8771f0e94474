import { useMemo, useRef } from 'react';
import type { SeenCloth } from '../../../core/cloth/mesh/compact.ts';
import { frameAt, momentBetween } from '../../../core/cloth/steps/moment.ts';
import { napeOf } from '../../../core/cloth/steps/nape.ts';
import type { TyingSequence } from '../../../core/cloth/steps/sequence.ts';
import type { GuideStep } from '../../../core/guide/guide.ts';
import { drawnOut } from '../../../core/seen/drawnOut.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import type { TyingDress } from '../../seen/TyingPicture.tsx';
import { dimpleOf, tyingOf } from '../../seen/useShownCloth.ts';
import { type LiveSteps, useTyingFrames } from '../../seen/useTyingFrames.ts';
import type { DrawnFitting } from '../FittingDrawn.tsx';
import type { Guide } from './useGuide.ts';

/** A blade is lined so far up behind, in its widths; the tail by one of its own. */
const linedWidths = 1.2;

/** The tie as it lies at a place between the steps, around whose neck, and how far it is settled in this very tie. */
export interface TieNow {
  /** Nothing before the first frame has come. */
  readonly frame: SeenCloth | undefined;
  readonly collar: 'raised' | 'down';
  readonly dress: TyingDress;
  readonly live: LiveSteps;
  /** What the picture says of itself. */
  readonly told: string;
  readonly stop: () => void;
  readonly again: () => void;
  /** All frames there are, the ones to be preferred first. */
  readonly sequences: readonly (TyingSequence | null | undefined)[];
}

/** `shownAt` is a place between the steps; where the standing end is drawn `out` instead, by a share, the loosened knot is shown. */
export function useTieNow(
  { plan, request, colours }: DrawnFitting,
  { knot, steps, blade }: Guide,
  shownAt: number,
  out: number | null,
): TieNow {
  const { client } = useAsked();
  const asked = useMemo(() => tyingOf(plan, request, dimpleOf(client)), [plan, request, client]);
  const { own, usual, live, stop, again } = useTyingFrames(asked);
  const sequences = useMemo(() => (live.kind === 'settled' ? [own, usual] : [usual, own]), [live.kind, own, usual]);
  const dress = useMemo((): TyingDress => {
    const { tie, shirt } = request;
    const { activeMm, standingMm } = napeOf(asked);
    const lining = [linedWidths * tie.bladeMm, tie.tailMm] as const;
    return {
      collar: shirt,
      buttonsMm: shirt.buttonsMm,
      shirtColour: colours.shirtColour,
      paint: colours.cloth,
      longMm: [activeMm, standingMm],
      wideMm: Math.max(tie.bladeMm, tie.tailMm) + 4,
      liningMm: knot.active === 'blade' ? lining : [lining[1], lining[0]],
      blade,
    };
  }, [request, asked, colours, knot, blade]);
  const low = Math.floor(shownAt);
  const [from, to] = [steps[low] as GuideStep, steps[Math.min(low + 1, steps.length - 1)] as GuideStep];
  const moment = useMemo(() => momentBetween(from.shows.moment, to.shows.moment, shownAt - low), [from, to, shownAt, low]);
  const shown = useMemo(
    () => frameAt(own, moment) ?? (usual ? frameAt(usual, moment) : undefined) ?? frameAt(own, { of: 'finished' }),
    [own, usual, moment],
  );
  // While a frame is still on its way the one before stays.
  const last = useRef(shown);
  if (shown) last.current = shown;
  const loosened = useMemo(() => {
    const tucked =
      out === null ? undefined : (frameAt(own, { of: 'finished' }) ?? (usual ? frameAt(usual, { of: 'finished' }) : undefined));
    return tucked && out !== null ? drawnOut(tucked, out) : undefined;
  }, [own, usual, out]);
  return {
    frame: loosened ?? shown ?? last.current,
    collar: loosened ? 'raised' : (shownAt - low < 0.5 ? from : to).shows.collar,
    dress,
    live,
    told: tellLive(live, own.moving.length > 0, usual !== undefined && usual !== null),
    stop,
    again,
    sequences,
  };
}

function tellLive(live: LiveSteps, hasOwn: boolean, hasUsual: boolean): string {
  switch (live.kind) {
    case 'settled':
      return 'Simulated in this tie. Drag to turn it.';
    case 'stopped':
      return hasUsual ? 'Shown in a usual tie.' : 'Stopped.';
    case 'failed':
      return hasUsual ? 'Shown in a usual tie: this one could not be simulated.' : 'No picture of this tie.';
    case 'settling':
      return `${hasOwn || !hasUsual ? 'In this tie' : 'In a usual tie, then in this one'}: ${Math.round(100 * live.share)}%`;
  }
}
