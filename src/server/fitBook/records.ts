import type { Fitting } from '../../contract/fitting.ts';
import { dropNowOf } from '../../contract/records/asWorn.ts';
import type { TyingRecord } from '../../contract/records/records.ts';
import { frontDropOf } from '../../core/body/frontDrop.ts';
import type { Records } from '../../core/fitbook/shelf.ts';
import { type DropNow, learnRecordOf, type RecordedTying } from '../../core/fitbook/tying.ts';
import type { PlanRequest } from '../../core/index.ts';
import { parseKnot } from '../../core/knot/parse.ts';
import { tipByLoops } from '../../core/start/reading.ts';
import { windingOf } from '../../core/tying/winding.ts';
import type { Queryable } from '../database.ts';
import { recordsById } from '../records.ts';

type FittingOf = Pick<Fitting, 'id' | 'clientId' | 'tieId' | 'personId' | 'attempts'> & { readonly request: PlanRequest };

/** Every tying of a studio that is learnt from: what fittings tried on the way, and their results, in an order that an export keeps. */
export async function recordsOf(sql: Queryable, studioId: string): Promise<Records> {
  const tyings = await sql<TyingRecord[]>`
    select id, version, archived, label, source, client_id, tie_id, knot, person_id, neck, done_on, state, "end", set_mm, tip_off_mm,
      tail_end_mm, tries, minutes, top_mm, bottom_mm, height_mm, depth_mm, lean, findings, client_verdict, stylist_verdict, counts, note, figures
    from tyings where studio_id = ${studioId} and not archived order by done_on, id`;
  const tried = await sql<FittingOf[]>`
    select id, client_id, tie_id, person_id, attempts, request from fittings
    where studio_id = ${studioId} and jsonb_array_length(attempts) > 0 order by created_at, id`;
  const ids = new Set([...tyings, ...tried].map(({ clientId }) => clientId).filter((id) => id !== null));
  const clients = await recordsById(sql, studioId, 'clients', [...ids]);
  const now = new Map<string, DropNow>([...clients].map(([id, client]) => [id, dropNowOf(client)]));
  // Whoever tied at the end tied the times before: of a fitting nobody checked, whoever dressed the client.
  const neckOf = new Map(tyings.map(({ id, neck }) => [id, neck]));
  const attempted = tried.flatMap((fitting) => attemptsOf(fitting, neckOf.get(fitting.id) ?? 'facing'));
  const counted: readonly RecordedTying[] = [...attempted, ...tyings.filter(({ counts }) => counts)];
  const learnt = counted.flatMap((tying) => {
    const record = learnRecordOf(tying, tying.clientId === null ? undefined : now.get(tying.clientId));
    return record ? [{ id: tying.id, record }] : [];
  });
  return { records: learnt.map(({ record }) => record), ids: learnt.map(({ id }) => id), lookedBack: [...tyings] };
}

/** The tyings of a fitting before the last one, as they were kept with it. */
function attemptsOf({ id, clientId, tieId, personId, attempts, request }: FittingOf, neck: RecordedTying['neck']): RecordedTying[] {
  const { client } = request;
  const drop = frontDropOf(client);
  return attempts.map(({ moves, takeUpMm, errorMm, noiseMm, state, tailMm }) => {
    const { openBy, crossedBy } = tipByLoops(state, windingOf(parseKnot(moves)).active === 'blade' ? 'tail' : 'blade');
    return {
      ...{ id, source: 'fitting' as const, clientId, tieId, knot: moves, personId, neck },
      ...{ end: 'tail' as const, setMm: null, tipOffMm: null, topMm: null, bottomMm: null, heightMm: null, depthMm: null, lean: null },
      figures: {
        ...{ tailMm, takeUpMm, errorMm, noiseMm, dropMm: drop.meanMm, dropMeasured: drop.measured ? 1 : 0 },
        openBy: client.openLoopMm === null ? openBy : 0,
        crossedBy: client.crossedLoopMm === null ? crossedBy : 0,
      },
    };
  });
}
