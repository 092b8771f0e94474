import type { Dealing } from '../../src/core/care/dealings.ts';
import type { TieCare } from '../../src/core/care/standing.ts';

/** How a tie was used up to a day, gone through note by note: what the records’ own way of counting is held against. */
export function careByHand(on: string, happened: readonly Dealing[], fittedOn: readonly string[]): TieCare {
  const worn = new Set(fittedOn.filter((day) => day <= on));
  const knotted = new Set(worn);
  const holding: Dealing[] = [];
  for (const dealing of happened) {
    const { what, fromOn, untilOn } = dealing;
    if (what === 'worn') {
      if (fromOn <= on) {
        worn.add(fromOn);
        knotted.add(fromOn);
      }
      continue;
    }
    if (fromOn <= on && !(untilOn !== null && untilOn <= on)) holding.push(dealing);
    if (what === 'looped' && untilOn !== null && untilOn <= on) knotted.add(untilOn);
  }
  const firsts = ['repair', 'lent', 'aside', 'looped'].flatMap((what) =>
    holding.filter((dealing) => dealing.what === what).toSorted((a, b) => (a.fromOn < b.fromOn ? -1 : 1)),
  );
  const latest = (days: ReadonlySet<string>) => [...days].sort().at(-1) ?? null;
  return { on, wearings: worn.size, wornOn: latest(worn), knottedOn: latest(knotted), held: firsts[0] ?? null };
}
