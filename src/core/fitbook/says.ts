import { codeOf, type EffectCode, type EffectName, effectName } from './effects.ts';
import type { LearntHere } from './here.ts';
import { meanOf, reckon } from './known.ts';

/** What one thing that was learnt does to the next tip. */
export interface Said {
  readonly code: EffectCode;
  /** Its own amount: mm, or a share of the take-up. */
  readonly amount: number;
  /** How much lower the tip would end for it, mm. */
  readonly lowerMm: number;
  readonly tyings: number;
}

/** What lies nearer than this to what the measures say is not worth a word, mm. */
const worthSayingMm = 3;

/** What the book knows of the next tying, the weightiest first. */
export function bookSays({ known, client, stylist, counts }: LearntHere, tie: string, knot: string, takeUpMm: number): Said[] {
  const names: readonly EffectName[] = [
    ...(client ? [client.effect] : []),
    effectName('hand', stylist),
    ...(['stylist', 'tie', 'knot'] as const).map((code) => effectName(code, { stylist, tie, knot }[code])),
  ];
  return names
    .map((name): Said => {
      const code = codeOf(name);
      const amount = meanOf(known, [[name, 1]]);
      const isShare = code === 'stylist' || code === 'tie' || code === 'knot';
      return { code, amount, lowerMm: isShare ? -takeUpMm * amount : amount, tyings: counts[name] ?? 0 };
    })
    .filter(({ lowerMm, tyings }) => tyings > 0 && Math.abs(lowerMm) >= worthSayingMm)
    .toSorted((a, b) => Math.abs(b.lowerMm) - Math.abs(a.lowerMm));
}

/** What is known of a client’s own drop against its measures; `undefined` where nothing was learnt of it. */
export function knownOfClient({
  known,
  client,
  counts,
}: Omit<LearntHere, 'stylist'>): { readonly meanMm: number; readonly sdMm: number; readonly tyings: number } | undefined {
  if (!client) return undefined;
  const { mean, variance } = reckon(known, [[client.effect, 1]]);
  return { meanMm: mean, sdMm: Math.sqrt(variance), tyings: counts[client.effect] ?? 0 };
}
