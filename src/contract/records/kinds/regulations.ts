import { jacketWorn } from '../../../core/jacket/jackets.ts';
import { aims } from '../../../core/plan/aims.ts';
import { likings } from '../../../core/plan/habits.ts';
import { prescribedPatterns } from '../../../core/plan/prescribedPatterns.ts';
import { schools } from '../../../core/plan/schools.ts';
import { type KindOf, nameField, noteField } from './kindOf.ts';

const left = 'left to whoever dresses';

/** What a service or a house prescribes. The studio holds what it knew on a day; the service's current regulation decides. */
export const regulations: KindOf<'regulations'> = {
  fields: {
    label: nameField,
    asOf: { kind: 'day', label: 'As of' },
    knot: { kind: 'knot', label: 'Knot' },
    dimple: { kind: 'choice', label: 'Dimple', choices: likings.dimple, optional: left },
    aim: { kind: 'choice', label: 'Blade tip ends at', choices: aims, optional: left },
    collarRule: { kind: 'choice', label: schools.collarRule.label, choices: schools.collarRule.schools, optional: left },
    lapelRule: { kind: 'choice', label: schools.lapelRule.label, choices: schools.lapelRule.schools, optional: left },
    patterns: { kind: 'choice', label: 'Pattern of the tie', choices: prescribedPatterns, optional: left },
    jacketWorn: { kind: 'choice', label: 'Jacket', choices: jacketWorn, optional: left },
    note: noteField,
  },
  fresh: {
    label: '',
    asOf: '',
    knot: null,
    dimple: null,
    aim: null,
    collarRule: null,
    lapelRule: null,
    patterns: null,
    jacketWorn: null,
    note: '',
  },
};
