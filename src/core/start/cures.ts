import type { Calibration } from '../fitbook/calibration.ts';
import { editDistance } from '../knot/editDistance.ts';
import { parseKnot } from '../knot/parse.ts';
import { type AimCode, aimCodes, aimOn, aims } from '../plan/aims.ts';
import type { KnotPlan } from '../plan/knotPlan.ts';
import { plan, planKnot } from '../plan/plan.ts';
import { completeRequest, type PlanQuestion, type PlanRequest } from '../plan/request.ts';
import type { Tie } from '../tie/tie.ts';

/** What is to be changed so that a knot, or another in its place, works. */
export type Change =
  | { readonly kind: 'knot'; readonly moves: string }
  | { readonly kind: 'tie'; readonly id: string }
  | { readonly kind: 'aim'; readonly aim: AimCode }
  | { readonly kind: 'jacket'; readonly worn: 'closed' }
  | { readonly kind: 'waistcoat' };

export interface Cure {
  readonly change: Change;
  /** How much is asked, on one scale for all: the smaller the better. */
  readonly felt: number;
  readonly text: string;
  /** What it comes to once it is done. */
  readonly plan: KnotPlan;
}

/** What may be reached for besides the outfit at hand. */
export interface AtReach {
  readonly ties: readonly (Tie & { readonly id: string; readonly label: string })[];
  /** What is known of the client and hand in a tie that was not tied yet; as of the tie at hand unless said otherwise. */
  readonly calibration?: Calibration | undefined;
  /** Where a regulation or a house says where the tip ends, no other aim is offered. */
  readonly aimIsFixed: boolean;
}

/** How much each kind of change is felt before it is looked at how large it is: an aim costs a word, another tie a walk. */
const feltBefore = { knot: 0.6, aim: 0.3, jacket: 0.5, waistcoat: 1.5, tie: 1 } as const satisfies Record<Change['kind'], number>;
/** A change so large is felt as much as one of any other kind. */
const aimFeltMm = 25;
const tieFeltMm = 120;
const movesFelt = 4;
const mostOfAKind = 3;

/**
 * What would make up for a knot that won't work with this client and tie, the smallest change first: another knot, an extra
 * turn among them, another aim, the jacket buttoned, a waistcoat, another tie of the wardrobe. Each is planned anew, and
 * only what works is offered.
 */
export function curesFor(question: PlanQuestion, moves: string, { ties, calibration, aimIsFixed }: AtReach): Cure[] {
  const request = completeRequest(question);
  return [
    ...otherKnots(request, moves),
    ...(aimIsFixed ? [] : otherAims(request, moves)),
    ...underCloth(request, moves),
    ...otherTies({ ...request, calibration: calibration ?? request.calibration }, moves, ties),
  ].toSorted((a, b) => a.felt - b.felt);
}

function few(cures: readonly Cure[]): Cure[] {
  return cures
    .filter(({ plan: { feasible } }) => feasible)
    .toSorted((a, b) => a.felt - b.felt)
    .slice(0, mostOfAKind);
}

function otherKnots(request: PlanRequest, moves: string): Cure[] {
  const path = pathOf(moves);
  const manner = parseKnot(moves);
  const { knots } = plan({ ...request, search: { ...request.search, knots: 'named', also: [] } });
  const cures = knots
    .filter((knot) => knot.moves !== moves && knot.properties.active === manner.active && knot.properties.finish === manner.finish)
    .map((knot): Cure => {
      const turns = editDistance(path, pathOf(knot.moves));
      const isTurnMore = knot.properties.moves === path.length + 2 && turns === 2;
      return {
        change: { kind: 'knot', moves: knot.moves },
        felt: feltBefore.knot + turns / movesFelt,
        text: `${isTurnMore ? 'An extra turn' : 'Another knot'}: ${knot.title}.`,
        plan: knot,
      };
    });
  return few(cures);
}

function otherAims(request: PlanRequest, moves: string): Cure[] {
  const cures = aimCodes.map((code): Cure => {
    const aim = aimOn(code, request.client.beltHeightMm);
    return {
      change: { kind: 'aim', aim: code },
      felt: feltBefore.aim + Math.abs(aim.offsetMm - request.aim.offsetMm) / aimFeltMm,
      text: `Aim for ${aims[code].label}.`,
      plan: planKnot({ ...request, aim }, moves),
    };
  });
  return few(cures.filter(({ change }) => change.kind === 'aim' && (change.aim !== 'hidden' || request.jacket?.waistcoat === true)));
}

function underCloth(request: PlanRequest, moves: string): Cure[] {
  const { jacket } = request;
  if (!jacket) return [];
  const buttoned: Cure = {
    change: { kind: 'jacket', worn: 'closed' },
    felt: feltBefore.jacket,
    text: 'The jacket buttoned over it.',
    plan: planKnot({ ...request, jacket: { ...jacket, worn: 'closed' } }, moves),
  };
  const waistcoat: Cure = {
    change: { kind: 'waistcoat' },
    felt: feltBefore.waistcoat,
    text: 'A waistcoat over it.',
    plan: planKnot({ ...request, jacket: { ...jacket, waistcoat: true } }, moves),
  };
  return few([...(jacket.worn === 'open' ? [buttoned] : []), ...(jacket.waistcoat ? [] : [waistcoat])]);
}

function otherTies(request: PlanRequest, moves: string, ties: AtReach['ties']): Cure[] {
  const { lengthMm } = request.tie;
  return few(
    ties.map(
      ({ id, label, ...tie }): Cure => ({
        change: { kind: 'tie', id },
        felt: feltBefore.tie + Math.abs(tie.lengthMm - lengthMm) / tieFeltMm,
        text: `Another tie: ${label}.`,
        plan: planKnot({ ...request, tie: { ...tie, kind: 'long-tie' } }, moves),
      }),
    ),
  );
}

function pathOf(moves: string): readonly string[] {
  return parseKnot(moves).moves.map(({ region }) => region);
}
