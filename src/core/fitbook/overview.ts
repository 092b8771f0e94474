import { codeOf, type EffectCode } from './effects.ts';
import type { FitBook } from './learn.ts';
import type { LearntEffect } from './posterior.ts';
import { missOf, type RecordedTying } from './tying.ts';

/** Of a recorded tying, all that the studio looks back on. */
export interface LookedBack extends Pick<RecordedTying, 'id' | 'source' | 'clientId' | 'tieId' | 'knot' | 'personId' | 'figures'> {
  /** `YYYY-MM-DD`. */
  readonly doneOn: string;
  readonly tipOffMm: number | null;
  readonly tries: number;
}

/** First tries of one month. */
export interface Month {
  /** `YYYY-MM`. */
  readonly month: string;
  readonly tyings: number;
  /** How many ended within tolerance at the first try. */
  readonly within: number;
  /** How far they ended from the aim, as a root mean square, mm. */
  readonly offMm: number;
}

/** What one client’s, tie’s, knot’s or person’s tyings came to. */
export interface Group {
  readonly id: string;
  readonly tyings: number;
  readonly within: number;
  readonly offMm: number;
}

export interface Overview {
  readonly records: number;
  readonly months: readonly Month[];
  readonly groups: Readonly<Record<'client' | 'tie' | 'knot' | 'person', readonly Group[]>>;
  /** Whether the bands told the truth: how many of the tips ended within the 90% band they were given. */
  readonly bands: { readonly told: number; readonly held: number };
  /** Effects that are surely not nothing, the surest first. */
  readonly surest: Readonly<Partial<Record<EffectCode, readonly LearntEffect[]>>>;
  /** Tyings set aside as blunders. */
  readonly blunders: readonly { readonly id: string; readonly missedMm: number }[];
}

/** How many standard deviations around the plan hold nine tips in ten. */
const nineInTen = 1.645;
/** An effect this many times its own uncertainty is told. */
const sure = 1.2;
const mostTold = 12;

/** What a studio’s tyings come to. `ids` names the tying of each record that was learnt from, in their order. */
export function overviewOf(book: FitBook, ids: readonly string[], tyings: readonly LookedBack[]): Overview {
  const judged = tyings.filter((tying) => tying.source === 'fitting' && missOf(tying) !== undefined);
  const planned = judged.filter(({ figures }) => figures.plannedSdMm !== undefined && figures.plannedOffMm !== undefined);
  const every = book.every();
  return {
    records: book.records,
    months: grouped(judged, ({ doneOn }) => doneOn.slice(0, 7))
      .map(({ id, ...rest }) => ({ month: id, ...rest }))
      .toSorted((a, b) => a.month.localeCompare(b.month)),
    groups: {
      client: grouped(judged, ({ clientId }) => clientId),
      tie: grouped(judged, ({ tieId }) => tieId),
      knot: grouped(judged, ({ knot }) => knot),
      person: grouped(judged, ({ personId }) => personId),
    },
    bands: {
      told: planned.length,
      held: planned.filter(
        ({ tipOffMm, figures }) => Math.abs((tipOffMm ?? 0) - (figures.plannedOffMm ?? 0)) <= nineInTen * (figures.plannedSdMm ?? 0),
      ).length,
    },
    surest: Object.fromEntries(
      (['client', 'tie', 'knot', 'hand', 'stylist'] as const).map((code) => [
        code,
        every
          .filter(({ name, mean, sd }) => codeOf(name) === code && Math.abs(mean) > sure * sd)
          .toSorted((a, b) => Math.abs(b.mean) / b.sd - Math.abs(a.mean) / a.sd)
          .slice(0, mostTold),
      ]),
    ),
    blunders: book.blunders.map(({ at, missedMm }) => ({ id: ids[at] ?? '', missedMm })),
  };
}

function grouped(tyings: readonly LookedBack[], keyOf: (tying: LookedBack) => string | null): Group[] {
  const groups = new Map<string, LookedBack[]>();
  for (const tying of tyings) {
    const key = keyOf(tying);
    if (key === null) continue;
    const of = groups.get(key) ?? [];
    of.push(tying);
    groups.set(key, of);
  }
  return [...groups]
    .map(([id, of]) => ({
      id,
      tyings: of.length,
      within: of.filter((tying) => tying.tries === 1 && missOf(tying)?.within).length,
      offMm: Math.sqrt(of.reduce((sum, tying) => sum + (missOf(tying)?.offMm ?? 0) ** 2, 0) / of.length),
    }))
    .toSorted((a, b) => b.tyings - a.tyings || a.id.localeCompare(b.id));
}
