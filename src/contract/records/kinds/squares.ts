import { fabrics } from '../../../core/tie/fabrics.ts';
import { aShareEach, type KindOf, nameField, noteField, ownerField } from './kindOf.ts';

export const squares: KindOf<'squares'> = {
  fields: {
    label: nameField,
    clientId: ownerField,
    fabric: { kind: 'choice', label: 'Fabric', choices: fabrics },
    colours: { kind: 'colours', label: 'Colours' },
    shares: { kind: 'shares', label: 'Shares' },
    tieId: { kind: 'reference', label: 'Sold in a set with', to: 'ties', optional: 'no tie' },
    note: noteField,
  },
  together: aShareEach,
  fresh: { label: '', clientId: null, note: '', fabric: 'linen', colours: [], shares: null, tieId: null },
};
