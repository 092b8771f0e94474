import { curveLinearClosed, line } from 'd3-shape';

/** A point of a drawing in true millimetres: x to the viewer's right, y down, the collar button at the origin. */
export type Pt = readonly [x: number, y: number];

const straight = line<Pt>().curve(curveLinearClosed).digits(1);

/** A closed outline with straight edges. */
export function polygon(points: readonly Pt[]): string {
  return straight(points) ?? '';
}

/** A closed outline from curve commands with rounded numbers. */
export function curve(strings: TemplateStringsArray, ...values: readonly number[]): string {
  return strings.reduce((text, part, i) => text + part + (i < values.length ? round(values[i] ?? 0) : ''), '');
}

export function round(value: number): string {
  return String(Math.round(value * 10) / 10);
}

/** The same points with left and right exchanged. */
export function mirrored(points: readonly Pt[]): Pt[] {
  return points.map(([x, y]) => [-x, y]);
}
