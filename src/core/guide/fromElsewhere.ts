import { formatKnot } from '../knot/format.ts';
import { type Frame, frames } from '../knot/frame.ts';
import type { Knot } from '../knot/knot.ts';
import { parseKnot } from '../knot/parse.ts';

/** A sequence that was written somewhere, read without being told for whom. */
export interface ReadElsewhere {
  readonly knot: Knot;
  /** For whom it can have been written; they spell it alike. */
  readonly writtenFor: readonly Frame[];
}

/**
 * Reads a sequence by trying every convention: a first move to the left was written for a blade that starts on the right of
 * whoever looks, and one to the right for a blade on the left, so that at most one knot fits. Throws as {@link parseKnot} does
 * where none does.
 */
export function readElsewhere(text: string): ReadElsewhere {
  const readings = frames.flatMap((frame) => {
    try {
      return [{ knot: parseKnot(text, frame), frame }];
    } catch {
      return [];
    }
  });
  const first = readings[0]?.knot ?? parseKnot(text);
  const spelled = formatKnot(first);
  return { knot: first, writtenFor: readings.filter(({ knot }) => formatKnot(knot) === spelled).map(({ frame }) => frame) };
}
