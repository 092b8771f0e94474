import { codeOf, type EffectName, effectName } from './effects.ts';
import type { LearntHere } from './here.ts';
import { type FitBook, type LearnRecord, learn } from './learn.ts';
import { type LookedBack, type Overview, overviewOf } from './overview.ts';
import { shapeParts } from './shapes.ts';
import { spreadsFrom } from './spreads.ts';
import { clientEffectNow, type DropNow } from './tying.ts';

/** A studio’s records in their order, as they are learnt from. */
export interface Records {
  readonly records: readonly LearnRecord[];
  /** The tying each is of. */
  readonly ids: readonly string[];
  /** All that is looked back on, also what is not learnt from. */
  readonly lookedBack: readonly LookedBack[];
}

/** Whom and what a page asks about. */
export interface AskedAbout {
  readonly client: { readonly id: string; readonly drop: DropNow } | null;
  /** By what the hands that may tie are known. */
  readonly hands: readonly string[];
  readonly ties: readonly string[];
}

/** A studio’s book, learnt, and what is asked of it. */
export interface LearntBook {
  readonly here: (about: AskedAbout) => Omit<LearntHere, 'stylist'>;
  readonly overview: () => Overview;
}

/** Learns from all records of a studio, with spreads of its own once there are enough. */
export function learntBook({ records, ids, lookedBack }: Records): LearntBook {
  const book = learn(records, spreadsFrom(records));
  const every = book.every();
  const byName = new Map(every.map((effect) => [effect.name, effect]));
  const fittings = latestByClient(records, ids);
  const knots = every.filter(({ name }) => codeOf(name) === 'knot').map(({ name }) => name);
  return {
    here: (about) => ({
      ...hereOf(book, about, knots, (name) => byName.get(name)),
      fittings: fittings.get(about.client?.id ?? '') ?? [],
    }),
    overview: () => overviewOf(book, ids, lookedBack),
  };
}

/** As many of a client’s fittings as may still be at hand somewhere. */
const mostFittings = 40;

/** The latest fittings of each client among the records, which stand in the order of their days. */
function latestByClient(records: readonly LearnRecord[], ids: readonly string[]): ReadonlyMap<string, readonly string[]> {
  const latest = new Map<string, string[]>();
  records.forEach(({ client }, at) => {
    const id = ids[at];
    if (client === null || id === undefined) return;
    const person = client.split('/')[0] ?? client;
    const own = (latest.get(person) ?? []).filter((each) => each !== id);
    latest.set(person, [...own, id].slice(-mostFittings));
  });
  return latest;
}

/** Every two ties vary together, so a wardrobe is told of as many as are tied most; what is known of all grows with their square. */
const mostTies = 120;

type Found = { readonly mean: number; readonly records: number } | undefined;

function hereOf(
  book: FitBook,
  { client, hands, ties }: AskedAbout,
  knots: readonly EffectName[],
  find: (name: EffectName) => Found,
): Omit<LearntHere, 'stylist' | 'fittings'> {
  const timesTied = (tie: string) => find(effectName('tie', tie))?.records ?? 0;
  const tied = ties
    .filter((tie) => timesTied(tie) > 0)
    .toSorted((a, b) => timesTied(b) - timesTied(a))
    .slice(0, mostTies);
  const effect = client && clientEffectNow(client.id, client.drop);
  const wanted = [
    ...(client && effect ? [effect, effectName('open', client.id)] : []),
    ...hands.flatMap((hand) => (['hand', 'stylist', 'crossed'] as const).map((code) => effectName(code, hand))),
    ...tied.map((tie) => effectName('tie', tie)),
    ...knots,
  ];
  const shapes = [
    ...tied.flatMap((tie) => shapeParts.map((part) => effectName(`${part}Tie`, tie))),
    ...knots.flatMap((name) => {
      const moves = name.slice('knot/'.length);
      return shapeParts.map((part) => effectName(`${part}Knot`, moves));
    }),
  ];
  const known = book.known([...new Set(wanted)]);
  return {
    known,
    looks: Object.fromEntries(
      shapes.flatMap((name) => {
        const found = find(name);
        return found ? [[name, found.mean]] : [];
      }),
    ),
    clientId: client?.id ?? null,
    client:
      client && effect && known.effects.includes(effect) ? { effect, dropMm: client.drop.meanMm, measured: client.drop.measured } : null,
    counts: Object.fromEntries(known.effects.map((name) => [name, find(name)?.records ?? 0])),
  };
}
