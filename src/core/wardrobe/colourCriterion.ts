import type { ColouredCloth } from '../colour/cloth.ts';
import { type ContrastReading, type TieOnShirt, tieOnShirt } from '../colour/compare.ts';
import type { Judgement, Verdict } from '../plan/criteria/criterion.ts';

const readings: Readonly<Record<ContrastReading, { readonly score: number; readonly verdict: Verdict; readonly text: string }>> = {
  dressy: { score: 1, verdict: 'good', text: 'Darker than the shirt: dressy and safe' },
  casual: { score: 0.7, verdict: 'fair', text: 'Lighter than the shirt: casual' },
  even: { score: 0.55, verdict: 'fair', text: 'About as light as the shirt: only its colour sets it apart' },
  'too-close': { score: 0.15, verdict: 'poor', text: 'Too close to the shirt: it blends in' },
};

const undertones = { warmer: '; warmer in tone', cooler: '; cooler in tone', alike: '' } as const;

/** The tie's colours against the shirt, in words; `undefined` where either was never entered. */
export function judgeColour(cloth: ColouredCloth, shirtColour: string | null): (Judgement & { readonly colours: TieOnShirt }) | undefined {
  if (shirtColour === null || cloth.colours.length === 0) return undefined;
  const colours = tieOnShirt(cloth, shirtColour);
  const { score, verdict, text } = readings[colours.reading];
  return { score, verdict, text: `${text}${undertones[colours.undertone]}.`, colours };
}
