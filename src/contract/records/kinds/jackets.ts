import { jacketCuts, jacketWorn, lapelKinds } from '../../../core/jacket/jackets.ts';
import { measures } from '../../../core/measures/measures.ts';
import { usualLapelMm } from '../../../core/usual.ts';
import { draftField, type KindOf, nameField, noteField, ownerField } from './kindOf.ts';

export const jackets: KindOf<'jackets'> = {
  part: 'jacket',
  fields: {
    label: nameField,
    clientId: ownerField,
    draft: draftField,
    lapelMm: { kind: 'length', measure: measures.jacket.lapelMm },
    lapelKind: { kind: 'choice', label: 'Lapel', choices: lapelKinds },
    cut: { kind: 'choice', label: 'Cut', choices: jacketCuts },
    buttoningMm: { kind: 'length', measure: measures.jacket.buttoningMm, optional: true },
    worn: { kind: 'choice', label: 'Worn', choices: jacketWorn },
    waistcoat: { kind: 'flag', label: 'With a waistcoat' },
    colour: { kind: 'colour', label: 'Colour', optional: 'not entered' },
    note: noteField,
  },
  fresh: {
    label: '',
    clientId: null,
    draft: false,
    note: '',
    lapelMm: usualLapelMm,
    lapelKind: 'notch',
    cut: 'single',
    buttoningMm: null,
    worn: 'open',
    waistcoat: false,
    colour: null,
  },
};
