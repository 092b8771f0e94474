import type { PlanRequest } from '../../core/index.ts';
import { frontEdge, type JacketFronts, waistcoatClosesAt } from '../../core/jacket/opening.ts';
import { curve, mirrored, type Pt, polygon } from '../geometry/path.ts';
import { type Build, sideOf, sleeveOf } from '../wearer/build.ts';

/** One front of a jacket with all that is sewn to it, on one side of the picture. */
export interface FrontDrawing {
  readonly side: 1 | -1;
  readonly front: string;
  readonly sleeve: string;
  readonly lapel: string;
  /** The jacket's own collar; a shawl has none. */
  readonly collar: string | undefined;
  /** Seams that do more than shading: dart, pocket, and on the wearer's left the breast welt. */
  readonly lines: readonly string[];
}

/** The jacket's fronts, open or closed, in mm. */
export interface JacketDrawing {
  /** The one beneath first. */
  readonly fronts: readonly [FrontDrawing, FrontDrawing];
  readonly buttons: readonly Pt[];
  readonly waistcoat: { readonly outline: string; readonly buttons: readonly Pt[] } | undefined;
}

export type DrawnJacket = Omit<NonNullable<PlanRequest['jacket']>, 'buttoningMm' | 'worn'> & JacketFronts;

export interface FrontsQuestion {
  readonly neckMm: number;
  /** Belt top. */
  readonly beltY: number;
  readonly build: Build;
  /** On which side of the picture the front lies that is buttoned over the other. */
  readonly over: 1 | -1;
  /** On which side of the picture the wearer's left is. */
  readonly wearersLeft: 1 | -1;
}

/** The lapel is broadest so far down its roll, just below the gorge. */
const broadestAt = 0.2;
const easeMm = 13;
/** Buttoned fronts lie over each other by so much past the middle; double-breasted ones by far more. */
const pastMiddleMm = { single: 11, double: 62 } as const;
const buttonGapMm = 105;
const doubleHalfMm = 52;

export function jacketFronts(jacket: DrawnJacket, question: FrontsQuestion): JacketDrawing {
  const { neckMm, beltY, build, over } = question;
  const { button } = frontEdge(jacket, neckMm, beltY);
  const under = -over as 1 | -1;
  return {
    fronts: [frontOn(jacket, question, under), frontOn(jacket, question, over)],
    waistcoat: jacket.waistcoat ? waistcoat(beltY, build) : undefined,
    buttons: jacketButtons(jacket, button, over),
  };
}

/** Where the lapel is measured: from the roll to its broadest point, on the viewer's right. */
export function lapelMeasure(jacket: DrawnJacket, neckMm: number, beltY: number): readonly [Pt, Pt] {
  const { top, button } = frontEdge(jacket, neckMm, beltY);
  const on = alongRoll(top, button);
  return [on(broadestAt, 0), on(broadestAt, jacket.lapelMm)];
}

/** A place along the roll, as a share of the way to the button, and off it toward the sleeve, mm. */
type On = (share: number, offMm: number) => Pt;

function alongRoll(top: Pt, button: Pt): On {
  const along: Pt = [button[0] - top[0], button[1] - top[1]];
  const length = Math.hypot(...along);
  const outward: Pt = [along[1] / length, -along[0] / length];
  return (share, offMm) => [top[0] + along[0] * share + outward[0] * offMm, top[1] + along[1] * share + outward[1] * offMm];
}

function frontOn(jacket: DrawnJacket, { neckMm, beltY, build, wearersLeft }: FrontsQuestion, side: 1 | -1): FrontDrawing {
  const { top, button } = frontEdge(jacket, neckMm, beltY);
  const on = alongRoll(top, button);
  const hemY = build.wristMm + 6;
  const beside: Pt = [build.neckHalfMm + 15, -40];
  const x = (value: number) => side * value;
  const { lapel, collar } = lapelOf(jacket, on, beside, side);
  return {
    side,
    front: `${curve`M${x(top[0])} ${top[1]}`} ${sideOf(build, side, easeMm, hemY)} ${edgeUp(jacket, button, hemY, build, x)} Z`,
    sleeve: sleeveOf(build, side, easeMm),
    lapel,
    collar,
    lines: [...seams(build, beltY, x), ...(side === wearersLeft ? [welt(build, x)] : [])],
  };
}

/** The front's edge from the hem up to the button: its quarter cut away in a curve, or square where it closes double. */
function edgeUp({ cut, worn }: DrawnJacket, [bx, by]: Pt, hemY: number, build: Build, x: (value: number) => number): string {
  if (cut === 'double') {
    const edge = worn === 'closed' ? -pastMiddleMm.double : bx - 4;
    return curve`L${x(edge)} ${hemY} L${x(edge)} ${by + 4} L${x(bx)} ${by}`;
  }
  const edge = worn === 'closed' ? -pastMiddleMm.single : bx;
  const foot = build.hip[0] * 0.42;
  const cutFrom = by + buttonGapMm + 18;
  return curve`L${x(Math.max(edge, 0) + foot)} ${hemY} C${x(edge + foot * 0.35)} ${hemY - 2} ${x(edge + 8)} ${hemY - 46} ${x(edge + 3)} ${cutFrom} L${x(edge)} ${by + 6} L${x(bx)} ${by}`;
}

