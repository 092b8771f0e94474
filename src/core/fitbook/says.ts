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

/** One thing that was learnt, and of how many tyings. */
export interface KnownOf {
  /** In the effect’s own unit: mm, or a share of the take-up. */
  readonly mean: number;
  readonly sd: number;
  readonly tyings: number;
}

type Learnt = Omit<LearntHere, 'stylist'>;

/** What is known of a client’s own drop against its measures, mm; `undefined` where nothing was learnt of it. */
export function knownOfClient(learnt: Learnt): KnownOf | undefined {
  return learnt.client ? knownOf(learnt, learnt.client.effect) : undefined;
}

/** What is known of how much more of it a tie takes up than its measures say; `undefined` where nothing was learnt of it. */
export function knownOfTie(learnt: Learnt, tie: string): KnownOf | undefined {
  const effect = effectName('tie', tie);
  return learnt.counts[effect] === undefined ? undefined : knownOf(learnt, effect);
}

function knownOf({ known, counts }: Learnt, effect: EffectName): KnownOf {
  const { mean, variance } = reckon(known, [[effect, 1]]);
  return { mean, sd: Math.sqrt(variance), tyings: counts[effect] ?? 0 };
}
