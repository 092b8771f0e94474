import { neckHalfWidth } from '../../core/body/neck.ts';
import type { PlanRequest } from '../../core/index.ts';
import { frontEdge, type JacketFronts } from '../../core/jacket/opening.ts';
import { mirrored, type Pt, polygon } from '../geometry/path.ts';

/** The jacket's fronts, open or closed, in mm. */
export interface JacketDrawing {
  readonly fronts: readonly [string, string];
  readonly lapels: readonly [string, string];
  /** Where the lapel is measured: from the roll to its broadest point, on the viewer's right. */
  readonly measure: readonly [Pt, Pt];
  readonly buttons: readonly Pt[];
  readonly waistcoat: { readonly outline: string; readonly buttons: readonly Pt[] } | undefined;
}

const broadestAt = 0.34;
const bodyHalf = 260;

type DrawnJacket = Omit<NonNullable<PlanRequest['jacket']>, 'buttoningMm' | 'worn'> & JacketFronts;

/** `beltY`: belt top; `bottomY`: lower edge of the picture; `neckMm`: collar size. */
export function jacketFronts(jacket: DrawnJacket, beltY: number, bottomY: number, neckMm: number): JacketDrawing {
  const { top, button } = frontEdge(jacket, neckMm, beltY);
  const along: Pt = [button[0] - top[0], button[1] - top[1]];
  const length = Math.hypot(...along);
  const outward: Pt = [along[1] / length, -along[0] / length];
  const on = (share: number, offMm: number): Pt => [
    top[0] + along[0] * share + outward[0] * offMm,
    top[1] + along[1] * share + outward[1] * offMm,
  ];
  const lapel: Pt[] = [top, button, ...lapelEdge(jacket, on)];
  // A double-breasted front that is closed lies over the other one.
  const overlap = jacket.cut === 'double' && jacket.worn === 'closed';
  const front: Pt[] = [top, button, [button[0] + (overlap ? 0 : 12), bottomY], [bodyHalf, bottomY], [bodyHalf, 70], [170, 24]];
  return {
    fronts: [polygon(mirrored(front)), polygon(front)],
    lapels: [polygon(mirrored(lapel)), polygon(lapel)],
    measure: [on(broadestAt, 0), on(broadestAt, jacket.lapelMm)],
    waistcoat: jacket.waistcoat ? waistcoat(beltY, neckHalfWidth(neckMm)) : undefined,
    buttons: jacketButtons(jacket, button, bottomY),
  };
}

/** The lapel's outer edge from its roll up to the collar; `on` is a place along the roll and off it. */
function lapelEdge({ lapelMm, lapelKind }: DrawnJacket, on: (share: number, offMm: number) => Pt): Pt[] {
  const broadest = on(broadestAt, lapelMm);
  const lower = on(0.72, lapelMm * 0.66);
  const upper = on(0.02, lapelMm * 0.5);
  switch (lapelKind) {
    case 'notch':
      return [lower, broadest, on(broadestAt - 0.06, lapelMm * 0.62), on(broadestAt - 0.13, lapelMm * 0.86), upper];
    case 'peak':
      return [
        lower,
        on(broadestAt + 0.05, lapelMm * 0.94),
        on(broadestAt - 0.1, lapelMm * 1.04),
        on(broadestAt - 0.05, lapelMm * 0.6),
        on(broadestAt - 0.13, lapelMm * 0.7),
        upper,
      ];
    case 'shawl':
      return [lower, on(0.5, lapelMm * 0.92), broadest, on(0.18, lapelMm * 0.86), upper];
  }
}

const buttonGapMm = 105;
const doubleHalfMm = 58;

function jacketButtons({ cut, worn }: DrawnJacket, button: Pt, bottomY: number): Pt[] {
  const rows = [button[1], button[1] + buttonGapMm].filter((y) => y < bottomY);
  if (cut === 'double')
    return rows.flatMap((y): Pt[] => [
      [button[0] - doubleHalfMm, y],
      [button[0] + doubleHalfMm, y],
    ]);
  return rows.map((y, i): Pt => [button[0] + (worn === 'closed' ? (i === 0 ? 0 : 15) : 10), y]);
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
