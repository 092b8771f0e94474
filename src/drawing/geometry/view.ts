import type { Frame } from '../../core/index.ts';

export type View = Frame['view'];

/** +1 where the wearer's left is drawn on the viewer's right (facing the client), −1 in the wearer's mirror. */
export function wearersLeft(view: View): 1 | -1 {
  return view === 'facing' ? 1 : -1;
}

export const viewLabels: Readonly<Record<View, { readonly name: string; readonly left: string; readonly right: string }>> = {
  facing: { name: 'facing the client', left: 'wearer’s right', right: 'wearer’s left' },
  own: { name: 'wearer’s mirror', left: 'wearer’s left', right: 'wearer’s right' },
};

/** Whose left and right is meant, as it stands beside written moves: `facing the client, blade on the wearer’s right`. */
export function sayFrame({ view, blade }: Frame): string {
  return `${viewLabels[view].name}, blade on the wearer’s ${blade}`;
}
