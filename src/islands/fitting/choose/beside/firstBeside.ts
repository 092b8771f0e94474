import type { Wardrobe } from '../../../../contract/records/records.ts';
import type { KnotPlan } from '../../../../core/index.ts';
import type { Beside, BesidePiece } from '../../../atHand/pieces.ts';
import type { AtHand } from '../../../atHand/values.ts';
import { familiesOf } from '../families.ts';

/** What is put beside the fitting before anything was chosen: the best other one. Its id is empty where there is no other. */
export function firstBeside(
  piece: BesidePiece,
  values: Pick<AtHand, 'tie' | 'shirt'>,
  { ties, shirts }: Pick<Wardrobe, 'ties' | 'shirts'>,
  knots: readonly KnotPlan[],
  inHand: string,
): Beside {
  switch (piece) {
    case 'knot':
      return {
        piece,
        id: familiesOf(knots).find(({ first, variants }) => ![first, ...variants].some(({ moves }) => moves === inHand))?.first.moves ?? '',
      };
    case 'tie':
      return { piece, id: ties.find(({ id }) => id !== values.tie.id)?.id ?? '' };
    case 'shirt':
      return { piece, id: shirts.find(({ id }) => id !== values.shirt.id)?.id ?? '' };
  }
}
