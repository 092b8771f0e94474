import type { Bench } from 'tinybench';

/** The middle latency of a finished benchmark, ms. */
export function median(task: Bench['tasks'][number]): number {
  if (task.result.state !== 'completed') throw new Error(`The benchmark “${task.name}” did not complete.`);
  return task.result.latency.p50;
}

/** Prints figures with what they are measured against. */
export function report(lines: readonly (readonly [what: string, figure: string, ratio: string])[]): void {
  for (const [what, figure, ratio] of lines) console.log(`${what.padEnd(34)}${figure.padStart(12)}   ${ratio}`);
}
