import type { Field } from '../../fields/field.ts';
import type { Kind } from '../records.ts';
import { cares } from './cares.ts';
import { clients } from './clients.ts';
import { jackets } from './jackets.ts';
import type { KindOf } from './kindOf.ts';
import { learners } from './learners.ts';
import { namings } from './namings.ts';
import { outfits } from './outfits.ts';
import { people } from './people.ts';
import { regulations } from './regulations.ts';
import { rehearsals } from './rehearsals.ts';
import { shirts } from './shirts.ts';
import { squares } from './squares.ts';
import { ties } from './ties.ts';
import { tyings } from './tyings.ts';

/** Every kind of record, each from a file of its own. */
export const kinds: { readonly [K in Kind]: KindOf<K> } = {
  people,
  regulations,
  clients,
  shirts,
  jackets,
  ties,
  squares,
  outfits,
  namings,
  learners,
  rehearsals,
  tyings,
  cares,
};

/** The fields of a kind as a plain list. */
export function fieldsOf(kind: Kind): readonly (readonly [key: string, field: Field])[] {
  return Object.entries(kinds[kind].fields);
}
