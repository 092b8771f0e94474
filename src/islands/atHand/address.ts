import { draftLabels, draftPiece, type PieceKind } from '../../contract/records/draftPieces.ts';
import type { Wardrobe } from '../../contract/records/records.ts';
import { formatKnot } from '../../core/knot/format.ts';
import type { Knot } from '../../core/knot/knot.ts';
import { parseKnot } from '../../core/knot/parse.ts';
import { type AimCode, aims } from '../../core/plan/aims.ts';
import { isSearched } from '../../core/plan/searched.ts';
import type { Attempt } from '../../core/start/attempts.ts';
import { tiedOnCodes } from '../../core/start/tiedOn.ts';
import { valueAt, withValueAt } from '../ui/paths.ts';
import { isAtHand, isAttempt } from './kept.ts';
import { type Beside, besidePieces } from './pieces.ts';
import {
  type AtHand,
  freshAtHand,
  type GivenCode,
  givens,
  ownWaysOf,
  withAim,
  withJacket,
  withKnot,
  withOutfit,
  withRegulation,
  withShirt,
  withTie,
} from './values.ts';

/** Says in an address that nobody on record is dressed. */
export const walkInAddress = 'walk-in';
const none = 'none';

/** The client an address asks for; `null` where it asks for nobody on record. */
export function clientAsked(query: URLSearchParams): string | null {
  const client = query.get('client');
  return client === walkInAddress ? null : client;
}

/** Parts a list in an address. */
const comma = '~';

/**
 * What stands at hand, as an address: client, pieces, aim and knot by name, and every measure that differs from what is
 * kept of them, so that a colleague who opens it sees the same.
 */
export function addressOf(values: AtHand, wardrobe: Wardrobe): URLSearchParams {
  const named = new URLSearchParams({ client: values.client.id ?? walkInAddress });
  if (values.outfit?.id) named.set('outfit', values.outfit.id);
  else {
    named.set('shirt', values.shirt.id ?? values.shirt.label);
    named.set('jacket', values.jacket ? (values.jacket.id ?? values.jacket.label) : none);
  }
  named.set('tie', values.tie.id ?? values.tie.label);
  const { regulationId = null } = wardrobe.outfits.find(({ id }) => id === values.outfit?.id) ?? {};
  if ((values.regulation?.id ?? null) !== regulationId) named.set('regulation', values.regulation?.id ?? none);
  if (values.aim !== 'own') named.set('aim', values.aim);
  if (values.given !== 'tie') named.set('given', values.given);
  const base = readPieces(named, wardrobe);
  const differing = leaves(values.question).filter(([path, value]) => said(valueAt(base.question, path)) !== said(value));
  for (const [path, value] of differing) named.set(path, said(value));
  // A client or an outfit may bring a knot of its own, so following the best match has to be said then.
  if (values.knot !== base.knot) named.set('knot', values.knot?.replaceAll(' ', '-') ?? none);
  if (values.note !== '') named.set('note', values.note);
  if (values.tiedOn !== base.tiedOn) named.set('tied-on', values.tiedOn);
  if (values.attempts.length > 0) named.set('attempts', JSON.stringify(values.attempts));
  if (values.beside) named.set('beside', `${values.beside.piece}${comma}${values.beside.id.replaceAll(' ', '-')}`);
  return named;
}

/** What an address says stands at hand; what it says of things that are not there, or not so, is passed over. */
export function readAddress(query: URLSearchParams, wardrobe: Wardrobe): AtHand {
  const base = readPieces(query, wardrobe);
  const known = new Set(leaves(base.question).map(([path]) => path));
  let values = base;
  for (const [path, text] of query) {
    if (!known.has(path)) continue;
    const next = { ...values, question: withValueAt(values.question, path, unsaid(text, valueAt(base.question, path))) };
    if (isAtHand(next)) values = next;
  }
  const asked = query.get('knot');
  const knot = knotIn(asked);
  if (asked === none) values = { ...values, knot: null };
  else if (knot)
    values = isSearched(values.question.search, knot) ? { ...values, knot: formatKnot(knot) } : withKnot(values, formatKnot(knot));
  return {
    ...values,
    note: query.get('note') ?? '',
    attempts: attemptsIn(query.get('attempts')),
    tiedOn: tiedOnCodes.find((code) => code === query.get('tied-on')) ?? values.tiedOn,
    beside: besideIn(query.get('beside')),
  };
}

