import type { FabricCode } from '../tie/fabrics.ts';
import { daysAfter } from '../units/days.ts';
import type { Dealing, DealingCode } from './dealings.ts';
import { fabricCare } from './fabricCare.ts';

/** How a tie was used up to a day, and what it is held by on it. Days as `YYYY-MM-DD`. */
export interface TieCare {
  readonly on: string;
  /** On how many days it was worn, that day included. */
  readonly wearings: number;
  /** The last of them; `null` for a tie never worn. */
  readonly wornOn: string | null;
  /** The last day it was knotted: worn, or undone after being kept looped. */
  readonly knottedOn: string | null;
  /** What it is held by on that day. */
  readonly held: Dealing | null;
}

/** A tie with its care. */
export interface Cared {
  readonly fabric: FabricCode;
  readonly care: TieCare;
}

export type StandingCode = 'ready' | 'resting' | DealingCode;

/** Where a tie stands on a day. */
export interface Standing {
  readonly code: StandingCode;
  /** Since when it is held, or rests. */
  readonly since: string | null;
  /** The first day it can be worn again; `null` where nobody knows. */
  readonly until: string | null;
  /** Who has it. */
  readonly clientId: string | null;
}

/** A tie nothing is known of: never worn, held by nothing. */
export function unworn(on: string): TieCare {
  return { on, wearings: 0, wornOn: null, knottedOn: null, held: null };
}

/** Where a tie stands on the day its care was asked for. Rest begins once it is undone: a loop kept tied rests nothing. */
export function standingOf({ fabric, care: { on, wornOn, knottedOn, held } }: Cared): Standing {
  if (held) return { code: held.what, since: held.fromOn, until: held.untilOn, clientId: held.clientId };
  const until = knottedOn === null ? on : readyAgainOn(fabric, knottedOn);
  if (on >= until) return { code: 'ready', since: null, until: null, clientId: null };
  return { code: wornOn === on ? 'worn' : 'resting', since: knottedOn, until, clientId: null };
}

/** The first day a tie that was knotted on a day can be worn again. */
function readyAgainOn(fabric: FabricCode, knottedOn: string): string {
  return daysAfter(knottedOn, fabricCare[fabric].restDays + 1);
}
