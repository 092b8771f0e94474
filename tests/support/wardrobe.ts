import type { StudioSeen, Wardrobe } from '../../src/contract/records/records.ts';
import { nothingLearnt } from '../../src/core/fitbook/here.ts';

export const studio: StudioSeen = { id: 'st', name: 'Studio', units: 'cm', timeZone: 'Europe/London', person: null };

/** Of a studio that keeps nothing yet. */
export const emptyWardrobe: Wardrobe = {
  studio,
  client: null,
  outfits: [],
  shirts: [],
  jackets: [],
  ties: [],
  squares: [],
  regulations: [],
  unchecked: null,
  learnt: nothingLearnt,
};
