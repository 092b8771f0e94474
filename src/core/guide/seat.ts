import { type Frame, regionInFrame } from '../knot/frame.ts';

/** From where a tying is followed: the wearer before a mirror, someone in front of the client, or someone behind, reaching over the shoulders. */
export const seats = {
  mirror: { label: 'wearer’s mirror', view: 'own' },
  facing: { label: 'facing the client', view: 'facing' },
  behind: { label: 'from behind', view: 'own' },
} as const satisfies Record<string, { readonly label: string; readonly view: Frame['view'] }>;

export type Seat = keyof typeof seats;
export const seatCodes = Object.keys(seats) as Seat[];

export function frameFrom(seat: Seat, blade: Frame['blade']): Frame {
  return { view: seats[seat].view, blade };
}

const other = { left: 'right', right: 'left' } as const;

/** A side as whoever ties sees it, and whose it is besides: `your left, the client’s right`. */
export function sideFrom(seat: Seat, side: 'left' | 'right'): string {
  if (seat === 'mirror') return `your ${side}`;
  return `your ${side}, the client’s ${seat === 'facing' ? other[side] : side}`;
}

/** The side on which the end that ties hangs at the start, as whoever ties sees it. */
export function startSide(seat: Seat, blade: Frame['blade']): 'left' | 'right' {
  return regionInFrame('R', frameFrom(seat, blade)) === 'R' ? 'right' : 'left';
}
