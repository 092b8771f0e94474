import { Group } from 'three';
import { neckRadiusMm, shirtZMm } from '../../core/cloth/forces/body.ts';
import { type Collar, halfAngle } from '../../core/collar/collar.ts';
import { leafFallMm } from '../../core/collar/hides.ts';
import { besideNeckMm, collarWorn, foldUpMm, napeUpMm } from '../../core/collar/worn.ts';
import { placeAlong, placeOn } from '../../core/numeric/bezier.ts';
import { type At, mix, sheetOf } from './sheet.ts';
import { shirtAt } from './torso.ts';

const axisZ = shirtZMm - neckRadiusMm;
const foldRadius = neckRadiusMm + besideNeckMm;
/** The lower edge lies so far off the shirt. */
const offShirt = 8.5;
/** The leaf stands out between fold and edge, in front where it goes over the tie, and at the side where it rolls. */
const standsOut = { front: 14, side: 4 } as const;

/**
 * The leaf on the right of the picture: `u` goes along its fold from the button over the side of the neck, half-way, to the nape,
 * `v` from the fold to its edge. From the front its lines are those of every drawing.
 */
function leafOf(collar: Collar): (u: number, v: number) => At {
  const worn = collarWorn(collar, neckRadiusMm);
  const [outerX, outerDown] = placeOn(worn.edge, 1);
  /** Around the neck behind its side. */
  const around = (u: number, radius: number, y: number): At => [radius * Math.sin(Math.PI * u), y, axisZ + radius * Math.cos(Math.PI * u)];
  const fold = (u: number): At => {
    if (u > 0.5) return around(u, foldRadius, foldUpMm + napeUpMm * Math.sin(Math.PI * (u - 0.5)));
    const [x, down] = placeAlong(worn.fold, 2 * u);
    return [x, -down, axisZ + Math.sqrt(Math.max(0, foldRadius ** 2 - x ** 2))];
  };
  const edge = (u: number): At => {
    const atNape = foldUpMm + napeUpMm - leafFallMm;
    if (u > 0.5) return around(u, outerX, mix(-outerDown, atNape, 2 * u - 1));
    const [x, down] = placeOn(worn.edge, 2 * u);
    return [x, -down, mix(shirtAt(x, -down) + offShirt, axisZ, (2 * u) ** 6)];
  };
  return (u, v) => {
    const [a, b] = [fold(u), edge(u)];
    const toSide = Math.min(1, 2 * u);
    const out = mix(standsOut.front, standsOut.side, toSide) * Math.sin(Math.PI * v ** 0.8);
    // In front it stands out toward the eye only, so that from there it hides none of its own edge.
    const aside = out * Math.sin(Math.PI * u) * toSide ** 3;
    return [mix(a[0], b[0], v) + aside, mix(a[1], b[1], v), mix(a[2], b[2], v) + out * Math.cos(Math.PI * u)];
  };
}

const cellMm = 2;
const samples = [180, 60] as const;

/** A leaf as what lies under it meets it; the button stands at 0, 0. */
export interface WornLeaf {
  /** How far forward it lies at a place of the front, mm; `undefined` where it covers none. */
  depthAt(x: number, y: number): number | undefined;
  /** How far above the button it is folded, mm, outside a place that may lie nearer to the neck than the fold; between the leaves as far as where they begin. */
  foldAt(x: number, z: number): number;
}

/** The leaf of a buttoned collar with its measured points, spread and space; both are alike. */
export function leafWorn(collar: Collar): WornLeaf {
  const leaf = leafOf(collar);
  const depths = new Map<string, number>();
  const key = (x: number, y: number) => `${Math.round(Math.abs(x) / cellMm)} ${Math.round(y / cellMm)}`;
  // What goes around behind the neck covers nothing of the front.
  for (let i = 0; i <= samples[0] / 2; i++) {
    for (let j = 0; j <= samples[1]; j++) {
      const [x, y, z] = leaf(i / samples[0], j / samples[1]);
      depths.set(key(x, y), Math.max(z, depths.get(key(x, y)) ?? z));
    }
  }
  const fold = Array.from({ length: samples[0] + 1 }, (_, i) => leaf(i / samples[0], 0));
  const angles = fold.map(([x, , z]) => Math.atan2(x, z - axisZ));
  return {
    depthAt: (x, y) => depths.get(key(x, y)),
    foldAt: (x, z) => {
      const angle = Math.atan2(Math.abs(x), z - axisZ);
      const after = angles.findIndex((each) => each >= angle);
      if (after <= 0) return fold.at(after)?.[1] ?? 0;
      const [from, to] = [angles[after - 1] ?? 0, angles[after] ?? 0];
      return mix(fold[after - 1]?.[1] ?? 0, fold[after]?.[1] ?? 0, (angle - from) / (to - from));
    },
  };
}

/** Both leaves of a buttoned collar with its measured points, spread and space; the button stands at 0, 0. */
export function collarOf(collar: Collar, colour: string): Group {
  const group = new Group();
  const leaf = leafOf(collar);
  for (const side of [1, -1] as const) {
    group.add(
      sheetOf(colour, [56, 14], (u, v) => {
        const [x, y, z] = leaf(u, v);
        return [side * x, y, z];
      }),
    );
  }
  // The stand behind the tie, closed at the button; its foot goes in behind the shirt.
  group.add(
    sheetOf(colour, [40, 3], (u, v) => {
      const angle = mix(-Math.PI / 2, Math.PI / 2, u);
      const rise = standRises * (1 - Math.cos(angle));
      const radius = neckRadiusMm - mix(1, 6, v);
      return [radius * Math.sin(angle), mix(rise + 4, -26, v), axisZ + radius * Math.cos(angle)];
    }),
  );
  return group;
}

/** Behind the tie the stand climbs so much from the button to the side of the neck, mm. */
const standRises = 40;

/** A collar that is turned up stands close around the neck where the tie lies, and away from it above. */
const raisedRadius = { foot: neckRadiusMm - 3.5, top: neckRadiusMm + 8 } as const;
/** Heights of the stand in front and at the nape, and of the leaf at the nape, mm. */
const stand = { front: 22, nape: 34 } as const;
const leafAtNape = 45;
const footAtNape = 24;
/** The stand takes so much of the height that is drawn. */
const standShare = 0.35;

/** The collar turned up, buttoned: the stand closed all round, the leaves' front edges running back from the button to their points. */
export function raisedCollarOf(collar: Collar, colour: string): Group {
  const group = new Group();
  const pointUp = collar.collarPointMm * Math.cos(halfAngle(collar));
  for (const side of [1, -1] as const) {
    group.add(
      sheetOf(colour, [48, 20], (u, v) => {
        const leaf = Math.max(0, (v - standShare) / (1 - standShare));
        const radius = mix(raisedRadius.foot, raisedRadius.top, leaf ** 1.4);
        // Laid flat the points lie so far from the middle: around the neck that is an arc.
        const open = (leaf > 0 ? mix(collar.tieSpaceMm, collar.collarSpreadMm, leaf) : 0) / 2;
        const angle = mix(open / raisedRadius.top, Math.PI, u);
        const back = (1 - Math.cos(angle)) / 2;
        const foot = mix(-4, footAtNape, back);
        const standTop = mix(stand.front, stand.nape, back);
        const high = mix(pointUp, leafAtNape, Math.min(1, u * 1.6));
        const y = foot + (leaf > 0 ? standTop + high * leaf : (standTop * v) / standShare);
        return [side * radius * Math.sin(angle), y, axisZ + radius * Math.cos(angle)];
      }),
    );
  }
  return group;
}
