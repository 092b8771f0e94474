import { fronts, takings } from '../../core/body/frontDrop.ts';
import { findings, leans, looks, verdicts } from '../../core/fitbook/findings.ts';
import { jacketCuts, jacketWorn, lapelKinds } from '../../core/jacket/jackets.ts';
import { wordPattern } from '../../core/knot/format.ts';
import { manners } from '../../core/knot/manners.ts';
import { aims } from '../../core/plan/aims.ts';
import { dressCodes } from '../../core/plan/dressCodes.ts';
import { likings } from '../../core/plan/habits.ts';
import { prescribedPatterns } from '../../core/plan/prescribedPatterns.ts';
import { schools } from '../../core/plan/schools.ts';
import type { Attempt } from '../../core/start/attempts.ts';
import { states } from '../../core/start/reading.ts';
import { tiedOn } from '../../core/start/tiedOn.ts';
import { fabrics } from '../../core/tie/fabrics.ts';
import { patterns } from '../../core/tie/patterns.ts';
import { tieEnds } from '../../core/tie/tie.ts';
import type { Steps } from '../ui/entryStore.ts';
import { besidePieces } from './pieces.ts';
import { type AtHand, givens } from './values.ts';

const key = 'ropewalk.at-hand.4';

/** What stood at hand, the steps that can be undone and done again, and the address the window had then. */
export interface KeptAtHand extends Steps<AtHand> {
  readonly values: AtHand;
  readonly address: string;
}

const mostSteps = 40;

/** What stood at hand when this window last left it, so that a reload loses nothing; only what can still be read as that. */
export function keptAtHand(): KeptAtHand | undefined {
  const kept = sessionStorage.getItem(key);
  if (!kept) return undefined;
  try {
    const read: unknown = JSON.parse(kept);
    return fits(read, { values: shape, past: allOf(isAtHand), future: allOf(isAtHand), address: text }) ? (read as KeptAtHand) : undefined;
  } catch {
    return undefined;
  }
}

export function keepAtHand(values: AtHand, { past, future }: Steps<AtHand>, address: string): void {
  const kept: KeptAtHand = { values, past: past.slice(-mostSteps), future: future.slice(-mostSteps), address };
  sessionStorage.setItem(key, JSON.stringify(kept));
}

export function forgetAtHand(): void {
  sessionStorage.removeItem(key);
}

type Fits = (value: unknown) => boolean;
type Shape = Fits | { readonly [key: string]: Shape };

const text: Fits = (value) => typeof value === 'string';
const moves: Fits = (value) => typeof value === 'string' && wordPattern.test(value);
const truth: Fits = (value) => typeof value === 'boolean';
const entry: Fits = (value) => value === null || typeof value === 'string' || Number.isFinite(value);
const lengths: Fits = (value) => Array.isArray(value) && value.every(Number.isFinite);
const object: Fits = (value) => typeof value === 'object' && value !== null;
const allOf =
  (each: Fits): Fits =>
  (value) =>
    Array.isArray(value) && value.every(each);
const either =
  (...ways: readonly Shape[]): Fits =>
  (value) =>
    ways.some((way) => fits(value, way));
const none: Fits = (value) => value === null || value === undefined;
const codeOf =
  (...tables: readonly object[]): Fits =>
  (value) =>
    typeof value === 'string' && tables.some((table) => Object.hasOwn(table, value));

const attempt: Shape = {
  moves,
  tie: text,
  tailMm: Number.isFinite,
  state: codeOf(states),
  tipOffMm: Number.isFinite,
  tailEndMm: either(none, Number.isFinite),
  takeUpMm: Number.isFinite,
  errorMm: Number.isFinite,
  noiseMm: Number.isFinite,
};

