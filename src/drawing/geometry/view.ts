import type { Frame } from '../../core/index.ts';

export type View = Frame['view'];

/** +1 where the wearer's left is drawn on the viewer's right (facing him), −1 in his own mirror. */
export function wearersLeft(view: View): 1 | -1 {
  return view === 'facing' ? 1 : -1;
}

export const viewLabels: Readonly<Record<View, { readonly name: string; readonly left: string; readonly right: string }>> = {
  facing: { name: 'facing him', left: 'his right', right: 'his left' },
  own: { name: 'in his mirror', left: 'his left', right: 'his right' },
};
