import type { SeenCloth, SeenStrand } from '../mesh/compact.ts';
import { between } from './between.ts';

/** Lifting the end to where it goes in takes so much of the whole movement; drawing it through takes the rest. */
const liftShare = 0.4;
/** What is wound is opened for it meanwhile, from one share of the movement to the other: where layers are mixed they may touch. */
const opens = [0.28, 0.4] as const;

/**
 * The end that ties, on its way down through its band: `share` is 0 where it hangs after the last move, 1 where it is through. Its tip is
 * lifted to the throat, and goes the way the cloth takes in the end; what is not through yet stands in a loop before the knot, all of
 * it, so that nothing stretches and no cloth goes through cloth. An end that has no band to go through is simply led there.
 */
export function threaded(last: SeenCloth, through: SeenCloth, share: number): SeenCloth {
  const { columns } = through;
  const from = through.active.parts.indexOf('top');
  if (share <= 0 || share >= 1 || from < 1 || last.active.rows !== through.active.rows) return between(last, through, share);
  const open = eased((share - opens[0]) / (opens[1] - opens[0]));
  const wound = between(last, through, open);
  const lift = Math.min(1, share / liftShare);
  const drawn = Math.max(0, (share - liftShare) / (1 - liftShare));
  const looped = onItsWay(last.active, through.active, columns, from, drawn, open);
  const position = looped.slice();
  for (let i = 3 * columns * from; i < position.length; i++) {
    const hangs = last.active.position[i] ?? 0;
    position[i] = hangs + lift * ((looped[i] ?? 0) - hangs);
  }
  return { ...through, active: { ...through.active, position }, standing: wound.standing };
}

function eased(share: number): number {
  const t = Math.min(1, Math.max(0, share));
  return t * t * (3 - 2 * t);
}

/** Positions with the cloth past row `from` in a loop at the throat, and its last `drawn` part through the band, which is `open` so far. */
function onItsWay(
  last: SeenStrand,
  through: SeenStrand,
  columns: number,
  from: number,
  drawn: number,
  open: number,
): Float64Array<ArrayBuffer> {
  const { rows, rest } = through;
  const stride = 3 * columns;
  const position = through.position.map((value, i) => (last.position[i] ?? 0) + open * (value - (last.position[i] ?? 0)));
  const rowMm = rest[from] ?? 0;
  const count = rows - 1 - from;
  const looseRows = overRows + (count - overRows) * (1 - drawn);
  const leaves = middle({ position }, columns, from);
  const enters = middle(through, columns, from + overRows);
  const side = Math.sign(across(through, columns, from, 0)) || 1;
  for (let row = from; row < rows; row++) {
    const past = row - from;
    if (past > looseRows) {
      // The way is the one that the cloth lies on in the end; here another piece of it, as wide as it is itself.
      const at = from + overRows + past - looseRows;
      const wide = Math.min(1, width(through, columns, row) / Math.max(1, width(through, columns, Math.round(at))));
      alongWay(position, stride * row, through, columns, at, wide);
      continue;
    }
    const along = past / looseRows;
    const loop = loopPoint(along, (looseRows - overRows) * rowMm);
    // At the throat it lies as the cloth does that lies there in the end; away from it flat, and as wide as it is.
    const free = eased((Math.min(along, 1 - along) * looseRows * rowMm) / spreadMm);
    const there = along < 0.5 ? from : from + overRows;
    const held = middle(through, columns, there);
    const wideMm = width(last, columns, row);
    for (let c = 0; c < columns; c++) {
      for (const axis of [0, 1, 2] as const) {
        const aside = axis === 0 ? side * (c / (columns - 1) - 0.5) * wideMm : 0;
        const gathered = (through.position[stride * there + 3 * c + axis] ?? 0) - held[axis];
        position[stride * row + 3 * c + axis] =
          leaves[axis] + along * (enters[axis] - leaves[axis]) + loop[axis] + gathered + free * (aside - gathered);
      }
    }
  }
  return position;
}

/** From where the cloth leaves the throat to where it goes in, over the top of what is wound, so many rows. */
const overRows = 3;
const spreadMm = 70;

/** A place on a loop of so much cloth that leaves the throat upward, swings forward and comes back to it, mm. */
function loopPoint(along: number, clothMm: number): readonly [number, number, number] {
  const at = along * (loop.length - 1);
  const i = Math.min(loop.length - 2, Math.floor(at));
  const [a, b] = [loop[i] ?? [0, 0], loop[i + 1] ?? [0, 0]];
  const mix = (axis: 0 | 1) => clothMm * (a[axis] + (at - i) * (b[axis] - a[axis]));
  return [0, mix(0), mix(1)];
}

/** A drop’s outline, leaning forward out of the wearer’s face, up and forward in steps of equal length; as long as 1. */
const loop: readonly (readonly [number, number])[] = (() => {
  const fine = 400;
  const [up, forward] = [0.5, 0.866];
  const points = Array.from({ length: fine + 1 }, (_, i): readonly [number, number] => {
    const angle = (Math.PI * i) / fine;
    const out = Math.sin(angle) ** 2;
    const aside = 0.5 * Math.sin(2 * angle) * Math.sin(angle) ** 2;
    return [out * up + aside * forward, out * forward - aside * up];
  });
  const lengths = [0];
  for (const [i, [y, z]] of points.slice(1).entries()) {
    const [y0, z0] = points[i] ?? [0, 0];
    lengths.push((lengths[i] ?? 0) + Math.hypot(y - y0, z - z0));
  }
  const whole = lengths.at(-1) ?? 1;
  let at = 0;
  return Array.from({ length: 81 }, (_, i): readonly [number, number] => {
    const wanted = (whole * i) / 80;
    while (at < fine - 1 && (lengths[at + 1] ?? 0) < wanted) at++;
    const share = (wanted - (lengths[at] ?? 0)) / ((lengths[at + 1] ?? 1) - (lengths[at] ?? 0));
    const [[y0, z0], [y1, z1]] = [points[at] ?? [0, 0], points[at + 1] ?? [0, 0]];
    return [(y0 + share * (y1 - y0)) / whole, (z0 + share * (z1 - z0)) / whole];
  });
})();

type Laid = Pick<SeenStrand, 'position'>;

function middle({ position }: Laid, columns: number, row: number): readonly [number, number, number] {
  const i = 3 * (row * columns + Math.floor(columns / 2));
  return [position[i] ?? 0, position[i + 1] ?? 0, position[i + 2] ?? 0];
}

/** From one edge of a row to the other, along an axis, mm. */
function across({ position }: Laid, columns: number, row: number, axis: number): number {
  const first = 3 * row * columns + axis;
  return (position[first + 3 * (columns - 1)] ?? 0) - (position[first] ?? 0);
}

const width = (strand: Laid, columns: number, row: number) => Math.hypot(...[0, 1, 2].map((axis) => across(strand, columns, row, axis)));

/** A row laid on the way that a strand takes, `at` between two of its rows, and drawn in to a share of its width there. */
function alongWay(
  position: Float64Array,
  out: number,
  { position: way, rows }: SeenStrand,
  columns: number,
  at: number,
  wide: number,
): void {
  const low = Math.min(rows - 2, Math.floor(at));
  const share = at - low;
  const stride = 3 * columns;
  const value = (i: number) => (way[stride * low + i] ?? 0) * (1 - share) + (way[stride * (low + 1) + i] ?? 0) * share;
  const centre = 3 * Math.floor(columns / 2);
  for (let i = 0; i < stride; i++) {
    const mid = value(centre + (i % 3));
    position[out + i] = mid + wide * (value(i) - mid);
  }
}
