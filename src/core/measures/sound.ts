import { completeRequest, type PlanQuestion } from '../plan/request.ts';
import { contradictions } from './consistency.ts';
import { buttonRangeMm, type Measure, measures, mostButtons, mostWidths } from './measures.ts';

/**
 * Whether a question can be planned for: every length in its range, none missing, nothing that contradicts another.
 * As quick as the plan itself; what is wrong where it is not so is told by the checks that word faults.
 */
export function isSound(question: PlanQuestion): boolean {
  const { client, shirt, jacket, tie, aim } = question;
  const parts = [
    [measures.client, client, ['heightMm', 'neckMm']],
    [measures.shirt, shirt, []],
    [measures.jacket, jacket, ['lapelMm']],
    [measures.tie, tie, ['lengthMm', 'bladeMm', 'thicknessMm']],
    [measures.aim, aim, []],
  ] as const;
  return (
    parts.every(([table, part, required]) => !part || inRange(table, part, required)) &&
    buttonsInRange(shirt?.buttonsMm) &&
    (tie.profile?.length ?? 0) <= mostWidths &&
    contradictions(completeRequest(question), String).length === 0
  );
}

/** Measures that may be unknown, and are then estimated. */
const estimated: ReadonlySet<string> = new Set(['frontDropMm', 'openLoopMm', 'crossedLoopMm', 'buttoningMm', 'standMm']);

function inRange(table: Readonly<Record<string, Measure>>, part: object, required: readonly string[]): boolean {
  return Object.entries(table).every(([key, { minMm, maxMm }]) => {
    const mm = (part as Readonly<Record<string, unknown>>)[key];
    if (mm === undefined) return !required.includes(key);
    if (mm === null) return estimated.has(key);
    return typeof mm === 'number' && mm >= minMm && mm <= maxMm;
  });
}

function buttonsInRange(buttons: readonly number[] | undefined): boolean {
  if (buttons === undefined) return true;
  const { min, max } = buttonRangeMm;
  return (
    Array.isArray(buttons) &&
    buttons.length > 0 &&
    buttons.length <= mostButtons &&
    buttons.every((mm) => typeof mm === 'number' && mm >= min && mm <= max)
  );
}
