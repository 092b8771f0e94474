import { frontDropOf } from '../body/frontDrop.ts';
import { frontEdge, pointsMeetMm, pointsUnderFronts } from '../jacket/opening.ts';
import { formatLength } from '../units/length.ts';
import type { KnotPlan } from './knotPlan.ts';
import { landingAt } from './landing.ts';
import type { PlanRequest } from './request.ts';

export interface Advice {
  readonly code: 'no-knot-lands' | 'aim-at-edge' | 'drop-estimated' | 'points-outside';
  readonly text: string;
}

/** What is worth saying about the whole outfit. `knots` best first. */
export function adviceFor(request: PlanRequest, knots: readonly KnotPlan[]): Advice[] {
  return [noKnotLands(request, knots), aimAtEdge(request, knots), dropEstimated(request), pointsOutside(request)].filter(
    (each) => each !== undefined,
  );
}

function noKnotLands({ tie, units }: PlanRequest, knots: readonly KnotPlan[]): Advice | undefined {
  const [nearest] = knots;
  if (!nearest || nearest.tailFault.kind === 'none') return undefined;
  const { kind, byMm } = nearest.tailFault;
  const name = nearest.names[0] ?? nearest.moves;
  const by = formatLength(byMm, units);
  const text =
    kind === 'too-short'
      ? `No knot works with this tie: it is too short by at least ${by} (${name}). A tie of ${formatLength(tie.lengthMm + byMm, units)} or longer would do.`
      : `No knot here uses up this tie: ${nearest.properties.active === 'narrow' ? 'more of the narrow end is left than goes under the collar,' : 'the narrow end shows below the blade'} by at least ${by} (${name}). A tie of ${formatLength(tie.lengthMm - byMm, units)} or shorter would do.`;
  return { code: 'no-knot-lands', text };
}

/** A tolerance that lies all on one side of the aim wastes half the tyings: say what the middle of it would give. */
function aimAtEdge({ aim, client, units }: PlanRequest, [best]: readonly KnotPlan[]): Advice | undefined {
  const shift = (aim.belowMm - aim.aboveMm) / 2;
  if (best?.tailFault.kind !== 'none' || Math.abs(shift) < 5) return undefined;
  const half = (aim.aboveMm + aim.belowMm) / 2;
  const drop = frontDropOf(client);
  const centred = landingAt(best.tip.dropMm + shift, best.takeUpMm, drop, { aboveMm: half, belowMm: half });
  const inHundred = (chance: number) => Math.round(chance * 100);
  if (inHundred(centred.inBandProbability) <= inHundred(best.tip.inBandProbability)) return undefined;
  return {
    code: 'aim-at-edge',
    text: `The aim is the edge of what is right. Aimed ${formatLength(Math.abs(shift), units)} ${shift < 0 ? 'higher' : 'lower'}, at its middle, the tip lands right ${inHundred(centred.inBandProbability)} times in 100 instead of ${inHundred(best.tip.inBandProbability)}.`,
  };
}

function dropEstimated({ client, units }: PlanRequest): Advice | undefined {
  const drop = frontDropOf(client);
  if (drop.measured) return undefined;
  return {
    code: 'drop-estimated',
    text: `The front drop is ${client.frontDropMm === null ? 'supposed from height' : 'an estimate'}: ${formatLength(drop.meanMm, units)}, give or take ${formatLength(drop.sdMm, units)}. A tape, collar button to belt top, narrows it.`,
  };
}

/** Points that end on the shirt front lift and curl; under a closed jacket's fronts they lie. */
function pointsOutside({ client, shirt, jacket, units }: PlanRequest): Advice | undefined {
  if (jacket?.worn !== 'closed') return undefined;
  const under = pointsUnderFronts(shirt, frontEdge(jacket, client.neckMm, frontDropOf(client).meanMm));
  if (under >= -pointsMeetMm) return undefined;
  return {
    code: 'points-outside',
    text: `The collar’s points end ${formatLength(-under, units)} short of the jacket’s fronts: a wider or longer collar would tuck under them.`,
  };
}
