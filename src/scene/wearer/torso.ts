import { CylinderGeometry, Group, Mesh, MeshStandardMaterial } from 'three';
import { neckRadiusMm, shirtZMm } from '../../core/cloth/forces/body.ts';
import type { LapelKind } from '../../core/jacket/jackets.ts';
import { broadestAt, type JacketCollarLines, type LapelLines, lapelLines } from '../../core/jacket/lapels.ts';
import { type FrontEdge, openingAt } from '../../core/jacket/opening.ts';
import { type Place, placeAlong, placeOn } from '../../core/numeric/bezier.ts';
import { type At, mix, sheetOf } from './sheet.ts';

const axisZ = shirtZMm - neckRadiusMm;
const formColour = '#cfc4b4';
const bottomY = -230;
const placketHalf = 16;
const neckFootMm = -25;
/** Above the button the chest goes back to the shoulders so much for its height. */
const climb = 0.9;

/** How far back the chest is beside its middle, mm. */
function backAt(x: number): number {
  return (x * x) / 420;
}

/** Cloth that lies on the shirt has its middle where the shirt stops it: the shirt itself, its placket and buttons lie so far behind that. */
const behindClothMm = 4.5;

/** How far forward the shirt lies at a place of the front, mm. */
export function shirtAt(x: number, y: number): number {
  return shirtZMm - behindClothMm - backAt(x) - Math.max(0, y) * climb;
}

/** The neck of a dressing form, up to so far above the collar button: nobody's face is needed to judge a knot. */
export function neckForm(topMm = 125): Mesh {
  const neck = new Mesh(
    new CylinderGeometry(neckRadiusMm - 6, neckRadiusMm - 5, topMm - neckFootMm, 48),
    new MeshStandardMaterial({ color: formColour, roughness: 1 }),
  );
  neck.position.set(0, (topMm + neckFootMm) / 2, axisZ);
  neck.receiveShadow = true;
  return neck;
}

/** The shirt's front with its placket and buttons, the collar button at 0, 0; under a jacket it is seen beside the neck as well. */
export function shirtFront(colour: string, buttonsMm: readonly number[], isUnderJacket = false): Group {
  const group = new Group();
  const front = (x: number, y: number, off: number): At => [x, y, shirtAt(x, y) + off];
  group.add(
    sheetOf(colour, [48, 20], (u, v) => {
      const x = mix(-170, 170, u);
      return front(x, mix(36 - Math.abs(x) * 0.3 + (isUnderJacket ? besideNeck(x) : 0), bottomY, v), 0);
    }),
    sheetOf(colour, [6, 20], (u, v) => front(mix(-placketHalf, placketHalf, u), mix(-6, bottomY, v), 1.2)),
  );
  for (const down of buttonsMm) {
    if (-down < bottomY) continue;
    const button = new Mesh(new CylinderGeometry(5.2, 5.2, 2.4, 24), new MeshStandardMaterial({ color: '#f4f0e6', roughness: 0.4 }));
    button.rotation.x = Math.PI / 2;
    button.position.set(0, -down, shirtAt(0, -down) + 2.4);
    button.receiveShadow = true;
    group.add(button);
  }
  return group;
}

/** Beside the neck the shirt under a jacket climbs so much higher, mm: between leaf and lapel it is seen as far as it goes. */
function besideNeck(x: number): number {
  return 42 * Math.max(0, 1 - Math.abs(Math.abs(x) - 66) / 22);
}

/** The shirt over the shoulders, for whoever looks down on them from behind. */
export function shirtYoke(colour: string): Mesh {
  return sheetOf(colour, [48, 16], (u, v) => {
    const x = mix(-175, 175, u);
    const slope = Math.max(0, Math.abs(x) - 40) * 0.36;
    const back = Math.sin(Math.PI * v);
    return [x, 16 - slope + 12 * back - 260 * Math.max(0, v - 0.6) ** 2, mix(shirtZMm - 24 - backAt(x), axisZ - 100, v)];
  });
}

/** A jacket as far as it is seen around a knot. */
export interface SceneJacket {
  readonly colour: string;
  readonly lapelKind: LapelKind;
  readonly lapelMm: number;
  readonly front: FrontEdge;
}

