import type { SeenCloth, SeenStrand } from '../compact.ts';

/** The first turn's root is left out: it runs off into the arm. */
const rootMm = 24;
const armShownMm = 6;

/** The knot without its arms, and with no more than `bladeMm` of what hangs out of it: what a small picture has room for. */
export function knotAlone(cloth: SeenCloth, bladeMm: number): SeenCloth {
  const { columns, active, standing } = cloth;
  let from = active.parts.findIndex((part) => part !== 'arm');
  for (let mm = 0; mm < rootMm; from++) mm += active.rest[from] ?? rootMm;
  const { top, bottom } = frontEdges(cloth);
  const within = [bottom - bladeMm, top + armShownMm] as const;
  const out = active.parts.findIndex((part) => part === 'tuck' || part === 'hang');
  const hanging = standing.parts.indexOf('hang');
  return {
    columns,
    active: cut(active, columns, from, lastWithin(active, columns, out < 0 ? active.rows - 1 : out, within)),
    standing: cut(standing, columns, back(standing, hanging, armShownMm), lastWithin(standing, columns, hanging, within)),
  };
}

/** The last row from `row` on before the middle of one leaves a range of heights, mm. */
function lastWithin({ rows, position }: SeenStrand, columns: number, row: number, [from, to]: readonly [number, number]): number {
  const middle = Math.floor(columns / 2);
  let at = row;
  const height = (each: number) => position[3 * (each * columns + middle) + 1] ?? 0;
  while (at < rows - 1 && height(at) >= from && (height(at) <= to || height(at + 1) < height(at))) at++;
  return at;
}

/** The row that lies `mm` of cloth before another. */
function back({ rest }: SeenStrand, row: number, mm: number): number {
  let at = row;
  for (let sum = 0; at > 0 && sum < mm; at--) sum += rest[at - 1] ?? 0;
  return at;
}

function cut({ parts, rest, position }: SeenStrand, columns: number, from: number, to: number): SeenStrand {
  return {
    rows: to - from + 1,
    parts: parts.slice(from, to + 1),
    rest: rest.slice(from, to),
    position: position.slice(3 * columns * from, 3 * columns * (to + 1)),
  };
}

const middleHalfMm = 12;

/** Heights of the front's upper and lower edge in its middle over the middle of the winding, mm. */
export function frontEdges({ active, columns }: SeenCloth): { readonly top: number; readonly bottom: number } {
  const front = active.parts.includes('band') ? 'band' : 'top';
  let [top, bottom] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
  active.parts.forEach((part, row) => {
    if (part !== front) return;
    for (let c = 0; c < columns; c++) {
      const at = 3 * (row * columns + c);
      if (Math.abs(active.position[at] ?? 0) >= middleHalfMm) continue;
      top = Math.max(top, active.position[at + 1] ?? 0);
      bottom = Math.min(bottom, active.position[at + 1] ?? 0);
    }
  });
  return top > bottom ? { top, bottom } : { top: 0, bottom: 0 };
}
