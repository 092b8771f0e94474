import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import type { ClientRecord } from '../../contract/records/records.ts';
import { frontDropOf } from '../../core/body/frontDrop.ts';
import type { DimpleLaid } from '../../core/cloth/forces/dimple.ts';
import type { SeenCloth } from '../../core/cloth/mesh/compact.ts';
import type { TyingRequest } from '../../core/cloth/simulate.ts';
import { type KnotPlan, type PlanRequest, parseKnot } from '../../core/index.ts';
import { frontEdge } from '../../core/jacket/opening.ts';
import type { MappedKnot } from '../../core/knotMap/mappedKnots.ts';
import { rescaledFor } from '../../core/seen/rescale.ts';
import type { DrawnColours } from './dressed.ts';
import { readyClothQuery } from './readyCloth.ts';
import { useLiveCloth } from './useLiveCloth.ts';

/** The dimple that a client likes; a walk-in has one slightly off-centre. */
export function dimpleOf(client: ClientRecord | null): DimpleLaid {
  return client?.dimple ?? 'off-centre';
}

/** One knot in cloth: which, for whom, and in what colours. */
export interface Shown {
  readonly knot: MappedKnot;
  readonly request: PlanRequest;
  readonly colours: DrawnColours;
}

/**
 * What is to be shown of a knot in cloth just now: the ready mesh at this tie's size, and once it is tied this very tie; while only
 * another dimple is being laid, this tie with the one before.
 */
export function useShownCloth({ knot, request, colours }: Shown, dimple: DimpleLaid) {
  const ready = useQuery(readyClothQuery(knot.code)).data;
  const tying = useMemo(() => tyingOf(knot.plan, request, dimple), [knot.plan, request, dimple]);
  const { live, again, stop } = useLiveCloth(tying);
  const usual = useMemo((): SeenCloth | undefined => (ready ? rescaledFor(tying, ready) : undefined), [ready, tying]);
  const butForDimple = useMemo(() => JSON.stringify({ ...tying, dimple: undefined }), [tying]);
  const [last, setLast] = useState<{ readonly of: string; readonly cloth: SeenCloth }>();
  if (live.kind === 'tied' && live.cloth !== last?.cloth) setLast({ of: butForDimple, cloth: live.cloth });
  const before = live.kind === 'tying' && last?.of === butForDimple ? last.cloth : undefined;
  const cloth = live.kind === 'tied' ? live.cloth : (before ?? usual);
  const dressed = useMemo(() => {
    const { cloth: paint, shirtColour, jacketColour } = colours;
    const { shirt, jacket, client } = request;
    const jacketSeen = jacket && jacketColour !== null ? seenJacket(jacket, jacketColour, client) : null;
    const dress = { collar: shirt, buttonsMm: shirt.buttonsMm, shirtColour, jacket: jacketSeen };
    return { paint, blade: client.blade, dress };
  }, [request, colours]);
  return { cloth, isBefore: before !== undefined, live, again, stop, dressed };
}

/** A jacket with its front's edge where it runs on this client. */
function seenJacket(jacket: NonNullable<PlanRequest['jacket']>, colour: string, client: PlanRequest['client']) {
  const { lapelKind, lapelMm } = jacket;
  return { colour, lapelKind, lapelMm, front: frontEdge(jacket, client.neckMm, frontDropOf(client).meanMm) };
}

/** What is asked of the simulation for a planned knot in this very tie. */
export function tyingOf(plan: KnotPlan, { client, shirt, tie }: PlanRequest, dimple: DimpleLaid): TyingRequest {
  return {
    knot: parseKnot(plan.moves),
    // The pattern makes no other knot.
    tie: { ...tie, pattern: 'solid' },
    collar: { collarPointMm: shirt.collarPointMm, collarSpreadMm: shirt.collarSpreadMm, tieSpaceMm: shirt.tieSpaceMm },
    loopMm: client.neckMm + shirt.collarAllowanceMm,
    standingMm: plan.start.set.dropMm,
    dimple,
    seed: 0,
  };
}