const seen: Fits = (value) => value === null || Number.isFinite(value);
/** What was kept before this could be measured has nothing there. */
const seenSince: Fits = (value) => value === undefined || seen(value);
const check: Shape = {
  tipOffMm: seen,
  tailEndMm: seen,
  setMm: seen,
  topMm: seen,
  bottomMm: seenSince,
  heightMm: seen,
  depthMm: seenSince,
  lean: either(none, codeOf(leans)),
  fine: allOf(codeOf(looks)),
  findings: allOf(codeOf(findings)),
  minutes: seen,
  clientVerdict: either(none, codeOf(verdicts)),
  stylistVerdict: either(none, codeOf(verdicts)),
};

const named: Shape = { id: either(none, text), label: text };
const piece: Shape = { id: either(none, text), label: text, draft: truth };

const shape: Shape = {
  client: named,
  outfit: either(none, named),
  regulation: either(none, named),
  shirt: piece,
  jacket: either(none, piece),
  tie: piece,
  colours: { tie: allOf(text), shirt: either(none, text), jacket: either(none, text), trousers: either(none, text) },
  aim: codeOf(aims, { own: true }),
  question: {
    client: {
      heightMm: entry,
      neckMm: entry,
      frontDropMm: entry,
      crossingGapMm: entry,
      beltHeightMm: entry,
      blade: codeOf({ right: true, left: true }),
      frontDropHow: codeOf(takings),
      front: codeOf(fronts),
    },
    shirt: {
      collarPointMm: entry,
      collarSpreadMm: entry,
      tieSpaceMm: entry,
      collarAllowanceMm: entry,
      standMm: entry,
      buttonsMm: either(text, lengths),
      pointsHeld: truth,
    },
    jacket: either(none, {
      lapelMm: entry,
      buttoningMm: entry,
      waistcoat: truth,
      worn: codeOf(jacketWorn),
      lapelKind: codeOf(lapelKinds),
      cut: codeOf(jacketCuts),
    }),
    tie: {
      kind: codeOf({ 'long-tie': true }),
      lengthMm: entry,
      bladeMm: entry,
      thicknessMm: entry,
      neckMm: entry,
      neckAtMm: entry,
      tailMm: entry,
      keeperMm: entry,
      fabric: codeOf(fabrics),
      pattern: codeOf(patterns),
      motifMm: either(none, Number.isFinite),
      ends: either(none, codeOf(tieEnds)),
      profile: either(
        none,
        allOf((at) => fits(at, { atMm: Number.isFinite, widthMm: Number.isFinite })),
      ),
    },
    aim: { offsetMm: entry, aboveMm: entry, belowMm: entry, level: either(none, truth) },
    occasion: { dressCode: either(none, codeOf(dressCodes)), patterns: either(none, codeOf(prescribedPatterns)) },
    liking: Object.fromEntries(Object.entries(likings).map(([name, choices]) => [name, codeOf(choices)])),
    rules: Object.fromEntries(Object.entries(schools).map(([name, { schools: each }]) => [name, codeOf(each)])),
    search: {
      maxMoves: Number.isInteger,
      knots: codeOf({ named: true, all: true }),
      manner: codeOf(manners, { any: true }),
      also: allOf(moves),
    },
    calibration: either(none, object),
  },
  given: codeOf(Object.fromEntries(givens.map((code) => [code, true]))),
  knot: either(none, moves),
  note: text,
  attempts: allOf(isAttempt),
  check,
  tiedOn: codeOf(tiedOn),
  beside: either(none, { piece: codeOf(Object.fromEntries(besidePieces.map((piece) => [piece, true]))), id: text }),
  told: either(none, text),
};

/** Whether what came back from a device or an address is a tying of a fitting. */
export function isAttempt(value: unknown): value is Attempt {
  return fits(value, attempt);
}

/** Whether what came back from the device can be worked with: anything may have been written there, by an older version too. */
export function isAtHand(value: unknown): value is AtHand {
  return fits(value, shape);
}

function fits(value: unknown, expected: Shape): boolean {
  if (typeof expected === 'function') return expected(value);
  if (typeof value !== 'object' || value === null) return false;
  return Object.entries(expected).every(([name, part]) => fits((value as Readonly<Record<string, unknown>>)[name], part));
}
