import { enumerateKnots, formatKnot, knotProperties } from '../../core/index.ts';
import { knotCode } from '../../core/knot/code.ts';
import { endpoint } from '../../server/http/endpoint.ts';
import { checkMaxMoves } from '../../server/http/maxMoves.ts';

/** Every classic knot of at most `maxMoves` moves (9 by default), fewest moves first. */
export const GET = endpoint(({ url }) =>
  enumerateKnots(checkMaxMoves(url.searchParams)).map((knot) => {
    const { moves, ...properties } = knotProperties(knot);
    return { moves: formatKnot(knot), code: knotCode(knot), count: moves, ...properties };
  }),
);
