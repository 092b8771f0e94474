import { practiceParts } from '../../../core/practice/parts.ts';
import { type KindOf, line, nameField, noteField } from './kindOf.ts';

/** One timed run through a tying, and what was remarked on it. */
export const rehearsals: KindOf<'rehearsals'> = {
  fields: {
    label: nameField,
    learnerId: { kind: 'reference', label: 'Learner', to: 'learners' },
    knot: { kind: 'knot', label: 'Knot', required: true },
    part: { kind: 'choice', label: 'Rehearsed', choices: practiceParts },
    doneOn: { kind: 'day', label: 'Day' },
    seconds: { kind: 'times', label: 'Seconds for each step' },
    clean: { kind: 'flag', label: 'Without a slip' },
    wrong: line('What went wrong'),
    note: noteField,
  },
  fresh: { label: '', learnerId: '', knot: '', part: 'moves', doneOn: '', seconds: [], clean: false, wrong: '', note: '' },
};
