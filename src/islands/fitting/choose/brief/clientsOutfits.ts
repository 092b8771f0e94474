import type { Wardrobe } from '../../../../contract/records/records.ts';
import type { LengthUnit } from '../../../../core/units/length.ts';
import type { Outfit } from '../../../../core/wardrobe/judgeTie.ts';
import { outfitAtHand } from '../../../atHand/outfit.ts';
import { type AtHand, withJacket, withOutfit, withShirt } from '../../../atHand/values.ts';

/** One way a client is dressed, as it can be judged. */
export interface Dressed {
  readonly key: string;
  readonly title: string;
  readonly pieces: string;
  readonly outfit: Outfit;
}

/**
 * All that the bench's client wears: his outfits, or each of his shirts with each of his jackets
 * where none were put together, or what stands on the bench where he has neither.
 */
export function clientsOutfits({ client, outfits, shirts, jackets }: Wardrobe, bench: AtHand, units: LengthUnit): Dressed[] {
  const isHis = client !== null && client.id === bench.client.id;
  const own = <T extends { readonly clientId: string | null }>(all: readonly T[]) =>
    isHis ? all.filter(({ clientId }) => clientId === client.id) : [];
  const dressed =
    isHis && outfits.length > 0
      ? outfits.map((outfit) => ({ title: outfit.label, values: withOutfit(bench, outfit, client, { shirts, jackets }) }))
      : piecewise(own(shirts), own(jackets), bench);
  return dressed.flatMap(({ title, values }) => {
    const outfit = outfitAtHand(values, units);
    const pieces = `${values.shirt.label}; ${values.jacket?.label ?? 'no jacket'}`;
    return outfit ? [{ key: `${values.outfit?.id} ${pieces}`, title: title ?? pieces, pieces: title ? pieces : '', outfit }] : [];
  });
}

function piecewise(shirts: Wardrobe['shirts'], jackets: Wardrobe['jackets'], bench: AtHand): { title?: string; values: AtHand }[] {
  const inShirts = shirts.length > 0 ? shirts.map((shirt) => withShirt(bench, shirt)) : [bench];
  return inShirts.flatMap((values) =>
    jackets.length > 0 ? jackets.map((jacket) => ({ values: withJacket(values, jacket) })) : [{ values }],
  );
}
