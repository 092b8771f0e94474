import { fronts } from '../../../core/body/frontDrop.ts';
import { familyOf } from '../../../core/knot/names.ts';
import { measures } from '../../../core/measures/measures.ts';
import { aims } from '../../../core/plan/aims.ts';
import { cautions, finishing, likings } from '../../../core/plan/habits.ts';
import { requestDefaults } from '../../../core/plan/request.ts';
import type { Choices } from '../../fields/choiceTable.ts';
import { blades, type KindOf, line, nameField, noteField } from './kindOf.ts';

const units = { cm: { label: 'centimetres' }, in: { label: 'inches' } };

/** The knots that share a name, to choose from. */
function passingUnder(family: string): Choices {
  return Object.fromEntries(familyOf(family).map(({ word, names }) => [word, { label: names[0] }]));
}

export const clients: KindOf<'clients'> = {
  fields: {
    name: nameField,
    nickname: line('Nickname'),
    note: noteField,
    email: line('E-mail'),
    phone: line('Telephone'),
    address: line('Address'),
    measures: { kind: 'taken', label: 'Measures' },
    front: { kind: 'choice', label: 'Front', choices: fronts },
    blade: { kind: 'choice', label: 'Blade hangs on the wearer’s', choices: blades },
    crossingGapMm: { kind: 'length', measure: measures.client.crossingGapMm },
    beltHeightMm: { kind: 'length', measure: measures.client.beltHeightMm },
    tiedBy: { kind: 'choice', label: 'Tied by', choices: finishing.tiedBy },
    practice: { kind: 'choice', label: 'Practice', choices: likings.practice },
    ownKnot: { kind: 'knot', label: 'Usual knot' },
    meansWindsor: { kind: 'choice', label: '“Windsor” means', choices: passingUnder('Windsor'), ofKnots: true, optional: 'not said' },
    meansHalfWindsor: {
      kind: 'choice',
      label: '“Half-Windsor” means',
      choices: passingUnder('Half-Windsor'),
      ofKnots: true,
      optional: 'not said',
    },
    symmetry: { kind: 'choice', label: 'Prefers the knot', choices: likings.symmetry },
    dimple: { kind: 'choice', label: 'Dimple', choices: likings.dimple },
    release: { kind: 'choice', label: 'Untying', choices: likings.release },
    neckBand: { kind: 'choice', label: 'Tie band beside the knot', choices: likings.neckBand },
    aim: { kind: 'choice', label: 'Blade tip ends at', choices: aims },
    units: { kind: 'choice', label: 'Reads', choices: units, optional: 'as the studio does' },
    cautions: { kind: 'choices', label: 'Cautions', choices: cautions },
  },
  fresh: {
    name: '',
    nickname: '',
    note: '',
    email: '',
    phone: '',
    address: '',
    measures: [],
    front: 'mens',
    blade: 'right',
    crossingGapMm: 0,
    beltHeightMm: requestDefaults.client.beltHeightMm,
    tiedBy: 'client',
    practice: 'some',
    ownKnot: null,
    meansWindsor: null,
    meansHalfWindsor: null,
    symmetry: 'either',
    dimple: 'off-centre',
    release: 'either',
    neckBand: 'hidden',
    aim: 'finger-above',
    units: null,
    cautions: [],
  },
};
