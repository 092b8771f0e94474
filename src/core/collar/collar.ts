/** A buttoned collar as measured, mm. */
export interface Collar {
  /** Length of the collar's front edge, from the button to the point. */
  readonly collarPointMm: number;
  /** Point tip to point tip. */
  readonly collarSpreadMm: number;
  /** The small space between the leaves at the button. */
  readonly tieSpaceMm: number;
}

/** Half the angle between the collar's front edges, radians. */
export function halfAngle({ collarPointMm, collarSpreadMm, tieSpaceMm }: Collar): number {
  return Math.asin((collarSpreadMm - tieSpaceMm) / (2 * collarPointMm));
}

export interface CollarClass {
  readonly label: string;
  /** Widest full angle between the edges that still counts as this class, degrees. */
  readonly upToDeg: number;
  /** Knot size the proportion school gives it. */
  readonly wants: 'small' | 'medium' | 'large';
}

/** From the narrowest opening to the widest. */
export const collarClasses: readonly [CollarClass, ...CollarClass[]] = [
  { label: 'point', upToDeg: 64, wants: 'small' },
  { label: 'semi-spread', upToDeg: 98, wants: 'medium' },
  { label: 'wide spread', upToDeg: 124, wants: 'large' },
  { label: 'cutaway', upToDeg: 180, wants: 'large' },
];

/** The class whose opening this collar has, whatever its label says. */
export function classOf(collar: Collar): CollarClass {
  const degrees = (2 * halfAngle(collar) * 180) / Math.PI;
  return collarClasses.find(({ upToDeg }) => degrees <= upToDeg) ?? collarClasses[0];
}
