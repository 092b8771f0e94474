import type { Wardrobe } from '../../../../contract/records/records.ts';
import type { LearntHere } from '../../../../core/fitbook/here.ts';
import type { LengthUnit } from '../../../../core/units/length.ts';
import type { Outfit } from '../../../../core/wardrobe/judgeTie.ts';
import { outfitAtHand } from '../../../atHand/question.ts';
import { type AtHand, withJacket, withOutfit, withShirt } from '../../../atHand/values.ts';

/** One way a client is dressed, as it can be judged. */
export interface Dressed {
  readonly key: string;
  readonly title: string;
  readonly pieces: string;
  /** An outfit of theirs is for an occasion; pieces put together here are for the one at hand. */
  readonly isForOccasion: boolean;
  readonly outfit: Outfit;
}

/**
 * All that the client at hand wears: their outfits, or each of their shirts with each of their jackets
 * where none were put together, or what stands at hand where they have neither.
 */
export function clientsOutfits(wardrobe: Wardrobe, atHand: AtHand, units: LengthUnit, learnt: LearntHere): Dressed[] {
  const { client, outfits, shirts, jackets } = wardrobe;
  const isTheirs = client !== null && client.id === atHand.client.id;
  const own = <T extends { readonly clientId: string | null }>(all: readonly T[]) =>
    isTheirs ? all.filter(({ clientId }) => clientId === client.id) : [];
  const dressed =
    isTheirs && outfits.length > 0
      ? outfits.map((outfit) => ({ title: outfit.label, values: withOutfit(atHand, outfit, client, wardrobe) }))
      : piecewise(own(shirts), own(jackets), atHand);
  return dressed.flatMap(({ title, values }) => {
    const outfit = outfitAtHand(values, units, learnt);
    const pieces = `${values.shirt.label}; ${values.jacket?.label ?? 'no jacket'}`;
    if (!outfit) return [];
    const isForOccasion = title !== undefined;
    const told = isForOccasion ? { title, pieces } : { title: pieces, pieces: '' };
    return [{ key: `${values.outfit?.id} ${pieces}`, ...told, isForOccasion, outfit }];
  });
}

function piecewise(shirts: Wardrobe['shirts'], jackets: Wardrobe['jackets'], atHand: AtHand): { title?: string; values: AtHand }[] {
  const inShirts = shirts.length > 0 ? shirts.map((shirt) => withShirt(atHand, shirt)) : [atHand];
  return inShirts.flatMap((values) =>
    jackets.length > 0 ? jackets.map((jacket) => ({ values: withJacket(values, jacket) })) : [{ values }],
  );
}