function readPieces(query: URLSearchParams, wardrobe: Wardrobe): AtHand {
  const client = query.get('client') === walkInAddress ? null : wardrobe.client;
  const fresh = freshAtHand({ ...wardrobe, client });
  let values: AtHand = fresh;
  const outfit = wardrobe.outfits.find(({ id }) => id === query.get('outfit'));
  if (client && outfit) values = withOutfit(values, outfit, client, wardrobe);
  const shirt = query.get('shirt');
  if (shirt !== null) {
    const record = pieceIn('shirts', shirt, wardrobe);
    values = record ? withShirt(values, record) : { ...values, shirt: { id: null, label: shirt, draft: false } };
  }
  const jacket = query.get('jacket');
  if (jacket === none) values = withJacket(values, null);
  else if (jacket !== null) {
    const record = pieceIn('jackets', jacket, wardrobe);
    if (record) values = withJacket(values, record);
  }
  const tie = query.get('tie');
  if (tie !== null) {
    const record = pieceIn('ties', tie, wardrobe);
    values = record ? withTie(values, record) : { ...values, tie: { id: null, label: tie, draft: false } };
  }
  const regulation = query.get('regulation');
  if (regulation !== null) {
    const record = wardrobe.regulations.find(({ id }) => id === regulation) ?? null;
    values = withRegulation(values, record, ownWaysOf(client));
  }
  const aim = query.get('aim');
  if (aim !== null && Object.hasOwn(aims, aim)) values = withAim(values, aim as AimCode);
  const given = query.get('given');
  return { ...values, given: givens.some((each) => each === given) ? (given as GivenCode) : 'tie', told: null };
}

function pieceIn<K extends PieceKind>(kind: K, named: string, wardrobe: Wardrobe): Wardrobe[K][number] | undefined {
  const record = (wardrobe[kind] as readonly Wardrobe[K][number][]).find(({ id }) => id === named);
  if (record) return record;
  return draftLabels(kind).includes(named) ? (draftPiece(kind, named, null, '') as Wardrobe[K][number]) : undefined;
}

/** Every single thing that a question says, by its path; lists are one thing. */
function leaves(from: unknown, path = ''): (readonly [path: string, value: unknown])[] {
  if (typeof from !== 'object' || from === null || Array.isArray(from)) return [[path, from]];
  // Learnt values and a tie's widths stand in records, and go along with them.
  return Object.entries(from).flatMap(([key, value]) =>
    key === 'calibration' || key === 'profile' ? [] : leaves(value, path ? `${path}.${key}` : key),
  );
}

function said(value: unknown): string {
  return Array.isArray(value) ? value.join(comma) : value === null ? none : String(value);
}

/** Read as what stands there otherwise: numbers may be measures not taken, or text that is no length yet. */
function unsaid(text: string, like: unknown): unknown {
  if (Array.isArray(like)) {
    const parts = text === '' ? [] : text.split(comma);
    return parts.every((part) => part !== '' && Number.isFinite(Number(part))) ? parts.map(Number) : parts;
  }
  if (typeof like === 'boolean') return text === 'true';
  if (text === none) return null;
  return text !== '' && Number.isFinite(Number(text)) ? Number(text) : text;
}

/** What stands beside it; whether it is still there is seen where it is shown. */
function besideIn(text: string | null): Beside | null {
  const [named, id = ''] = text?.split(comma) ?? [];
  const piece = besidePieces.find((each) => each === named);
  if (!piece) return null;
  if (piece !== 'knot') return { piece, id };
  const knot = knotIn(id);
  return { piece, id: knot ? formatKnot(knot) : '' };
}

/** The tyings an address tells of; none where it can't be read. */
function attemptsIn(text: string | null): readonly Attempt[] {
  if (text === null) return [];
  try {
    const read: unknown = JSON.parse(text);
    return Array.isArray(read) && read.every(isAttempt) ? read : [];
  } catch {
    return [];
  }
}

function knotIn(text: string | null): Knot | undefined {
  if (text === null) return undefined;
  try {
    return parseKnot(text.replaceAll('-', ' '));
  } catch {
    return undefined;
  }
}
