import type { APIContext } from 'astro';
import { answerKeys, firstOfList, type ListWanted } from '../contract/answerKeys.ts';
import { isDay } from '../contract/days.ts';
import type { FittingsWanted } from '../contract/fitting.ts';
import { type Answers, type Given, noAnswers } from '../contract/given.ts';
import { recordsOut } from '../contract/offline.ts';
import { type Preferences, personCookie, preferencesCookie, preferencesIn } from '../contract/preferences.ts';
import type { Kind, Wardrobe } from '../contract/records/records.ts';
import { isConnectionLoss, type Sql } from './database.ts';
import { toldBook } from './fitBook/told.ts';
import { findFitting, listFittings } from './fittings.ts';
import { type Asked, writtenCookie } from './http/endpoint.ts';
import { Problem } from './http/problem.ts';
import { dayOf, findIn, orderOf } from './http/recordQuery.ts';
import { listShown } from './lists.ts';
import { practice } from './practice.ts';
import { reading } from './reading.ts';
import { recordsById } from './records.ts';
import { whoAsks } from './studios.ts';
import { tieLife } from './tieLife.ts';
import { wardrobe } from './wardrobe.ts';

type Asking = Pick<Asked, 'sql' | 'studio' | 'person'>;

/** An outage is told by the page, which goes on trying: it must not be kept waiting for records that don't come. */
const patienceMs = 1500;

/**
 * What a page is drawn from on the server: this device's preferences, the studio, and the answers its islands would ask
 * for first. Where the records can't be reached, or refuse, the page comes without, and its islands ask and tell.
 */
export async function givenTo(
  { cookies, response }: Pick<APIContext, 'cookies'> & { readonly response: { readonly headers: Headers } },
  answersFor: (asking: Asking) => Promise<Answers>,
): Promise<Given> {
  const preferences = preferencesIn(cookies.get(preferencesCookie)?.value);
  const read = async (sql: Sql): Promise<Given> => {
    const who = await whoAsks(sql, cookies.get(personCookie)?.value);
    const [people, answers] = await Promise.all([list({ ...who, sql }, 'people', firstOfList), answersFor({ ...who, sql })]);
    const [asText, peopleAsText] = [answers, people].map((given) => JSON.stringify(given)) as [string, string];
    return { preferences, studio: { ...who.studio, person: who.person }, people: peopleAsText, answers: asText };
  };
  try {
    const given = await Promise.race([reading(cookies.get(writtenCookie)?.value, read), afterPatience()]);
    if (given) return given;
  } catch (error) {
    if (!(error instanceof Problem) && !isConnectionLoss(error)) throw error;
    if (error instanceof Problem) return nothingBut(preferences);
  }
  // A device that kept the page from before rather shows that.
  response.headers.set(recordsOut, 'true');
  return nothingBut(preferences);
}

function nothingBut(preferences: Preferences): Given {
  return { preferences, studio: null, people: noAnswers, answers: noAnswers };
}

function afterPatience(): Promise<undefined> {
  return new Promise((resolve) => {
    setTimeout(() => resolve(undefined), patienceMs).unref();
  });
}

export async function list(asking: Asking, kind: Kind, wanted: ListWanted): Promise<Answers> {
  return [[answerKeys.list(kind, wanted), await listShown(asking, kind, wanted)]];
}

/** More pieces than this are not sent along with a page: it asks for them once it stands. */
const mostPieces = 500;

/** The wardrobe of the client asked for, or of the one fitted last, with what the studio calls its knots. */
export async function atHand(asking: Asking, clientId?: string | null): Promise<Answers> {
  const [worn, namings] = await Promise.all([wardrobe(asking, clientId ?? undefined), list(asking, 'namings', firstOfList)]);
  return piecesOf(worn) > mostPieces ? namings : [[answerKeys.wardrobe(clientId), worn], ...namings];
}

function piecesOf({ shirts, jackets, ties, squares }: Wardrobe): number {
  return shirts.length + jackets.length + ties.length + squares.length;
}

/** A saved fitting with the wardrobe of its client. */
export async function fitting(asking: Asking, id: string): Promise<Answers> {
  const kept = await findFitting(asking.sql, asking.studio.id, id);
  return [[answerKeys.fitting(id), kept], ...(await atHand(asking, kept.clientId))];
}

export async function fittings({ sql, studio }: Asking, wanted: FittingsWanted): Promise<Answers> {
  return [[answerKeys.fittings(wanted), await listFittings(sql, studio.id, wanted)]];
}

/** What was learnt from all tyings. */
export async function learnt({ sql, studio }: Asking): Promise<Answers> {
  return [[answerKeys.fitBook(), await toldBook(sql, studio.id)]];
}

/** Everyone who learns, with what they rehearsed. */
export async function practised({ sql, studio }: Asking): Promise<Answers> {
  return [[answerKeys.practice(), await practice(sql, studio.id)]];
}

/** One record, and of a client what belongs to them. */
export async function record(asking: Asking, kind: Kind, id: string): Promise<Answers> {
  const found = (await recordsById(asking.sql, asking.studio.id, kind, [id])).get(id.toLowerCase());
  if (!found) return [];
  const theirs =
    kind === 'clients'
      ? await Promise.all(
          (['outfits', 'shirts', 'jackets', 'ties', 'squares'] as const).map((piece) => list(asking, piece, { clientId: id })),
        )
      : [];
  const life = kind === 'clients' ? await lifeOfClient(asking, id) : kind === 'ties' ? await lifeOfTie(asking, id) : [];
  return [[answerKeys.record(kind, id), found], ...theirs.flat(), ...life];
}

/** How a client was dressed, and what they rehearsed. */
async function lifeOfClient(asking: Asking, id: string): Promise<Answers> {
  const [dressed, rehearsed] = await Promise.all([fittings(asking, { client: id }), practice(asking.sql, asking.studio.id, id)]);
  return [...dressed, [answerKeys.practice(id), rehearsed]];
}

/** What became of a tie: where it stands, and the fittings it was worn at. */
async function lifeOfTie(asking: Asking, id: string): Promise<Answers> {
  const [life, worn] = await Promise.all([tieLife(asking, id), fittings(asking, { tie: id })]);
  return [[answerKeys.tieLife(id), life], ...worn];
}

/** What the address of a page asks of a list; what it can’t ask is left out. */
export function listAsked(asked: URLSearchParams): ListWanted {
  const query = new URLSearchParams(asked);
  if (!isDay(query.get('on') ?? '')) query.delete('on');
  const from = Number(query.get('from') ?? 0);
  return {
    find: findIn(query),
    archived: query.has('archived'),
    ...(Number.isInteger(from) && from > 0 && from < 10_000_000 ? { from } : {}),
    ...orderOf(query),
    ...dayOf(query),
  };
}
