import { neckHalfWidth } from '../../core/body/neck.ts';
import { frontEdge, type JacketFronts } from '../../core/jacket/opening.ts';
import { mirrored, type Pt, polygon } from '../geometry/path.ts';

/** The jacket's fronts, open or closed, in mm. */
export interface JacketDrawing {
  readonly fronts: readonly [string, string];
  readonly lapels: readonly [string, string];
  /** Where the lapel is measured: from the roll to its broadest point, on the viewer's right. */
  readonly measure: readonly [Pt, Pt];
  readonly waistcoat: { readonly outline: string; readonly buttons: readonly Pt[] } | undefined;
}

const broadestAt = 0.34;
const bodyHalf = 260;

/** `beltY`: belt top; `bottomY`: lower edge of the picture; `neckMm`: collar size. */
export function jacketFronts(
  jacket: JacketFronts & { readonly lapelMm: number; readonly waistcoat: boolean },
  beltY: number,
  bottomY: number,
  neckMm: number,
): JacketDrawing {
  const { top, button } = frontEdge(jacket, neckMm, beltY);
  const along: Pt = [button[0] - top[0], button[1] - top[1]];
  const length = Math.hypot(...along);
  const outward: Pt = [along[1] / length, -along[0] / length];
  const on = (share: number, offMm: number): Pt => [
    top[0] + along[0] * share + outward[0] * offMm,
    top[1] + along[1] * share + outward[1] * offMm,
  ];
  const broadest = on(broadestAt, jacket.lapelMm);
  const notchIn = on(broadestAt - 0.06, jacket.lapelMm * 0.62);
  const collarTip = on(broadestAt - 0.13, jacket.lapelMm * 0.86);
  const lapel: Pt[] = [top, button, on(0.72, jacket.lapelMm * 0.66), broadest, notchIn, collarTip, on(0.02, jacket.lapelMm * 0.5)];
  const front: Pt[] = [top, button, [button[0] + 12, bottomY], [bodyHalf, bottomY], [bodyHalf, 70], [170, 24]];
  return {
    fronts: [polygon(mirrored(front)), polygon(front)],
    lapels: [polygon(mirrored(lapel)), polygon(lapel)],
    measure: [on(broadestAt, 0), broadest],
    waistcoat: jacket.waistcoat ? waistcoat(beltY, neckHalfWidth(neckMm)) : undefined,
  };
}

function waistcoat(beltY: number, neckHalf: number): NonNullable<JacketDrawing['waistcoat']> {
  const vY = beltY * 0.5;
  const right: Pt[] = [
    [0, vY],
    [neckHalf + 12, -12],
    [150, 20],
    [150, beltY + 24],
    [18, beltY + 30],
    [0, beltY + 58],
  ];
  const outline = polygon([...right, ...mirrored(right).reverse()]);
  const count = 5;
  const buttons = Array.from({ length: count }, (_, i): Pt => [0, vY + 14 + ((beltY + 20 - vY - 14) * i) / (count - 1)]);
  return { outline, buttons };
}