/** At the nape the jacket's collar stands so high, and falls so far. */
const collarNapeUp = 52;
const collarFall = 38;
/** So much of its length the jacket's collar lies in front of the shoulder. */
const inFront = 0.45;
/** A front reaches so far out beside its lapel. */
const frontWideMm = 130;

/** Lapels, the jacket's collar around the neck, and what of the fronts shows beside them, along the lines of every drawing. */
export function lapels({ colour, lapelKind, lapelMm, front }: SceneJacket): Group {
  const group = new Group();
  const lines = lapelLines(lapelKind, lapelMm, front, neckRadiusMm);
  const [topY, buttonY] = [front.top[1], front.button[1]];
  // The picture ends above the button that closes it.
  const shown = Math.min(1, (-bottomY - topY) / (buttonY - topY));
  const off = (x: number, y: number, offMm: number) => shirtAt(x, y) + offMm;
  const lapel = lapelOf(lines, shown);
  for (const side of [1, -1] as const) {
    const lapelSheet = sheetOf(colour, [14, 48], (u, v) => {
      const [x, down] = lapel(u, v);
      return [side * x, -down, off(x, -down, 8 + 5 * Math.sin(Math.PI * Math.min(1, u * 1.2)))];
    });
    const frontSheet = sheetOf(colour, [12, 30], (u, v) => {
      const down = mix(mix(-30, -14, u), -bottomY, v);
      const x = openingAt(front, Math.max(down, topY)) + 4 + u * frontWideMm;
      return [side * x, -down - u * Math.max(0, -down) * 0.5, off(x, -down, 2)];
    });
    group.add(lapelSheet, frontSheet);
    const collar = lines.collar && jacketCollarOf(lines.collar, off);
    if (collar) {
      group.add(
        sheetOf(colour, [32, 8], (u, v) => {
          const [x, y, z] = collar(u, v);
          return [side * x, y, z];
        }),
      );
    }
  }
  return group;
}

/** A lapel from its roll (`u` 0) to its outer edge, from the gorge (`v` 0) down to a share of the way to the button. */
function lapelOf({ roll, upper, outer }: LapelLines, shown: number): (u: number, v: number) => Place {
  const [start] = roll;
  const top = [...(start ? [start] : []), ...upper];
  const [around = [], belly = []] = outer;
  const edge = (along: number): Place =>
    along < broadestAt ? placeOn(around, along / broadestAt) : placeOn(belly, (along - broadestAt) / (1 - broadestAt));
  /** Straight across; above it bends to the upper edge. */
  const across = (u: number, along: number): Place => {
    const [a, b] = [placeOn(roll, along), edge(along)];
    return [mix(a[0], b[0], u), mix(a[1], b[1], u)];
  };
  const upperAt = (u: number) =>
    placeAlong(
      top.slice(1).map((to, i) => [top[i] ?? to, to]),
      u,
    );
  return (u, v) => {
    const [x, y] = across(u, v * shown);
    const [wanted, straight] = [upperAt(u), across(u, 0)];
    const bent = (1 - v) ** 8;
    return [x + bent * (wanted[0] - straight[0]), y + bent * (wanted[1] - straight[1])];
  };
}

/** The jacket's own collar from the gorge to the nape (`u`), from the shirt's collar outward (`v`). */
function jacketCollarOf({ inner, outer }: JacketCollarLines, off: (x: number, y: number, offMm: number) => number) {
  return (u: number, v: number): At => {
    const share = Math.min(1, u / inFront);
    const [a, b] = [placeOn(inner, share), placeAlong(outer, share)];
    const [x, y] = [mix(a[0], b[0], v), -mix(a[1], b[1], v)];
    const roll = 6 * Math.sin(Math.PI * Math.min(1, v * 1.3));
    if (u <= inFront) return [x, y, mix(off(x, y, 12), axisZ, share ** 2) + roll * (1 - share)];
    const angle = (Math.PI / 2) * (1 + (u - inFront) / (1 - inFront));
    const fall = mix(y, collarNapeUp - v * collarFall, (u - inFront) / (1 - inFront));
    return [x * Math.sin(angle), fall, axisZ + x * Math.cos(angle)];
  };
}