/** Collar and lapel of one side. Widths are laid off at right angles to the roll. */
function lapelOf(
  { lapelMm: w, lapelKind }: DrawnJacket,
  on: On,
  beside: Pt,
  side: 1 | -1,
): { readonly lapel: string; readonly collar: string | undefined } {
  const p = ([px, py]: Pt) => curve`${side * px} ${py}`;
  const [top, button] = [on(0, 0), on(1, 0)];
  /** From the widest point down to the button, with a slight belly. */
  const belly = (from: Pt) => `L${p(from)} C${p(on(0.42, w * 0.93))} ${p(on(0.74, w * 0.52))} ${p(button)}`;
  if (lapelKind === 'shawl') {
    const lapel = `M${p(top)} L${p(beside)} C${p([beside[0] + 26, beside[1] + 14])} ${p(on(0.04, w * 0.8))} ${p(on(broadestAt, w))} C${p(on(0.45, w * 1.02))} ${p(on(0.76, w * 0.6))} ${p(button)} Z`;
    return { lapel, collar: undefined };
  }
  const isPeak = lapelKind === 'peak';
  // The gorge runs from the roll to where collar and lapel part; a peak rises from there, a notch is cut out of it.
  const gorge = on(-0.015, w * 0.12);
  const parts = isPeak ? on(0.165, w * 0.62) : on(0.135, w * 0.58);
  const collarEnd = isPeak ? on(0.115, w * 0.74) : on(0.075, w * 0.84);
  const corner = isPeak ? on(0.125, w * 1.05) : on(broadestAt - 0.015, w);
  const lapel = `M${p(top)} L${p(gorge)} L${p(parts)} L${p(corner)} ${belly(on(broadestAt, w))} Z`;
  const [bx, by] = beside;
  const collar = `M${p(gorge)} L${p(parts)} L${p(collarEnd)} C${p([collarEnd[0] - 6, collarEnd[1] - 14])} ${p([bx + 24, by + 18])} ${p([bx + 20, by + 4])} Q${p([bx + 8, by - 16])} ${p([bx - 4, by - 12])} C${p([bx - 2, by + 4])} ${p([top[0], top[1] - 10])} ${p(gorge)} Z`;
  return { lapel, collar };
}

function seams({ armpit, waist, hip, tall }: Build, beltY: number, x: (value: number) => number): string[] {
  const dart = armpit[0] * 0.56;
  const pocketY = beltY + 26 * tall;
  const pocket = hip[0] * 0.52;
  return [
    curve`M${x(dart)} ${armpit[1] + 24} C${x(dart - 3)} ${waist[1] - 30} ${x(dart - 2)} ${waist[1] + 20} ${x(dart + 4)} ${pocketY}`,
    curve`M${x(pocket)} ${pocketY + 6} L${x(pocket + 78 * tall)} ${pocketY} L${x(pocket + 80 * tall)} ${pocketY + 30 * tall} L${x(pocket + 3)} ${pocketY + 36 * tall} Z`,
  ];
}

function welt({ armpit, tall }: Build, x: (value: number) => number): string {
  const from = armpit[0] * 0.5;
  const y = armpit[1] - 34 * tall;
  return curve`M${x(from)} ${y + 8} L${x(from + 62 * tall)} ${y - 4} L${x(from + 63 * tall)} ${y + 8} L${x(from + 1)} ${y + 20} Z`;
}

function jacketButtons({ cut, worn }: DrawnJacket, [bx, by]: Pt, over: 1 | -1): Pt[] {
  const rows = [by + 2, by + 2 + buttonGapMm];
  if (cut === 'double')
    return rows.flatMap((y): Pt[] =>
      worn === 'closed'
        ? [
            [-doubleHalfMm, y],
            [doubleHalfMm, y],
          ]
        : [[-over * (bx + doubleHalfMm), y]],
    );
  // On an open jacket they stand on the front beneath.
  return rows.map((y): Pt => [worn === 'closed' ? 0 : -over * (bx + 9), y]);
}

function waistcoat(beltY: number, build: Build): NonNullable<JacketDrawing['waistcoat']> {
  const vY = waistcoatClosesAt(beltY);
  const half = build.waist[0];
  const right: Pt[] = [
    [0, vY],
    [build.neckHalfMm + 13, -22],
    [build.shoulder[0] * 0.68, 12],
    [build.armpit[0] * 0.86, build.armpit[1]],
    [half, beltY - 40],
    [half, beltY + 24],
    [18, beltY + 30],
    [0, beltY + 58],
  ];
  const outline = polygon([...right, ...mirrored(right).reverse()]);
  const count = 5;
  const buttons = Array.from({ length: count }, (_, i): Pt => [0, vY + 14 + ((beltY + 20 - vY - 14) * i) / (count - 1)]);
  return { outline, buttons };
}
