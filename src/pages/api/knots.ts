import { formatKnot, knotProperties } from '../../core/index.ts';
import { knotCode } from '../../core/knot/code.ts';
import { knotsInManner } from '../../core/knot/manners.ts';
import { endpoint } from '../../server/http/endpoint.ts';
import { checkManner, checkMaxMoves } from '../../server/http/knotQuery.ts';

/** Every knot of a family (classic by default) of at most `maxMoves` moves (9 by default), fewest moves first. */
export const GET = endpoint(({ url }) =>
  knotsInManner(checkManner(url.searchParams), checkMaxMoves(url.searchParams)).map((knot) => {
    const { moves, ...properties } = knotProperties(knot);
    return { moves: formatKnot(knot), code: knotCode(knot), count: moves, ...properties };
  }),
);
