import { CylinderGeometry, Group, Mesh, MeshStandardMaterial } from 'three';
import { neckRadiusMm, shirtZMm } from '../../core/cloth/forces/body.ts';
import { type At, mix, sheetOf } from './sheet.ts';

const axisZ = shirtZMm - neckRadiusMm;
const formColour = '#cfc4b4';
const bottomY = -230;
const placketHalf = 16;

/** How far back the chest is beside its middle, mm. */
function backAt(x: number): number {
  return (x * x) / 420;
}

/** The neck of a dressing form: nobody's face is needed to judge a knot. */
export function neckForm(): Mesh {
  const neck = new Mesh(
    new CylinderGeometry(neckRadiusMm - 6, neckRadiusMm - 5, 150, 48),
    new MeshStandardMaterial({ color: formColour, roughness: 1 }),
  );
  neck.position.set(0, 50, axisZ);
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

/** Where the fronts of a jacket meet, far below what a close-up shows, mm under the collar button. */
const closesAtMm = 420;
const notchY = -18;

/** The two lapels, each as wide as was measured, and what of the fronts shows beside them. */
export function lapels(colour: string, lapelMm: number): Group {
  const group = new Group();
  // From the button it opens as a V to the notch; above, the collar of the jacket turns in around the neck.
  const inner = (y: number) =>
    y < notchY ? 16 + 74 * ((y + closesAtMm) / (closesAtMm + notchY)) : 90 - 22 * Math.sin((Math.PI / 2) * Math.min(1, (y - notchY) / 70));
  const back = (x: number, y: number, off: number) => shirtZMm + off - backAt(x) * 0.9 - Math.max(0, y - 4) * 1.25;
  for (const side of [1, -1] as const) {
    const lapel = sheetOf(colour, [10, 48], (u, v) => {
      const y = mix(64, bottomY, v);
      // It grows from the neck to its full width at the notch, and narrows from there to the button.
      const wide =
        y > notchY ? lapelMm * mix(1.02, 0.5, (y - notchY) / (64 - notchY)) : lapelMm * mix(1, 0.55, (notchY - y) / (closesAtMm + notchY));
      const x = inner(y) + u * wide;
      return [side * x, y - 14 * u, back(x, y, 7 + 5 * Math.sin(Math.PI * Math.min(1, u * 1.2)))];
    });
    const front = sheetOf(colour, [10, 30], (u, v) => {
      const y = mix(56, bottomY, v);
      const x = inner(y) + 6 + u * 130;
      return [side * x, y - u * Math.max(0, y) * 0.9, back(x, y, 3)];
    });
    group.add(lapel, front);
  }
  return group;
}
