import { collarStyles } from '../../../core/collar/styles.ts';
import { measures } from '../../../core/measures/measures.ts';
import { requestDefaults } from '../../../core/plan/request.ts';
import { patterns } from '../../../core/tie/patterns.ts';
import { draftField, type KindOf, nameField, noteField, ownerField } from './kindOf.ts';

const { label: _label, pointsHeld: _held, ...semiSpread } = collarStyles['semi-spread'];

export const shirts: KindOf<'shirts'> = {
  part: 'shirt',
  fields: {
    label: nameField,
    clientId: ownerField,
    draft: draftField,
    collarStyle: { kind: 'choice', label: 'Collar', choices: collarStyles },
    collarSpreadMm: { kind: 'length', measure: measures.shirt.collarSpreadMm },
    collarPointMm: { kind: 'length', measure: measures.shirt.collarPointMm },
    tieSpaceMm: { kind: 'length', measure: measures.shirt.tieSpaceMm },
    standMm: { kind: 'length', measure: measures.shirt.standMm, optional: true },
    collarAllowanceMm: { kind: 'length', measure: measures.shirt.collarAllowanceMm },
    buttonsMm: { kind: 'buttons', label: 'Buttons below the collar' },
    colour: { kind: 'colour', label: 'Colour', optional: 'not entered' },
    pattern: { kind: 'choice', label: 'Pattern', choices: patterns },
    secondColour: { kind: 'colour', label: 'Pattern colour', optional: 'none' },
    note: noteField,
  },
  fresh: {
    label: '',
    clientId: null,
    draft: false,
    note: '',
    collarStyle: 'semi-spread',
    ...semiSpread,
    collarAllowanceMm: requestDefaults.shirt.collarAllowanceMm,
    buttonsMm: requestDefaults.shirt.buttonsMm,
    colour: null,
    pattern: 'solid',
    secondColour: null,
  },
};
