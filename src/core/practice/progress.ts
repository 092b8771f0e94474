import { daysAfter } from '../units/days.ts';
import { type PracticePart, practicePartCodes, type Run } from './parts.ts';

/** So many clean runs in a row are a part learnt. */
export const cleanRunsToGoOn = 3;
/** Days to the next practice by how many runs in a row were clean: what sits is repeated ever more seldom. */
const daysByRow = [1, 1, 2, 4, 7, 14, 28] as const;
/** The latest runs tell what is typical. */
const typicalOf = 5;

/** How far a learner has come with one knot. */
export interface Progress {
  readonly knot: string;
  readonly runs: number;
  /** What is rehearsed next, or still. */
  readonly part: PracticePart;
  /** Of the runs of that part, or of the one before where it was not begun, seconds: the fastest clean one and the middle of the latest; `null` before there are any. */
  readonly bestS: number | null;
  readonly typicalS: number | null;
  readonly inARow: number;
  /** The day from which on it was tied cleanly with its finish; `null` before. */
  readonly canSince: string | null;
  readonly nextOn: string;
  /** Middle of the seconds each step took in the latest runs of that part. */
  readonly stepS: readonly number[];
  /** The steps that take longest beyond what a step takes in the middle, by their place, the worst first. */
  readonly costly: readonly number[];
  /** What went wrong, the most frequent first. */
  readonly wrong: readonly string[];
}

const mostCostly = 2;

/** What a learner's runs of one knot tell; `runs` oldest first. */
export function progressOf(knot: string, runs: readonly Run[]): Progress {
  const part = partNow(runs);
  // A part that was not begun yet is told by the one before it.
  const begun = runs.some((run) => run.part === part) ? part : runs.at(-1)?.part;
  const own = runs.filter((run) => run.part === begun);
  const latest = own.slice(-typicalOf);
  const steps = Math.max(0, ...latest.map(({ seconds }) => seconds.length));
  const stepS = Array.from({ length: steps }, (_, i) => median(latest.flatMap(({ seconds }) => seconds[i] ?? [])) ?? 0);
  const usual = median(stepS) ?? 0;
  const inARow = cleanInARow(own);
  return {
    knot,
    runs: runs.length,
    part,
    bestS: least(own.filter(({ clean }) => clean).map(totalOf)),
    typicalS: median(latest.map(totalOf)),
    inARow,
    canSince: canSince(runs),
    nextOn: runs.length === 0 ? '' : daysAfter(runs.at(-1)?.doneOn ?? '', daysByRow[Math.min(inARow, daysByRow.length - 1)] ?? 1),
    stepS,
    costly: stepS
      .map((s, i) => [s - usual, i] as const)
      .filter(([over]) => over > 0)
      .toSorted((a, b) => b[0] - a[0])
      .slice(0, mostCostly)
      .map(([, i]) => i),
    wrong: frequent(runs.map(({ wrong }) => wrong.trim()).filter(Boolean)),
  };
}

/** Every knot that was rehearsed, in the order of their names as given. */
export function progressByKnot(runs: readonly Run[]): Progress[] {
  const byKnot = new Map<string, Run[]>();
  for (const run of runs) byKnot.set(run.knot, [...(byKnot.get(run.knot) ?? []), run]);
  return [...byKnot].map(([knot, of]) => progressOf(knot, of));
}

export function totalOf({ seconds }: Pick<Run, 'seconds'>): number {
  return seconds.reduce((sum, s) => sum + s, 0);
}

/** Moves first, finish second, length last: the first part that has not been clean often enough in a row. */
function partNow(runs: readonly Run[]): PracticePart {
  return practicePartCodes.find((part) => !hasRow(runs.filter((run) => run.part === part))) ?? 'length';
}

function hasRow(runs: readonly Run[]): boolean {
  let row = 0;
  for (const { clean } of runs) {
    row = clean ? row + 1 : 0;
    if (row >= cleanRunsToGoOn) return true;
  }
  return false;
}

function cleanInARow(runs: readonly Run[]): number {
  const slip = runs.findLastIndex(({ clean }) => !clean);
  return runs.length - 1 - slip;
}

function canSince(runs: readonly Run[]): string | null {
  let row = 0;
  for (const { part, clean, doneOn } of runs) {
    if (part === 'moves') continue;
    row = clean ? row + 1 : 0;
    if (row >= cleanRunsToGoOn) return doneOn;
  }
  return null;
}

function frequent(words: readonly string[]): string[] {
  const counts = new Map<string, number>();
  for (const word of words) counts.set(word, (counts.get(word) ?? 0) + 1);
  return [...counts].toSorted((a, b) => b[1] - a[1] || a[0].localeCompare(b[0])).map(([word]) => word);
}

function least(values: readonly number[]): number | null {
  return values.length > 0 ? Math.min(...values) : null;
}

function median(values: readonly number[]): number | null {
  if (values.length === 0) return null;
  const sorted = values.toSorted((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? (sorted[middle] ?? 0) : ((sorted[middle - 1] ?? 0) + (sorted[middle] ?? 0)) / 2;
}
