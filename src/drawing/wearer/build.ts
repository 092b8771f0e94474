import { frontDropOf } from '../../core/body/frontDrop.ts';
import { neckHalfWidth } from '../../core/body/neck.ts';
import type { PlanRequest } from '../../core/index.ts';
import { usualWearer } from '../../core/usual.ts';
import { curve, type Pt } from '../geometry/path.ts';

/** A body's outline on one side, mm from the collar button; what nobody measures follows from height and collar size. */
export interface Build {
  /** This body's height against the usual one: what lies along the body goes by it. */
  readonly tall: number;
  readonly neckHalfMm: number;
  readonly shoulder: Pt;
  readonly armpit: Pt;
  readonly waist: Pt;
  readonly hip: Pt;
  /** Where a jacket's sleeve ends. */
  readonly wristMm: number;
  /** The picture reaches so far to each side. */
  readonly halfMm: number;
}

type Of = Pick<PlanRequest['client'], 'heightMm' | 'neckMm' | 'front'>;

/** Widths of the two fronts against each other. Proportions of ours, as those of the usual body below. */
const cuts = {
  mens: { shoulder: 1, chest: 1, waist: 1, hip: 1 },
  womens: { shoulder: 0.93, chest: 0.97, waist: 0.88, hip: 1.06 },
} as const;

const usual = { shoulder: [206, 40], armpit: [184, 196], waistMm: 158, hip: [177, 120], wristMm: 632, armMm: 52 } as const;
/** A waist lies so far above the belt. */
const aboveBeltMm = 66;

export function buildOf({ heightMm, neckMm, front }: Of, beltY: number): Build {
  const tall = heightMm / usualWearer.heightMm;
  // A thick neck for the height tells a heavy body: more at the waist than at the shoulders.
  const heavy = Math.min(1.35, Math.max(0.85, neckMm / usualWearer.neckMm / tall));
  const cut = cuts[front];
  const shoulder: Pt = [usual.shoulder[0] * tall * heavy ** 0.4 * cut.shoulder, usual.shoulder[1] * tall];
  return {
    tall,
    neckHalfMm: neckHalfWidth(neckMm),
    shoulder,
    armpit: [usual.armpit[0] * tall * heavy ** 0.8 * cut.chest, usual.armpit[1] * tall],
    waist: [usual.waistMm * tall * heavy ** 1.5 * cut.waist, beltY - aboveBeltMm * tall],
    hip: [usual.hip[0] * tall * heavy ** 1.1 * cut.hip, beltY + usual.hip[1] * tall],
    wristMm: usual.wristMm * tall,
    halfMm: shoulder[0] + usual.armMm * tall + 6,
  };
}

/** The same with the belt where it is measured or estimated. */
export function buildOfClient(client: PlanRequest['client']): Build {
  return buildOf(client, frontDropOf(client).meanMm);
}

/** Beside the neck, where the shoulder line begins. */
function hollow({ neckHalfMm }: Build): Pt {
  return [neckHalfMm + 14, -36];
}

/** Shoulder line and armhole down one side to the hem, as path commands that go on from the neck's side; `ease` is the room in the cloth. */
export function sideOf(build: Build, side: 1 | -1, ease: number, hemY: number): string {
  const { shoulder, armpit, waist, hip } = build;
  const [sx, sy] = [shoulder[0] + ease * 0.5, shoulder[1] - ease * 0.5];
  const [hx, hy] = hollow(build);
  const x = (value: number) => side * value;
  const waistX = waist[0] + ease;
  // A hem above the hip has not reached its width yet.
  const reached = Math.min(1, (hemY - waist[1]) / (hip[1] - waist[1]));
  const hemX = waistX + Math.max(0, hip[0] - waist[0]) * reached;
  return curve`L${x(hx)} ${hy} C${x(hx + (sx - hx) * 0.3)} ${hy + (sy - hy) * 0.42} ${x(hx + (sx - hx) * 0.7)} ${hy + (sy - hy) * 0.74} ${x(sx)} ${sy} C${x(sx - 6)} ${sy + 60} ${x(armpit[0] - 4)} ${armpit[1] - 50} ${x(armpit[0] + ease)} ${armpit[1]} C${x(armpit[0] + ease - 4)} ${armpit[1] + (waist[1] - armpit[1]) * 0.5} ${x(waistX)} ${waist[1] - 50} ${x(waistX)} ${waist[1]} C${x(waistX)} ${waist[1] + 60 * reached} ${x(hemX)} ${Math.min(hip[1], hemY) - 40} ${x(hemX + Math.max(0, hemY - hip[1]) * 0.04)} ${hemY}`;
}

/** A sleeve hanging beside the body, from the shoulder to the wrist. */
export function sleeveOf({ shoulder, armpit, wristMm, tall }: Build, side: 1 | -1, ease: number): string {
  const [sx, sy] = [shoulder[0] + ease * 0.5, shoulder[1] - ease * 0.5];
  const out = (usual.armMm - 14 + ease) * tall;
  const x = (value: number) => side * value;
  const cuff = sx + out - 8 * tall;
  return curve`M${x(sx - 14)} ${sy - 3} C${x(sx + 8)} ${sy - 4} ${x(sx + out * 0.7)} ${sy + 26} ${x(sx + out * 0.9)} ${sy + 90 * tall} C${x(sx + out + 6)} ${sy + 200 * tall} ${x(sx + out + 4)} ${sy + 360 * tall} ${x(cuff)} ${wristMm} L${x(cuff - 58 * tall)} ${wristMm + 4} C${x(cuff - 64 * tall)} ${wristMm * 0.72} ${x(armpit[0] + ease + 4)} ${armpit[1] + 130 * tall} ${x(armpit[0] + ease - 3)} ${armpit[1] - 4} C${x(armpit[0] - 6)} ${armpit[1] - 60} ${x(sx - 18)} ${sy + 70} ${x(sx - 14)} ${sy - 3} Z`;
}

/** The front of what is worn next to the body, from the neck to the hem: what it covers, and its two outer edges. */
export function torsoOf(build: Build, ease: number, hemY: number): { readonly area: string; readonly edges: string } {
  const [hx, hy] = hollow(build);
  const halves = ([1, -1] as const).map((side) => ({
    side: sideOf(build, side, ease, hemY),
    start: curve`M${side * hx} ${hy}`,
  }));
  return {
    area: halves.map(({ side }) => `M0 -6 ${side} L0 ${hemY} Z`).join(' '),
    edges: halves.map(({ side, start }) => `${start} ${side}`).join(' '),
  };
}

/** The neck as it stands in the collar: a little narrower toward the jaw, its foot dipping to the button. */
export function neckOf({ neckHalfMm: n }: Build): string {
  return curve`M${-n * 0.93} -170 L${n * 0.93} -170 C${n * 0.92} -110 ${n * 0.96} -80 ${n} -62 L${n * 0.86} -46 C${n * 0.6} -18 ${n * 0.25} -6 0 -3 C${-n * 0.25} -6 ${-n * 0.6} -18 ${-n * 0.86} -46 L${-n} -62 C${-n * 0.96} -80 ${-n * 0.92} -110 ${-n * 0.93} -170 Z`;
}
