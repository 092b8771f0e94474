import { CylinderGeometry, Group, Mesh, MeshStandardMaterial } from 'three';
import { neckRadiusMm, shirtZMm } from '../../core/cloth/forces/body.ts';
import { type At, mix, sheetOf } from './sheet.ts';

const axisZ = shirtZMm - neckRadiusMm;
const formColour = '#cfc4b4';
const bottomY = -230;
const placketHalf = 16;
const neckFootMm = -25;

/** How far back the chest is beside its middle, mm. */
function backAt(x: number): number {
  return (x * x) / 420;
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

/** The shirt's front with its placket and buttons, the collar button at 0, 0. */
export function shirtFront(colour: string, buttonsMm: readonly number[]): Group {
  const group = new Group();
  const front = (x: number, y: number, off: number): At => [x, y, shirtZMm - 1 - backAt(x) - Math.max(0, y) * 0.9 + off];
  group.add(
    sheetOf(colour, [48, 20], (u, v) => {
      const x = mix(-170, 170, u);
      return front(x, mix(36 - Math.abs(x) * 0.3, bottomY, v), 0);
    }),
    sheetOf(colour, [6, 20], (u, v) => front(mix(-placketHalf, placketHalf, u), mix(-6, bottomY, v), 1.2)),
  );
  for (const down of buttonsMm) {
    if (-down < bottomY) continue;
    const button = new Mesh(new CylinderGeometry(5.2, 5.2, 2.4, 24), new MeshStandardMaterial({ color: '#f4f0e6', roughness: 0.4 }));
    button.rotation.x = Math.PI / 2;
    button.position.set(0, -down, shirtZMm + 1.4);
    button.receiveShadow = true;
    group.add(button);
  }
  return group;
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

/** Where the fronts of a jacket meet, far below what a close-up shows, mm under the collar button. */
const closesAtMm = 420;
/** Lapel and collar part here; above it the collar goes around the neck, a finger below the shirt's. */
const gorgeY = 6;
const gorgeX = 88;
const collarWideMm = 46;
const besideShirtMm = 15;

/** The two lapels, each as wide as was measured, the jacket's collar around the neck, and what of the fronts shows beside them. */
export function lapels(colour: string, lapelMm: number): Group {
  const group = new Group();
  // From the button it opens as a V up to the gorge.
  const inner = (y: number) => 16 + (gorgeX - 16) * ((y + closesAtMm) / (closesAtMm + gorgeY));
  const back = (x: number, y: number, off: number) => shirtZMm + off - backAt(x) * 0.9 - Math.max(0, y - 4) * 1.25;
  for (const side of [1, -1] as const) {
    const lapel = sheetOf(colour, [10, 48], (u, v) => {
      // Its upper edge falls from the gorge to the point.
      const y = mix(gorgeY - 22 * u, bottomY, v);
      const wide = lapelMm * mix(1, 0.55, v);
      const x = inner(mix(gorgeY, bottomY, v)) + u * wide;
      return [side * x, y - 6 * u, back(x, y, 8 + 5 * Math.sin(Math.PI * Math.min(1, u * 1.2)))];
    });
    const front = sheetOf(colour, [12, 30], (u, v) => {
      const top = mix(30, 14, u);
      const y = mix(top, bottomY, v);
      const x = inner(Math.min(y, gorgeY)) + 4 + u * 130;
      return [side * x, y - u * Math.max(0, y) * 0.5, back(x, y, 2)];
    });
    const collar = sheetOf(colour, [26, 8], (u, v) => {
      // Along the shirt's collar from the gorge to the nape, and from there outward over the shoulder.
      const angle = mix(Math.asin(Math.min(0.98, (gorgeX - 4) / (neckRadiusMm + 40))), (118 * Math.PI) / 180, u);
      const out = mix(40, besideShirtMm, Math.min(1, u * 2.2));
      const radius = neckRadiusMm + out + v * collarWideMm * mix(0.75, 1, u);
      const rise = mix(gorgeY, 40, Math.sin((Math.PI / 2) * Math.min(1, u * 1.7)));
      const roll = 7 * Math.sin(Math.PI * Math.min(1, v * 1.3));
      return [
        side * radius * Math.sin(angle),
        rise - v * mix(12, 34, u) + roll * 0.5,
        Math.min(axisZ + radius * Math.cos(angle) + roll, back(radius * Math.sin(angle), rise, 12)),
      ];
    });
    group.add(lapel, front, collar);
  }
  return group;
}
