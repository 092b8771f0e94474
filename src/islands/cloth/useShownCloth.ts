import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { SeenCloth } from '../../core/cloth/compact.ts';
import { rescaledFor } from '../../core/cloth/seen/rescale.ts';
import type { TyingRequest } from '../../core/cloth/simulate.ts';
import type { FieldKnot } from '../../core/field/knotField.ts';
import { type PlanRequest, parseKnot } from '../../core/index.ts';
import type { BenchValues } from '../bench/values.ts';
import { drawnOn } from '../knots/drawnOn.ts';
import { readyClothQuery } from './readyCloth.ts';
import { useLiveCloth } from './useLiveCloth.ts';

/** What is to be shown of a knot in cloth just now: the ready mesh at this tie's size, and once it is tied this very tie. */
export function useShownCloth(knot: FieldKnot, request: PlanRequest, values: BenchValues) {
  const ready = useQuery(readyClothQuery(knot.code)).data;
  const tying = useMemo(() => tyingOf(knot, request), [knot, request]);
  const { live, again, stop } = useLiveCloth(tying);
  const usual = useMemo((): SeenCloth | undefined => (ready ? rescaledFor(tying, ready) : undefined), [ready, tying]);
  const cloth = live.kind === 'tied' ? live.cloth : usual;
  const dressed = useMemo(() => {
    const { cloth: paint, shirtColour, jacketColour } = drawnOn(request, values);
    const { shirt, jacket, client } = request;
    const dress = { collar: shirt, buttonsMm: shirt.buttonsMm, shirtColour, jacketColour, lapelMm: jacket?.lapelMm ?? 0 };
    return { paint, blade: client.blade, dress };
  }, [request, values]);
  return { cloth, live, again, stop, dressed };
}

function tyingOf({ plan }: FieldKnot, { client, shirt, tie }: PlanRequest): TyingRequest {
  return {
    knot: parseKnot(plan.moves),
    // The pattern makes no other knot.
    tie: { ...tie, pattern: 'solid' },
    loopMm: client.neckMm + shirt.collarAllowanceMm,
    standingMm: (plan.start.sets === 'blade' ? plan.start.bladeDropMm : plan.start.tailDropMm) + client.crossingGapMm,
    dimple: 'off-centre',
    seed: 0,
  };
}
