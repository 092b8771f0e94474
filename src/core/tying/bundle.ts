import type { Finish, Spoke } from '../knot/knot.ts';
import type { Stance } from './stance.ts';

/** What a tied knot holds, spoke by spoke: the input of its shape. Areas mm², widths mm. */
export interface Bundle {
  readonly takeUpMm: number;
  readonly finish: Finish;
  /** How the front stands; `undefined` where no band crosses it. */
  readonly stance: Stance | undefined;
  /** Sections around each spoke once the knot is tied, the spoke itself included. */
  readonly sections: Readonly<Record<Spoke, number>>;
  /** Sections of the bare spokes, before the first move. */
  readonly bare: Readonly<Record<Spoke, number>>;
  /** Width of the last band across the front. */
  readonly facadeMm: number;
  /** Width of the panel that drops over an open knot; 0 where there is none. */
  readonly panelMm: number;
}
