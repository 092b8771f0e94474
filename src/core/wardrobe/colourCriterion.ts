import type { ColouredCloth } from '../colour/cloth.ts';
import { type ContrastReading, type TieOnShirt, tieOnShirt } from '../colour/compare.ts';
import type { Judgement, Verdict } from '../plan/criteria/criterion.ts';

const readings: Readonly<Record<ContrastReading, { readonly score: number; readonly verdict: Verdict; readonly text: string }>> = {
  dressy: { score: 1, verdict: 'good', text: 'Dark tie on a lighter shirt: the dressy, safe way' },
  casual: { score: 0.7, verdict: 'fair', text: 'Light tie on a darker shirt: casual' },
  even: { score: 0.55, verdict: 'fair', text: 'About as light as the shirt, told apart by its colour only' },
  'too-close': { score: 0.15, verdict: 'poor', text: 'Too close to the shirt to be told apart' },
};

const undertones = { warmer: ', and warmer than it', cooler: ', and cooler than it', alike: '' } as const;

/** The tie's colours against the shirt, in words. */
export function judgeColour(cloth: ColouredCloth, shirtColour: string): Judgement & { readonly colours: TieOnShirt } {
  const colours = tieOnShirt(cloth, shirtColour);
  const { score, verdict, text } = readings[colours.reading];
  return { score, verdict, text: `${text}${undertones[colours.undertone]}.`, colours };
}
