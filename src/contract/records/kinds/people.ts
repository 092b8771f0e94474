import { measures } from '../../../core/measures/measures.ts';
import { dressing } from '../../../core/plan/habits.ts';
import { blades, type KindOf, nameField, noteField } from './kindOf.ts';

/** Whoever dresses others in the studio, with their habits. */
export const people: KindOf<'people'> = {
  fields: {
    name: nameField,
    blade: { kind: 'choice', label: 'Hangs the blade on the wearer’s', choices: blades },
    pins: { kind: 'choice', label: 'Pins the crossing with', choices: dressing.pins },
    gapMm: { kind: 'length', measure: measures.client.crossingGapMm },
    readsAt: { kind: 'choice', label: 'Reads a start', choices: dressing.readsAt },
    tells: { kind: 'choice', label: 'Tells a start', choices: dressing.tells },
    slackMm: { kind: 'length', measure: measures.person.slackMm, optional: true },
    button: { kind: 'choice', label: 'Top button fastened', choices: dressing.button },
    tightens: { kind: 'choice', label: 'Draws up by', choices: dressing.tightens },
    keeper: { kind: 'choice', label: 'Tail into the keeper', choices: dressing.keeper },
    tucks: { kind: 'choice', label: 'Tucks the tail', choices: dressing.tucks },
    neckMm: { kind: 'length', measure: { ...measures.client.neckMm, label: 'Own collar size' }, optional: true },
    heightMm: { kind: 'length', measure: { ...measures.client.heightMm, label: 'Own height' }, optional: true },
    note: noteField,
  },
  fresh: {
    name: '',
    blade: 'right',
    pins: 'left',
    gapMm: 0,
    readsAt: 'crossed',
    tells: 'below',
    slackMm: null,
    neckMm: null,
    heightMm: null,
    button: 'first',
    tightens: 'blade',
    keeper: 'before',
    tucks: 'buttons',
    note: '',
  },
};
