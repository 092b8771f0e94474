import { knotOfCode } from '../../../../core/knot/code.ts';
import { endpoint } from '../../../../server/http/endpoint.ts';
import { nothingAt } from '../../../../server/http/problem.ts';
import { readyCloth } from '../../../../server/readyCloth.ts';

/** The ready mesh of a knot in plain figures, so that others can check it. */
export const GET = endpoint(async ({ params, url }) => {
  const code = params['code'] ?? '';
  const cloth = knotOfCode(code) && (await readyCloth(code));
  if (!cloth) throw nothingAt(url);
  const strand = ({ rows, parts, rest, position }: (typeof cloth)['active']) => ({
    rows,
    parts,
    clothMm: along(rest),
    positionsMm: Array.from({ length: position.length / 3 }, (_, i) => [0, 1, 2].map((axis) => round(position[3 * i + axis] ?? 0))),
  });
  return { code, columns: cloth.columns, active: strand(cloth.active), standing: strand(cloth.standing) };
});

/** How far along its strand each row lies, mm. */
function along(rest: Float64Array): number[] {
  let at = 0;
  const places = [0];
  for (const step of rest) {
    at += step;
    places.push(round(at));
  }
  return places;
}

function round(value: number): number {
  return Math.round(100 * value) / 100;
}
