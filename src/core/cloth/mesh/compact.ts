import type { Part } from './loosePath.ts';
import { parts } from './loosePath.ts';
import type { ClothMesh, Strand } from './mesh.ts';

/** A strip of a finished mesh, for looking at: no longer to be moved. */
export interface SeenStrand {
  readonly rows: number;
  readonly parts: readonly Part[];
  /** Cloth from each row to the next, mm. */
  readonly rest: Float64Array;
  /** x, y, z, row by row, mm. */
  readonly position: Float64Array;
}

/** A knot tied in cloth as it is kept and drawn. */
export interface SeenCloth {
  readonly columns: number;
  readonly active: SeenStrand;
  readonly standing: SeenStrand;
}

export function seenOf({ columns, position, active, standing }: ClothMesh): SeenCloth {
  const seen = ({ first, rows, parts: of, rest }: Strand): SeenStrand => ({
    rows,
    parts: of,
    rest: rest.slice(),
    position: position.slice(3 * first, 3 * (first + rows * columns)),
  });
  return { columns, active: seen(active), standing: seen(standing) };
}

/** How finely positions are kept, by the number that says so in the first byte, mm; lengths are kept ten times finer. */
const fineness = { 1: 0.1, 2: 0.2 } as const;
type Fineness = keyof typeof fineness;

/** For a knot that is looked at closely, and for one of the many frames of a movement. */
export const kept: Readonly<Record<'knot' | 'frame', Fineness>> = { knot: 1, frame: 2 };

/**
 * A mesh in few bytes: positions to a tenth or two of a millimetre, kept as second differences along each column,
 * high and low bytes apart, so that they pack well.
 */
export function packCloth({ columns, active, standing }: SeenCloth, finely: Fineness = kept.knot): Uint8Array {
  const stepMm = fineness[finely];
  const numbers: number[] = [];
  for (const { rows, position, rest } of [active, standing]) {
    for (let at = 0; at < 3 * columns; at++) {
      let before = 0;
      let slope = 0;
      for (let row = 0; row < rows; row++) {
        const value = Math.round((position[row * 3 * columns + at] ?? 0) / stepMm);
        numbers.push(value - before - slope);
        slope = row === 0 ? 0 : value - before;
        before = value;
      }
    }
    let before = 0;
    for (const length of rest) {
      const value = Math.round(length / (stepMm / 10));
      numbers.push(value - before);
      before = value;
    }
  }
  const head = [finely, columns, active.rows >> 8, active.rows & 255, standing.rows >> 8, standing.rows & 255];
  const partOf = [active, standing].flatMap((strand) => strand.parts.map((part) => parts.indexOf(part)));
  const low = numbers.map((value) => zigzag(value) & 255);
  const high = numbers.map((value) => zigzag(value) >> 8);
  return Uint8Array.from([...head, ...partOf, ...high, ...low]);
}

/** The mesh that was packed; throws where the bytes are of something else. */
export function unpackCloth(bytes: Uint8Array): SeenCloth {
  const at = (i: number) => bytes[i] ?? 0;
  const columns = at(1);
  const rows = [at(2) * 256 + at(3), at(4) * 256 + at(5)] as const;
  const count = rows.reduce((sum, each) => sum + each * 3 * columns + each - 1, 0);
  const from = 6 + rows[0] + rows[1];
  const finely = at(0);
  if ((finely !== kept.knot && finely !== kept.frame) || bytes.length !== from + 2 * count)
    throw new Error('These bytes are no knot tied in cloth.');
  const stepMm = fineness[finely];
  let place = 0;
  const next = () => {
    const value = at(from + place) * 256 + at(from + count + place);
    place++;
    return value % 2 === 0 ? value / 2 : -(value + 1) / 2;
  };
  let part = 6;
  const strand = (height: number): SeenStrand => {
    const position = new Float64Array(3 * columns * height);
    for (let k = 0; k < 3 * columns; k++) {
      let before = 0;
      let slope = 0;
      for (let row = 0; row < height; row++) {
        const value = next() + before + slope;
        slope = row === 0 ? 0 : value - before;
        before = value;
        position[row * 3 * columns + k] = value * stepMm;
      }
    }
    const rest = new Float64Array(height - 1);
    let before = 0;
    for (let row = 0; row < height - 1; row++) {
      before += next();
      rest[row] = before * (stepMm / 10);
    }
    const of = Array.from({ length: height }, () => parts[at(part++)] ?? 'hang');
    return { rows: height, parts: of, rest, position };
  };
  const active = strand(rows[0]);
  return { columns, active, standing: strand(rows[1]) };
}

function zigzag(value: number): number {
  const clamped = Math.max(-32768, Math.min(32767, value));
  return clamped >= 0 ? 2 * clamped : -2 * clamped - 1;
}
