import type { Bezier, Place } from '../../core/numeric/bezier.ts';

/** A point of a drawing in true millimetres: x to the viewer's right, y down, the collar button at the origin. */
export type Pt = Place;

/** A closed outline with straight edges, as path commands; nothing without points. */
export function polygon(points: readonly Pt[]): string {
  return points.length === 0 ? '' : `M${points.map(rounded).join('L')}Z`;
}

/** The same as the points of a `polygon`: quicker to change, since no style is worked out anew for it. */
export function corners(points: readonly Pt[]): string {
  return points.map(rounded).join(' ');
}

function rounded([x, y]: Pt): string {
  return `${round(x)},${round(y)}`;
}

/** A closed outline from curve commands with rounded numbers. */
export function curve(strings: TemplateStringsArray, ...values: readonly number[]): string {
  return strings.reduce((text, part, i) => text + part + (i < values.length ? round(values[i] ?? 0) : ''), '');
}

const commands = ['', 'L', 'Q', 'C'];

/** Path commands along curves from where the pen stands; `side` −1 exchanges left and right. */
export function along(curves: readonly Bezier[], side: 1 | -1 = 1): string {
  return curves
    .map((points) => {
      const [, ...rest] = points;
      return `${commands[rest.length]}${rest.map(([x, y]) => `${round(side * x)} ${round(y)}`).join(' ')}`;
    })
    .join(' ');
}

/** The same curves from their end to their start. */
export function back(curves: readonly Bezier[]): Bezier[] {
  return curves.map((points) => points.toReversed()).toReversed();
}

export function round(value: number): string {
  return String(Math.round(value * 10) / 10);
}

/** The same points with left and right exchanged. */
export function mirrored(points: readonly Pt[]): Pt[] {
  return points.map(([x, y]) => [-x, y]);
}
