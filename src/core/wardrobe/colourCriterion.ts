import type { ColouredCloth } from '../colour/cloth.ts';
import { type ContrastReading, type Standing, standingOn, type TieOnShirt, tieOnShirt } from '../colour/compare.ts';
import type { Judgement, Verdict } from '../plan/criteria/criterion.ts';
import type { Reason } from '../plan/knotPlan.ts';

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

interface Rest {
  readonly jacketColour?: string | null;
  readonly trousersColour?: string | null;
}

const standings: Readonly<Record<Standing, { readonly score: number; readonly verdict: Verdict; readonly text: string }>> = {
  recedes: { score: 0.4, verdict: 'fair', text: 'Recedes into' },
  sits: { score: 1, verdict: 'good', text: 'Sits quietly with' },
  'stands-out': { score: 0.9, verdict: 'good', text: 'Stands out against' },
};

/** The tie against jacket and trousers: a tie is chosen for the whole outfit. `undefined` where no colour was entered. */
export function judgeWithRest(cloth: ColouredCloth, { jacketColour, trousersColour }: Rest): Judgement | undefined {
  if (cloth.colours.length === 0) return undefined;
  const worn = [
    { name: 'the jacket', colour: jacketColour },
    { name: 'the trousers', colour: trousersColour },
  ].flatMap(({ name, colour }) => (colour ? [{ name, standing: standingOn(cloth, colour) }] : []));
  if (worn.length === 0) return undefined;
  const said = (Object.keys(standings) as Standing[]).flatMap((standing) => {
    const names = worn.filter((each) => each.standing === standing).map(({ name }) => name);
    return names.length === 0 ? [] : [{ ...standings[standing], names: names.join(' and ') }];
  });
  const text = said.map(({ text: how, names }, i) => `${i === 0 ? how : how.toLowerCase()} ${names}`).join('; ');
  return {
    score: Math.min(...said.map(({ score }) => score)),
    verdict: said.some(({ verdict }) => verdict === 'fair') ? 'fair' : 'good',
    text: `${text}.`,
  };
}

/** All that the colours say for and against a tie, as reasons; nothing of what was never entered. */
export function colourReasons(cloth: ColouredCloth, { shirtColour, ...rest }: Rest & { readonly shirtColour: string | null }): Reason[] {
  const judged = { colour: judgeColour(cloth, shirtColour), 'colour-with-rest': judgeWithRest(cloth, rest) };
  return Object.entries(judged).flatMap(([code, judgement]) =>
    judgement ? [{ code, verdict: judgement.verdict, text: judgement.text }] : [],
  );
}

/** Which colours would have to be entered for the tie to be judged on the shirt, in words; `undefined` where none. */
export function coloursNotEntered(tieColours: readonly string[], shirtColour: string | null): string | undefined {
  if (shirtColour === null && tieColours.length === 0) return 'neither the shirt’s colour nor the tie’s is entered';
  if (shirtColour === null) return 'the shirt’s colour isn’t entered';
  return tieColours.length === 0 ? 'the tie’s colours aren’t entered' : undefined;
}
