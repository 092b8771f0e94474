import type { Wardrobe } from '../../contract/records/records.ts';
import type { Beside } from './pieces.ts';
import { type AtHand, withShirt, withTie } from './values.ts';

/** The fitting that stands beside the one at hand; `undefined` where what was exchanged is no longer there. */
export function besideOf(values: AtHand, { piece, id }: Beside, { ties, shirts }: Pick<Wardrobe, 'ties' | 'shirts'>): AtHand | undefined {
  switch (piece) {
    case 'knot':
      return { ...values, knot: id };
    case 'tie': {
      const tie = ties.find((each) => each.id === id);
      return tie && withTie(values, tie);
    }
    case 'shirt': {
      const shirt = shirts.find((each) => each.id === id);
      return shirt && withShirt(values, shirt);
    }
  }
}
