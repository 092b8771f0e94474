import { useMemo, useState } from 'react';
import type { DimpleWayCode } from '../../../core/guide/dimples.ts';
import { type GuideStep, guideOf } from '../../../core/guide/guide.ts';
import type { Seat } from '../../../core/guide/seat.ts';
import { type Knot, parseKnot } from '../../../core/index.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { usePreferences } from '../../device/preferences.tsx';
import type { DrawnFitting } from '../FittingDrawn.tsx';

/** Until somebody is chosen to be dressing, it is done as most do it. */
const usualHabits = { pins: 'left', tightens: 'blade', keeper: 'before', button: 'first', tucks: 'buttons' } as const;
/** A card goes home with the client, who ties before a mirror. */
export const cardSeat: Seat = 'mirror';

/** The tying of the knot in hand, told for whoever follows it from where they are, and as a card has it. */
export interface Guide {
  readonly knot: Knot;
  readonly seat: Seat;
  readonly blade: 'left' | 'right';
  readonly steps: readonly GuideStep[];
  readonly cardSteps: readonly GuideStep[];
  /** How the dimple is laid, where another way than the best for this cloth was asked for. */
  readonly way: DimpleWayCode | undefined;
  readonly setWay: (way: DimpleWayCode) => void;
}

export function useGuide({ plan, request }: DrawnFitting): Guide {
  const { client, studio, frame } = useAsked();
  const { fromBehind } = usePreferences().preferences;
  const [way, setWay] = useState<DimpleWayCode>();
  const knot = useMemo(() => parseKnot(plan.moves), [plan.moves]);
  const { blade } = request.client;
  const seat: Seat = frame.view === 'facing' ? 'facing' : fromBehind ? 'behind' : 'mirror';
  const habits = studio.person ?? usualHabits;
  const dimple = client?.dimple ?? 'off-centre';
  const { tie } = request;
  const { reachesKeeper } = plan.tail;
  const tell = useMemo(() => {
    const finishing = { tie, dimple, way, habits, reachesKeeper };
    return (from: Seat) => guideOf(knot, { seat: from, blade, pins: habits.pins }, finishing);
  }, [knot, blade, habits, tie, dimple, way, reachesKeeper]);
  const steps = useMemo(() => tell(seat), [tell, seat]);
  const cardSteps = useMemo(() => tell(cardSeat), [tell]);
  return { knot, seat, blade, steps, cardSteps, way, setWay };
}
