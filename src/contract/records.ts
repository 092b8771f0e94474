import type { PlanRequest } from '../core/plan/request.ts';
import type { Tie } from '../core/tie/tie.ts';
import type { LengthUnit } from '../core/units/length.ts';

/** What the studio keeps, as it crosses the wire. Lengths in mm, colours as `#rrggbb`. */
export interface StudioRecord {
  readonly id: string;
  readonly name: string;
  readonly units: LengthUnit;
}

export type ClientRecord = PlanRequest['client'] & { readonly id: string; readonly name: string; readonly note: string };

/** `clientId` is null for what belongs to the studio. */
interface Worn {
  readonly id: string;
  readonly clientId: string | null;
  readonly label: string;
}

export type ShirtRecord = PlanRequest['shirt'] & Worn & { readonly colour: string };
export type JacketRecord = NonNullable<PlanRequest['jacket']> & Worn & { readonly colour: string };
/** Main colour first. */
export type TieRecord = Tie & Worn & { readonly colours: readonly string[] };

export interface Wardrobe {
  readonly studio: StudioRecord;
  readonly clients: readonly ClientRecord[];
  readonly shirts: readonly ShirtRecord[];
  readonly jackets: readonly JacketRecord[];
  readonly ties: readonly TieRecord[];
}

export const mostTieColours = 4;
