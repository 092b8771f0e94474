import { type Estimate, type FrontOf, frontDropOf } from './frontDrop.ts';

export interface Landmark extends Estimate {
  readonly name: string;
  /** Sewn to the shirt, so exact; points of the body are estimated from height. */
  readonly kind: 'button' | 'body';
}

const bodySdMm = 15;
const sewnSdMm = 2;

/** Distance below the collar button as a share of height, from the top down. */
const bodyShares: readonly { readonly name: string; readonly share: number }[] = [
  { name: 'breastbone', share: 0.115 },
  { name: 'bottom of the ribs', share: 0.19 },
  { name: 'navel', share: 0.23 },
];

const fingertipShare = 0.453;

const ordinals = ['1st', '2nd', '3rd'];

/** Buttons are counted from the first one below the collar. */
export function buttonName(index: number): string {
  return `${ordinals[index] ?? `${index + 1}th`} button below the collar`;
}

/** Landmarks down the front by which a tail tip is placed, from the top. */
export function landmarksOf(client: FrontOf, buttonsMm: readonly number[]): Landmark[] {
  const drop = frontDropOf(client);
  const landmarks: Landmark[] = [
    ...bodyShares.map(({ name, share }): Landmark => ({ name, kind: 'body', meanMm: share * client.heightMm, sdMm: bodySdMm })),
    { name: 'belt top', kind: 'body', meanMm: drop.meanMm, sdMm: drop.sdMm },
    ...buttonsMm.map((meanMm, i): Landmark => ({ name: buttonName(i), kind: 'button', meanMm, sdMm: sewnSdMm })),
  ];
  return landmarks.sort((a, b) => a.meanMm - b.meanMm);
}

/** The index fingertip hangs so much higher than the middle one, mm. */
const indexHigherMm = 10;

/** The fingertips of the hanging arm that people place the blade's tip by. */
export function fingertipsOf(heightMm: number): Landmark[] {
  const middle = fingertipOf(heightMm);
  return [middle, { ...middle, name: 'index fingertip', meanMm: middle.meanMm - indexHigherMm }];
}

/** The middle fingertip of the hanging arm, by which others place the blade's tip. */
export function fingertipOf(heightMm: number): Landmark {
  return { name: 'middle fingertip', kind: 'body', meanMm: fingertipShare * heightMm, sdMm: bodySdMm };
}
