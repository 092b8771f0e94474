import { measures } from '../../../core/measures/measures.ts';
import { aims } from '../../../core/plan/aims.ts';
import { dressCodes } from '../../../core/plan/dressCodes.ts';
import { type KindOf, line, nameField, noteField } from './kindOf.ts';

export const outfits: KindOf<'outfits'> = {
  fields: {
    label: nameField,
    clientId: { kind: 'reference', label: 'Client', to: 'clients' },
    shirtId: { kind: 'reference', label: 'Shirt', to: 'shirts' },
    jacketId: { kind: 'reference', label: 'Jacket', to: 'jackets', optional: 'no jacket' },
    squareId: { kind: 'reference', label: 'Pocket square', to: 'squares', optional: 'none' },
    tieId: { kind: 'reference', label: 'Tie', to: 'ties', optional: 'whichever suits' },
    knot: { kind: 'knot', label: 'Knot' },
    occasion: line('Occasion'),
    dressRule: { kind: 'choice', label: 'Dress code', choices: dressCodes },
    aim: { kind: 'choice', label: 'Blade tip ends at', choices: aims, optional: 'as the client’s' },
    regulationId: { kind: 'reference', label: 'Dress regulation', to: 'regulations', optional: 'none' },
    beltLineMm: {
      kind: 'length',
      measure: { ...measures.client.frontDropMm, label: 'Collar button to belt, in these trousers' },
      optional: true,
    },
    beltHeightMm: { kind: 'length', measure: measures.client.beltHeightMm, optional: true },
    trousersColour: { kind: 'colour', label: 'Colour of the trousers', optional: 'not entered' },
    note: noteField,
  },
  fresh: {
    label: '',
    clientId: '',
    note: '',
    shirtId: '',
    jacketId: null,
    squareId: null,
    tieId: null,
    knot: null,
    occasion: '',
    dressRule: 'business',
    aim: null,
    regulationId: null,
    beltLineMm: null,
    beltHeightMm: null,
    trousersColour: null,
  },
};
