import type { PlanRequest } from '../../core/index.ts';
import { broadestAt, type LapelLines, lapelLines, onFront } from '../../core/jacket/lapels.ts';
import { frontEdge, type JacketFronts, waistcoatClosesAt } from '../../core/jacket/opening.ts';
import { along, back, curve, mirrored, type Pt, polygon } from '../geometry/path.ts';
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
  const on = onFront(frontEdge(jacket, neckMm, beltY));
  return [on(broadestAt, 0), on(broadestAt, jacket.lapelMm)];
}

function frontOn(jacket: DrawnJacket, { neckMm, beltY, build, wearersLeft }: FrontsQuestion, side: 1 | -1): FrontDrawing {
  const edge = frontEdge(jacket, neckMm, beltY);
  const { top, button } = edge;
  const hemY = build.wristMm + 6;
  const x = (value: number) => side * value;
  const lines = lapelLines(jacket.lapelKind, jacket.lapelMm, edge, build.neckHalfMm);
  return {
    side,
    front: `${curve`M${x(top[0])} ${top[1]}`} ${sideOf(build, side, easeMm, hemY)} ${edgeUp(jacket, button, hemY, build, x)} Z`,
    sleeve: sleeveOf(build, side, easeMm),
    lapel: lapel(lines, side),
    collar: collar(lines, side),
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

/** From the collar along the upper edge, around the broadest place and down to the button. */
function lapel({ roll, upper, outer }: LapelLines, side: 1 | -1): string {
  const [[x, y] = [0, 0]] = roll;
  return `${curve`M${side * x} ${y}`} ${along([...upper.map((to) => [to, to]), ...outer], side)} Z`;
}

/** The jacket's own collar, from the gorge over the shoulder line and along the shirt's collar back. */
function collar({ upper: [gorge], collar: lines }: LapelLines, side: 1 | -1): string | undefined {
  if (!lines || !gorge) return undefined;
  const [[parts] = []] = lines.outer;
  return `${curve`M${side * gorge[0]} ${gorge[1]}`} ${along([[gorge, parts ?? gorge], ...lines.outer, lines.over, ...back([lines.inner])], side)} Z`;
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
